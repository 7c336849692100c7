/** Fields of the form: a strip of cork, leather or linoleum let into the top along its grain. */
import * as v from "valibot";
import { between, choice, distance, size } from "./fields";

export const FACINGS = ["none", "cork", "leather", "linoleum"] as const;
/** A trench in the panel, or a strip of its own wood between two halves of it. */
export const FACING_BEDS = ["trench", "strip"] as const;

const facingSchema = v.strictObject({
  kind: choice("facing", FACINGS),
  bed: v.optional(choice("bed of the facing", FACING_BEDS), "trench"),
  thickness: size("facing thickness", 1, 15),
  width: size("facing width", 20, 1500),
  /** of its middle behind the top's */
  from: between("place of the facing", -1250, 1250, " mm"),
  /** of the top's face; 0 flush */
  proud: distance("facing proud of the top", 15),
  /** how far it goes down over the top's ends; 0: it stops at them */
  wraps: distance("facing over the ends", 120),
});
export type FacingChoices = v.InferOutput<typeof facingSchema>;

/** @source common practice */
export const USUAL_FACING: FacingChoices = {
  ...{ kind: "none", bed: "trench" },
  ...{ thickness: 5, width: 160, from: 0, proud: 3, wraps: 0 },
};
export const facingFields = { facing: v.optional(facingSchema, USUAL_FACING) };
