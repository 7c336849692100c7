import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, stood } from "../../../assembly/solid";
import type { ExistingPlace } from "../../../piece/existing-choices";
import type { Patch } from "../../../piece/patch";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, strips, tableWith } from "../../../testing/plans";
import { openings } from "./place";

const SEED = Number(process.env.SEED ?? 20261126);
const there = (over: Partial<ExistingPlace>): ExistingPlace => ({
  ...{ name: "Rail", x: 0, z: 0, length: 40, width: 600, depth: 40, low: 0, of: "wood", ...over },
});
const places = (...all: Partial<ExistingPlace>[]) => at("form.existing.places", all.map(there));
/** A worktop 2400 by 640 and 40 thick at 900: a cabinet's two rails left and right, a batten along the wall behind. */
const WORKTOP: Patch[] = [
  ...[at("form.kind", "existing"), at("joints.fastening", "slotted"), at("form.use", "standing")],
  ...[at("form.top.length", 2400), at("form.top.width", 640), at("form.top.thickness", 40), at("form.height", 900)],
  places(
    { name: "Left cabinet", x: -900, length: 60, width: 560 },
    { name: "Right cabinet", x: 900, length: 60, width: 560, low: 3 },
    { name: "Wall batten", x: 0, z: -290, length: 1700, width: 45 },
  ),
];
const top = (...patches: Patch[]) => planOf(tableWith(...WORKTOP, ...patches));

describe("a worktop on two cabinets and a batten, worked by hand", () => {
  const plan = top();
  it("is all there is to make: nothing below it is sawn or weighed", () => {
    expect(plan.parts.map(({ id }) => id)).toEqual(["top"]);
    const wood = (2.4 * 0.64 * 0.04 * plan.species.density) / plan.weight;
    expect(wood).toBeCloseTo(1, 1);
  });
  it("each place stands below the top where it was measured, the low one lower", () => {
    const of = (id: string) => {
      const part = plan.assembly.parts.find((each) => each.id === id)!;
      return boundsOf(stood(bodyOf({ ...part, cuts: [] }), part.place));
    };
    expect(of("E1")).toMatchObject({ least: [-930, 820, -280], most: [-870, 860, 280] });
    expect(of("E2").most[1]).toBeCloseTo(857, 9);
    expect(of("E3")).toMatchObject({ least: [-850, 820, -312.5], most: [850, 860, -267.5] });
  });
  it("packing of 3 goes on the low cabinet before the top is laid", () => {
    expect(find(plan, "form.there-level")).toMatchObject({ level: "tight", actual: 3 });
    const ids = plan.steps.map(({ id }) => id);
    expect(plan.steps.find(({ id }) => id === "pack-there")!.detail).toContain("Right cabinet: 3 mm");
    expect(ids.indexOf("measure-there")).toBeLessThan(ids.indexOf("pack-there"));
    expect(ids.indexOf("pack-there")).toBeLessThan(ids.indexOf("attach"));
  });
  it("the batten leaves 20 open beside each cabinet, and 270 stand free at each end", () => {
    const { open } = plan.geometry as unknown as { open: { from: number; to: number; end: boolean }[] };
    expect(open.map(({ from, to, end }) => [Math.round(to - from), end])).toEqual([
      [270, true],
      [20, false],
      [20, false],
      [270, true],
    ]);
    expect(find(plan, "form.there-end")).toMatchObject({ level: "holds", actual: 270, limit: 560 });
    expect(find(plan, "form.span").level).toBe("holds");
  });
  it("goes through its years on the slots, as on any rail across its grain", () => {
    expect(plan.fasteners.filter(({ bearer }) => bearer === "E1").length).toBeGreaterThan(1);
    expect(find(plan, "movement.fastening-across").level).toBe("holds");
    expect(find(top(at("joints.slotted.slot", 6)), "movement.fastening-across").level).toBe("fix");
  });
});

describe("what is wrong is said", () => {
  it.each([
    ["two in one place", places({ x: -100, length: 300 }, { x: 100, length: 300 }), "form.ends-fit", /fill one place/],
    ["beside the top", places({ x: -900 }, { x: 1300 }), "form.ends-fit", /stands 120 mm past the top/],
    ["a span too long", places({ x: -1190 }, { x: 1190 }), "form.span", /spans 2340 mm/],
    ["an end too free", places({ x: -1150 }, { x: -200 }), "form.there-end", /stands 1380 mm free/],
    ["steel and buttons", at("joints.fastening", "button"), "form.there-holds", null],
    ["masonry and screws", places({ x: -500, of: "masonry" }, { x: 500 }), "form.there-holds", /is masonry/],
    ["never measured", at("form.existing.measured", false), "form.there-measured", /Not measured yet/],
  ])("%s", (_, patch, id, text) => {
    const verdict = find(top(patch), id);
    if (text === null) return expect(verdict.level).toBe("holds");
    expect(verdict.level).not.toBe("holds");
    expect(verdict.text).toMatch(text);
  });
  it("a remedy makes it hold", () => {
    const bad = tableWith(...WORKTOP, places({ x: -500, of: "masonry" }, { x: 500 }));
    const { remedies } = find(planOf(bad), "form.there-holds");
    expect(remedies[0].label).toBe("Lay the top on loose");
    expect(
      find(top(places({ x: -500, of: "masonry" }, { x: 500 }), ...(remedies[0].patches as Patch[])), "form.there-holds")
        .level,
    ).toBe("holds");
  });
  it("a top that lies loose tips by its own weight; one that is screwed down is not judged by it", () => {
    const narrow = places({ x: -800, width: 200 }, { x: 800, width: 200 });
    expect(find(top(narrow, at("joints.fastening", "loose")), "form.tips").level).not.toBe("holds");
    expect(top(narrow).verdicts.some(({ id }) => id === "form.tips")).toBe(false);
  });
});

describe(`places of any size (seed ${SEED})`, () => {
  const one = fc.record({
    x: fc.integer({ min: -1100, max: 1100 }),
    z: fc.integer({ min: -250, max: 250 }),
    length: fc.integer({ min: 20, max: 900 }),
    width: fc.integer({ min: 20, max: 300 }),
    low: fc.integer({ min: 0, max: 20 }),
    of: fc.constantFrom("wood", "steel", "masonry"),
  });
  it("what is borne and what is open are the whole length", () =>
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 6 }), (all) => {
        const open = openings(all, 2400);
        // counted in half millimetres, each in the open or over something
        const borne = (x: number) => all.some((each) => Math.abs(x - each.x) < each.length / 2);
        for (let x = -1199.75; x < 1200; x += 3.5)
          expect(open.some(({ from, to }) => from < x && x < to)).toBe(!borne(x));
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("plan without an error, and share no wood with the top", () =>
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 4 }), (all) => {
        const plan = top(places(...(all as Partial<ExistingPlace>[])));
        expect(plan.failures).toEqual([]);
        const withTop = plan.assembly.parts.filter(({ id }) => id === "T");
        for (const part of plan.assembly.parts.filter(({ kind }) => kind === "existing"))
          expect(clashes([...withTop, part], bodiesOfParts([...withTop, part]))).toEqual([]);
      }),
      { numRuns: 14, seed: SEED },
    ));
  it("boards are composed for it like for any top", () =>
    expect(top(at("panels.top.strips", strips("B1", "B2", "B3"))).panel.laid).toHaveLength(3));
});
