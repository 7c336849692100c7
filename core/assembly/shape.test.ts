import { expect, it } from "vitest";
import { circle } from "./outline";
import { isInside, Plane, solidOf } from "./shape";
import { bulkOf } from "./solid";
import type { Vec } from "./vector";

it("a point is inside or not, as the solid says", () => {
  const ring = solidOf({
    length: 100,
    width: 100,
    thickness: 20,
    face: { outer: circle([50, 50], 50), holes: [circle([50, 50], 30)] },
  });
  for (const [point, inside] of [
    [[10, 50, 10], true],
    [[50, 50, 10], false],
    [[90, 50, 10], true],
    [[2, 2, 10], false],
    [[10, 50, 21], false],
  ] as [Vec, boolean][])
    expect(isInside(ring, point)).toBe(inside);
});

it("planes cut a mitre and a compound angle: half of a cube, and a corner's sixth", () => {
  const cut = (planes: Plane[]) => bulkOf(solidOf({ length: 60, width: 60, thickness: 60, planes })).volume;
  expect(cut([{ through: [0, 0, 0], waste: [1, -1, 0] }])).toBeCloseTo(60 ** 3 / 2, 6);
  expect(cut([{ through: [60, 0, 0], waste: [1, 1, 1] }])).toBeCloseTo(60 ** 3 / 6, 6);
});
