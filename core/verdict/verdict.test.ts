import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fine, grade, mm, set, Verdict, verdict, worst, worstFirst } from "./verdict";

const of = (level: Verdict["level"], id = level as string) =>
  verdict({ id, stage: "form", level, text: "A sentence", why: "A reason." });

describe("grading", () => {
  it.each([
    [10, "at least", 8, 5, "holds"],
    [8, "at least", 8, 5, "holds"],
    [7, "at least", 8, 5, "tight"],
    [5, "at least", 8, 5, "tight"],
    [4.9, "at least", 8, 5, "fix"],
    [3, "at most", 5, 8, "holds"],
    [5, "at most", 5, 8, "holds"],
    [6, "at most", 5, 8, "tight"],
    [8, "at most", 5, 8, "tight"],
    [8.1, "at most", 5, 8, "fix"],
  ] as const)("%d %s %d, %d at the worst: %s", (...[actual, sense, good, bad, level]) =>
    expect(grade(actual, sense, good, bad)).toBe(level),
  );

  it("never judges a better value worse (property)", () => {
    const rank = { fix: 0, tight: 1, holds: 2 };
    fc.assert(
      fc.property(
        fc.double({ min: -100, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (actual, better, between) => {
          expect(rank[grade(actual + better, "at least", between, 0)]).toBeGreaterThanOrEqual(
            rank[grade(actual, "at least", between, 0)],
          );
          expect(rank[grade(actual - better, "at most", 0, between)]).toBeGreaterThanOrEqual(
            rank[grade(actual, "at most", 0, between)],
          );
        },
      ),
    );
  });
  it("does not fall over the last bit of a sum", () => expect(grade(0.1 + 0.2, "at most", 0.3, 0.5)).toBe("holds"));
});

describe("lists of verdicts", () => {
  it("the worst of them counts, none is none", () => {
    expect(worst([of("holds"), of("fix"), of("tight")])).toBe("fix");
    expect(worst([of("holds"), of("tight")])).toBe("tight");
    expect(worst([])).toBeNull();
  });
  it("worst first, and otherwise as they came", () => {
    expect(
      worstFirst([of("holds", "a"), of("tight", "b"), of("fix", "c"), of("tight", "d")]).map((each) => each.id),
    ).toEqual(["c", "b", "d", "a"]);
  });
});

describe("lengths in sentences", () => {
  it("to half a millimetre, or a tenth for fits", () => {
    expect(mm(12.3)).toBe("12.5 mm");
    expect(mm(12)).toBe("12 mm");
    expect(fine(4.64)).toBe("4.6 mm");
    expect(mm(-140)).toBe("−140 mm");
    expect(mm(-0.1)).toBe("0 mm");
  });
});

it("a set remedy is one label and one patch", () =>
  expect(set("Set gap 5 mm", ["joints", "gap"], 5)).toEqual({
    label: "Set gap 5 mm",
    patches: [{ path: ["joints", "gap"], value: 5 }],
  }));
