import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { bulkOf, boundsOf, stood } from "../../../assembly/solid";
import type { ThroughTenon } from "../../../joinery/through-tenon";
import { applyPatches, Patch } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.plank.${path}`, value);
/** A bench 1200 by 380, 450 high and 30 thick, its ends 30 thick and 360 wide, 100 in from the top's ends. */
const BENCH: Patch[] = [
  ...[at("form.kind", "plank"), at("form.use", "bench"), at("form.height", 450), at("brief.topHeight", 450)],
  ...[at("form.top.length", 1200), at("form.top.width", 380), at("form.top.thickness", 30)],
  ...[at("form.overhang", { end: 100, side: 0 }), set("setIn", 10), set("thickness", 30), set("joint", "through")],
];
const bench = (...patches: Patch[]) => planOf(tableWith(...BENCH, ...patches));

describe("ends tenoned through the top, worked by hand", () => {
  const plan = bench(set("proud", 3));
  const joint = plan.joints.find(({ id }) => id === "top+plank-end") as ThroughTenon;
  const end = plan.assembly.parts.find(({ id }) => id === "P1")!;

  it("three tenons side by side in 360, each with its shoulders, 33 long", () => {
    expect(joint.count).toBe(6);
    expect(joint.section).toEqual({ width: 120, thickness: 30 });
    // a shoulder of 8 at both edges of each 120
    expect([joint.tenonWidth, joint.length]).toEqual([104, 33]);
    expect(end.adds.filter(({ by }) => by === "top+plank-end")).toHaveLength(3);
    // 450 − 30 between floor and top, and 33 more of blank
    expect(plan.geometry.panels!.find(({ id }) => id === "end-1")!.length).toBe(420 + 33);
  });

  it("come out of the face by 3, and the top loses as much as fills it", () => {
    const { most } = boundsOf(stood(bodyOf(end), end.place));
    expect(most[1]).toBeCloseTo(453, 6);
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const lost = bulkOf(bodyOf({ ...top, cuts: [] })).volume - bulkOf(bodyOf(top)).volume;
    expect(lost).toBeCloseTo(6 * 104 * joint.thickness * 30, 0);
  });

  it("one wedge in each presses along the top's grain: its kerf runs across", () => {
    const wedges = plan.small.filter(({ name }) => name === "Wedge");
    expect(wedges.filter(({ by }) => by === "top+plank-end")).toHaveLength(6);
    for (const { shape, place } of wedges.filter(({ by }) => by === "top+plank-end")) {
      const { least, most } = boundsOf(stood(bodyOf({ shape, adds: [], cuts: [] }), place));
      // wide across the piece, a kerf thick along it
      expect(most[2] - least[2]).toBeCloseTo(104, 6);
      expect(most[0] - least[0]).toBeCloseTo(USUAL_SHOP.kerf, 6);
    }
    expect(plan.steps.map(({ id }) => id)).toContain("trim-wedges");
    const card = plan.cards.find((each) => each.joint === "top+plank-end")!;
    expect(card.lines.map(({ what }) => what)).toContain("Wedge");
  });
});

describe("a wall between the ends", () => {
  const walled = [set("joint", "housed"), set("stretcher.kind", "none"), set("wall.kind", "housed")];
  it("is a panel of its own, let in at both ends, and keeps the ends upright", () => {
    const plan = bench(...walled, set("wall.height", 150), set("wall.depth", 240));
    // 1200 − 200 − 60 between the ends, 8 more at each
    expect(plan.geometry.panels!.find(({ kind }) => kind === "wall")).toMatchObject({ length: 956, width: 240 });
    expect(find(plan, "form.racking")).toMatchObject({
      level: "holds",
      text: "A wall let into both ends stops the racking",
    });
    expect(find(plan, "form.wall")).toMatchObject({ level: "holds", actual: 30 });
    // its screws stand in its middle: nothing stops what it does
    const held = plan.stopped.filter(({ members }) => members.some(({ name }) => name === "wall"));
    expect(held.length).toBeGreaterThan(0);
    for (const { strain, slip } of held) expect(Math.max(Math.abs(strain), Math.abs(slip))).toBeLessThan(1e-9);
    expect(plan.parts.find(({ id }) => id === "wall")!.count).toBe(1);
  });
  it.each([
    ["in the top", [set("wall.height", 200), set("wall.depth", 300)]],
    [
      "in the bottom board",
      [set("joint", "mitred"), set("floor", "mitred"), set("wall.height", 10), set("wall.depth", 200)],
    ],
  ])("%s it is told, and one press mends it", (_, patches) => {
    const piece = tableWith(...BENCH, ...walled, ...patches);
    const said = find(planOf(piece), "form.wall");
    expect(said.level).toBe("fix");
    expect(find(planOf(applyPatches(piece, said.remedies[0].patches)), "form.wall").level).toBe("holds");
  });
});

describe(`ends, tenons and walls of any choices (seed ${SEED})`, () => {
  it("share wood with nothing", () =>
    fc.assert(
      fc.property(
        fc.record({
          ends: fc.constantFrom(2, 3),
          joint: fc.constantFrom("mitred", "housed", "loose", "through"),
          thickness: fc.integer({ min: 20, max: 50 }),
          setIn: fc.integer({ min: 0, max: 40 }),
          wall: fc.record({
            kind: fc.constant("housed"),
            place: fc.constantFrom("middle", "back"),
            height: fc.integer({ min: 60, max: 150 }),
            depth: fc.integer({ min: 60, max: 250 }),
            thickness: fc.integer({ min: 10, max: 30 }),
          }),
        }),
        (given) => {
          const piece = tableWith(
            ...[...BENCH, set("stretcher.kind", "none")],
            ...Object.entries(given).map(([path, value]) => set(path, value)),
          );
          const { parts } = preview(piece.form, piece.joints, USUAL_SHOP).assembly;
          expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
        },
      ),
      { numRuns: 30, seed: SEED },
    ));
});
