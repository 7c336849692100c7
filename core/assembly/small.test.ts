import { describe, expect, it } from "vitest";
import { bodiesOf } from "../joinery/kinds";
import { at, planOf, tableWith } from "../testing/plans";
import { clashes } from "../testing/clashes";
import { shared } from "./carve";
import { bodyOf } from "./part";
import { smallList } from "./small";
import { solidOf } from "./shape";
import { bulkOf, stood } from "./solid";

const PINNED = { kind: "tenon", thickness: null, length: null, tenons: null, twin: false, pinned: true };

describe("what joints bring with them", () => {
  it("eight loose tenons a rail end with two rows: counted, of the drawer's own size", () => {
    const plan = planOf(tableWith(at("joints.legRail.kind", "loose-tenon"), at("form.cornerBlocks", false)));
    const rows = smallList(plan.small);
    const wanted = plan.joints.reduce(
      (sum, joint) =>
        sum + (joint.kind === "rail-tenon" && joint.made === "loose-tenon" ? joint.count * joint.tenons : 0),
      0,
    );
    expect(rows.map(({ count }) => count).reduce((a, b) => a + b)).toBe(wanted);
    expect(rows.every(({ of, thickness }) => of === "wood" && thickness !== null)).toBe(true);
  });
  it("a table of cut tenons brings the screws of its corner blocks and nothing else", () =>
    expect(smallList(planOf(tableWith()).small)).toEqual([
      { name: "Screws", of: "steel", bought: true, count: 16, length: 40, width: 5, thickness: null },
    ]));
  it("a wedge fills its kerf, and stands in nothing", () => {
    const { small, assembly } = planOf(tableWith(at("form.kind", "trestle")));
    const wedges = small.filter(({ name }) => name === "Wedge");
    expect(wedges).toHaveLength(4);
    for (const wedge of wedges) {
      const body = stood(solidOf(wedge.shape), wedge.place);
      for (const part of assembly.parts)
        expect(bulkOf(shared(body, stood(bodyOf(part), part.place))).volume, part.id).toBeLessThan(0.5);
    }
  });
  it("a pin's hole in the tenon lies a mm nearer the shoulder than the one it is driven through", () => {
    const plan = planOf(tableWith(at("form.kind", "trestle"), at("joints.groups", { "foot+post": PINNED })));
    const joint = plan.joints.find(({ id }) => id === "foot+post")!;
    const { cuts, own, brings } = bodiesOf(joint);
    const hole = cuts.find(({ shape }) => shape.end)!;
    expect(hole.place.at[0] - own[0].place.at[0]).toBeCloseTo(1, 9);
    expect(brings!.every(({ name }) => name === "Pin")).toBe(true);
    expect(clashes(plan.assembly.parts.filter(({ role }) => role !== "panel"))).toEqual([]);
  });
});
