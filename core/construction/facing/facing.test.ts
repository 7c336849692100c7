import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, standingBody } from "../../assembly/part";
import { bulkOf } from "../../assembly/solid";
import type { Patch } from "../../piece/patch";
import { boxOfPart, clashesInPoses, partOf } from "../../testing/clashes";
import { anyFacing } from "../../testing/facings";
import { at, find, planOf, remediesThatFail, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.facing.${path}`, value);
/** A desk 1400 by 700, 28 thick, 740 high, with a strip of cork 5 thick and 200 wide, 3 proud. */
const DESK: Patch[] = [
  ...[at("form.use", "desk"), at("form.top.length", 1400), at("form.top.width", 700), at("form.top.thickness", 28)],
  ...[at("form.height", 740), at("brief.topHeight", 740)],
  ...[set("kind", "cork"), set("thickness", 5), set("width", 200), set("proud", 3)],
];
const desk = (...patches: Patch[]) => planOf(tableWith(...DESK, ...patches));

describe("a strip of cork along a desk, worked by hand", () => {
  const plan = desk();
  it("lies 2 deep in the middle, 3 above the face", () => {
    expect(boxOfPart(plan, "FC")).toEqual({ least: [-700, 738, -100], most: [700, 743, 100] });
    const whole = 1400 * 700 * 28;
    expect(bulkOf(bodyOf(partOf(plan, "T"))).volume).toBeCloseTo(whole - 1400 * 200 * 2, 0);
    // and so it is drawn: a face in the same plane would flicker through it
    expect(bulkOf(standingBody(partOf(plan, "T"))).volume).toBeCloseTo(whole - 1400 * 200 * 2, 0);
  });
  it("weighs 500 kg a cubic metre and is waited for a week", () => {
    expect(partOf(plan, "FC").bought).toEqual({
      mass: expect.closeTo(1.4 * 0.2 * 0.005 * 500, 9),
      weeks: 1,
      measured: false,
    });
  });
  it("its trench is routed when the top is flat, the cork laid when it stands finished on its base", () => {
    const order = plan.steps.map(({ id }) => id);
    expect(order.indexOf("flatten")).toBeLessThan(order.indexOf("facing-trench"));
    expect(order.indexOf("facing-trench")).toBeLessThan(order.indexOf("sand-top"));
    expect(order.indexOf("attach")).toBeLessThan(order.indexOf("facing"));
    expect(plan.steps.find(({ id }) => id === "facing-trench")!.detail).toContain("250 mm from the front edge");
  });
  it("everything holds, and nothing stands in anything", () => {
    expect(["form.facing", "form.facing-lies", "form.facing-follows"].map((id) => find(plan, id).level)).toEqual([
      "holds",
      "holds",
      "holds",
    ]);
    expect(clashesInPoses(plan)).toEqual([]);
  });
  it("moves what flat-sawn wood moves over four percent: ash 0.0027 × 4 of 200 mm", () => {
    expect(find(plan, "form.facing-follows").actual).toBeCloseTo(100 * plan.species.tangential * 4, 1);
  });
  it("down over both ends it is bent twice: 40 of it below the trench's floor", () => {
    const over = desk(set("wraps", 40));
    expect(boxOfPart(over, "FC")).toEqual({ least: [-705, 698, -100], most: [705, 743, 100] });
    expect(bulkOf(bodyOf(partOf(over, "FC"))).volume).toBeCloseTo((1410 * 5 + 2 * 40 * 5) * 200, 0);
    expect(clashesInPoses(over)).toEqual([]);
  });
  it("in a frame it ends at the frame; so far behind the middle as it is asked", () => {
    const framed = desk(at("form.ends", "frame"), set("from", 60));
    const { least, most } = boxOfPart(framed, "FC");
    expect([least[2], most[2]]).toEqual([-160, 40]);
    expect(most[0]).toBe(framed.geometry.core.shoulder / 2);
    expect(clashesInPoses(framed)).toEqual([]);
  });
});

describe("told, and mended", () => {
  it.each([
    ["form.facing", [at("form.field", "slats")], "can’t be faced"],
    ["form.facing", [at("form.top.outline", "ellipse")], "can’t be faced"],
    ["form.facing", [set("wraps", 40), at("form.ends", "breadboards")], "can’t be faced"],
    ["form.facing", [set("proud", 9)], "can’t stand 9.0 mm proud"],
    ["form.facing-lies", [set("thickness", 14), set("proud", 0)], "Under its trench only"],
    ["form.facing-lies", [set("width", 690)], "stay beside the facing"],
    [
      "form.facing-lies",
      [at("form.top.cutouts", [{ name: "cable", x: 0, y: 90, length: 80, width: 60 }])],
      "cut-out “cable”",
    ],
    ["form.facing-follows", [set("kind", "linoleum"), at("species", "european-beech")], "lets go"],
  ])("%s: %j", (id, patches, words) => {
    const piece = tableWith(...DESK, ...(patches as Patch[]));
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    expect(verdict.text).toContain(words);
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

it("any facing on any top plans whole, and lies in nothing", { timeout: 60_000 }, () => {
  fc.assert(
    fc.property(
      anyFacing,
      fc.constantFrom("none", "breadboards", "frame"),
      fc.constantFrom("solid", "stripes"),
      (facing, ends, field) => {
        const plan = desk(at("form.facing", facing), at("form.ends", ends), at("form.field", field));
        expect(plan.failures).toEqual([]);
        expect(clashesInPoses(plan)).toEqual([]);
      },
    ),
    { seed: SEED, numRuns: 30 },
  );
});
