/** A low frame of legs and rails that carries a case or a box, a shadow gap between them. */
import * as v from "valibot";
import { distance, size } from "./fields";

export const legFrameSchema = v.strictObject({
  leg: size("section of the frame's legs", 15, 120),
  depth: size("depth of the frame's rails", 20, 200),
  thickness: size("thickness of the frame's rails", 8, 60),
  /** legs stand so far inside what they carry */
  setIn: distance("set-in of the frame's legs", 300),
  /** between the frame and what it carries: as high as the strips that lie there */
  gap: size("shadow gap", 4, 60),
});
export type LegFrameChoices = v.InferOutput<typeof legFrameSchema>;

/** @source common practice */
export const USUAL_LEG_FRAME: LegFrameChoices = { leg: 45, depth: 60, thickness: 22, setIn: 0, gap: 8 };
