import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { less, shared } from "./carve";
import { HOME } from "./place";
import { loopsIn } from "./section";
import { solidOf } from "./shape";
import { stood } from "./solid";
import { cross, dot, minus, type Vec } from "./vector";

/** Area inside loops as the plane has it, mm²: what is missing counts against it. */
const areaOf = (loops: readonly Vec[][], n: Vec) =>
  loops.reduce(
    (sum, loop) =>
      sum +
      loop.reduce((part, p, i) => {
        const [a, b] = [minus(p, loop[0]), minus(loop[(i + 1) % loop.length], loop[0])];
        return part + dot(cross(a, b), n) / 2;
      }, 0),
    0,
  );

describe("a section through a body", () => {
  const rail = solidOf({ length: 400, width: 90, thickness: 25 });
  const mortise = stood(solidOf({ length: 50, width: 30, thickness: 9 }), { ...HOME, at: [100, 20, 8] });
  const half = { ...HOME, at: [-10, -10, -10] as Vec };
  const lower = stood(solidOf({ length: 500, width: 200, thickness: 22.5 }), half);

  it("is the whole face where nothing is missing", () => {
    const loops = loopsIn(shared(rail, lower), [0, 0, 1], 12.5);
    expect(loops).toHaveLength(1);
    expect(loops[0]).toHaveLength(4);
    expect(areaOf(loops, [0, 0, 1])).toBeCloseTo(400 * 90, 6);
  });

  it("goes round a mortise it runs through, however the facets are split", () => {
    const loops = loopsIn(shared(less(rail, mortise), lower), [0, 0, 1], 12.5);
    expect(loops.map((loop) => loop.length)).toEqual([4, 4]);
    expect(areaOf(loops, [0, 0, 1])).toBeCloseTo(400 * 90 - 50 * 30, 6);
  });

  it("has one outline a piece where a part is cut in two", () => {
    const slot = stood(solidOf({ length: 50, width: 200, thickness: 40 }), { ...HOME, at: [100, -20, -5] });
    const loops = loopsIn(shared(less(rail, slot), lower), [0, 0, 1], 12.5);
    expect(loops).toHaveLength(2);
    expect(areaOf(loops, [0, 0, 1])).toBeCloseTo(350 * 90, 6);
  });

  it("closes whatever its corners measure: two that differ by a hair are one, wherever a rounding would part them", () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.double({ min: -3e-5, max: 3e-5, noNaN: true }), (n, hair) => {
        const at = n / 40;
        const facet = (from: number, to: number) => ({
          ...{ n: [0, 0, 1] as Vec, w: 5 },
          corners: [
            [0, from, 5],
            [10, from, 5],
            [10, to, 5],
            [0, to, 5],
          ] as Vec[],
        });
        const loops = loopsIn([facet(0, at + hair), facet(at, 200)], [0, 0, 1], 5);
        expect(loops).toHaveLength(1);
        expect(areaOf(loops, [0, 0, 1])).toBeCloseTo(2000, 3);
      }),
      { seed: 20261127, numRuns: 300 },
    ));

  it("finds nothing where no face lies", () => expect(loopsIn(rail, [0, 0, 1], 12.5)).toEqual([]));
});
