import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { applyPatches, Patch } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";

const SEED = Number(process.env.SEED ?? 20261127);
const TURNED: Patch[] = [
  ...[at("form.leg.taper", "turned"), at("form.leg.section", 80), at("form.leg.foot", 50)],
  ...[at("form.cornerBlocks", false), at("form.crossRails", 0)],
];

describe("legs turned below the rails, 80 to 50, worked by hand", () => {
  const plan = planOf(tableWith(...TURNED));
  const leg = plan.assembly.parts.find(({ id }) => id === "L1")!;
  const bare = { ...leg, cuts: [] };

  it("a square head of 80 and a frustum below it, 10 under the rails", () => {
    // 722 high, rails of 95 from there: the round begins 722 − 95 − 10 above the floor
    const from = 722 - 95 - 10;
    const cone = ((Math.PI * from) / 3) * (40 ** 2 + 40 * 25 + 25 ** 2);
    const head = 80 * 80 * (722 - from);
    // 32 faces that touch it are a third of a percent more than the round itself
    expect(bulkOf(bodyOf(bare)).volume / (cone * (32 / Math.PI) * Math.tan(Math.PI / 32) + head)).toBeCloseTo(1, 4);
    expect(leg.note).toContain("Turned round from 617 mm above its foot");
  });
  it("stands in its middle: its foot lies inside the square all round", () => {
    const { least, most } = boundsOf(stood(bodyOf(bare), leg.place));
    expect([most[0] - least[0], most[2] - least[2]]).toEqual([expect.closeTo(80, 6), expect.closeTo(80, 6)]);
    const foot = plan.geometry.feet[0];
    expect([foot.length, foot.width]).toEqual([50, 50]);
    expect(foot.x).toBeCloseTo(-(900 - 40 - 40), 6);
  });
  it("joints are cut in the square head, and it is turned after the dry fit", () => {
    const mortise = leg.cuts.filter(({ by }) => by.includes("+long-rail") || by.includes("+end-rail"));
    expect(mortise.length).toBeGreaterThan(0);
    for (const { place } of mortise) expect(place.at[0]).toBeGreaterThan(617 - 1e-6);
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("dry-fit")).toBeLessThan(of("taper"));
    expect(plan.steps[of("taper")].title).toBe("Turn the legs below the rails");
    expect(find(plan, "form.turned").level).toBe("holds");
    expect(find(plan, "form.fit").level).toBe("holds");
  });
  it("its blank is as long and as thick as a square leg's", () => {
    const square = planOf(tableWith(...TURNED, at("form.leg.taper", "none")));
    const rough = (from: typeof plan) => from.parts.find(({ id }) => id === "leg")!.milled;
    expect(rough(plan)).toEqual(rough(square));
    expect(plan.weight).toBeLessThan(square.weight);
  });
  it.each([
    ["a leg that is not square", [at("form.leg.across", 60)], "fix"],
    ["low stretchers", [at("form.low.kind", "box")], "tight"],
  ] as const)("%s is told, and one press mends it", (_, patches, level) => {
    const piece = tableWith(...TURNED, ...patches);
    const said = find(planOf(piece), "form.turned");
    expect(said.level).toBe(level);
    const after = planOf(applyPatches(piece, said.remedies[0].patches)).verdicts.find(({ id }) => id === "form.turned");
    expect(after?.level ?? "holds").toBe("holds");
  });
});

describe(`turned legs of any choices (seed ${SEED})`, () => {
  it("share wood with nothing, and lie within their square", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 110 }),
        fc.integer({ min: 25, max: 110 }),
        fc.constantFrom("none", "box", "h", "ends"),
        fc.constantFrom("under", "through"),
        (section, foot, low, top) => {
          const piece = tableWith(
            ...TURNED,
            ...[at("form.leg.section", section), at("form.leg.foot", foot), at("form.low.kind", low)],
            ...[at("form.leg.top", top), at("form.apron.reveal", 3)],
          );
          const { parts } = preview(piece.form, piece.joints, USUAL_SHOP).assembly;
          expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
          const body = boundsOf(bodyOf({ ...parts.find(({ id }) => id === "L2")!, cuts: [] }));
          expect(Math.min(body.least[1], body.least[2])).toBeGreaterThan(-1e-6);
          expect(Math.max(body.most[1], body.most[2])).toBeLessThan(section + 1e-6);
        },
      ),
      { numRuns: 20, seed: SEED },
    ));
});
