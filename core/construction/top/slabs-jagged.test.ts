/** Slabs whose edges are broken: the line beside one passes over what is too narrow for it. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clashes } from "../../testing/clashes";
import { at, planOf, tableWith } from "../../testing/plans";
import { beside, onEdge } from "./slabs";

const SEED = Number(process.env.SEED ?? 20261127);

/** An edge broken every few mm, as a chain saw left it: 10 to 60 along, up to 40 in and out. */
const jagged = fc
  .array(fc.record({ step: fc.integer({ min: 10, max: 60 }), in: fc.integer({ min: 0, max: 40 }) }), {
    ...{ minLength: 2, maxLength: 30 },
  })
  .map((all) => {
    let x = 100;
    return all.map(({ step, in: deep }): [number, number] => [(x += step), deep]);
  });

describe("jagged edges", () => {
  it("the line beside one runs on from end to end and comes nowhere nearer than it should", () =>
    fc.assert(
      fc.property(jagged, fc.constantFrom(-25, -8, 8, 25), (steps, by) => {
        const edge: [number, number][] = [
          [0, 300],
          ...steps.map(([x, y]): [number, number] => [x, 300 + y]),
          [2000, 300],
        ];
        const off = beside(edge, by);
        expect([off[0][0], off.at(-1)![0]]).toEqual([0, 2000]);
        for (const [i, [x]] of off.slice(1).entries()) expect(x).toBeGreaterThanOrEqual(off[i][0] - 1e-6);
        for (const [x, y] of off.filter(([x]) => x > 30 && x < 1970)) {
          const near = edge.slice(1).map(([xb, yb], i) => {
            const [xa, ya] = edge[i];
            const t = Math.max(
              0,
              Math.min(1, ((x - xa) * (xb - xa) + (y - ya) * (yb - ya)) / ((xb - xa) ** 2 + (yb - ya) ** 2)),
            );
            return Math.hypot(x - xa - t * (xb - xa), y - ya - t * (yb - ya));
          });
          expect(Math.min(...near)).toBeGreaterThan(Math.abs(by) - 1e-6);
          expect(Math.sign(y - onEdge(edge, x))).toBe(Math.sign(by));
        }
      }),
      { seed: SEED, numRuns: 200 },
    ));
  it("slabs with such edges share nothing with the glass between them", () =>
    fc.assert(
      fc.property(jagged, jagged, (a, b) => {
        const front = a.filter(([x]) => x < 1750).map(([x, deep]) => ({ at: x, from: 0, to: 300 + deep }));
        const back = b.filter(([x]) => x < 1750).map(([x, deep]) => ({ at: x, from: 480 - deep, to: 820 }));
        const plan = planOf(
          tableWith(
            ...[at("form.kind", "trestle"), at("form.field", "slabs"), at("form.top.thickness", 45)],
            ...[at("form.slabs.front", front), at("form.slabs.back", back)],
          ),
        );
        expect(clashes(plan.assembly.parts.filter(({ id }) => /^(SL|GL|G)/.test(id)))).toEqual([]);
      }),
      { seed: SEED, numRuns: 10 },
    ));
});
