/** Fields of the form: bought feet under whatever touches the floor. */
import * as v from "valibot";
import { between, choice, distance, size } from "./fields";

export const FEET = ["none", "glides", "rubber", "levelling"] as const;
export type FootKind = Exclude<(typeof FEET)[number], "none">;

/** One kind as it is sold: how high it stands under the wood, how wide it is, the hole it goes into. */
const footSchema = v.strictObject({
  height: size("height of a foot", 1, 120),
  diameter: size("diameter of a foot", 8, 150),
  hole: size("hole for a foot", 1, 30),
  deep: size("depth of a foot's hole", 2, 150),
  carries: between("what a foot carries", 1, 1000, " kg"),
});
const feetSchema = v.strictObject({
  kind: choice("feet", FEET),
  glides: footSchema,
  rubber: footSchema,
  levelling: v.strictObject({ ...footSchema.entries, range: distance("how far a foot turns out", 100) }),
});
export type FeetChoices = v.InferOutput<typeof feetSchema>;
export type FootSizes = v.InferOutput<typeof footSchema>;

/** Felt or plastic held by a nail or a screw, rubber on a screw, a thread in a sleeve. @source common practice */
export const USUAL_FEET: FeetChoices = {
  kind: "none",
  glides: { height: 5, diameter: 24, hole: 2.5, deep: 20, carries: 80 },
  rubber: { height: 18, diameter: 30, hole: 3, deep: 25, carries: 80 },
  levelling: { height: 12, diameter: 28, hole: 10, deep: 32, carries: 150, range: 10 },
};
export const feetFields = { feet: v.optional(feetSchema, USUAL_FEET) };
