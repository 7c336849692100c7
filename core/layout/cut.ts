/** What a search for places gives away after every round. */
import type { LaidSection } from "./sawing";

/** The best so far: wood used up and what of it ends in the piece, mm³. `trail` is where the search stands when that is elsewhere. */
export interface Cut {
  sections: LaidSection[];
  missing: string[];
  cost: number;
  net: number;
  tried: number;
  round: number;
  trail: LaidSection[] | null;
  done: boolean;
}
/** Where a search stopped, to go on from. */
export type Stopped = Pick<Cut, "round" | "sections" | "trail">;
