import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { smallList } from "../../../assembly/small";
import { boundsOf, stood } from "../../../assembly/solid";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";

const bench = (...more: ReturnType<typeof at>[]) =>
  planOf(
    tableWith(
      ...[
        at("form.use", "bench"),
        at("form.height", 450),
        at("form.top", { ...tableWith().form.top, length: 2400, width: 420, thickness: 38 }),
      ],
      ...[
        at("form.leg.section", 60),
        at("form.leg.top", "through"),
        at("form.apron.thickness", 38),
        at("form.apron.depth", 89),
      ],
      ...[
        at("form.overhang", { end: 0, side: 0 }),
        at("form.cornerBlocks", false),
        at("joints.legRail.kind", "pockets"),
      ],
      ...[at("form.middleLegs", true), ...more],
    ),
  );
const box = (plan: ReturnType<typeof planOf>, id: string) => {
  const part = plan.assembly.parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
};

describe("a long bench of squared timber, worked by hand", () => {
  const plan = bench();
  it("posts run up flush through the top, rails lie below it, screwed from pockets", () => {
    expect(plan.failures).toEqual([]);
    // 2400 less two posts of 60
    expect(plan.parts.find(({ id }) => id === "long-rail")!.finished).toEqual({
      length: 2280,
      width: 89,
      thickness: 38,
    });
    expect(plan.parts.find(({ id }) => id === "leg")!.finished.length).toBe(450);
    // 38 × ¾ before the face: 63 bites 34.5
    expect(plan.joints.find(({ id }) => id === "leg-long-rail")).toMatchObject({
      kind: "pocket-screwed",
      long: 63,
      seat: 28.5,
    });
  });
  it("a pair of legs beside the cross-rail, inside the long rails, from the floor to under the top", () => {
    // the cross-rail's left face is 19 left of the middle; rails' inner faces 210 − 5 − 38 from it
    expect(box(plan, "M2")).toEqual({ least: [-79, 0, 107], most: [-19, 412, 167] });
    expect(box(plan, "M1")).toEqual({ least: [-79, 0, -167], most: [-19, 412, -107] });
    expect(plan.parts.find(({ id }) => id === "middle-leg")!.finished.length).toBe(412);
  });
  it("each is screwed to its long rail and to the cross-rail; nothing fills the same room", () => {
    const joints = plan.joints.filter(({ id }) => id.includes("middle-leg"));
    // 60 of leg and 30 of 38 into the rail: 90 is sold
    expect(joints.map(({ id, kind, count }) => [id, kind, count])).toEqual([
      ["long-rail+middle-leg", "screwed", 2],
      ["middle-leg+cross-rail", "screwed", 2],
    ]);
    expect(joints[0]).toMatchObject({ screw: { long: 90 }, through: 60 });
    expect(smallList(plan.small).map(({ name, count, width, length }) => [name, count, width, length])).toEqual([
      ["Pocket screws", 16, 4, 63],
      ["Screws", 4, 5, 90],
      ["Screws", 4, 5, 60],
    ]);
    expect(clashes(plan.assembly.parts, bodiesOfParts(plan.assembly.parts))).toEqual([]);
    expect(find(plan, "form.middle-legs")).toMatchObject({ level: "holds", actual: 30 });
    expect(find(plan, "joints.cuts-meet").level).toBe("holds");
  });
  it("they are cut to the base as it stands, after its feet are level, before the top goes on", () => {
    const order = plan.steps.map(({ id }) => id);
    const places = ["glue-base", "cut-feet", "middle-legs", "attach"].map((id) => order.indexOf(id));
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(plan.steps.find(({ id }) => id === "attach")!.after).toContain("middle-legs");
  });
  it("chairs slide in on one side of them: what is free runs from there to the far legs", () => {
    // half of 2280, and the 19 that lie between the middle leg and the middle
    expect(plan.geometry.between).toBe(1140 + 19);
    expect(bench(at("form.middleLegs", false)).geometry.between).toBe(2280);
  });
  it("without a cross-rail they stand in the middle; with two, a pair at each", () => {
    const none = bench(at("form.crossRails", 0));
    expect(box(none, "M2").least[0]).toBe(-30);
    expect(none.joints.filter(({ id }) => id.includes("middle-leg"))).toHaveLength(1);
    const two = bench(at("form.crossRails", 2));
    expect(two.assembly.parts.filter(({ kind }) => kind === "middle-leg")).toHaveLength(4);
    for (const each of [none, two])
      expect(clashes(each.assembly.parts, bodiesOfParts(each.assembly.parts))).toEqual([]);
  });
  it("thin rails take no screw, narrow benches no pair: told, with what mends it", () => {
    const thin = find(bench(at("form.apron.thickness", 18)), "form.middle-legs");
    expect([thin.level, thin.remedies[0].label]).toEqual(["fix", "Make the rails 28 mm thick"]);
    expect(find(bench(at("form.top.width", 190)), "form.middle-legs").text).toMatch(/run into each other/);
  });
});
