/** What runs level between splayed legs: rails under the top, stretchers low down, each upright or leaning as the legs do. mm */
import { Place, toPart } from "../../../assembly/place";
import type { Plane, Shape } from "../../../assembly/shape";
import { add, cross, dot, times, unit, Vec } from "../../../assembly/vector";

/** One of them: it runs along the table, across it, or round its middle from leg to leg. */
export interface Stick {
  id: string;
  kind: string;
  run: "along" | "across" | "round";
  /** which way it points from the first of what holds it to the second, and which way is outward: along the top and across it */
  way: Flat;
  out: Flat;
  /** what it ends at: a leg's inner face, or another stick's */
  holders: readonly [string, string];
  /** level edges: heights of both */
  lower: number;
  upper: number;
  thickness: number;
  /** from the middle to its outer face at its upper edge, and how far that goes outward for each mm down */
  outer: number;
  slope: number;
  /** half its length at its upper edge, and how far what it ends at goes outward for each mm down */
  reach: number;
  end: number;
}

type Flat = readonly [x: number, z: number];

/** One end, square to what it is cut to: the face's frame, and the upright section that enters there. */
export interface Shoulder {
  face: Place;
  width: number;
  thickness: number;
}

const deg = (radians: number) => (radians * 180) / Math.PI;

/** In its own frame: x along it, y up, z outward. */
const across = ({ way, out }: Pick<Stick, "way" | "out">, [x, y, z]: Vec): Vec => [
  x * way[0] + z * out[0] + 0,
  y + 0,
  x * way[1] + z * out[1] + 0,
];

/** A level cut through it is so thick. */
export const levelOf = ({ thickness, slope }: Pick<Stick, "thickness" | "slope">): number =>
  thickness * Math.sqrt(1 + slope * slope);

/** How wide its blank is: both edges are bevelled out of it where it leans. @source derived: D / cos r + T tan r */
export const widthOf = ({ lower, upper, thickness, slope }: Stick): number =>
  (upper - lower) * Math.sqrt(1 + slope * slope) + thickness * slope;

/** Half its length at a height. */
export const halfAt = ({ reach, end, upper }: Stick, y: number): number => reach + end * (upper - y);

/** Its four long edges at a place along it: outer and inner, below and above. */
function edgesAt(stick: Stick, x: (y: number) => number): Vec[] {
  const { lower, upper, outer, slope } = stick;
  return [lower, upper].flatMap((y) => {
    const out = outer + slope * (upper - y);
    return [out, out - levelOf(stick)].map((z) => across(stick, [x(y), y, z]));
  });
}

/** Its blank over the longest points, ends and edges sawn from it. */
export function stickBody(stick: Stick): { shape: Shape; place: Place } {
  const { lower, upper, outer, slope, end, thickness } = stick;
  const longest = Math.max(0.5, halfAt(stick, lower), halfAt(stick, upper));
  const grain = across(stick, [1, 0, 0]);
  const up = unit(across(stick, [0, 1, -slope]));
  const through = cross(grain, up);
  const corners = edgesAt(stick, () => 0);
  const least = (way: Vec) => Math.min(...corners.map((corner) => dot(corner, way)));
  const place: Place = {
    at: add(add(times(grain, -longest), times(up, least(up))), times(through, least(through))),
    x: grain,
    y: up,
  };
  const plane = (at: Vec, waste: Vec): Plane => ({
    through: toPart(place, across(stick, at)),
    waste: toPart({ ...place, at: [0, 0, 0] }, across(stick, waste)),
  });
  const ends =
    end === 0
      ? []
      : ([1, -1] as const).map((sign) => plane([sign * halfAt(stick, upper), upper, outer], [sign, end, 0]));
  const edges = slope === 0 ? [] : [plane([0, lower, outer], [0, -1, 0]), plane([0, upper, outer], [0, 1, 0])];
  const planes = [...ends, ...edges];
  return {
    place,
    shape: {
      ...{ length: 2 * longest, width: widthOf(stick), thickness },
      ...(planes.length > 0 ? { planes } : {}),
    },
  };
}

/** Where its end meets what holds it: the largest upright section that the cut has whole. @param end  the one its grain points to, or the other */
export function shoulderOf(stick: Stick, sign: 1 | -1): Shoulder {
  const into = unit(across(stick, [sign, stick.end, 0]));
  const outward = unit(across(stick, [0, stick.slope, 1]));
  const raw = unit(cross(into, outward));
  const up = raw[1] < 0 ? times(raw, -1) : raw;
  const aside = cross(into, up);
  const corners = edgesAt(stick, (y) => sign * halfAt(stick, y));
  const along = (way: Vec) => corners.map((corner) => dot(corner, way));
  const [ys, zs] = [along(up), along(aside)];
  // edges come in pairs: the two below, the two above
  const [low, high] = [Math.max(ys[0], ys[1]), Math.min(ys[2], ys[3])];
  const from = Math.min(...zs);
  return {
    face: {
      at: add(add(times(up, low), times(aside, from)), times(into, dot(corners[0], into))),
      x: into,
      y: up,
    },
    width: high - low,
    thickness: Math.max(...zs) - from,
  };
}

/** What the saw is set to for its ends, its face on the table. @source derived: tan gauge = tan e cos r; sin blade = sin e sin r */
export function endCut({ end, slope }: Pick<Stick, "end" | "slope">): { gauge: number; blade: number } {
  const [e, r] = [Math.atan(end), Math.atan(slope)];
  return { gauge: deg(Math.atan(end * Math.cos(r))), blade: deg(Math.asin(Math.sin(e) * Math.sin(r))) };
}
