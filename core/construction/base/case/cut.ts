import type { Worked } from "../../../assembly/part";
import { Place, seenFrom } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";
import type { Vec } from "../../../assembly/vector";

/** How far parts are drawn off each other when the piece is pulled apart, mm. */
export const PULL = { along: 260, down: 140, back: 200, front: 320 };

/** How deep the back's rebate is, mm: half a side, 10 at most. @source common practice */
export const rebateOf = ({ side }: { side: number }) => Math.min(10, side / 2);

/** What is cut from a part, said in the piece's frame. */
export const cut = (by: string, part: Place, shape: Shape, place: Place): Worked => ({
  by,
  shape,
  place: seenFrom(part, place),
});

/** The same place after half a turn about an upright line: what looked to the front looks back. */
export function turnedAbout({ x, z }: { x: number; z: number }, { at, x: along, y: across }: Place): Place {
  // 0 − 0 is no −0
  const way = ([a, b, c]: Vec): Vec => [0 - a, b, 0 - c];
  return { at: [2 * x - at[0], at[1], 2 * z - at[2]], x: way(along), y: way(across) };
}
