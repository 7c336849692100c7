import { describe, expect, it } from "vitest";
import { Axis, Link, Member, MoistureHistory, STOP_LIMITS, stops } from "./restraint";
import { widthChange } from "./width";

const CT = 0.0037;
const member = (id: string, grain: Axis | null, course = "wood"): Member => ({
  id,
  name: id,
  grain,
  course,
  coefficients: ([0, 1, 2] as const).map((axis) =>
    grain === null ? 0 : axis === grain ? CT / 50 : CT,
  ) as Member["coefficients"],
});
const at = (x: number): [number, number] => [x, x];
const link = (
  a: string,
  b: string,
  hold: Link["hold"],
  { kind = "glue", play }: { kind?: Link["kind"]; play?: Link["play"] } = {},
): Link => ({
  id: `${a}+${b}`,
  name: `${a} on ${b}`,
  a,
  b,
  kind,
  hold,
  ...(play ? { play } : {}),
});
/** Built at 9 %, dry at 6, wet at 12. */
const seasons: Record<string, MoistureHistory> = { wood: { start: 9, at: [9, 6, 9, 12] } };
const across = (mm: number, from: number, to: number) => widthChange(mm, CT, from, to);
const along = (mm: number, from: number, to: number) => widthChange(mm, CT / 50, from, to);

