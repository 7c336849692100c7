/** Two pieces that stand outdoors, by hand, and every wood's class. */
import { describe, expect, it } from "vitest";
import { durabilityOf } from "../../core/outdoors/durability";
import { slatScrews } from "../../core/construction/top/slat-screws";
import { applyPatches, Patch } from "../../core/piece/patch";
import { planPiece } from "../../core/plan";
import { at, find, planOf, tableWith } from "../../core/testing/plans";
import { SPECIES } from "../../core/wood/species";
import { DEMO_PIECES, DEMO_RACK, DEMO_SHOP, TODAY } from "../generators/pieces";

const demo = (name: RegExp) => DEMO_PIECES.find((piece) => name.test(piece.name))!;
const planned = (piece: (typeof DEMO_PIECES)[number]) =>
  planPiece({ piece, shop: DEMO_SHOP, rack: DEMO_RACK, ownSpecies: [], today: TODAY });
const level = (plan: ReturnType<typeof planned>, id: string) => find(plan, id).level;

it("25: every wood of the library has its class", () => {
  for (const { id } of SPECIES) expect(durabilityOf(id), id).toBeGreaterThanOrEqual(1);
});

describe("25: a closed table of larch on a porch, oiled and waxed", () => {
  const plan = planned(demo(/porch table/i));
  it("its wood stands there: larch is of class 3, EN 350", () =>
    expect(find(plan, "form.durability")).toMatchObject({ level: "holds", actual: 3, limit: 3 }));
  it("its finish is renewed twice a year, which is told", () =>
    expect(find(plan, "form.finish-outdoors")).toMatchObject({ level: "tight", actual: 6 }));
  it("water stands on its closed top", () => expect(level(plan, "form.water")).toBe("tight"));
  it("legs are sealed and stand on glides, screws are stainless: verdicts and steps say the same", () => {
    expect(find(plan, "form.feet-outdoors")).toMatchObject({ level: "holds", actual: 5 });
    expect(find(plan, "form.fastenings-outdoors").text).toMatch(/^Stainless screws: plain steel blackens/);
    const step = (id: string) => plan.steps.find((each) => each.id === id)!;
    expect(step("cut-feet").detail).toMatch(/thin epoxy until it takes no more, then glides 5 mm high/);
    expect(step("attach").detail).toMatch(/Stainless screws throughout\.$/);
  });
});

describe("25: a bench of slats on a porch, oiled", () => {
  const bench = demo(/porch bench/i);
  const plan = planned(bench);
  it("an oil is renewed once a year; its slats 4 apart hold drops", () => {
    expect(find(plan, "form.finish-outdoors")).toMatchObject({ level: "holds", actual: 12 });
    expect(find(plan, "form.water")).toMatchObject({ level: "tight", actual: 4, limit: 5 });
  });
  it("of beech it rots, and another wood is offered", () => {
    const beech = find(planned({ ...bench, species: "european-beech" }), "form.durability");
    expect(beech).toMatchObject({ level: "fix", actual: 5 });
    expect(level(planned(applyPatches(bench, beech.remedies[0].patches)), "form.durability")).toBe("holds");
  });
  it("on a trestle whose feet lie flat, pads are asked for", () =>
    expect(
      level(
        planned(applyPatches(bench, [at("form.kind", "trestle"), at("form.trestle.foot.pads", false)])),
        "form.feet-outdoors",
      ),
    ).toBe("fix"));
});

describe("25: screws of slats never land in a leg's end grain", () => {
  const slats = (...patches: Patch[]) =>
    tableWith(at("form.field", "slats"), at("form.slats.screws", "one"), ...patches);
  it("six slats over a top 850 wide: the outer two are 68 from the edge, over legs that reach from 40 to 115", () => {
    // 850 less five gaps of 6 by six is 136.7 wide; its middle lies 68 in
    const piece = slats(at("form.slats.count", 6), at("form.slats.gap", 6));
    const plan = planOf(piece);
    expect(find(plan, "movement.slat-over-legs")).toMatchObject({ level: "holds", actual: 0 });
    expect(find(plan, "movement.slat-over-legs").why).toMatch(/^4 that would stand over a leg go into the long rail/);
    const beside = slatScrews(piece.form, plan.geometry).filter((each) => each.beside);
    const [leg] = plan.geometry.posts;
    for (const { x, z } of beside) {
      expect(Math.abs(Math.abs(x) - Math.abs(leg.x))).toBeCloseTo(leg.length / 2 + 16, 6);
      const rail = plan.geometry.bearers.find(({ run, at: middle }) => run === "along" && middle * z > 0)!;
      expect(Math.abs(z - rail.at)).toBeLessThanOrEqual(rail.thickness / 2 - 4 + 1e-9);
    }
    expect(plan.steps.find(({ id }) => id === "slats")!.detail).toMatch(/in S1 and S6, one hole \d+ mm from the end/);
  });
  it("twelve slats of 65 whose outer ones lie clear of the long rails are told, with a number of slats that misses the legs", () => {
    const piece = slats(at("form.slats.count", 12), at("form.overhang.side", 0), at("form.apron.reveal", 60));
    const over = find(planOf(piece), "movement.slat-over-legs");
    expect(over.level).toBe("fix");
    for (const { patches } of over.remedies)
      expect(find(planOf(applyPatches(piece, patches)), "movement.slat-over-legs").level).toBe("holds");
  });
});

it("25: indoors nothing of this is said", () => {
  const ids = planOf(tableWith()).verdicts.map(({ id }) => id);
  for (const id of ["form.durability", "form.finish-outdoors", "form.water", "form.feet-outdoors"])
    expect(ids).not.toContain(id);
});
