import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { Patch } from "../../../piece/patch";
import { smallList } from "../../../assembly/small";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { BOUGHT_KINDS, LEGS_STAND } from "../../../piece/bought-choices";
import { preview } from "../../preview";
import type { Bought } from "./stand";

const SEED = Number(process.env.SEED ?? 20261126);
const set = (path: string, value: unknown) => at(`form.bought.${path}`, value);
/** A table 1600 by 800, 750 high and 32 thick, on two frames 650 wide with plates of 100 by 600 by 5, ten slots each. */
const TABLE: Patch[] = [
  ...[at("form.kind", "bought"), at("joints.fastening", "slotted"), at("form.overhang", { end: 150, side: 0 })],
  ...[at("form.top.length", 1600), at("form.top.width", 800), at("form.top.thickness", 32)],
];
const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));

describe("two welded frames, worked by hand", () => {
  const plan = table();
  const frame = plan.assembly.parts.find(({ id }) => id === "Y1")!;
  it("stand from the floor to their plates, 713 high under a top of 750", () => {
    const { least, most } = boundsOf(stood(bodyOf(frame), frame.place));
    // plates 150 in from the ends
    expect([least[0], most[0]]).toEqual([expect.closeTo(-650, 6), expect.closeTo(-550, 6)]);
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(718, 6)]);
    expect([least[2], most[2]]).toEqual([expect.closeTo(-325, 6), expect.closeTo(325, 6)]);
  });
  it("a closed frame is its outer box less its opening, and its plate less ten holes", () => {
    const bar = 60 * (713 * 650 - (713 - 120) * (650 - 120));
    const holes = bulkOf(bodyOf({ ...frame, cuts: [] })).volume - bulkOf(bodyOf(frame)).volume;
    expect(bulkOf(bodyOf({ ...frame, cuts: [] })).volume).toBeCloseTo(bar + 100 * 600 * 5, 0);
    // ten holes of 7 through 5: within one per cent of the circle, as chords have it
    const round = 10 * 5 * Math.PI * 3.5 ** 2;
    expect(holes).toBeLessThan(round);
    expect(holes / round).toBeGreaterThan(0.99);
  });
  it("weigh what their maker says, come from no board, and are counted among what is bought", () => {
    expect(plan.parts.map(({ id }) => id)).toEqual(["top"]);
    const bare = table(set("mass", 0.1)).weight;
    expect(plan.weight - bare).toBeCloseTo(2 * (11 - 0.1), 6);
    expect(smallList(plan.small).map(({ name, count }) => [name, count])).toEqual([
      ["Bolts M6 with their washers", 20],
      ["Threaded inserts M6", 20],
    ]);
  });
  it("hold the top where their slots are, and neither swell nor shrink", () => {
    // five in a row from 15 to 585 of 600, the middle one driven tight
    const zs = [...new Set(plan.fasteners.map(({ z }) => Math.round(z)))].sort((a, b) => a - b);
    expect(zs).toEqual([-285, -142, 143, 285]);
    expect(plan.fasteners).toHaveLength(16);
    const even = find(table(set("plate.holes", 4)), "form.bought-middle");
    expect([even.level, even.remedies[0].label]).toEqual(["tight", "Order rows of 5 holes"]);
    expect(
      plan.stopped.every(({ members }) => members.every(({ name, grain }) => name !== "frame" || grain === null)),
    ).toBe(true);
    expect(find(plan, "movement.fastening-across").level).toBe("holds");
  });
  it("slots too short for the year are told, and so is a fastening that is no plate's", () => {
    expect(find(table(at("joints.slotted.slot", 7)), "movement.fastening-across").level).toBe("fix");
    expect(find(table(at("joints.fastening", "button")), "form.bought-holes")).toMatchObject({
      level: "fix",
      remedies: [{ label: "Order plates with slots" }],
    });
  });
  it("are ordered first, waited for, measured before a hole is drilled, and bolted on last", () => {
    const steps = plan.steps;
    const order = ["order-bought", "measure-bought", "drill-top", "attach"];
    expect(order.map((id) => steps.findIndex((step) => step.id === id))).toEqual(
      order.map((id) => steps.findIndex((step) => step.id === id)).sort((a, b) => a - b),
    );
    const on = (id: string) => Date.parse(steps.find((step) => step.id === id)!.starts);
    expect((on("measure-bought") - on("order-bought")) / 864e5).toBeGreaterThanOrEqual(27);
    expect(find(plan, "form.bought-measured").level).toBe("tight");
    expect(find(table(set("measured", true)), "form.bought-measured").level).toBe("holds");
    expect(plan.cards[0].lines[0].what).toContain("measure the plate before any is drilled");
  });
});

describe("what is wrong is said", () => {
  it("rated under the top's weight, drawn outside its lift, a plate past the top, a drill that comes through", () => {
    expect(find(table(set("rating", 5)), "form.rating").text).toContain("the top alone weighs");
    const lift = table(set("kind", "lift"), set("low", 800));
    expect(find(lift, "form.lift")).toMatchObject({ level: "fix", remedies: [{ label: "Draw it at 832 mm" }] });
    expect(find(table(set("plate.width", 900)), "form.ends-fit").level).toBe("fix");
    expect(find(table(at("form.top.thickness", 20)), "joints.walls").level).not.toBe("holds");
  });
  it("slats have no panel to be bolted to: nothing is drilled in them", () => {
    const plan = table(at("form.field", "slats"));
    expect(plan.joints).toEqual([]);
    expect(plan.failures).toEqual([]);
  });
});

describe(`bought legs of any choices (seed ${SEED})`, () => {
  const choices = fc.record({
    kind: fc.constantFrom(...BOUGHT_KINDS),
    legs: fc.constantFrom(...LEGS_STAND),
    count: fc.integer({ min: 1, max: 6 }),
    bar: fc.integer({ min: 8, max: 80 }),
    spread: fc.integer({ min: 0, max: 120 }),
    width: fc.integer({ min: 200, max: 300 }),
    into: fc.constantFrom("inserts", "screws"),
  });
  it("stand on the floor and end under the top, and share wood with nothing", () =>
    fc.assert(
      fc.property(choices, ({ kind, count, ...given }) => {
        const piece = tableWith(
          ...[...TABLE, set("kind", kind), set("count", kind === "hairpins" ? Math.max(3, count) : Math.min(3, count))],
          ...[set("plate.width", 140), set("plate.length", 140), set("plate.holes", 1)],
          ...Object.entries(given).map(([path, value]) => set(path, value)),
        );
        const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
        const g = geometry as Bought;
        const bodies = bodiesOfParts(assembly.parts);
        expect(clashes(assembly.parts, bodies)).toEqual([]);
        for (const part of assembly.parts.filter((each) => each.bought)) {
          const { least, most } = boundsOf(bodies.get(part.id)!);
          expect(most[1]).toBeCloseTo(g.under, 5);
          // a leaning rod's end is square to it: half a bar below or above the floor at most
          expect(Math.abs(least[1])).toBeLessThan(given.bar);
        }
      }),
      { numRuns: 30, seed: SEED },
    ));
});
