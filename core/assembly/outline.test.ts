import { describe, expect, it } from "vitest";
import { areaOf, circle, Loop, Outline, polygonOf, straight } from "./outline";
import { rod } from "./shape";
import { bulkOf } from "./solid";

describe("arcs by closed form", () => {
  it("a circle, a ring, and an arched rail", () => {
    const disc: Outline = { outer: circle([30, 40], 25), holes: [] };
    expect(areaOf(disc).area).toBeCloseTo(Math.PI * 625, 9);
    expect(areaOf(disc).moments.map((each) => each / (Math.PI * 625))).toEqual([
      expect.closeTo(30, 9),
      expect.closeTo(40, 9),
    ]);
    expect(areaOf({ outer: circle([0, 0], 25), holes: [circle([0, 0], 20)] }).area).toBeCloseTo(Math.PI * 225, 9);
    // chord 1000, rise 50: radius 2525, segment r²(θ − sin θ)/2
    const half = Math.asin(500 / 2525);
    const arched: Outline = {
      outer: [
        { at: [0, 0], rise: -50 },
        ...straight([
          [1000, 0],
          [1000, 100],
          [0, 100],
        ]),
      ],
      holes: [],
    };
    expect(areaOf(arched).area).toBeCloseTo(100_000 - (2525 ** 2 / 2) * (2 * half - Math.sin(2 * half)), 6);
    expect(areaOf(arched).moments[0] / areaOf(arched).area).toBeCloseTo(500, 9);
  });
  it("polygons come to it as the sag shrinks, with their corners on the arc", () => {
    const arc: Loop = [
      { at: [0, 0], rise: 30 },
      ...straight([
        [200, 0],
        [200, 100],
        [0, 100],
      ]),
    ];
    const exact = areaOf({ outer: arc, holes: [] });
    const off = [0.5, 0.05, 0.005].map((sag) =>
      Math.abs(areaOf({ outer: straight(polygonOf(arc, sag)), holes: [] }).area - exact.area),
    );
    expect(off[2]).toBeLessThan(off[1]);
    expect(off[1]).toBeLessThan(off[0]);
    expect(off[2] / exact.area).toBeLessThan(1e-4);
    const radius = (200 * 200) / (8 * 30) + 15;
    for (const [a, b] of polygonOf(arc, 0.5).slice(0, -3))
      expect(Math.hypot(a - 100, b - (radius - 30))).toBeCloseTo(radius, 9);
  });
  it("a dowel", () =>
    expect(bulkOf(rod([0, 0, 0], [0, 0, 40], 5, 0.0001)).volume / (Math.PI * 25 * 40)).toBeCloseTo(1, 4));
});
