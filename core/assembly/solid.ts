import type { Place } from "./place";
import { add, cross, dot, minus, times, unit, Vec } from "./vector";

/** A flat facet: corners anticlockwise as seen from outside, convex; its plane is all points p with n·p = w. */
export interface Facet {
  corners: readonly Vec[];
  n: Vec;
  w: number;
}

/** A closed body of facets. */
export type Solid = readonly Facet[];

/** A facet from its corners; null when they span no plane. */
export function facet(corners: readonly Vec[]): Facet | null {
  // by all corners together: three of them may lie on a line
  let normal: Vec = [0, 0, 0];
  for (const [i, a] of corners.entries()) normal = add(normal, cross(a, corners[(i + 1) % corners.length]));
  const n = unit(normal);
  return dot(n, n) < 0.5 ? null : { corners, n, w: dot(n, corners[0]) };
}

/** Volume, mm³, and the centre of its weight, mm; the centre of nothing is the origin. */
export function bulkOf(solid: Solid): { volume: number; centre: Vec } {
  const from = solid[0]?.corners[0] ?? [0, 0, 0];
  let volume = 0;
  let moment: Vec = [0, 0, 0];
  for (const { corners } of solid) {
    const a = minus(corners[0], from);
    for (let i = 1; i + 1 < corners.length; i += 1) {
      const [b, c] = [minus(corners[i], from), minus(corners[i + 1], from)];
      const six = dot(a, cross(b, c));
      volume += six / 6;
      moment = add(moment, times(add(a, add(b, c)), six / 24));
    }
  }
  return { volume, centre: volume === 0 ? [0, 0, 0] : add(from, times(moment, 1 / volume)) };
}

/** The box a solid fits in. */
export function boundsOf(solid: Solid): { least: Vec; most: Vec } {
  const least: [number, number, number] = [Infinity, Infinity, Infinity];
  const most: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const { corners } of solid)
    for (const corner of corners)
      for (let i = 0; i < 3; i += 1) {
        if (corner[i] < least[i]) least[i] = corner[i];
        if (corner[i] > most[i]) most[i] = corner[i];
      }
  return { least, most };
}

/** The same solid where its part stands. */
export function stood(solid: Solid, { at, x, y }: Place): Solid {
  const z = cross(x, y);
  const turned = ([a, b, c]: Vec): Vec => [
    x[0] * a + y[0] * b + z[0] * c,
    x[1] * a + y[1] * b + z[1] * c,
    x[2] * a + y[2] * b + z[2] * c,
  ];
  return solid.map((each) => {
    const corners = each.corners.map((corner) => add(at, turned(corner)));
    const n = turned(each.n);
    return { corners, n, w: dot(n, corners[0]) };
  });
}

/** The same solid with its inside out. */
export const inverted = (solid: Solid): Solid =>
  solid.map(({ corners, n, w }) => ({ corners: corners.slice().reverse(), n: times(n, -1), w: -w }));
