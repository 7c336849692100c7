import { describe, expect, it } from "vitest";
import { planOf, tableWith } from "../testing/plans";
import { stillScene } from "./still";

describe("a still picture of the piece in space", () => {
  const piece = tableWith();
  const { parts } = planOf(piece).assembly;
  const scene = stillScene(parts, () => "#dcc8a2");
  const paths = scene.items.filter((each) => each.kind === "path");
  it("shows every part, each face within its bounds", () => {
    const { x, y, w, h } = scene.bounds;
    expect(new Set(paths.map((each) => each.id))).toEqual(new Set(parts.map((part) => part.id)));
    for (const { points } of paths)
      for (const [a, b] of points) {
        expect(a).toBeGreaterThanOrEqual(x - 1e-9);
        expect(a).toBeLessThanOrEqual(x + w + 1e-9);
        expect(b).toBeGreaterThanOrEqual(y - 1e-9);
        expect(b).toBeLessThanOrEqual(y + h + 1e-9);
      }
  });
  it("draws the top's upper face after the rails it hides", () => {
    const last = (id: string) => paths.findLastIndex((each) => each.id === id);
    for (const id of ["A1", "E1", "C"]) expect(last("T")).toBeGreaterThan(last(id));
  });
  it("faces toward the light are lighter than those turned away", () => {
    const light = (fill: string) => parseInt(fill.slice(1, 3), 16);
    const shades = paths.filter((each) => each.id === "T").map((each) => light(each.fill!));
    expect(Math.max(...shades)).toBeGreaterThan(Math.min(...shades) + 20);
  });
});
