/** A panel that stands on its end, grain upright, a relief cut from the middle of its foot so that it stands on two. */
import { straightAt } from "../../assembly/outline";
import type { Shape } from "../../assembly/shape";

/** What may go from a foot's middle: a third of the height at most. */
export const reliefOf = (relief: number, height: number) => Math.min(relief, Math.max(0, height / 3));
/** How long each of the two feet is that a relief leaves. @source common practice: a sixth of the width, 60 at least */
export const footLength = (width: number) => Math.min(width / 2, Math.max(60, width / 6));

/** Grain upright, a relief cut from the middle of its foot. */
export function endShape(
  { width, thickness }: { width: number; thickness: number },
  height: number,
  relief: number,
): Shape {
  const whole = { length: height, width, thickness };
  const up = reliefOf(relief, height);
  const foot = footLength(width);
  const between = width - 2 * foot;
  if (up <= 0 || between <= 4 * up) return whole;
  return {
    ...whole,
    face: {
      outer: [
        straightAt(0, 0),
        straightAt(height, 0),
        straightAt(height, width),
        straightAt(0, width),
        // back along the foot: what bows to the left of the way is cut out
        { at: [0, width - foot], rise: -up },
        straightAt(0, foot),
      ],
      holes: [],
    },
  };
}
