/** Tops of stripes: widths by their shares, woods that move unlike, gluings in sections. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { bulkOf } from "../../assembly/solid";
import { asStrips, densityIn } from "../../assembly/strips";
import { coefficientAt } from "../../movement/coefficient";
import type { Patch } from "../../piece/patch";
import { USUAL_SHOP } from "../../piece/shop";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { findSpecies } from "../../wood/species";
import { patternOf, stripesOf } from "./stripes";

const other = (n: number, species: string) =>
  at(`kinds.stripe-${n}`, { species, moisture: null, finish: null, edges: null });
/** 828 wide of ash and walnut, three to one, five times and an ash strip more: 6 × 3 + 5 parts of 36. */
const STRIPED: Patch[] = [at("form.field", "stripes"), at("form.top.width", 828), other(2, "black-walnut")];
const striped = (...patches: Patch[]) => planOf(tableWith(...STRIPED, ...patches));
const [ash, walnut] = ["european-ash", "black-walnut"].map((id) => findSpecies(id, [])!);

describe("a top of ash and walnut stripes, worked by hand", () => {
  const plan = striped();

  it("is eleven strips: six of 108 and five of 36, in front and behind the same", () => {
    const rows = plan.parts.filter(({ id }) => id.startsWith("stripe"));
    expect(rows.map(({ id, count, finished }) => [id, count, Math.round(finished.width * 1000) / 1000])).toEqual([
      ["stripe-1", 6, 108],
      ["stripe-2", 5, 36],
    ]);
    expect(rows[0].marks).toEqual(["ST1", "ST3", "ST5", "ST7", "ST9", "ST11"]);
    // 28 thick when flat, 1.5 over until then, and long by the shop's allowance: ends are cut last
    expect(rows[0].milled).toMatchObject({ length: 1800 + USUAL_SHOP.lengthAllowance, thickness: 29.5 });
  });

  it("moves by each wood's share of its width: flat-sawn, 648 of ash and 180 of walnut", () => {
    const flat = (species: typeof ash) => {
      // mean over rings from −20° to 20°, by the angle's own integral
      const c = Math.tan((20 * Math.PI) / 180);
      return species.radial + (species.tangential - species.radial) * ((20 * Math.PI) / 180 / c);
    };
    expect(plan.top.coefficient).toBeCloseTo((648 * flat(ash) + 180 * flat(walnut)) / 828, 6);
    expect(plan.top.strips.reduce((sum, { dry }) => sum + dry, 0)).toBeCloseTo(plan.top.dry.change, 9);
  });

  it("weighs by each wood's share", () => {
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const density = densityIn(top, (kind) => (kind === "stripe-2" ? walnut : ash).density);
    expect(density).toBeCloseTo((648 * ash.density + 180 * walnut.density) / 828, 6);
  });

  it("its strips are looked for on the rack in their own woods, and the top asks for no boards of its own", () => {
    const pieces = plan.cutting.pieces.filter(({ part }) => part.startsWith("stripe"));
    expect(pieces.map(({ species }) => species).filter((each) => each === "black-walnut")).toHaveLength(5);
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("boards.chosen");
    expect(plan.cutting.shopping.map(({ species, pieces: count }) => [species, count])).toEqual([["black-walnut", 5]]);
  });

  it("is ripped, planed in bundles and rested before it is glued, in sections that pass the planer, then in one", () => {
    const ids = plan.steps.map(({ id }) => id);
    const order = ["mill", "stripes", "glue-section-1", "plane-section-1", "glue-last", "flatten"];
    expect(order.map((id) => ids.indexOf(id))).toEqual([...order.map((id) => ids.indexOf(id))].sort((a, b) => a - b));
    expect(ids).toEqual(expect.arrayContaining(order));
    for (const { id, width } of plan.glueUp)
      if (id !== "last") expect(width).toBeLessThanOrEqual(USUAL_SHOP.planerWidth);
    expect(plan.glueUp.at(-1)!.width).toBeCloseTo(828, 9);
  });

  it("a ridge between two woods is half of what their thickness differs by", () => {
    const thick = striped(at("form.top.thickness", 60), at("moisture.value", 14));
    const found = find(thick, "movement.stripes-ridge");
    const far = Math.max(
      ...[thick.top.dry.moisture, thick.top.wet.moisture].map((each) => Math.abs(each - thick.top.start.value)),
    );
    const ridge = (Math.abs(coefficientAt(ash, 90) - coefficientAt(walnut, 90)) * 60 * far) / 2;
    expect(found.actual).toBe(Math.round(ridge * 100) / 100);
  });
});

