import { describe, expect, it } from "vitest";
import { at, planOf, tableWith } from "../testing/plans";

const blanks = (make: string) => planOf(tableWith(at("form.leg.make", make))).blanks;
const step = (make: string) => planOf(tableWith(at("form.leg.make", make))).steps.find(({ id }) => id === "laminate");

describe("gluings of thick legs, by hand (75 square, 4 of them)", () => {
  it("a solid one has none", () => {
    expect(blanks("solid")).toEqual([]);
    expect(step("solid")).toBeUndefined();
  });
  it("two leaves meet in one line as wide as they are", () => {
    const [one, ...more] = blanks("laminated");
    expect([one.name, one.strips, one.lines.length, more.length]).toEqual([
      "Leg from 2 leaves, 4 times",
      ["L1a", "L1b"],
      1,
      0,
    ]);
  });
  it("boards to be sawn at 45° are glued to a blank as high as the leg's diagonal", () => {
    const [one] = blanks("diagonal");
    expect(one.name).toBe("Leg from two boards, to be sawn at 45°, 4 times");
    // (75 + 3) √2 in all, in two
    expect(one.lines[0]).toBeCloseTo((78 * Math.SQRT2) / 2, 6);
    expect(step("diagonal")!.title).toBe("Glue the legs from two boards and saw them at 45°");
  });
  it("a core gets two faces, then two more over them", () => {
    const [first, second] = blanks("core-faces");
    expect([first.strips, second.strips]).toEqual([
      ["L1fa", "L1c", "L1fb"],
      ["L1ga", "L1c", "L1gb"],
    ]);
    // a core of 75 − 12 + 1 between two faces of 6; then, planed true, 75 − 12
    expect(first.lines).toEqual([6, 70]);
    expect(second.lines).toEqual([6, 69]);
    expect(second.grams).toBeGreaterThan(first.grams);
    expect(step("core-faces")!.title).toBe("Glue the faces of the legs round their cores");
    expect(step("core-faces")!.wait).toBe(2 * step("laminated")!.wait);
  });
});
