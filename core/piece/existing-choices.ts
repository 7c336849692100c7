/** Fields of the form: what is there already, and the top is only laid on. */
import * as v from "valibot";
import { between, choice, distance, list, name, size } from "./fields";

export const EXISTING_OF = ["wood", "steel", "masonry"] as const;

/** Something that bears the top, from above: its middle from the top's middle, to the right and to the front, mm. */
const placeSchema = v.strictObject({
  name: name("what is there"),
  x: between("place of what is there", -3000, 3000, " mm"),
  z: between("place of what is there", -1250, 1250, " mm"),
  length: size("length of what is there", 10, 6000),
  width: size("width of what is there", 10, 2500),
  /** how thick what a screw meets is, mm */
  depth: size("depth of what is there", 1, 1200),
  /** so much lower than the highest of them, as a level tells */
  low: distance("how much lower it is", 60),
  of: choice("what it is of", EXISTING_OF),
});
export type ExistingPlace = v.InferOutput<typeof placeSchema>;

const existingSchema = v.strictObject({
  places: list("what is there", placeSchema, 12, 1),
  measured: v.boolean("What is there was measured or not."),
});
export type ExistingChoices = v.InferOutput<typeof existingSchema>;

const place = (called: string, x: number): ExistingPlace => ({
  ...{ name: called, x, z: 0, length: 40, width: 600, depth: 40, low: 0, of: "wood" },
});
/** Two rails across. Ours, to begin from. */
export const USUAL_EXISTING: ExistingChoices = {
  places: [place("Left rail", -500), place("Right rail", 500)],
  measured: false,
};
export const existingFields = { existing: v.optional(existingSchema, USUAL_EXISTING) };
