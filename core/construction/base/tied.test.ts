import { describe, expect, it } from "vitest";
import type { Patch } from "../../piece/patch";
import { at, find, plainRack, planOf, tableWith } from "../../testing/plans";
import { bearsAcross, fromOneBoard, racksAlong } from "./tied";

const BASES = [
  ["a trestle", at("form.kind", "trestle"), "trestle", "post+stretcher"],
  ["X frames", at("form.kind", "x-frame"), "xFrame", "x-leg+stretcher"],
] as const;
const on = (kind: Patch, ...patches: Patch[]) => planOf(tableWith(kind, ...patches));

describe.each(BASES)("%s, judged as any base of tied ends", (_, kind, choices, joint) => {
  it("its stretcher is as long in the sentence as on the cut list: shoulders and what its joints add", () => {
    const plan = on(kind);
    const listed = plan.parts.find(({ id }) => id === "stretcher")!;
    const { length } = plan.joints.find(({ id }) => id === joint)!;
    expect(length).toBeGreaterThan(0);
    expect(find(plan, "form.stretcher-long").actual).toBe(Math.round(listed.finished.length));
  });
  it("a stretcher no board is long enough for is told", () => {
    const short = plainRack().map((board) => ({ ...board, length: 1200 }));
    expect(find(planOf(tableWith(kind), short), "form.stretcher-long").level).toBe("fix");
  });
  it("a shallow one lets it rack, and its remedy mends that", () => {
    const shallow = at(`form.${choices}.stretcher.depth`, 30);
    const verdict = find(on(kind, shallow), "form.racking");
    expect(verdict.level).not.toBe("holds");
    expect(find(on(kind, shallow, ...verdict.remedies[0].patches), "form.racking").level).toBe("holds");
  });
  it("what bears the top shows at its edges when the top is narrower than it, and the remedy mends it", () => {
    const narrow = choices === "trestle" ? at("form.trestle.brace.length", 830) : at("form.xFrame.bearer.setIn", 8);
    const verdict = find(on(kind, narrow), "form.brace");
    expect(verdict).toMatchObject({ level: "tight", text: expect.stringMatching(/shows at the top's edge$/) });
    expect(find(on(kind, narrow, ...verdict.remedies[0].patches), "form.brace").level).toBe("holds");
  });
});

describe("the judgements themselves", () => {
  const mend = (to: number) => ({ label: `${to}`, patches: [] });
  const top = { length: 1800, width: 1000, thickness: 28 };
  it.each([
    [250, "fix", /only 25 %/],
    [500, "tight", /only 50 %/],
    [700, "holds", /bear 70 %/],
    [970, "tight", /shows at the top's edge/],
    [1010, "tight", /shows beyond the top's edge/],
  ] as const)("a brace of %i under 1000 is %s", (length, level, text) => {
    const verdict = bearsAcross({ top }, { length, one: "brace", kind: "brace" }, mend);
    expect(verdict).toMatchObject({ level, text: expect.stringMatching(text) });
    expect(verdict.remedies).toHaveLength(level === "holds" ? 0 : 1);
  });
  it("a remedy is offered only for what no board gives; without a rack nothing is said", () => {
    const remedy = { label: "three ends", patches: [] };
    expect(fromOneBoard({ whole: 1700, longest: 2000 }, [remedy])!.remedies).toEqual([]);
    expect(fromOneBoard({ whole: 2100, longest: 2000 }, [remedy])).toMatchObject({ level: "fix", remedies: [remedy] });
    expect(fromOneBoard({ whole: 2100, longest: 0 }, [remedy])).toBeNull();
  });
  it.each([
    [0, "fix", /Nothing ties the ends/],
    [40, "fix", /lets the ends rack/],
    [60, "tight", /lets the ends rack/],
    [90, "holds", /stops the racking/],
  ] as const)("shoulders %i deep, 80 being stiff and 50 the least, are %s", (deep, level, text) =>
    expect(
      racksAlong({ deep, stiff: 80, least: 50, subject: [], folds: "the ends", why: "", remedies: [] }),
    ).toMatchObject({ level, text: expect.stringMatching(text) }),
  );
});
