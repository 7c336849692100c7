import type { Worked } from "../../../assembly/part";
import { Place, seenFrom } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";

/** How far parts are drawn off each other when the piece is pulled apart, mm. */
export const PULL = { along: 260, down: 140, back: 200, front: 320 };

/** What is cut from a part, said in the piece's frame. */
export const cut = (by: string, part: Place, shape: Shape, place: Place): Worked => ({
  by,
  shape,
  place: seenFrom(part, place),
});
