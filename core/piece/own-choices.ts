/** Parts a maker adds by size and place, and how they are joined to what they touch. */
import * as v from "valibot";
import { between, choice, distance, list, name, size, text } from "./fields";

export const OWN_GRAIN = ["along", "across", "upright"] as const;
export const OWN_RESTS = ["floor", "under-top", "free"] as const;
export const OWN_TIMES = ["once", "sides", "ends", "corners"] as const;
export const OWN_JOINS = ["none", "screwed", "slotted", "tenoned", "loose-tenons", "dowelled", "pockets"] as const;

/** A part of the maker's own: its middle from the top's middle, to the right and to the front, mm. */
const ownPartSchema = v.strictObject({
  /** its kind, such as "own-1": what the cut list, the joints and what is ticked go by */
  id: v.pipe(text("own part", 20), v.regex(/^own-[1-9]\d{0,3}$/, "An own part is called own-1, own-2 and so on.")),
  name: name("name of the part"),
  length: size("part length", 10, 6000),
  width: size("part width", 5, 1000),
  thickness: size("part thickness", 3, 300),
  x: between("part's place", -3500, 3500, " mm"),
  z: between("part's place", -1500, 1500, " mm"),
  /** where its lowest point is: on the floor, its highest under the top, or so high */
  rests: choice("where the part rests", OWN_RESTS),
  height: distance("part height", 1500),
  /** which way its grain runs, how far that climbs or leans, and whether its broad side lies or stands */
  grain: choice("part's grain", OWN_GRAIN),
  lean: between("lean of the part", -80, 80, "°"),
  lies: choice("how the part lies", ["flat", "on-edge"]),
  /** once, or mirrored to the other side, the other end, all four corners */
  times: choice("how often the part is there", OWN_TIMES),
});
export type OwnPart = v.InferOutput<typeof ownPartSchema>;

const joinSchema = v.strictObject({
  own: text("own part", 20),
  /** kind of the part it touches */
  to: text("what it is joined to", 60),
  how: choice("how it is joined", OWN_JOINS),
});
export type OwnJoin = v.InferOutput<typeof joinSchema>;

export const ownSchema = v.strictObject({
  parts: v.pipe(
    list("own parts", ownPartSchema, 20),
    v.check(
      (parts) => new Set(parts.map(({ id }) => id)).size === parts.length,
      "Two own parts have one id: give each its own, such as own-1 and own-2.",
    ),
  ),
  joins: list("joins of own parts", joinSchema, 80),
});
export type Own = v.InferOutput<typeof ownSchema>;
export const NO_OWN: Own = { parts: [], joins: [] };
