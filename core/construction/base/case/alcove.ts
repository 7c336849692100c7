/**
 * A case in its alcove: where the walls stand at every height, the widest case that goes in plumb and square, and the fillers that close
 * what is left beside it. mm; x from the left wall's foot in front, to the right.
 */
import type { Alcove } from "../../../piece/alcove-choices";
import type { Span } from "../leg-frame/place";

/** A wall in front, by its points from the floor up: how high, and where. */
type Wall = readonly { y: number; x: number }[];

/**
 * Both walls through what was measured: where widths and plumbs disagree each wall is moved by half of it, and what the middle is wider
 * or narrower bulges out of both alike.
 *
 * @source derived: plane geometry
 */
export function wallsOf({ floor, middle, top, height, left, right }: Alcove): { left: Wall; right: Wall } {
  const off = disagreement({ floor, top, left, right }) / 2;
  const head = left + off;
  const bulge = (middle - (floor + top) / 2) / 2;
  const at = (foot: number, above: number, out: number): Wall => [
    { y: 0, x: foot },
    { y: height / 2, x: (foot + above) / 2 + out },
    { y: height, x: above },
  ];
  return { left: at(0, head, -bulge), right: at(floor, head + top, bulge) };
}

/** By how much the width above is less than the floor's and the plumbs say it is. */
export const disagreement = ({ floor, top, left, right }: Pick<Alcove, "floor" | "top" | "left" | "right">) =>
  floor - left - right - top;

/**
 * What the diagonals say the floor's width is, the back off to one side as they also say.
 *
 * @source derived: d1² + d2² = 2 (w² + s² + depth²) and d1² − d2² = 4 w s, solved for w²
 */
export function widthByDiagonals({ first, second, depth }: Pick<Alcove, "first" | "second" | "depth">): number {
  const sum = Math.max(0, (first ** 2 + second ** 2) / 2 - depth ** 2);
  const product = (first ** 2 - second ** 2) / 4;
  return Math.sqrt((sum + Math.sqrt(Math.max(0, sum ** 2 - 4 * product ** 2))) / 2);
}

/** How far the back is off to the right of the front: the floor is a parallelogram. @source derived: d1² − d2² = 4 w s */
export const skewOf = ({ floor, first, second }: Pick<Alcove, "floor" | "first" | "second">) =>
  (first ** 2 - second ** 2) / (4 * floor);

/** Where a wall stands so high; over what was measured it goes on straight. */
export function wallAt(wall: Wall, y: number): number {
  const i = y <= wall[1].y ? 0 : 1;
  const [a, b] = [wall[i], wall[i + 1]];
  return a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x);
}

/** Heights at which something is measured below a height: a wall is straight between them. */
export const measuredAt = ({ height }: Pick<Alcove, "height">, up: number): number[] => [
  0,
  ...[height / 2, height].filter((y) => y < up),
  up,
];

/** Between the walls, plumb and square, for something so high: from and to; it may be less than nothing. */
export function roomIn(alcove: Alcove, up: number): Span {
  const { left, right } = wallsOf(alcove);
  const heights = measuredAt(alcove, up);
  const skew = skewOf(alcove);
  return {
    from: Math.max(...heights.map((y) => wallAt(left, y))) + Math.max(0, skew),
    to: Math.min(...heights.map((y) => wallAt(right, y))) + Math.min(0, skew),
  };
}

/** What closes the front between a case's side and the wall: how wide at each height, before it is scribed. */
export interface Filler {
  side: -1 | 1;
  edge: { y: number; wide: number }[];
}

/** Fillers narrower than this are left out: what is beside the case is a gap then. mm @source common practice */
const LEAST = 3;

/**
 * Fillers on both sides of a case that stands in the middle of its room.
 *
 * @param given  from outside to outside of its sides; how high the whole stands, and how high they go
 */
export function fillersOf(alcove: Alcove, { wide, high, up }: { wide: number; high: number; up: number }): Filler[] {
  const { left, right } = wallsOf(alcove);
  const room = roomIn(alcove, high);
  const middle = (room.from + room.to) / 2;
  const heights = measuredAt(alcove, up);
  const edge = (of: (y: number) => number) => heights.map((y) => ({ y, wide: of(y) }));
  const both: Filler[] = [
    { side: -1, edge: edge((y) => middle - wide / 2 - wallAt(left, y)) },
    { side: 1, edge: edge((y) => wallAt(right, y) - middle - wide / 2) },
  ];
  return both.filter((each) => Math.min(...each.edge.map((at) => at.wide)) >= LEAST);
}
