import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Place, placeOf, toPart, toPiece, turned, within } from "./place";
import { cross, long, unit, Vec } from "./vector";

const number = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const direction = fc
  .tuple(number(-1, 1), number(-1, 1), number(-1, 1))
  .filter((each) => long(each) > 0.2)
  .map(unit);
const place: fc.Arbitrary<Place> = fc
  .tuple(fc.tuple(number(-50, 50), number(-50, 50), number(-50, 50)), direction, direction)
  .filter(([, a, b]) => long(cross(a, b)) > 0.2)
  .map(([at, a, b]) => placeOf(at as Vec, a, b));

describe("places", () => {
  it("go there and back, keep lengths, and stand within one another", () => {
    fc.assert(
      fc.property(place, place, fc.tuple(number(-99, 99), number(-99, 99), number(-99, 99)), (outer, inner, point) => {
        const there = toPiece(outer, point as Vec);
        toPart(outer, there).forEach((each, i) => expect(each).toBeCloseTo(point[i], 9));
        expect(long(turned(outer, point as Vec))).toBeCloseTo(long(point as Vec), 9);
        const twice = toPiece(outer, toPiece(inner, point as Vec));
        toPiece(within(outer, inner), point as Vec).forEach((each, i) => expect(each).toBeCloseTo(twice[i], 6));
      }),
      { numRuns: 100, seed: 20261125 },
    );
    expect(() => placeOf([0, 0, 0], [1, 0, 0], [2, 0, 0])).toThrow(/can't point the same way/);
  });
});
