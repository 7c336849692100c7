import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { smallList } from "../../../assembly/small";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { applyPatches, Patch } from "../../../piece/patch";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import type { Bought } from "./stand";
import { tubesOf } from "./welded";

const set = (path: string, value: unknown) => at(`form.bought.${path}`, value);
const TABLE: Patch[] = [
  ...[at("form.kind", "bought"), at("joints.fastening", "slotted"), at("form.overhang", { end: 150, side: 0 })],
  ...[at("form.top.length", 1600), at("form.top.width", 800), at("form.top.thickness", 32)],
];
const PINS: Patch[] = [
  ...[set("kind", "hairpins"), set("count", 4), set("setIn", 60), set("spread", 60), set("bar", 12), set("mass", 1.5)],
  set("plate", { length: 120, width: 120, thickness: 5, rows: 2, holes: 2 }),
];
const table = (...patches: Patch[]) => tableWith(...TABLE, ...patches);
const standing = (...patches: Patch[]) => planOf(table(...patches)).geometry as Bought;
/** The first remedy of a verdict, pressed. */
const pressed = (piece: ReturnType<typeof table>, id: string) =>
  find(planOf(applyPatches(piece, find(planOf(piece), id).remedies[0].patches)), id);

describe("three legs in a circle under a round top of 900", () => {
  const round = [at("form.top.length", 900), at("form.top.width", 900), at("form.top.outline", "ellipse")];
  const three = [...PINS, ...round, set("count", 3), set("legs", "circle")];
  it("one stands on the grain's line, the others 120° from it, all as far out", () => {
    const { stands } = standing(...three);
    // 450 − 60 − half a plate
    expect(stands.map(({ x, z }) => Math.hypot(x, z))).toEqual([330, 330, 330].map((r) => expect.closeTo(r, 9)));
    const angles = stands.map(({ x, z }) => Math.round((Math.atan2(z, x) * 180) / Math.PI));
    expect(angles).toEqual([0, 120, -120]);
  });
  it("it tips between two of them, by moments about the line of their feet", () => {
    const plan = planOf(table(...three));
    // feet reach 330 + 60 + 6 = 396 out, the line between two half of that; the rim is 450
    const newtons = (plan.weight * 9.81 * 198) / (450 - 198);
    expect(find(plan, "form.tips").actual).toBe(Math.round(newtons));
    // more legs do, and with heavier ones farther in, so does setting them out
    expect(pressed(table(...three), "form.tips").level).toBe("holds");
    const heavier = table(...three, set("mass", 15), set("setIn", 120));
    expect(find(planOf(heavier), "form.tips").remedies[0].label).toMatch(/^Set them in by/);
    expect(pressed(heavier, "form.tips").level).toBe("holds");
  });
  it("their plates are turned with them: every bolt goes through its plate into the top", () => {
    const plan = planOf(table(...three));
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const holes = bulkOf(bodyOf({ ...top, cuts: [] })).volume - bulkOf(bodyOf(top)).volume;
    // twelve inserts of 9 by 17 deep
    const round = 12 * Math.PI * 4.5 ** 2 * 17;
    expect(holes / round).toBeGreaterThan(0.99);
    expect(holes).toBeLessThan(round);
    const second = plan.assembly.parts.find(({ id }) => id === "Y2")!;
    const plate = second.adds.find(({ shape }) => shape.thickness === 5)!;
    const own = bulkOf(bodyOf({ ...second, cuts: [] })).volume - bulkOf(bodyOf(second)).volume;
    expect(plate.shape.length).toBe(120);
    // four bolt holes of 7 through 5, of which rods below the plate lose a little too
    expect(own).toBeGreaterThan(4 * Math.PI * 3.5 ** 2 * 5 * 0.98);
  });
});

