/** What a part covers in a drawing: its own outline where it is seen square on, and the outline round its corners elsewhere. */
import { Outline, polygonOf } from "../assembly/outline";
import type { AssemblyPart } from "../assembly/part";
import { toPiece, turned } from "../assembly/place";
import { boundsOf, Solid } from "../assembly/solid";
import { cross, dot, Vec } from "../assembly/vector";
import type { View } from "./projection";
import type { Point } from "./scene";

/** How fine arcs are drawn, mm. */
const FINE = 0.3;

export function silhouette({ shape, place }: Pick<AssemblyPart, "shape" | "place">, body: Solid, view: View): Point[] {
  const toward = cross(view.right, view.up);
  const flat = (p: Vec): Point => [dot(p, view.right), dot(p, view.up)];
  const square = (way: Vec) => Math.abs(dot(turned(place, way), toward)) > 0.9999;
  const drawn = (outline: Outline, at: (a: number, b: number) => Vec): Point[] =>
    polygonOf(outline.outer, FINE).map(([a, b]) => flat(toPiece(place, at(a, b))));
  const plain = !shape.planes?.length;
  if (plain && shape.face && square([0, 0, 1])) return drawn(shape.face, (a, b) => [a, b, 0]);
  if (plain && shape.edge && square([0, 1, 0])) return drawn(shape.edge, (a, b) => [a, 0, b]);
  if (plain && shape.end && square([1, 0, 0])) return drawn(shape.end, (a, b) => [0, a, b]);
  return hull(body.flatMap(({ corners }) => corners.map(flat)));
}

/** What can be seen through a part that is seen square on; nothing where it has no opening there. */
export function openings({ shape, place }: Pick<AssemblyPart, "shape" | "place">, view: View): { more?: Point[][] } {
  const toward = cross(view.right, view.up);
  const flat = (p: Vec): Point => [dot(p, view.right), dot(p, view.up)];
  const along: [Outline | undefined, Vec, (a: number, b: number) => Vec][] = [
    [shape.face, [0, 0, 1], (a, b) => [a, b, 0]],
    [shape.edge, [0, 1, 0], (a, b) => [a, 0, b]],
    [shape.end, [1, 0, 0], (a, b) => [0, a, b]],
  ];
  const found = along.find(([outline, way]) => outline && Math.abs(dot(turned(place, way), toward)) > 0.9999);
  const holes = found?.[0]?.holes ?? [];
  return holes.length === 0
    ? {}
    : { more: holes.map((hole) => polygonOf(hole, FINE).map(([a, b]) => flat(toPiece(place, found![2](a, b))))) };
}

/** How near the viewer a body comes. */
export function nearest(body: Solid, view: View): number {
  const toward = cross(view.right, view.up);
  const { least, most } = boundsOf(body);
  return [0, 1, 2].reduce((sum, i) => sum + Math.max(least[i] * toward[i], most[i] * toward[i]), 0);
}

/** The outline round points, anticlockwise. @source Andrew 1979: monotone chain */
export function hull(points: readonly Point[]): Point[] {
  // where two differ by less than any drawing shows, which comes first is chance, and a corner between them is lost
  const sorted = points.map(([a, b]): Point => [settled(a), settled(b)]).sort((p, q) => p[0] - q[0] || p[1] - q[1]);
  const chain = (from: readonly Point[]) => {
    const out: Point[] = [];
    for (const p of from) {
      while (out.length > 1 && turn(out.at(-2)!, out.at(-1)!, p) <= 1e-9) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...chain(sorted), ...chain([...sorted].reverse())];
}

const settled = (value: number) => Math.round(value * 1e6) / 1e6;
const turn = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
