/** What legs under rails are, and four at the corners: those splay both ways, their faces run with the rails, level cuts are rectangles. mm, x along the top, y up, z across it. */
import { Place, toPart } from "../../../assembly/place";
import type { Plane, Shape } from "../../../assembly/shape";
import { add, cross, dot, minus, times, unit, Vec } from "../../../assembly/vector";
import type { SplayedFrameChoices } from "../../../piece/splayed-frame-choices";
import { USUAL } from "../../usual";
import { steady } from "../../../units/steady";

/**
 * One of the two ways a leg leans, as a rail has it: the way it runs, and the way it looks. At a corner these are toward the end and toward
 * the side.
 */
export interface Way {
  /** of the splay */
  tan: number;
  sin: number;
  cos: number;
  degrees: number;
  /** from the middle to the outside of the heads, under the top */
  head: number;
  /** a level cut across a leg this way, at its head and at its foot */
  level: number;
  foot: number;
  /** how far the inner face goes outward for each mm down below where the taper begins; the outer one too, where it does not go on as above */
  taper: number;
  outTaper?: number;
}

export interface SplayedLegs {
  /** evenly on a circle; null where four stand at the corners */
  ring: Ring | null;
  under: number;
  /** of the square blank; square to their faces at the end of a table and at its side, once two faces are planed to the rails */
  section: number;
  across: { end: number; side: number };
  end: Way;
  side: Way;
  /** what the faces that rails end at are planed off square, degrees: nothing at a corner where a leg leans one way only */
  backed: number;
  /** of the leg's own line from upright, degrees; along it for each mm up */
  resultant: number;
  stretch: number;
  /** below this height the inner faces taper; 0 where they don't */
  taperFrom: number;
}

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const deg = (radians: number) => (radians * 180) / Math.PI;

/**
 * What legs are: a face that leans toward the side and keeps level along the table, one that leans toward the end and keeps level across it.
 *
 * @source derived: their normals (0, tan b, 1) and (1, tan a, 0) meet at 90° less asin(sin a sin b); tan R = √(tan² a + tan² b)
 */
export function legsOf(
  { splay, setIn, section, foot, rail }: SplayedFrameChoices,
  top: { length: number; width: number },
  under: number,
): SplayedLegs {
  const [a, b] = [rad(splay.end), rad(splay.side)];
  const backed = steady(Math.asin(Math.sin(a) * Math.sin(b)));
  // the square blank keeps its front and back; the other two are planed off square within it
  const across = { end: section * steady(Math.cos(backed) - Math.sin(backed)), side: section };
  const foots = Math.min(section, foot);
  const taperFrom = foots < section ? Math.max(0, under - rail.depth - USUAL.taperBelow) : 0;
  const way = (angle: number, whole: number, inset: number, size: number): Way => {
    const [tan, cos] = [steady(Math.tan(angle)), steady(Math.cos(angle))];
    const level = size / cos;
    const low = Math.min(size, foots) / cos;
    return {
      ...{ tan, cos, sin: steady(Math.sin(angle)), degrees: deg(angle), head: whole / 2 - inset, level, foot: low },
      taper: taperFrom > 0 ? tan + (level - low) / taperFrom : tan,
    };
  };
  const [p, q] = [steady(Math.tan(a)), steady(Math.tan(b))];
  return {
    ring: null,
    ...{ under, section, across, taperFrom, backed: deg(backed) },
    end: way(a, top.length, setIn.end, across.end),
    side: way(b, top.width, setIn.side, across.side),
    resultant: steady(deg(Math.atan(Math.hypot(p, q)))),
    stretch: Math.sqrt(1 + p * p + q * q),
  };
}

/** From the middle to a leg's outer face at a height, this way. */
export function outerAt({ under, taperFrom }: Pick<SplayedLegs, "under" | "taperFrom">, way: Way, y: number): number {
  if (way.outTaper === undefined || y >= taperFrom) return way.head + way.tan * (under - y);
  return way.head + way.tan * (under - taperFrom) + way.outTaper * (taperFrom - y);
}

/** From the middle to its inner face, and how far that goes outward for each mm down there. */
export function innerAt(legs: Pick<SplayedLegs, "under" | "taperFrom">, way: Way, y: number): number {
  if (y >= legs.taperFrom) return outerAt(legs, way, y) - way.level;
  return outerAt(legs, way, legs.taperFrom) - way.level + way.taper * (legs.taperFrom - y);
}
export const slopeAt = ({ taperFrom }: Pick<SplayedLegs, "taperFrom">, way: Way, y: number): number =>
  y >= taperFrom ? way.tan : way.taper;

