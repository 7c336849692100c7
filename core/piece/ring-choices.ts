/** Fields of the form: a ring of segments under a round top, screwed to it through slots. */
import * as v from "valibot";
import { choice, distance, size } from "./fields";

const ringSchema = v.strictObject({
  segments: choice("segments of the ring", ["6", "8", "10", "12", "16"]),
  /** finished, from its round outside to its straight inside at the mitres; and how thick */
  width: size("width of the ring", 15, 200),
  thickness: size("thickness of the ring", 8, 80),
  /** from the top's edge to the ring's */
  setIn: distance("set-in of the ring", 400),
  /** slots of its screws, across the top's grain */
  slot: size("slot of the ring's screws", 5, 60),
});
export type RingChoices = v.InferOutput<typeof ringSchema>;

/** @source common practice */
export const USUAL_RING: RingChoices = { segments: "8", width: 50, thickness: 25, setIn: 38, slot: 14 };
/** Fields of the form: a ring. */
export const ringFields = { ring: v.optional(ringSchema, USUAL_RING) };
