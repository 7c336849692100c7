import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../assembly/part";
import { boundsOf, stood } from "../../assembly/solid";
import { applyPatches, Patch } from "../../piece/patch";
import { LOWS } from "../../piece/base-choices";
import { bodiesOfParts, clashes, clashesInPoses } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.drop.${path}`, value);
/** 1200 by 600 of ash, 28 thick, legs 60 in; rails 120 deep, their faces 235 from the middle; leaves of 280 that turn at 278. */
const TABLE: Patch[] = [
  ...[at("form.top.length", 1200), at("form.top.width", 600), at("form.top.thickness", 28), set("kind", "both")],
  ...[at("form.overhang.side", 60), set("leaf", 280), set("held", "gates"), at("form.apron.depth", 120)],
  ...[at("form.crossRails", 0), at("form.cornerBlocks", false), set("gates.reach", 240), set("gates.thickness", 24)],
];
const piece = (...patches: Patch[]) => tableWith(...TABLE, ...patches);
const table = (...patches: Patch[]) => planOf(piece(...patches));
const bounds = (parts: ReturnType<typeof table>["assembly"]["parts"], id: string) => {
  const part = parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
};
const rounded = ({ least, most }: ReturnType<typeof bounds>) =>
  [least, most].map((at) => at.map((each) => Math.round(each * 1e6) / 1e6 + 0));

describe("a leg that swings out under each leaf, worked by hand", () => {
  const plan = table();
  const pose = (id: string) =>
    posed(
      plan.assembly.parts,
      plan.assembly.poses!.find((each) => each.id === id)!,
    );
  it("folded it lies flat before its rail, 1 off it for its hinges, from the middle to the right", () => {
    // the leg is the last 45 of 240, from the floor to a millimetre below the top's underside
    expect(rounded(bounds(plan.assembly.parts, "GT1"))).toEqual([
      [12 + 195, 0, 236],
      [12 + 240, 721, 260],
    ]);
    // the arm: 70 deep, 6 below the underside
    expect(rounded(bounds(plan.assembly.parts, "GA1"))).toEqual([
      [12, 646, 236],
      [12 + 195, 716, 260],
    ]);
  });
  it("behind it is the same turned end for end", () => {
    const [front, back] = ["GT1", "GT2"].map((id) => bounds(plan.assembly.parts, id));
    expect(back.least[0]).toBeCloseTo(-front.most[0], 9);
    expect(back.least[2]).toBeCloseTo(-front.most[2], 9);
  });
  it("out, it stands in the leaf's middle, its leg 195 to 240 from the hinges", () => {
    expect(rounded(bounds(pose("leaves-up"), "GT1"))).toEqual([
      [-12, 0, 236 + 195],
      [12, 721, 236 + 240],
    ]);
    expect(rounded(bounds(pose("leaves-up"), "GT2"))).toEqual([
      [-12, 0, -236 - 240],
      [12, 721, -236 - 195],
    ]);
    const moved = plan.assembly.poses!.find(({ id }) => id === "front-up")!;
    expect(Object.keys(moved.places).sort()).toEqual(["DL1", "GA1", "GT1"]);
  });
  it("nothing is in anything else, folded or out", () => {
    for (const parts of [plan.assembly.parts, pose("leaves-up"), pose("front-up")])
      expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(find(plan, "form.opens").level).toBe("holds");
  });
  it("its arm is tenoned into its leg: 8 of 24, two thirds of 45 less the wall behind", () => {
    const joint = plan.joints.find(({ id }) => id === "gate-leg+gate-arm")!;
    expect(joint).toMatchObject({ kind: "blind-tenon", thickness: 8, length: 30, count: 2 });
    expect(plan.parts.find(({ id }) => id === "gate-arm")!.finished.length).toBe(195 + 30);
    expect(plan.parts.find(({ id }) => id === "gate-leg")!.finished).toEqual({ length: 721, width: 45, thickness: 24 });
  });
  it("holds the leaf where its leg stands, and the table by it", () => {
    // the leg's middle at 236 + 240 - 22.5, the leaf turns at 278
    expect(find(plan, "form.drop-held").actual).toBe(Math.round(453.5 - 278));
    const brackets = table(set("held", "brackets"));
    // the foot stands 476 out in place of the leg's 240: the same weight holds against far more at the leaf's edge
    const edge = 278 + 0.5 + 280;
    const newtons = Number(find(plan, "form.drop-tips").actual);
    const weight = newtons * ((edge - 476) / 476);
    const before = Number(find(brackets, "form.drop-tips").actual);
    expect(weight / ((before * (edge - 240)) / 240)).toBeCloseTo(1, 1);
  });
  it("jointed and glued by themselves, hung once the frame stands, fitted when the leaves hang", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("glue-gates")).toBeGreaterThan(-1);
    expect(of("glue-gates")).toBeLessThan(of("gates"));
    expect(of("gates")).toBeLessThan(of("attach"));
    expect(of("drop-hinges")).toBeLessThan(of("gates-fit"));
    expect(plan.small.filter(({ name }) => name === "Butt hinge")).toHaveLength(4);
    expect(plan.small.some(({ name }) => name === "Folding bracket")).toBe(false);
  });
  it("on glides its legs reach the floor all the same", () => {
    const raised = table(at("form.feet.kind", "glides"), at("form.feet.glides.height", 10));
    expect(bounds(raised.assembly.parts, "GT1").least[1]).toBe(-10);
  });
});

describe("gates with a stile and a lower rail, two a leaf", () => {
  const plan = table(set("gates.low", 150), set("gates.count", 2), set("gates.reach", 240));
  it("turn near the rail's ends and fold to the middle", () => {
    const rail = plan.geometry.bearers.find(({ run, at: z }) => run === "along" && z > 0)!;
    expect(plan.geometry.drop!.gates.map(({ side, axis }) => [side, axis[0]])).toEqual([
      [1, -(rail.length / 2 - 30)],
      [1, rail.length / 2 - 30],
      [-1, rail.length / 2 - 30],
      [-1, -(rail.length / 2 - 30)],
    ]);
  });
  it("arm and lower rail lie between leg and stile", () => {
    const long = (id: string) => plan.assembly.parts.find((each) => each.id === id)!.shape.length;
    expect([long("GA1"), long("GR1")]).toEqual([240 - 45 - 40, 240 - 45 - 40]);
    // from the lower rail's underside at 150 to the arm's upper edge
    expect(long("GS1")).toBe(722 - 6 - 150);
    expect(plan.joints.filter(({ id }) => id.startsWith("gate-")).map(({ id, count }) => [id, count])).toEqual([
      ["gate-leg+gate-arm", 4],
      ["gate-stile+gate-arm", 4],
      ["gate-leg+gate-rail", 4],
      ["gate-stile+gate-rail", 4],
    ]);
  });
});

describe("two gates before one rail", () => {
  it("reach to 5 short of its middle, and not a millimetre farther", () => {
    const rail = table().geometry.bearers.find(({ run, at: z }) => run === "along" && z > 0)!;
    const most = Math.floor(rail.length / 2 - 24 - 6 - 5);
    const level = (reach: number) =>
      find(table(set("gates.count", 2), set("gates.reach", reach)), "form.drop-gate-fits").level;
    expect([level(most), level(most + 1)]).toEqual(["holds", "fix"]);
  });
});

describe("what is wrong is said, and a press mends it", () => {
  it.each([
    ["form.drop-gates", [at("form.overhang.side", 40)]],
    ["form.drop-gate-fits", [set("gates.count", 2), set("gates.reach", 700)]],
    ["form.drop-gate-fits", [set("gates.reach", 600)]],
    ["form.drop-gate-fits", [set("gates.arm", 160)]],
    ["form.drop-gate-fits", [set("gates.low", 580)]],
    ["form.drop-held", [set("gates.reach", 120)]],
    ["form.drop-held", [set("gates.reach", 360)]],
  ])("%s", (id, patches) => {
    const wrong = piece(...patches);
    const said = find(planOf(wrong), id);
    expect(said.level).not.toBe("holds");
    expect(said.remedies.length).toBeGreaterThan(0);
    for (const remedy of said.remedies)
      expect(find(planOf(applyPatches(wrong, remedy.patches)), id).level).toBe("holds");
  });
});

describe(`gates of any leaves (seed ${SEED})`, () => {
  it("meet nothing, folded or out", () =>
    fc.assert(
      fc.property(
        fc.record({
          count: fc.constantFrom(1, 2),
          thickness: fc.integer({ min: 18, max: 26 }),
          reach: fc.integer({ min: 150, max: 320 }),
          leg: fc.integer({ min: 30, max: 60 }),
          arm: fc.integer({ min: 40, max: 100 }),
          low: fc.constantFrom(0, 120, 300),
          rail: fc.integer({ min: 30, max: 60 }),
          stile: fc.integer({ min: 30, max: 60 }),
        }),
        fc.constantFrom("both", "front"),
        fc.constantFrom("rule", "square"),
        fc.constantFrom(...LOWS),
        (gates, kind, joint, low) => {
          const plan = planOf(
            piece(set("gates", gates), set("kind", kind), set("joint", joint), at("form.low.kind", low)),
          );
          expect(clashesInPoses(plan)).toEqual([]);
        },
      ),
      { numRuns: 12, seed: SEED },
    ));
});
