import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { applyPatches, Patch } from "../../piece/patch";
import { USUAL_SHOP } from "../../piece/shop";
import { bodiesOfParts, clashes, clashesInPoses } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.drop.${path}`, value);
/** 1200 by 600 of ash, 28 thick; rails 120 deep and 25 thick 240 from the middle to their faces less a reveal of 5; leaves of 280. */
const TABLE: Patch[] = [
  ...[at("form.top.length", 1200), at("form.top.width", 600), at("form.top.thickness", 28), set("kind", "both")],
  ...[at("form.overhang.side", 60), set("leaf", 280), set("held", "lopers"), at("form.apron.depth", 120)],
  ...[at("form.crossRails", 0), at("form.cornerBlocks", false)],
];
const piece = (...patches: Patch[]) => tableWith(...TABLE, ...patches);
const table = (...patches: Patch[]) => planOf(piece(...patches));
const bounds = (plan: ReturnType<typeof table>, id: string) => {
  const part = plan.assembly.parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, cuts: [] }), part.place));
};

describe("bearers drawn out under hanging leaves, worked by hand", () => {
  const plan = table();
  const { drop, bearers } = plan.geometry;
  it("two for each leaf, in pairs along a guide, drawn in from face to face of the rails", () => {
    expect(drop!.lopers.map(({ id, side, guide }) => [id, side, guide])).toEqual([
      ["LP1", 1, "LG1"],
      ["LP2", -1, "LG1"],
      ["LP3", 1, "LG2"],
      ["LP4", -1, "LG2"],
    ]);
    // rails 222.5 from the middle, 25 thick: outer face 235, inner 210, and 2 before that behind
    const rail = bearers.find(({ run, at: z }) => run === "along" && z > 0)!;
    expect([rail.at, rail.thickness]).toEqual([222.5, 25]);
    const { least, most } = bounds(plan, "LP1");
    expect([least[2], most[2]]).toEqual([expect.closeTo(-208, 6), expect.closeTo(235, 6)]);
    expect([least[1], most[1]]).toEqual([expect.closeTo(722 - 36.5, 6), expect.closeTo(722 - 0.5, 6)]);
    expect(most[0] - least[0]).toBeCloseTo(28, 6);
  });
  it("each rail is notched for those of its leaf, and housed for both guides", () => {
    const front = bearers.find(({ run, at: z }) => run === "along" && z > 0)!.part;
    const rail = plan.assembly.parts.find(({ id }) => id === front)!;
    const notches = rail.cuts.filter(({ by }) => by === "loper");
    expect(notches.map(({ shape }) => [shape.length, shape.width, shape.thickness])).toEqual([
      [25, 29, 37],
      [25, 29, 37],
    ]);
    expect(rail.cuts.filter(({ by }) => by.endsWith("+loper-guide"))).toHaveLength(2);
    // what the notches take is rail
    const whole = { ...rail, cuts: rail.cuts.filter(({ by }) => by !== "loper") };
    const taken = bulkOf(bodyOf(whole)).volume - bulkOf(bodyOf({ ...rail, cuts: [...whole.cuts, ...notches] })).volume;
    expect(taken).toBeCloseTo(2 * 25 * 29 * 37, 0);
    expect(find(plan, "form.drop-notches").actual).toBe(83);
  });
  it("what fastens the top stays clear of them", () => {
    const rail = bearers.find(({ run, at: z }) => run === "along" && z > 0)!;
    const mine = plan.fasteners.filter(({ bearer }) => bearer === rail.part);
    expect(mine.length).toBeGreaterThan(0);
    for (const { x } of mine)
      for (const loper of drop!.lopers.filter(({ side }) => side > 0))
        expect(Math.max(loper.x.from - x, x - loper.x.to)).toBeGreaterThan(15);
  });
  it("with the leaves up they reach under them, and meet nothing on their way", () => {
    const both = plan.assembly.poses!.find(({ id }) => id === "leaves-up")!;
    const up = posed(plan.assembly.parts, both);
    const loper = up.find(({ id }) => id === "LP2")!;
    const { least } = boundsOf(stood(bodyOf(loper), loper.place));
    expect(least[2]).toBeCloseTo(-235 - 200, 6);
    expect(clashes(up, bodiesOfParts(up))).toEqual([]);
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(find(plan, "form.opens").level).toBe("holds");
    const front = plan.assembly.poses!.find(({ id }) => id === "front-up")!;
    expect(Object.keys(front.places).sort()).toEqual(["DL1", "LP1", "LP3"]);
  });
  it("the edge gives what a beam that hangs over its support does", () => {
    // 435 less the hinges' 278: 157 beyond them; about those, 400 N at 230 and the leaf's weight in its middle
    const leaf = ((1200 * 280 * 28) / 1e9) * plan.species.density * 9.81;
    const force = (400 * 230 + leaf * 140) / (235 + 200 - 278) / 2;
    const inertia = (28 * 36 ** 3) / 12;
    const down = (force * 200 ** 2 * 443) / (3 * plan.species.stiffness * 1000 * inertia);
    expect(find(plan, "form.drop-held").actual).toBe(Math.round(((down * 280.5) / 157) * 10) / 10);
  });
  it("rails are notched before the frame is glued, bearers fitted before the top is on, no brackets bought", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("loper-notches")).toBeGreaterThan(-1);
    expect(of("loper-notches")).toBeLessThan(of("dry-fit"));
    expect(of("lopers")).toBeLessThan(of("attach"));
    expect(of("drop-brackets")).toBe(-1);
    expect(plan.small.some(({ name }) => name === "Folding bracket")).toBe(false);
    expect(plan.parts.filter(({ id }) => id.startsWith("loper")).map(({ id, count }) => [id, count])).toEqual([
      ["loper", 4],
      ["loper-guide", 2],
    ]);
  });
});

describe("what is wrong is said, and a press mends it", () => {
  it.each([
    ["form.drop-notches", [at("form.apron.depth", 60)]],
    ["form.drop-inside", [set("lopers.out", 340)]],
    ["form.drop-held", [set("lopers.out", 120)]],
    ["form.drop-held", [set("lopers.height", 18), set("lopers.count", 1)]],
  ])("%s", (id, patches) => {
    const wrong = piece(...patches);
    const said = find(planOf(wrong), id);
    expect(said.level).not.toBe("holds");
    expect(said.remedies.length).toBeGreaterThan(0);
    for (const remedy of said.remedies)
      expect(find(planOf(applyPatches(wrong, remedy.patches)), id).level).toBe("holds");
  });
});

describe(`bearers of any leaves (seed ${SEED})`, () => {
  it("meet nothing, in or out", () =>
    fc.assert(
      fc.property(
        fc.record({
          count: fc.integer({ min: 1, max: 4 }),
          width: fc.integer({ min: 18, max: 40 }),
          height: fc.integer({ min: 20, max: 50 }),
          out: fc.integer({ min: 120, max: 220 }),
        }),
        fc.constantFrom("both", "front"),
        fc.constantFrom("rule", "square"),
        (lopers, kind, joint) => {
          const plan = planOf(piece(set("lopers", lopers), set("kind", kind), set("joint", joint)), [], USUAL_SHOP);
          expect(clashesInPoses(plan)).toEqual([]);
        },
      ),
      { numRuns: 12, seed: SEED },
    ));
});
