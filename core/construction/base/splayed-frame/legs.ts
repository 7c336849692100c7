/** What legs under rails are, and four at the corners: those splay both ways, their faces run with the rails, level cuts are rectangles. mm, x along the top, y up, z across it. */
import type { AssemblyPart } from "../../../assembly/part";
import { HOME, Place, toPart, toPiece } from "../../../assembly/place";
import type { Plane, Shape } from "../../../assembly/shape";
import { add, cross, dot, minus, times, unit, Vec } from "../../../assembly/vector";
import type { SplayedFrameChoices } from "../../../piece/splayed-frame-choices";
import { USUAL } from "../../usual";
import { coneRound } from "../round-leg";
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
  turned: TurnedLegs | null;
}

/** Turned below the rails about the blank's own middle: from where, how thick there and at the floor, mm. */
export interface TurnedLegs {
  below: number;
  wide: number;
  foot: number;
}

/** How far in from its square's outside a foot stands, level, this way: turned legs lose as much on all sides. */
export const footIn = (
  { turned }: Pick<SplayedLegs, "turned">,
  { level, foot }: Pick<Way, "level" | "foot">,
): number => (turned ? (level - foot) / 2 : 0);

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const deg = (radians: number) => (radians * 180) / Math.PI;

/**
 * What legs are: a face that leans toward the side and keeps level along the table, one that leans toward the end and keeps level across it.
 *
 * @source derived: their normals (0, tan b, 1) and (1, tan a, 0) meet at 90° less asin(sin a sin b); tan R = √(tan² a + tan² b)
 */
export function legsOf(
  { splay, setIn, section, foot, rail, shape }: SplayedFrameChoices,
  top: { length: number; width: number },
  under: number,
): SplayedLegs {
  const [a, b] = [rad(splay.end), rad(splay.side)];
  const backed = steady(Math.asin(Math.sin(a) * Math.sin(b)));
  // the square blank keeps its front and back; the other two are planed off square within it
  const across = { end: section * steady(Math.cos(backed) - Math.sin(backed)), side: section };
  const foots = Math.min(section, foot);
  const below = Math.max(0, under - rail.depth - USUAL.taperBelow);
  const round = shape === "round";
  const taperFrom = foots < section && !round ? below : 0;
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
    turned: round && below > 0 ? { below, wide: across.end, foot: foots } : null,
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

/** A leg as it is seen square to the way it leans: from its outer corner under the top down and round, out from the middle and up. mm */
export function legFrom(legs: SplayedLegs, way: Way): [out: number, up: number][] {
  const { under, taperFrom, turned } = legs;
  const at = (of: typeof outerAt, up: number, inward = 0): [number, number] => [of(legs, way, up) + inward, up];
  if (turned) {
    const shoulder = (way.level - turned.wide / way.cos) / 2;
    const foot = footIn(legs, way);
    // square to the grain, from the outer face down to the inner one
    const falls = way.level * way.sin * way.cos;
    const drop = (inward: number) => turned.below - (falls * inward) / way.level;
    return [
      ...[at(outerAt, under), at(outerAt, drop(0)), at(outerAt, drop(shoulder), -shoulder), at(outerAt, 0, -foot)],
      at(innerAt, 0, foot),
      at(innerAt, drop(way.level - shoulder), shoulder),
      ...[at(innerAt, drop(way.level)), at(innerAt, under)],
    ];
  }
  return [
    at(outerAt, under),
    at(outerAt, 0),
    ...[0, ...(taperFrom > 0 ? [taperFrom] : []), under].map((up) => at(innerAt, up)),
  ];
}

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
export function legBody(legs: SplayedLegs, { x: sx, z: sz }: Corner): LegBody {
  const { end, side, under, taperFrom } = legs;
  const grain = unit([-sx * end.tan, 1, -sz * side.tan]);
  // out of the front face
  const face = unit([0, side.tan, sz]);
  const cornersAt = (y: number) =>
    [outerAt(legs, end, y), outerAt(legs, end, y) - end.level].flatMap((x) =>
      [outerAt(legs, side, y), outerAt(legs, side, y) - side.level].map((z): Vec => [sx * x, y, sz * z]),
    );
  const outside: Vec = [sx * end.head, under, sz * side.head];
  const inside: Vec = minus(outside, [sx * end.level, 0, sz * side.level]);
  const begins: Vec = [sx * innerAt(legs, end, taperFrom), taperFrom, sz * innerAt(legs, side, taperFrom)];
  const upright = (from: Vec, slopes: { end: number; side: number }): Facet[] => [
    [from, [-sx, -slopes.end, 0]],
    [from, [0, -slopes.side, -sz]],
  ];
  return planedLeg({ grain, face, legs, cornersAt }, [
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

/** A leg where it stands; of a turned one the square head is added to what is round. */
export type LegBody = Pick<AssemblyPart, "shape" | "place" | "adds">;

interface Blank {
  grain: Vec;
  /** square to its grain, out of one side of the blank */
  face: Vec;
  legs: Pick<SplayedLegs, "under" | "turned">;
  /** of the square at a height, before anything is planed off it */
  cornersAt: (y: number) => Vec[];
}

/** A leg out of its blank: as long, wide and thick as it takes to hold all of its corners. */
export function planedLeg({ grain, face, legs, cornersAt }: Blank, facets: readonly Facet[]): LegBody {
  const width = cross(face, grain);
  const corners = [0, legs.under].flatMap(cornersAt);
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
  const shape: Shape = { ...{ length: g.size, width: w.size, thickness: t.size }, planes: facets.map(plane) };
  if (!legs.turned) return { place, shape, adds: [] };
  const { below, wide, foot } = legs.turned;
  // the shoulder is square to the grain: nothing above the height it begins at is turned
  const from = Math.min(...cornersAt(below).map((corner) => dot(corner, grain))) - g.from;
  const middle = w.size / 2;
  const floor = -toPiece(place, [0, middle, middle])[1] / grain[1];
  // legs too short for it stay as they are sawn
  if (from - floor < 1) return { place, shape, adds: [] };
  const round = coneRound({ from: floor, to: from, low: foot / 2, high: wide / 2, middle });
  return {
    place,
    shape: { ...shape, planes: [...shape.planes!, ...round] },
    adds: [
      {
        by: "leg",
        shows: true,
        shape: {
          ...{ ...shape, length: shape.length - from },
          planes: shape.planes!.map(({ through: [x, y, z], waste }) => ({ through: [x - from, y, z], waste })),
        },
        place: { ...HOME, at: [from, 0, 0] },
      },
    ],
  };
}

/**
 * What the saw is set to for a leg's ends: at a corner with its front or back on the table, in a round with a side.
 *
 * @source derived: tan gauge = tan a cos b; the blade leans b
 */
export const legCut = ({ end, side, ring }: SplayedLegs) =>
  ring ? { gauge: ring.lean.degrees, blade: 0 } : { gauge: deg(Math.atan(end.tan * side.cos)), blade: side.degrees };
