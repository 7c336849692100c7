/** Fields of the form: a lid that is sawn out of the top itself. */
import * as v from "valibot";
import { between, choice, size } from "./fields";

/** It turns up on hinges at its back or front edge, lifts out, or slides out of the top's right or left end. */
export const HATCHES = ["none", "hinged-back", "hinged-front", "lifts-out", "slides-right", "slides-left"] as const;

const hatchSchema = v.strictObject({
  kind: choice("lid in the top", HATCHES),
  /** of its opening, along the top and across it; its middle right of the top's, unless it slides out of an end, and behind it */
  length: size("length of the lid's opening", 60, 3000),
  width: size("width of the lid's opening", 40, 1500),
  x: between("place of the lid", -3000, 3000, " mm"),
  y: between("place of the lid", -1250, 1250, " mm"),
  /** left by the saw all round */
  gap: size("gap round the lid", 0.5, 10),
  /** strips below that it comes down on: how far they reach under it, and how thick they are */
  ledge: size("ledge under the lid", 4, 60),
  thickness: size("thickness of the ledges", 6, 40),
});
export type HatchChoices = v.InferOutput<typeof hatchSchema>;

/** @source common practice */
export const USUAL_HATCH: HatchChoices = {
  ...{ kind: "none", length: 320, width: 120, x: 0, y: 180 },
  ...{ gap: 2.5, ledge: 12, thickness: 15 },
};
export const hatchFields = { hatch: v.optional(hatchSchema, USUAL_HATCH) };
