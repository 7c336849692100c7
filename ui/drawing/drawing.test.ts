import { describe, expect, it } from "vitest";
import type { Scene } from "../../core/drawing/scene";
import { dimensionPlace } from "./DimensionLine";
import { fit } from "./scale";

const scene: Scene = {
  id: "s",
  title: "a square",
  bounds: { x: -50, y: 0, w: 100, h: 100 },
  margin: [10, 20, 30, 40],
  items: [],
};

describe("fitting a scene", () => {
  const scale = fit(scene, 360, 240);
  it("keeps one scale both ways and turns y over", () => {
    expect(scale.k).toBe(2);
    expect(scale.x(50) - scale.x(-50)).toBe(200);
    expect(scale.y(0) - scale.y(100)).toBe(200);
  });
  it("keeps its margins free", () => {
    expect(scale.x(-50)).toBeGreaterThanOrEqual(40);
    expect(scale.x(50)).toBeLessThanOrEqual(360 - 20);
    expect(scale.y(100)).toBeGreaterThanOrEqual(10);
    expect(scale.y(0)).toBeLessThanOrEqual(240 - 30);
  });
});

describe("where a dimension stands", () => {
  const scale = fit(scene, 360, 240);
  const place = (from: [number, number], to: [number, number], offset: number, text = "100") =>
    dimensionPlace({ kind: "dimension", from, to, offset, value: 0 }, scale, text);
  it("above a line that runs to the right", () =>
    expect(place([-50, 100], [50, 100], 20).from[1]).toBe(scale.y(100) - 20));
  it("right of a line that runs down", () => expect(place([50, 100], [50, 0], 20).from[0]).toBe(scale.x(50) + 20));
  it("a number too wide for its line stands beside it", () => {
    const { label, from } = place([0, 0], [5, 0], -20, "1234");
    expect(Math.abs(label[1] - from[1])).toBeGreaterThanOrEqual(13);
  });
});
