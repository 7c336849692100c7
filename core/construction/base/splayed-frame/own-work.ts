/** What legs at the corners and legs in a round each do in their own way. */
import type { Step } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { SplayedFrame } from "./place";

type Said = Pick<Step, "title" | "detail" | "check">;

export interface OwnWork {
  setOut: Said;
  /** the faces that rails end at are planed to them */
  backed: Said;
  ends: Pick<Step, "detail" | "check">;
  /** how the saw stands for the rails’ ends, and what their edges are bevelled by */
  shoulders: string;
  bevels: string;
  taper: Pick<Step, "title" | "detail">;
  dryCheck: string;
  /** what is glued at once; the last is the whole */
  glued: Step[];
}

/** A leg from its widest to its foot. */
export const taperSaid = ({ legs, rail, choices }: Pick<SplayedFrame, "legs" | "rail" | "choices">): string =>
  `From ${mm(legs.under - rail.depth - legs.taperFrom)} below the rails to ${fine(choices.foot)} at the foot`;
