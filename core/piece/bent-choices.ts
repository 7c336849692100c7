/** Fields of the form: legs that bend: an arm under the top, and a leg mitred to it. */
import * as v from "valibot";
import { between, choice, distance, size } from "./fields";

export const BENT_WAYS = ["across", "along", "corner"] as const;

const bentSchema = v.strictObject({
  /** which way the arms run to the rim: across the top, along it, or out of the middle to the corners */
  way: choice("way of the arms", BENT_WAYS),
  /** outward from upright, degrees */
  splay: between("splay", 0, 30, "°"),
  /** in the plane of the bend at the mitre, and at the foot */
  section: size("section at the bend", 20, 200),
  foot: size("leg section at the foot", 12, 200),
  /** across that plane */
  thickness: size("thickness of arm and leg", 15, 150),
  arm: v.strictObject({
    length: size("arm length", 60, 1500),
    /** at its inner end */
    end: size("arm depth at its inner end", 8, 200),
  }),
  /** from the top's side, and from its end, to the outside of the bend */
  setIn: v.strictObject({ side: distance("set-in from the sides", 800), end: distance("set-in from the ends", 1500) }),
  joint: choice("mitre held by", ["spline", "loose"]),
});
export type BentChoices = v.InferOutput<typeof bentSchema>;

/** @source common practice */
export const USUAL_BENT: BentChoices = {
  ...{ way: "across", splay: 8, section: 60, foot: 35, thickness: 36 },
  arm: { length: 220, end: 30 },
  setIn: { side: 100, end: 200 },
  joint: "spline",
};
export const bentFields = { bent: v.optional(bentSchema, USUAL_BENT) };
