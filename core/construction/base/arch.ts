import type { Shape } from "../../assembly/shape";
import { straightAt } from "../../assembly/outline";

/** An arch leaves so much straight at each shoulder, mm. @source common practice */
const SHOULDER = 60;

/** A rail with an arch cut from its lower edge; one too short for its shoulders stays straight. */
export function archedRail(whole: Shape, rise: number): Shape {
  const { length, width } = whole;
  if (rise <= 0 || length <= 4 * SHOULDER) return whole;
  return {
    ...whole,
    face: {
      outer: [
        straightAt(0, 0),
        { at: [SHOULDER, 0], rise: -rise },
        straightAt(length - SHOULDER, 0),
        straightAt(length, 0),
        straightAt(length, width),
        straightAt(0, width),
      ],
      holes: [],
    },
  };
}