describe("its choices", () => {
  it("a section typed is a section glued, and one is the whole panel", () => {
    const sections = (n: number | null) =>
      striped(at("form.stripes.sections", n)).glueUp.map(({ id, strips }) => [id, strips.length]);
    expect(sections(1)).toEqual([["panel", 11]]);
    expect(sections(2)).toEqual([
      ["section-1", 6],
      ["section-2", 5],
      ["last", 11],
    ]);
  });

  it("strips too narrow to rip are told, with how often the pattern fits", () => {
    const narrow = striped(at("form.stripes.repeats", 20), at("form.top.width", 500));
    const told = find(narrow, "movement.stripes-wide");
    expect(told.level).toBe("fix");
    expect(
      find(planOf(tableWith(...STRIPED, at("form.top.width", 500), ...told.remedies[0].patches)), told.id).level,
    ).toBe("holds");
  });

  it("between breadboards the strips run out into their tongues", () => {
    const plan = striped(at("form.ends", "breadboards"));
    const core = plan.geometry.core;
    expect(core.length).toBeGreaterThan(core.shoulder);
    expect(plan.parts.find(({ id }) => id === "stripe-1")!.finished.length).toBeCloseTo(core.length, 6);
    expect(plan.failures).toEqual([]);
  });

  it("cut round, as any top", () => {
    const plan = striped(at("form.top.outline", "ellipse"), at("form.top.length", 828));
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    expect(bulkOf(bodyOf(top)).volume / ((Math.PI / 4) * 828 * 828 * 28)).toBeGreaterThan(0.97);
  });

  it("four alike: strips of all copies, numbered by theirs", () => {
    const plan = planOf({ ...tableWith(...STRIPED), times: 2 });
    expect(plan.parts.find(({ id }) => id === "stripe-2")!.marks).toEqual([
      ...["ST2", "ST4", "ST6", "ST8", "ST10"],
      ...["2ST2", "2ST4", "2ST6", "2ST8", "2ST10"],
    ]);
    expect(plan.panels).toEqual([]);
  });
});

describe("whatever the pattern", () => {
  const patterns = fc.record({
    shares: fc.array(fc.double({ min: 0.2, max: 20, noNaN: true }), { minLength: 1, maxLength: 4 }),
    repeats: fc.integer({ min: 1, max: 8 }),
    ends: fc.constantFrom("alike" as const, "as-they-come" as const),
    sections: fc.option(fc.integer({ min: 1, max: 12 })),
  });

  it("strips lie side by side and fill the width; those of a kind are equally wide, in their shares", () =>
    fc.assert(
      fc.property(patterns, fc.double({ min: 100, max: 2000, noNaN: true }), (stripes, width) => {
        const all = stripesOf({ stripes }, width);
        expect(all.reduce((sum, each) => sum + each.width, 0)).toBeCloseTo(width, 6);
        all.slice(1).forEach((each, i) => expect(each.from).toBeCloseTo(all[i].from + all[i].width, 6));
        const pattern = patternOf(stripes);
        expect(all).toHaveLength(pattern.length);
        for (const [i, { width: wide }] of all.entries())
          expect(wide / all[0].width).toBeCloseTo(stripes.shares[pattern[i]] / stripes.shares[pattern[0]], 6);
      }),
    ));

  it("its bodies are the top's, no more and no less, and every strip is glued once", () =>
    fc.assert(
      fc.property(patterns, (stripes) => {
        const plan = planOf(tableWith(at("form.field", "stripes"), at("form.stripes", stripes)));
        const top = plan.assembly.parts.find(({ id }) => id === "T")!;
        const volume = asStrips({ ...top, cuts: [] }).reduce((sum, strip) => sum + bulkOf(bodyOf(strip)).volume, 0);
        expect(volume / bulkOf(bodyOf({ ...top, cuts: [] })).volume).toBeCloseTo(1, 9);
        if (top.strips!.length < 2) return;
        expect(plan.glueUp.at(-1)!.strips).toEqual(top.strips!.map(({ mark }) => mark));
        const sections = plan.glueUp.filter(({ id }) => id.startsWith("section"));
        const once = sections.flatMap((each) => each.strips);
        expect(new Set(once).size).toBe(once.length);
      }),
      { numRuns: 30 },
    ));
});
