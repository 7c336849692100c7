import type { Point, Scene } from "../../core/drawing/scene";

/** How a scene in mm (y up) falls on `width` by `height` pixels (y down), centred in what its margins leave. */
export interface Scale {
  k: number;
  x: (mm: number) => number;
  y: (mm: number) => number;
  at: (point: Point) => Point;
}

export function fit(scene: Scene, width: number, height: number): Scale {
  const [top, right, bottom, left] = scene.margin;
  const { bounds } = scene;
  const k = Math.max(0.001, Math.min((width - left - right) / bounds.w, (height - top - bottom) / bounds.h));
  const dx = left + (width - left - right - bounds.w * k) / 2;
  const dy = top + (height - top - bottom - bounds.h * k) / 2;
  const x = (mm: number) => hundredth(dx + (mm - bounds.x) * k);
  const y = (mm: number) => hundredth(dy + (bounds.y + bounds.h - mm) * k);
  return { k, x, y, at: ([px, py]) => [x(px), y(py)] };
}

/** Pixels to a hundredth: server and browser differ in the last bit of a sine, and must draw the same. */
export const hundredth = (n: number) => Math.round(n * 100) / 100;
