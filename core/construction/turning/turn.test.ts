import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../assembly/part";
import { boundsOf, stood } from "../../assembly/solid";
import { applyPatches, Patch } from "../../piece/patch";
import { bodiesOfParts, clashes, clashesInPoses } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { pivotOf } from "./turn";

const SEED = Number(process.env.SEED ?? 20261127);
const turn = (path: string, value: unknown) => at(`form.turn.${path}`, value);
/** 860 by 450 folded, 20 thick, 740 high below its leaf; frame 20 in from ends and sides. */
const TABLE: Patch[] = [
  ...[at("form.top.length", 860), at("form.top.width", 450), at("form.top.thickness", 20), turn("kind", "fold")],
  ...[at("form.overhang", { end: 20, side: 20 }), at("form.height", 740), at("brief.topHeight", 740)],
  ...[at("form.leg.section", 45), at("form.crossRails", 0), at("form.cornerBlocks", false)],
  ...[at("form.stiffener", "none"), at("form.use", "side")],
];
const piece = (...patches: Patch[]) => tableWith(...TABLE, ...patches);
const table = (...patches: Patch[]) => planOf(piece(...patches));
type Parts = ReturnType<typeof table>["assembly"]["parts"];
const bounds = (parts: Parts, id: string) => {
  const part = parts.find((each) => each.id === id)!;
  const { least, most } = boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
  return [least, most].map((v) => v.map((each) => Math.round(each * 1e6) / 1e6 + 0));
};

describe("a top folded over itself that turns, worked by hand", () => {
  const plan = table();
  const pose = (id: string) =>
    posed(
      plan.assembly.parts,
      plan.assembly.poses!.find((each) => each.id === id)!,
    );
  it("the pivot is as far from the hinged line's middle as from the frame's, at a right angle", () => {
    const { x, z } = pivotOf(450);
    expect([x, z]).toEqual([-112.5, -112.5]);
    expect(Math.hypot(x, z)).toBeCloseTo(Math.hypot(x, z + 225), 9);
    expect(x * x + z * (z + 225)).toBeCloseTo(0, 9);
  });
  it("folded, the leaf lies on the top with felt between", () => {
    expect(bounds(plan.assembly.parts, "T")).toEqual([
      [-430, 720, -225],
      [430, 740, 225],
    ]);
    expect(bounds(plan.assembly.parts, "FL")).toEqual([
      [-430, 741, -225],
      [430, 761, 225],
    ]);
  });
  it("turned, both lie to the left of the middle, their hinged edge over it", () => {
    expect(bounds(pose("turned"), "T")).toEqual([
      [-450, 720, -430],
      [0, 740, 430],
    ]);
    expect(bounds(pose("turned"), "FL")).toEqual([
      [-450, 741, -430],
      [0, 761, 430],
    ]);
  });
  it("open, both halves lie level and beside one another, evenly over the frame", () => {
    expect(bounds(pose("turned-open"), "T")).toEqual([
      [-450, 720, -430],
      [0, 740, 430],
    ]);
    expect(bounds(pose("turned-open"), "FL")).toEqual([
      [0, 720, -430],
      [450, 740, 430],
    ]);
    expect(find(plan, "form.turn-covers").actual).toBe(450 - 410);
  });
  it("nothing is in anything else, folded, turned or open", () => {
    for (const parts of [plan.assembly.parts, pose("turned"), pose("turned-open")])
      expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
    expect(find(plan, "form.opens").level).toBe("holds");
    expect(plan.verdicts.filter(({ id }) => id === "form.touching")).toEqual([]);
  });
  it("nothing but the pivot holds the top: no fasteners, no room to slide, nothing stopped", () => {
    expect(plan.fasteners).toEqual([]);
    expect(plan.small.filter(({ name, comesWith }) => name.startsWith("Hinge") && !comesWith)).toHaveLength(2);
    expect(plan.stopped.filter(({ link }) => [link.a, link.b].includes("T"))).toEqual([]);
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    expect(top.cuts.map(({ by, shape }) => [by, shape.length])).toEqual([["pivot", 14]]);
  });
  it("the pivot's rail is let into both long rails, and bored over its whole thickness", () => {
    expect(plan.joints.find(({ id }) => id.endsWith("+pivot-rail"))).toMatchObject({ kind: "housing", count: 2 });
    const rail = plan.assembly.parts.find(({ id }) => id === "PR")!;
    const [hole] = rail.cuts.filter(({ by }) => by === "pivot");
    expect([hole.shape.length, hole.shape.width]).toEqual([24, 13]);
    const { least, most } = boundsOf(stood(bodyOf({ shape: hole.shape, adds: [], cuts: [] }), hole.place));
    // in the rail's own frame: from the back rail's inner face, and across it in the middle
    expect((least[1] + most[1]) / 2).toBeCloseTo(55, 6);
    const back = plan.geometry.turn!.rails.back;
    expect((least[0] + most[0]) / 2).toBeCloseTo(-112.5 - (back.at + back.thickness / 2), 6);
  });
  it("both halves are glued up, sanded and finished; it is set on its pivot in place of being screwed down", () => {
    expect(plan.verdicts.some(({ id }) => id === "boards.chosen.fold")).toBe(true);
    const of = (id: string) => plan.steps.find((step) => step.id === id)!;
    expect(of("sand-top").parts).toContain("fold-leaf");
    expect(of("attach").title).toBe("Hinge the leaf, and set the top on its pivot");
    expect(plan.steps.findIndex(({ id }) => id === "pivot")).toBeLessThan(
      plan.steps.findIndex(({ id }) => id === "attach"),
    );
  });
});

