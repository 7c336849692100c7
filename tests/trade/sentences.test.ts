/** Sentences on the screen, held against what they speak of. */
import { describe, expect, it } from "vitest";
import { LEAN, tipsAt } from "../../core/construction/base/tipping";
import type { Patch } from "../../core/piece/patch";
import { at, find, planOf, tableWith } from "../../core/testing/plans";

const plan = (...patches: Patch[]) => planOf(tableWith(...patches));

describe("23: what tips is told by weight, push and lever", () => {
  it("50 kg on feet 700 apart over all under a top 860 wide: 50 × 9.81 × 350 / 80 N", () => {
    const feet = [-1, 1].flatMap((z) => [-1, 1].map((x) => ({ x: x * 800, z: z * 312.5, length: 75, width: 75 })));
    const tipped = tipsAt({ top: { length: 1800, width: 860, thickness: 28 }, feet }, 50);
    expect(tipped.edge).toBe("long");
    expect(tipped.newtons).toBeCloseTo((50 * 9.81 * 350) / 80, 6);
    expect(tipped.newtons).toBeGreaterThan(LEAN.good);
  });
  it("legs tapered on their inner faces stand as far out as they did", () => {
    const tapered = plan(at("form.leg.taper", "two-faces"), at("form.leg.foot", 45)).geometry;
    expect(Math.max(...tapered.feet.map(({ z, width }) => z + width / 2))).toBeCloseTo(tapered.frame.width / 2, 6);
  });
  it("an overhang of 80 is heavy, and doesn't tip", () => {
    const wide = plan(at("form.overhang.side", 80));
    expect(find(wide, "form.tips").level).toBe("holds");
    expect(find(wide, "form.side-overhang").level).toBe("tight");
    expect(find(wide, "form.side-overhang").why).not.toMatch(/tip|lift/);
  });
  it("one of 300 on a light table does, and the remedy brings the feet out", () => {
    const verdict = find(plan(at("form.overhang.side", 300)), "form.tips");
    expect(verdict.level).not.toBe("holds");
    expect(Number(verdict.remedies[0].patches[0].value)).toBeLessThan(300);
  });
});

describe("23: legs show when they show", () => {
  it("12 of overhang hides them; less than nothing does not", () => {
    expect(find(plan(at("form.overhang.side", 12)), "movement.overhang").level).toBe("holds");
    const shown = find(plan(at("form.overhang.side", 0)), "movement.overhang");
    expect(shown.level).toBe("fix");
    expect(shown.text).toMatch(/^What stands below shows .* past the edge/);
  });
});

describe("23: what is measured from the table says so", () => {
  it("1050 from the side to the wall in a room of 3000 with a table of 900", () => {
    const given = plan(at("brief.room.width", 3000), at("form.top.width", 900));
    expect(find(given, "brief.clear-side").text).toBe("1050 mm from the table's side to the wall");
  });
});

describe("23: a table is turned in the room there is", () => {
  const turning = (length: number, height: number, room: { length: number; width: number }) =>
    find(plan(at("form.top.length", length), at("brief.room", { ...room, height })), "brief.turning");
  it("3000 long under 2500: not on end, but flat in a room of 5 by 4 metres", () => {
    const verdict = turning(3000, 2500, { length: 5000, width: 4000 });
    expect(verdict.level).toBe("holds");
    expect(verdict.text).toBe("The table can be turned flat, but not stood on end");
  });
  it("in a room 2800 wide it comes in one way round", () =>
    expect(turning(3000, 2500, { length: 5000, width: 2800 }).level).toBe("tight"));
  it("and in one shorter than itself not at all", () =>
    expect(turning(3000, 2500, { length: 2900, width: 2800 }).level).toBe("fix"));
});

describe("23: a screw comes through where it is longer than the wood", () => {
  const blocks = (thickness: number) =>
    find(plan(at("form.cornerBlocks", true), at("form.apron.thickness", thickness)), "joints.blocks");
  it("10 deep in 14 leaves 4: told, and not called through", () => {
    expect(blocks(14).level).toBe("tight");
    expect(blocks(14).text).toBe("A 40 mm screw leaves 4 mm of rail before its face");
  });
  it("in 9 it is through", () => expect(blocks(9).text).toBe("A 40 mm screw comes through the rail"));
});
