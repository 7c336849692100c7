import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { less } from "../assembly/carve";
import { solidOf } from "../assembly/shape";
import { stood } from "../assembly/solid";
import { long, minus } from "../assembly/vector";
import { round } from "../joinery/joint";
import { creasesOf, linesOf } from "./edges";

const SEED = Number(process.env.SEED ?? 20261127);
const drawn = (solid: Parameters<typeof linesOf>[0]) =>
  creasesOf(linesOf(solid)).reduce((sum, { from, to }) => sum + long(minus(to, from)), 0);

describe(`the edges of a body (seed ${SEED})`, () => {
  it("are the twelve of a box", () =>
    expect(drawn(solidOf({ length: 200, width: 80, thickness: 20 }))).toBeCloseTo(1200, 6));
  it("and the rims of its holes, however the carving has split its faces: no line runs across one", () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 0, max: 9 }), d: fc.integer({ min: 3, max: 12 }) }), {
          minLength: 1,
          maxLength: 5,
        }),
        fc.integer({ min: 1, max: 400 }),
        (holes, shift) => {
          const board = solidOf({ length: 400, width: 80, thickness: 20 });
          const at = [...new Map(holes.map((hole) => [hole.x, hole])).values()];
          const bored = at.map(({ x, d }) => {
            const { shape, place } = round("z", d, [20 + 36 * x + shift / 64, 15 + shift / 16, -5], 30);
            return { d, solid: stood(solidOf(shape, 0.02), place) };
          });
          const rims = bored.reduce((sum, { d }) => sum + 2 * Math.PI * d, 0);
          const all = drawn(bored.reduce((left, { solid }) => less(left, solid), board));
          // chords are a little shorter than their arcs
          expect(all - 2000).toBeGreaterThan(rims * 0.97);
          expect(all - 2000).toBeLessThan(rims + 1e-6);
        },
      ),
      { numRuns: 60, seed: SEED },
    ));
});