/** Legs on a circle: how each leans, straight out from the middle, and where they stand. */
export interface Ring {
  lean: Way;
  /** of half the angle from one to the next */
  sin: number;
  cos: number;
  spokes: { id: string; x: number; z: number }[];
}

/** Which corner: toward the right-hand end and the front, or away from them. */
export interface Corner {
  id: string;
  x: 1 | -1;
  z: 1 | -1;
}
export const CORNERS: readonly Corner[] = [
  { id: "L1", x: -1, z: 1 },
  { id: "L2", x: 1, z: 1 },
  { id: "L3", x: 1, z: -1 },
  { id: "L4", x: -1, z: -1 },
];
export const cornerAt = (x: number, z: number): string =>
  CORNERS.find((each) => each.x === Math.sign(x) && each.z === Math.sign(z))?.id ?? CORNERS[0].id;

/** A leg in its own frame: the blank's box from over both points, planed, tapered and cut level. */
export function legBody(legs: SplayedLegs, { x: sx, z: sz }: Corner): { shape: Shape; place: Place } {
  const { end, side, under, taperFrom } = legs;
  const grain = unit([-sx * end.tan, 1, -sz * side.tan]);
  // out of the front face
  const face = unit([0, side.tan, sz]);
  const corners = [0, under].flatMap((y) =>
    [outerAt(legs, end, y), outerAt(legs, end, y) - end.level].flatMap((x) =>
      [outerAt(legs, side, y), outerAt(legs, side, y) - side.level].map((z): Vec => [sx * x, y, sz * z]),
    ),
  );
  const outside: Vec = [sx * end.head, under, sz * side.head];
  const inside: Vec = minus(outside, [sx * end.level, 0, sz * side.level]);
  const begins: Vec = [sx * innerAt(legs, end, taperFrom), taperFrom, sz * innerAt(legs, side, taperFrom)];
  const upright = (from: Vec, slopes: { end: number; side: number }): Facet[] => [
    [from, [-sx, -slopes.end, 0]],
    [from, [0, -slopes.side, -sz]],
  ];
  return planedLeg({ grain, face, corners }, [
    [
      [0, 0, 0],
      [0, -1, 0],
    ],
    [outside, [0, 1, 0]],
    [outside, [sx, end.tan, 0]],
    [outside, [0, side.tan, sz]],
    ...upright(inside, { end: end.tan, side: side.tan }),
    ...(taperFrom > 0 ? upright(begins, { end: end.taper, side: side.taper }) : []),
  ]);
}

/** A point of a face that is planed or sawn, and which way what falls off lies. */
export type Facet = readonly [through: Vec, waste: Vec];

/** A leg out of its blank: as long, wide and thick as it takes to hold all of its corners. @param face  square to its grain, out of one side of the blank */
export function planedLeg(
  { grain, face, corners }: { grain: Vec; face: Vec; corners: readonly Vec[] },
  facets: readonly Facet[],
): { shape: Shape; place: Place } {
  const width = cross(face, grain);
  const span = (way: Vec) => {
    const all = corners.map((corner) => dot(corner, way));
    return { from: Math.min(...all), size: Math.max(...all) - Math.min(...all) };
  };
  const [g, w, t] = [span(grain), span(width), span(face)];
  const place: Place = {
    at: add(add(times(grain, g.from), times(width, w.from)), times(face, t.from)),
    x: grain,
    y: width,
  };
  const plane = ([through, waste]: Facet): Plane => ({
    through: toPart(place, through),
    waste: toPart({ ...place, at: [0, 0, 0] }, waste),
  });
  return { place, shape: { ...{ length: g.size, width: w.size, thickness: t.size }, planes: facets.map(plane) } };
}

/**
 * What the saw is set to for a leg's ends: at a corner with its front or back on the table, in a round with a side.
 *
 * @source derived: tan gauge = tan a cos b; the blade leans b
 */
export const legCut = ({ end, side, ring }: SplayedLegs) =>
  ring ? { gauge: ring.lean.degrees, blade: 0 } : { gauge: deg(Math.atan(end.tan * side.cos)), blade: side.degrees };
