/** What a maker may choose in a brief beside the room: what the piece is used as, and things it must make room for. */
import * as v from "valibot";
import { choice, distance, list, name, size, text } from "./fields";

/** A table is one to dine at: that was the first use there was. */
export const USES = ["table", "desk", "standing", "meeting", "low", "side", "stand", "case", "bench", "stool"] as const;

/** Where a thing goes: under from a long side or from an end, on the top, or down onto it from above. */
export const THING_WAYS = ["under-side", "under-end", "on", "down"] as const;

/** A thing the piece must make room for: as it stands before that side, its length along it and its width into it; `height` of what comes down is where it comes to, above the floor. mm */
const thingSchema = v.strictObject({
  name: name("thing"),
  how: choice("where it goes", THING_WAYS),
  length: size("thing's length", 10, 6000),
  width: size("thing's width", 10, 3000),
  height: size("thing's height", 5, 3000),
  gap: distance("gap wanted around it", 500),
  /** another piece of the commission, by its id, whose sizes these were; null where it is none of ours */
  of: v.optional(v.nullable(text("piece it is", 60)), null),
});
export type Thing = v.InferOutput<typeof thingSchema>;
export const thingsField = { things: v.optional(list("things", thingSchema, 12), []) };
