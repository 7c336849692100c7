import earcut from "earcut";
import { shared } from "./carve";
import { Outline, polygonOf, rectangle, Spot } from "./outline";
import { facet, Facet, Solid } from "./solid";
import { add, cross, dot, long, minus, times, unit, Vec } from "./vector";

/**
 * The shape of a part in its own frame: a box from its corner, cut by the outlines seen along up to three of its axes and by planes.
 * Length along the grain, width across the face, thickness through it; mm.
 */
export interface Shape {
  length: number;
  width: number;
  thickness: number;
  /** each within the box; seen from its face (grain and width), from its edge (grain and thickness), from its end (width and thickness) */
  face?: Outline;
  edge?: Outline;
  end?: Outline;
  /** what lies behind each plane is kept */
  planes?: readonly Plane[];
}

/** A flat cut: through a point, at right angles to a direction that points to the waste. */
export interface Plane {
  through: Vec;
  waste: Vec;
}

/** How far a chord may lie from the arc it stands for, mm: under what a plane takes off. Ours. */
export const SAG = 0.02;

/**
 * The body of a shape. Arcs become chords that leave them by no more than `sag`.
 *
 * @returns facets, none when nothing is left
 */
export function solidOf(shape: Shape, sag = SAG): Solid {
  if (!(shape.length > 0 && shape.width > 0 && shape.thickness > 0)) return [];
  // a joint's bodies come again in every part that has it, and stay while the part grows
  const key = `${sag} ${shape.face || shape.edge || shape.end || shape.planes ? JSON.stringify(shape) : `${shape.length} ${shape.width} ${shape.thickness}`}`;
  const before = built.get(key);
  if (before) return before;
  const solid = build(shape, sag);
  if (built.size >= KEPT) built.clear();
  built.set(key, solid);
  return solid;
}

/** Bodies that are remembered, so many at most. Ours. */
const KEPT = 600;
const built = new Map<string, Solid>();

function build({ length, width, thickness, face, edge, end, planes }: Shape, sag: number): Solid {
  const views: Solid[] = [];
  if (face || (!edge && !end))
    views.push(drawn(face ?? rectangle(length, width), thickness, sag, ([a, b], c) => [a, b, c]));
  if (edge) views.push(drawn(edge, width, sag, ([a, b], c) => [a, width - c, b]));
  if (end) views.push(drawn(end, length, sag, ([a, b], c) => [c, a, b]));
  const whole = views.reduce((left, view) => shared(left, view));
  return (planes ?? []).reduce((left, plane) => shared(left, behind(plane, 4 * (length + width + thickness))), whole);
}

/** An outline drawn out into a prism. `along` takes a spot of the outline and a height to a point: right-handed. */
function drawn(outline: Outline, height: number, sag: number, along: (spot: Spot, height: number) => Vec): Solid {
  const loops = [outline.outer, ...outline.holes].map((loop) => polygonOf(loop, sag));
  const spots = loops.flat();
  const holes = loops.slice(1).map((_, i) => loops.slice(0, i + 1).reduce((sum, loop) => sum + loop.length, 0));
  const triangles = earcut(
    spots.flatMap(([a, b]) => [a, b]),
    holes,
  );
  const facets: (Facet | null)[] = [];
  for (let i = 0; i < triangles.length; i += 3) {
    const three = [spots[triangles[i]], spots[triangles[i + 1]], spots[triangles[i + 2]]];
    const up = anticlockwise(three) ? three : three.slice().reverse();
    facets.push(
      facet(up.map((spot) => along(spot, height))),
      facet(
        up
          .slice()
          .reverse()
          .map((spot) => along(spot, 0)),
      ),
    );
  }
  for (const [i, loop] of loops.entries())
    for (const [j, p] of loop.entries()) {
      const q = loop[(j + 1) % loop.length];
      const wall = [along(p, 0), along(q, 0), along(q, height), along(p, height)];
      facets.push(facet(i === 0 ? wall : wall.slice().reverse()));
    }
  return facets.filter((each) => each !== null);
}

const anticlockwise = ([p, q, r]: readonly Spot[]) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]) > 0;

/** All that lies behind a plane, as far as any part reaches: a cube with one face in it. */
function behind({ through, waste }: Plane, reach: number): Solid {
  const n = unit(waste);
  const side = unit(cross(n, Math.abs(n[0]) < 0.7 ? [1, 0, 0] : [0, 1, 0]));
  const up = cross(n, side);
  const corner = (a: number, b: number, c: number): Vec =>
    add(through, add(add(times(side, a * reach), times(up, b * reach)), times(n, (c - 1) * reach)));
  const square = (corners: [number, number, number][]) => facet(corners.map((each) => corner(...each)));
  return [
    square([
      [-1, -1, 1],
      [1, -1, 1],
      [1, 1, 1],
      [-1, 1, 1],
    ]),
    square([
      [-1, 1, -1],
      [1, 1, -1],
      [1, -1, -1],
      [-1, -1, -1],
    ]),
    square([
      [-1, -1, -1],
      [1, -1, -1],
      [1, -1, 1],
      [-1, -1, 1],
    ]),
    square([
      [1, 1, -1],
      [-1, 1, -1],
      [-1, 1, 1],
      [1, 1, 1],
    ]),
    square([
      [1, -1, -1],
      [1, 1, -1],
      [1, 1, 1],
      [1, -1, 1],
    ]),
    square([
      [-1, 1, -1],
      [-1, -1, -1],
      [-1, -1, 1],
      [-1, 1, 1],
    ]),
  ].filter((each) => each !== null);
}

/** A round hole, dowel or screw: a prism along an axis from a point, its corners on the circle. */
export function rod(from: Vec, to: Vec, radius: number, sag = SAG): Solid {
  const axis = minus(to, from);
  const n = unit(axis);
  const side = unit(cross(n, Math.abs(n[0]) < 0.7 ? [1, 0, 0] : [0, 1, 0]));
  const up = cross(n, side);
  const circle = polygonOf(
    [
      { at: [radius, 0], rise: radius },
      { at: [-radius, 0], rise: radius },
    ],
    sag,
  );
  return drawn({ outer: circle.map((at) => ({ at, rise: 0 })), holes: [] }, long(axis), sag, ([a, b], c) =>
    add(add(from, times(n, c)), add(times(side, a), times(up, b))),
  );
}

/** Whether a point lies inside a solid, by how much of it is seen from there; the skin itself is neither. @source solid angle of a triangle, Van Oosterom and Strackee 1983, from memory */
export function isInside(solid: Solid, point: Vec): boolean {
  let angle = 0;
  for (const { corners } of solid)
    for (let i = 1; i + 1 < corners.length; i += 1) {
      const [a, b, c] = [corners[0], corners[i], corners[i + 1]].map((corner) => minus(corner, point));
      const [la, lb, lc] = [long(a), long(b), long(c)];
      angle += 2 * Math.atan2(dot(a, cross(b, c)), la * lb * lc + dot(a, b) * lc + dot(b, c) * la + dot(c, a) * lb);
    }
  return angle > 2 * Math.PI;
}