describe("every place where movement is stopped, from the graph alone (derived: what the loop lacks, C ΔM)", () => {
  it("a batten glued across a panel", () => {
    const [stop, ...others] = stops(
      [member("panel", 0), member("batten", 2)],
      [link("panel", "batten", [at(0), at(0), [-250, 250]])],
      seasons,
    );
    expect(others).toEqual([]);
    expect(Math.abs(stop.excess)).toBeCloseTo(Math.abs(across(500, 9, 12) - along(500, 9, 12)), 9);
    expect(stop.slip).toBeCloseTo(Math.abs(stop.excess) / 2, 9);
    expect(stop.load).toBeGreaterThan(1);
    expect(stop.members[0].id).toBe("panel");
  });
  it("the same batten glued for 60 mm only holds", () => {
    expect(
      stops([member("panel", 0), member("batten", 2)], [link("panel", "batten", [at(0), at(0), [-30, 30]])], seasons)[0]
        .load,
    ).toBeLessThan(STOP_LIMITS.warn * 2);
  });
  it("long grain glued to long grain moves as one", () => {
    expect(stops([member("a", 0), member("b", 0)], [link("a", "b", [[0, 800], at(0), [0, 300]])], seasons)).toEqual([]);
  });
  it("end grain glued to long grain, 280 mm wide, opens (common practice: seen within a year)", () => {
    const [stop] = stops(
      [member("side", 1), member("end", 0)],
      [link("side", "end", [[0, 280], at(0), at(0)])],
      seasons,
    );
    expect(stop.load).toBeGreaterThan(0.99);
    expect(stop.fails).toBe("glue line");
  });
  it("a mitred frame: each mitre slips by what its members move across, along both axes", () => {
    const found = stops(
      [member("long", 0), member("end", 2)],
      [link("long", "end", [[0, 90], at(0), [0, 90]])],
      seasons,
    );
    expect(found.map((stop) => stop.axis).sort()).toEqual([0, 2]);
    const sizes = found.map((stop) => Math.abs(stop.excess));
    expect(Math.hypot(...sizes)).toBeCloseTo(Math.SQRT2 * Math.abs(across(90, 9, 12) - along(90, 9, 12)), 6);
  });
  it("a panel glued into a frame pushes it; with play enough it does not", () => {
    const parts = [member("panel", 0), member("front", 0), member("back", 0), member("left", 2)];
    const corners = [link("front", "left", [at(0), at(0), at(300)]), link("back", "left", [at(0), at(0), at(-300)])];
    const glued = stops(
      parts,
      [...corners, link("panel", "front", [null, at(0), at(280)]), link("panel", "back", [null, at(0), at(-280)])],
      seasons,
    );
    expect(glued).toHaveLength(1);
    expect(Math.abs(glued[0].excess)).toBeGreaterThan(0.9 * Math.abs(across(560, 9, 12)));
    const range: [number, number] = [-5, 5];
    const floating = stops(
      parts,
      [
        ...corners,
        link("panel", "front", [null, at(0), at(280)], { kind: "slot", play: { axis: 2, range } }),
        link("panel", "back", [null, at(0), at(-280)], { kind: "slot", play: { axis: 2, range } }),
      ],
      seasons,
    );
    expect(floating).toEqual([]);
  });
  it("a top screwed tight to its end rails, but not one screwed at its centre line only", () => {
    const parts = [member("top", 0), member("rail", 2)];
    const screw = (z: number) => link("rail", "top", [null, at(0), at(z)], { kind: "screw" });
    const [stop] = stops(parts, [screw(0), screw(-300), screw(300)], seasons);
    expect(Math.abs(stop.excess)).toBeCloseTo(Math.abs(across(300, 9, 12) - along(300, 9, 12)), 9);
    expect(stop.fails).toBe("fastener");
    expect(stops(parts, [screw(0)], seasons)).toEqual([]);
  });
  it("a slot is as good as its play, each way, measured from the fixed screw", () => {
    const parts = [member("top", 0), member("rail", 2)];
    const fixed = link("rail", "top", [null, at(0), at(0)], { kind: "screw" });
    const slot = (range: [number, number]) => [
      link("rail", "top", [null, at(0), at(300)], { kind: "slot", play: { axis: 2, range } }),
      fixed,
    ];
    const wet = across(300, 9, 12) - along(300, 9, 12);
    const dry = across(300, 9, 6) - along(300, 9, 6);
    expect(stops(parts, slot([dry - 0.01, wet + 0.01]), seasons)).toEqual([]);
    expect(Math.abs(stops(parts, slot([dry - 0.01, wet - 0.5]), seasons)[0].excess)).toBeCloseTo(0.5, 9);
    expect(stops(parts, slot([dry - 0.01, wet - 0.5]), seasons)[0].when).toBe(3);
    expect(Math.abs(stops(parts, slot([dry + 0.4, wet + 0.01]), seasons)[0].excess)).toBeCloseTo(0.4, 9);
    expect(stops(parts, slot([dry + 0.4, wet + 0.01]), seasons)[0].when).toBe(1);
  });
  it("two slots and nothing fixed share their plays, each the way it is passed", () => {
    const parts = [member("top", 0), member("rail", 2)];
    const slot = (z: number, range: [number, number]) =>
      link("rail", "top", [null, at(0), at(z)], { kind: "slot", play: { axis: 2, range } });
    // between them the top may grow by 5 + 1 and shrink by 2 + 3
    const stopsAt = (moisture: number) =>
      stops(parts, [slot(0, [-1, 3]), slot(1000, [-2, 5])], { wood: { start: 9, at: [9, moisture] } }).map((stop) =>
        Math.abs(stop.excess),
      );
    const free = (moisture: number) => Math.abs(across(1000, 9, moisture) - along(1000, 9, moisture));
    expect(stopsAt(7.9)).toEqual([]);
    expect(stopsAt(7)[0]).toBeCloseTo(free(7) - 5, 6);
    expect(stopsAt(10.5)).toEqual([]);
    expect(stopsAt(11.5)[0]).toBeCloseTo(free(11.5) - 6, 6);
  });
  it("three separate legs may be screwed to a top; two tied by a rail across its grain may not", () => {
    const legs = ["one", "two", "three"].map((id) => member(id, 1));
    const screws = legs.map((leg, i) => link("top", leg.id, [at(200 * i), at(0), at(300 * i)], { kind: "screw" }));
    expect(stops([member("top", 0), ...legs], screws, seasons)).toEqual([]);
    const rail = [link("rail", "one", [at(0), at(-100), at(0)]), link("rail", "two", [at(0), at(-100), at(300)])];
    const [stop] = stops([member("top", 0), member("rail", 2), ...legs], [...screws, ...rail], seasons);
    expect(stop.axis).toBe(2);
    expect(stop.members.map((each) => each.id)).toContain("top");
    expect(Math.abs(stop.excess)).toBeCloseTo(Math.abs(across(300, 9, 12) - along(300, 9, 12)), 6);
  });
  it("drawer sides whose grain runs along their length, glued to a solid back of upright grain", () => {
    const [stop] = stops(
      [member("side", 0), member("back", 1)],
      [link("side", "back", [at(0), [0, 200], at(0)])],
      seasons,
    );
    expect(stop.axis).toBe(1);
    expect(stop.members[0].id).toBe("side");
  });
  it("a moulding glued along a chest's side, across its grain", () => {
    const [stop] = stops(
      [member("side", 1), member("moulding", 2)],
      [link("moulding", "side", [at(0), at(0), [0, 450]])],
      seasons,
    );
    expect(stop.axis).toBe(2);
    expect(stop.load).toBeGreaterThan(1);
  });
  it("inlay strips in two directions on one core", () => {
    const found = stops(
      [member("core", 0), member("with", 0), member("against", 2)],
      [link("core", "with", [[0, 400], at(0), [0, 30]]), link("core", "against", [[0, 30], at(0), [0, 400]])],
      seasons,
    );
    expect(found.map((stop) => stop.link.b)).toContain("against");
    expect(found.map((stop) => stop.link.b)).not.toContain("with");
  });
  it("wood of another moisture is stopped too: a wet panel glued to a dry one", () => {
    const found = stops([member("a", 0), member("b", 0, "thick")], [link("a", "b", [[0, 800], at(0), [0, 300]])], {
      ...seasons,
      thick: { start: 9, at: [9, 8, 9, 9] },
    });
    expect(found[0].axis).toBe(2);
    expect(found[0].when).toBe(3);
  });
  it("two that touch nowhere, and a joint that names no part", () => {
    expect(stops([member("a", 0), member("b", 2)], [], seasons)).toEqual([]);
    expect(() => stops([member("a", 0)], [link("a", "ghost", [at(0), at(0), at(0)])], seasons)).toThrow(/ghost/);
  });
});
