/** A ring under a round top: its boards by the identities of polygons, its mitres closed, the top free to move over it. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { toPiece } from "../../assembly/place";
import { solidOf } from "../../assembly/shape";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { applyPatches, Patch } from "../../piece/patch";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { templatesOf } from "../../templates/templates";
import { ringOf, ringScrews } from "./ring";

const SEED = Number(process.env.SEED ?? 20261126);
const ring = (field: string, value: unknown) => at(`form.ring.${field}`, value);
/** A round of 1100 on one pedestal, a ring of eight, 50 wide and 38 in from the edge. */
const ROUND: Patch[] = [
  ...[at("form.kind", "bought"), at("form.bought.kind", "pedestal"), at("form.bought.count", 1)],
  ...[at("joints.fastening", "slotted"), at("form.top.outline", "ellipse"), at("form.stiffener", "ring")],
  ...[at("form.top.length", 1100), at("form.top.width", 1100)],
];
const round = (...patches: Patch[]) => planOf(tableWith(...ROUND, ...patches));

describe("a ring of eight, worked by hand", () => {
  const plan = round();
  const segments = plan.assembly.parts.filter(({ letter }) => letter === "RG");

  it("comes from boards 85.2 wide and 424.2 from long point to long point", () => {
    // R 512, inside 462 at the mitres: 512 − 462 cos 22.5°, and 2 × 512 tan 22.5°
    expect(segments).toHaveLength(8);
    for (const { shape } of segments) {
      expect(shape.width).toBeCloseTo(512 - 462 * Math.cos(Math.PI / 8), 9);
      expect(shape.length).toBeCloseTo(2 * 512 * Math.tan(Math.PI / 8), 9);
    }
    const rows = plan.parts.filter(({ id }) => id.startsWith("ring"));
    expect(rows.map(({ id, count }) => [id, count])).toEqual([
      ["ring-end", 2],
      ["ring-segment", 6],
    ]);
    expect(plan.steps.find(({ id }) => id === "ring-mitres")!.detail).toContain("22.5°");
  });

  it("is closed and round: as large as its circle less its eight-sided inside, every arc on that circle", () => {
    const area = segments.reduce((sum, { shape }) => sum + bulkOf(solidOf(shape, 0.01)).volume / shape.thickness, 0);
    // inside, corners at 462 from the middle: 8/2 × 462² sin 45°
    expect(area / (Math.PI * 512 ** 2 - 4 * 462 ** 2 * Math.sin(Math.PI / 4))).toBeCloseTo(1, 3);
    for (const { shape, place } of segments) {
      const corners = shape.face!.outer.map(({ at: [x, y] }) => toPiece(place, [x, y, 0]));
      const far = corners.map(([x, , z]) => Math.hypot(x, z)).sort((a, b) => a - b);
      expect(far.map((each) => Math.round(each * 1e6) / 1e6)).toEqual([462, 462, 512, 512]);
      const { least, most } = boundsOf(stood(solidOf(shape, 0.1), place));
      expect([least[1], most[1]]).toEqual([
        expect.closeTo(plan.geometry.under - 25, 6),
        expect.closeTo(plan.geometry.under, 6),
      ]);
    }
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.touching");
  });

  it("keeps every screw and tenon inside the line it is sawn to", () => {
    for (const { cuts, place } of segments)
      for (const cut of cuts) {
        for (const { corners } of stood(bodyOf({ shape: cut.shape, adds: [], cuts: [] }), cut.place))
          for (const corner of corners) {
            const [x, , z] = toPiece(place, corner);
            expect(Math.hypot(x, z)).toBeLessThan(512 - 5);
          }
      }
  });

  it("holds the top on its fixed line only: two tight screws, twelve in slots as long as it moves", () => {
    const screws = ringScrews(ringOf(tableWith(...ROUND).form, plan.geometry)!);
    expect(screws.filter(({ tight }) => tight).map(({ x, z }) => [Math.round(x), Math.round(z) + 0])).toEqual([
      [487, 0],
      [-487, 0],
    ]);
    expect(screws).toHaveLength(14);
    // two to each of the six others: a quarter of their 45° to each side
    const card = plan.cards.find(({ joint }) => joint === "top+ring-segment")!;
    expect(card.lines.find(({ what }) => what === "Where")!.setting).toContain("11.3° to each side of its middle");
    expect(card.lines.map(({ what }) => what)).toContain(
      "Slot through the part, across the top’s grain, however its segment lies",
    );
    const strain = Math.max(Math.abs(plan.top.wet.change), Math.abs(plan.top.dry.change)) / 1100;
    const far = Math.max(...screws.map(({ z }) => Math.abs(z)));
    expect(find(plan, "movement.ring")).toMatchObject({
      level: "holds",
      actual: 4.5,
      limit: Math.round((far * strain + 0.5) * 10) / 10,
    });
    const held = plan.stopped.filter(({ members }) => members.some(({ id }) => id.startsWith("RG")));
    expect(Math.max(0, ...held.map(({ load }) => load))).toBe(0);
  });

  it("its templates are one for both kinds of segment, in half", () => {
    const all = templatesOf(plan.assembly.parts).filter(({ kind }) => kind.startsWith("ring"));
    expect(all.map(({ kind, half }) => [kind, half])).toEqual([
      ["ring-end", true],
      ["ring-segment", true],
    ]);
  });
});

describe("what a ring lacks is told, with a way out", () => {
  const cases: [string, string, Patch[]][] = [
    ["form.ring", "a top that is not round", [at("form.top.width", 900)]],
    ["form.ring", "wider than its radius", [ring("width", 200), ring("setIn", 300)]],
    ["form.ring-width", "narrower than its screws", [ring("width", 18)]],
    ["movement.ring", "short slots", [ring("slot", 6)]],
  ];
  it.each(cases)("%s: %s", (id, _, patches) => {
    const piece = tableWith(...ROUND, ...patches);
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    const after = planOf(applyPatches(piece, verdict.remedies[0].patches));
    expect(after.verdicts.find((each) => each.id === id)?.level ?? "holds").toBe("holds");
  });
});

describe("any ring", () => {
  it("is closed: its inside a polygon of as many sides, its boards as wide as the identity says", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("6", "8", "10", "12", "16"),
        fc.integer({ min: 700, max: 1600 }),
        fc.integer({ min: 30, max: 90 }),
        fc.integer({ min: 0, max: 100 }),
        (segments, across, width, setIn) => {
          const plan = round(
            at("form.bought.plate.width", 250),
            at("form.top.length", across),
            at("form.top.width", across),
            ring("segments", segments),
            ring("width", width),
            ring("setIn", setIn),
          );
          const n = Number(segments);
          const [outer, inner] = [across / 2 - setIn, across / 2 - setIn - width];
          const all = plan.assembly.parts.filter(({ letter }) => letter === "RG");
          expect(all).toHaveLength(n);
          const area = all.reduce((sum, { shape }) => sum + bulkOf(solidOf(shape, 0.01)).volume / shape.thickness, 0);
          const whole = Math.PI * outer ** 2 - (n / 2) * inner ** 2 * Math.sin((2 * Math.PI) / n);
          expect(area / whole).toBeCloseTo(1, 3);
          expect(plan.failures).toEqual([]);
          expect(find(plan, "form.fit").level).toBe("holds");
        },
      ),
      { seed: SEED, numRuns: 15 },
    );
  });
});