describe("a shelf between bought legs", () => {
  it("is as long as hairpins leave it at its height, and wide as they spread there", () => {
    const [seat] = standing(...PINS, at("form.shelf.kind", "solid")).seats;
    // a plate's middle 590 out, its foot 650; a rod's head 48 nearer; 713 high, seen at the shelf's upper face, 200 up
    const rod = -650 + (48 + 60) * (200 / 713);
    const lean = Math.hypot(120, 713) / 713;
    expect(seat.from).toBeCloseTo(rod + 6 * lean + 2, 9);
    expect(seat.to).toBeCloseTo(-seat.from, 9);
    // at its underside legs spread wider: what both heights leave is taken
    const across = 400 - 60 - 60 + 60 * (1 - 180 / 713) + 6 * lean;
    expect(seat.front).toBeLessThanOrEqual(across + 1e-9);
    expect(seat.front).toBeGreaterThan(across - 6);
  });
  it("between frames it reaches from tube to tube, on four brackets", () => {
    const plan = planOf(table(at("form.shelf.kind", "solid")));
    const shelf = plan.assembly.parts.find(({ id }) => id === "B")!;
    // 1600 − 300 − 100 of plate, less a tube of 60 and a gap of 2 at each end
    expect(shelf.shape.length).toBeCloseTo(1200 - 60 - 4, 9);
    expect(smallList(plan.small).find(({ name }) => name === "Shelf brackets")?.count).toBe(4);
    expect(find(plan, "form.shelf").text).toContain("180 mm above the floor");
    expect(plan.steps.find(({ id }) => id === "shelf-lay")!.title).toBe("Screw the shelf to its brackets");
    expect(find(plan, "form.fit").level).toBe("holds");
  });
  it("brackets with round holes hold it: longer slots are offered and do", () => {
    const held = table(at("form.shelf.kind", "solid"), set("bracket.slot", 5));
    expect(find(planOf(held), "form.shelf-brackets").level).toBe("fix");
    expect(pressed(held, "form.shelf-brackets").level).toBe("holds");
  });
});

describe("a frame welded to order, worked by hand", () => {
  const WELDED = [set("kind", "welded"), set("count", 3), set("bar", 40)];
  it("its tubes: a mitred ring, one across, four legs", () => {
    // 1600 − 300 long; legs 750 − 32 − 40
    expect(tubesOf(standing(...WELDED).welded!).map(({ count, length, mitred }) => [count, length, mitred])).toEqual([
      [2, 1300, true],
      [2, 650, true],
      [1, 570, false],
      [4, 678, false],
    ]);
  });
  it("weighs what its tube does", () => {
    const run = 2 * 1260 + 2 * 610 + 570 + 4 * 678;
    // a square of 40 less a square of 34, in steel
    const mass = run * (40 ** 2 - 34 ** 2) * 7.85e-6;
    expect(standing(...WELDED).choices.mass).toBeCloseTo(mass, 9);
    const part = planOf(table(...WELDED)).assembly.parts.find(({ id }) => id === "Y1")!;
    expect(part.bought!.mass).toBeCloseTo(mass, 9);
    // four weeks of welding and one of coating
    expect(part.bought!.weeks).toBe(5);
  });
  it("drawn solid its body is its tubes, none counted twice, and it reaches from the floor to the top", () => {
    const part = planOf(table(...WELDED, set("welded.sled", true))).assembly.parts.find(({ id }) => id === "Y1")!;
    const run = 2 * 1260 + 2 * 610 + 570 + 4 * 678 + 2 * 570;
    const bare = { ...part, cuts: [] };
    expect(bulkOf(bodyOf(bare)).volume).toBeCloseTo(run * 1600, 0);
    const { least, most } = boundsOf(stood(bodyOf(bare), part.place));
    expect(least.map((each) => Math.round(each * 1e6) / 1e6)).toEqual([-650, 0, -325]);
    expect(most.map((each) => Math.round(each * 1e6) / 1e6)).toEqual([650, 718, 325]);
  });
  it("is welded from a step that says every length, and its order is drawn", () => {
    const plan = planOf(table(...WELDED));
    const step = plan.steps.find(({ id }) => id === "order-bought")!;
    expect(step.detail).toContain("ring, along 2 of 1300 mm, mitred");
    expect(step.detail).toContain("legs 4 of 678 mm");
    expect(plan.failures).toEqual([]);
    expect(plan.fasteners).toHaveLength(12);
  });
  it("wider than its top, it is told, and one press mends it", () => {
    const wide = table(...WELDED, set("width", 900));
    expect(find(planOf(wide), "form.ends-fit").level).toBe("fix");
    expect(pressed(wide, "form.ends-fit").level).toBe("holds");
    const light = table(...WELDED, set("rating", 10));
    expect(pressed(light, "form.rating").level).toBe("holds");
  });
});
