import { describe, expect, it } from "vitest";
import { applyPatches } from "../piece/patch";
import { bays, EIGHT, eight, rows, set } from "../testing/cases";
import { at, find, planOf, tableWith } from "../testing/plans";
import { closingsOf } from "./closings";

const closed = (plan: ReturnType<typeof eight>) => closingsOf(plan.steps, plan.meetings, plan.assembly.parts);

describe("how long a frame or a case takes to glue", () => {
  it("a case of eight parts: 2 bottom housings, 2 of a shelf, 4 dovetails, 2 stub tenons less, by hand", () => {
    const plan = eight();
    const [one, ...others] = closed(plan);
    expect(others).toEqual([]);
    expect(one.step).toBe("glue-base");
    // bottom and shelf to both sides, two rails to both sides; the back is screwed, not glued
    expect(one.joints.map(({ count }) => count).reduce((a, b) => a + b, 0)).toBe(8);
    const area = plan.joints
      .filter(({ enters }) => enters !== "case-back")
      .reduce((sum, { glueArea, count }) => sum + glueArea * count, 0);
    expect(one.area).toBeCloseTo(area, 6);
    // a line of 25 mm takes 0.4 min a metre, a joint 0.3, a clamp 0.35; six clamps
    const clamps = plan.steps.find(({ id }) => id === "glue-base")!.clamps;
    expect(clamps).toBe(6);
    expect(one.minutes).toBeCloseTo((area / 25000) * 0.4 + 8 * 0.3 + 6 * 0.35, 9);
  });
  it("legs and rails: both ends first, then what lies between them, no joint twice", () => {
    const plan = planOf(tableWith(at("form.cornerBlocks", false)));
    const both = closed(plan);
    expect(both.map(({ step }) => step)).toEqual(["glue-ends", "glue-base"]);
    const glued = plan.meetings.filter(({ joint }) => joint.glueArea > 0);
    expect(both.flatMap(({ joints }) => joints).reduce((sum, { count }) => sum + count, 0)).toBe(glued.length);
  });
  it("with fast glue a large case is too slow: slower glue, or a second pair of hands, and batches are told", () => {
    const many = bays(
      rows([null, "drawer"], [null, "drawer"], [null, "drawer"]),
      rows([null, "drawer"], [null, "drawer"], [null, "drawer"]),
      rows([null, "nothing"], [null, "nothing"]),
    );
    const piece = tableWith(...EIGHT, at("form.top.length", 1600), many, set("lift", 60));
    const said = find(planOf(piece), "glueup.closing");
    expect(said.level).toBe("fix");
    expect(said.why).toMatch(/in \d batches/);
    expect(said.remedies.length).toBeGreaterThan(0);
    for (const remedy of said.remedies)
      expect(find(planOf(applyPatches(piece, remedy.patches)), "glueup.closing").level).toBe("holds");
  });
  it("two pairs of hands take half as long", () => {
    const by = (hands: number) => find(eight(at("glueUp.hands", hands)), "glueup.closing").actual as number;
    expect(by(2)).toBeCloseTo(by(1) / 2, 0);
  });
  it("a top on bought legs has nothing to close", () => {
    const plan = planOf(tableWith(at("form.kind", "bought"), at("joints.fastening", "slotted")));
    expect(plan.verdicts.some(({ id }) => id === "glueup.closing")).toBe(false);
  });
});
