/** Fields of the form: legs that splay outward under arms that meet in the middle. */
import * as v from "valibot";
import { between, choice, count, distance, size } from "./fields";

/** @source common practice */
const USUAL_RIM = { kind: "under" as "under" | "beside", proud: 18, above: 0, gap: 4 };

/** @source common practice */
const USUAL_STAR = { kind: "none" as "none" | "star", height: 160, depth: 45, thickness: 26 };

const splayedSchema = v.strictObject({
  legs: count("splayed legs", 3, 6),
  /** where the first leg stands, from the right-hand end toward the front, degrees */
  turn: between("turn of the legs", 0, 359, "°"),
  /** outward from upright, degrees */
  splay: between("splay", 0, 30, "°"),
  section: size("leg section", 20, 200),
  foot: size("leg section at the foot", 12, 200),
  shape: v.optional(choice("leg shape", ["square", "round"]), "square"),
  /** from the top's rim to the outside of the heads */
  setIn: distance("set-in of the heads", 1200),
  /** heads end under the top, or stand outside its rim with a rebate for it */
  rim: v.optional(
    v.strictObject({
      kind: choice("heads and rim", ["under", "beside"]),
      /** of their outsides, past the rim at the top's underside */
      proud: size("heads proud of the rim", 1, 80),
      /** of their ends, over the top's face */
      above: distance("heads above the top", 300),
      /** between the rim and the rebate's wall, on the day */
      gap: between("gap at the rebate", 0, 10, "mm"),
    }),
    USUAL_RIM,
  ),
  arm: v.strictObject({
    depth: size("arm depth", 20, 200),
    thickness: size("arm thickness", 15, 200),
  }),
  /** how legs meet their arms, and arms one another */
  joint: choice("leg to arm", ["bridle", "loose", "tenon"]),
  hub: choice("middle of the arms", ["mitred", "lapped"]),
  /** low between the legs, under each arm: they meet in the middle as the arms do */
  star: v.optional(
    v.strictObject({
      kind: choice("star stretcher", ["none", "star"]),
      /** of its underside above the floor */
      height: distance("height of the star", 1200),
      depth: size("depth of the star", 12, 150),
      thickness: size("thickness of the star", 10, 120),
    }),
    USUAL_STAR,
  ),
});
export type SplayedChoices = v.InferOutput<typeof splayedSchema>;

/** @source common practice */
export const USUAL_SPLAYED: SplayedChoices = {
  ...{ legs: 4, turn: 45, splay: 8, section: 55, foot: 38, setIn: 90, shape: "square" },
  arm: { depth: 60, thickness: 45 },
  ...{ joint: "bridle", hub: "lapped", rim: USUAL_RIM, star: USUAL_STAR },
};
/** Fields of the form: splayed legs. */
export const splayedFields = { splayed: v.optional(splayedSchema, USUAL_SPLAYED) };