describe("what is wrong is said, and a press mends it", () => {
  it.each([
    ["form.turn-can", [at("form.ends", "breadboards")]],
    ["form.turn-can", [at("form.top.outline", "ellipse")]],
    ["form.turn-can", [at("form.leg.top", "through")]],
    ["form.turn-covers", [at("form.top.length", 1200)]],
    ["form.turn-pivot", [turn("rail.width", 50)]],
    ["form.turn-pivot", [at("form.crossRails", 2)]],
    ["form.turn-tips", [at("form.top.length", 1300), at("form.top.width", 700), at("form.overhang.side", 200)]],
    ["brief.clear-open", [at("form.use", "table"), at("brief.room.length", 2400)]],
  ])("%s", (id, patches) => {
    const wrong = piece(...patches);
    const said = find(planOf(wrong), id);
    expect(said.level).not.toBe("holds");
    expect(said.remedies.length).toBeGreaterThan(0);
    for (const remedy of said.remedies) {
      const mended = planOf(applyPatches(wrong, remedy.patches)).verdicts.find((each) => each.id === id);
      expect(mended?.level ?? "holds").toBe("holds");
    }
  });
});

describe(`tops that turn, of any size (seed ${SEED})`, () => {
  it("meet nothing in any of their places, and lie evenly over the frame when open", () =>
    fc.assert(
      fc.property(
        fc.record({
          length: fc.integer({ min: 700, max: 1100 }),
          width: fc.integer({ min: 380, max: 600 }),
          thickness: fc.integer({ min: 16, max: 30 }),
          rail: fc.integer({ min: 60, max: 140 }),
          bolt: fc.integer({ min: 8, max: 16 }),
        }),
        ({ length, width, thickness, rail, bolt }) => {
          const plan = table(
            ...[at("form.top.length", length), at("form.top.width", width), at("form.top.thickness", thickness)],
            ...[turn("rail.width", rail), turn("bolt", bolt)],
          );
          expect(clashesInPoses(plan)).toEqual([]);
          const open = posed(
            plan.assembly.parts,
            plan.assembly.poses!.find(({ id }) => id === "turned-open")!,
          );
          const [[left], [right]] = [bounds(open, "T")[0], bounds(open, "FL")[1]];
          expect(left + right).toBeCloseTo(0, 6);
        },
      ),
      { numRuns: 15, seed: SEED },
    ));
});
