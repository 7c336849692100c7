/** What hinges take of a door and of what it hangs on. */
import { circle } from "../../../assembly/outline";
import type { Worked } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { Door } from "./case";
import { cut } from "./cut";
import { DOOR } from "./door";

/** Standing flat to the front: up, to the right, back. */
export const UPRIGHT = { x: [0, 1, 0] as Vec, y: [1, 0, 0] as Vec };
/** Lying flat to the front: to the right, up, forward. */
export const LEVEL = { x: [1, 0, 0] as Vec, y: [0, 1, 0] as Vec };

/** A hinge's cup bored into a stile from behind. */
export function cupIn(part: Place, { hung, across, face, thickness }: Door, middle: number): Worked {
  const { across: wide, deep, from } = DOOR.cup;
  const r = wide / 2;
  const x = hung < 0 ? across.from + from : across.to - from;
  return {
    ...cut(
      "hinge",
      part,
      { length: deep, width: wide, thickness: wide, end: { outer: circle([r, r], r), holes: [] } },
      // from the back forward, to the right, up
      { at: [x - r, middle + r, face - thickness], x: [0, 0, 1], y: [1, 0, 0] },
    ),
    markedFrom: "the hinges that came",
  };
}

/** A hinge's leaf let into an edge at `x`, to the right of it or to the left. */
export function hingeIn(
  part: Place,
  { x, way, middle, front }: { x: number; way: 1 | -1; middle: number; front: number },
): Worked {
  const { long, wide, deep } = DOOR.hinge;
  return {
    ...cut(
      "hinge",
      part,
      { length: deep, width: long, thickness: wide },
      { at: [way > 0 ? x : x - deep, middle - long / 2, front - wide], ...LEVEL },
    ),
    markedFrom: "the hinges that came",
  };
}
