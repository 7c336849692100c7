/** Fields of the form: legs that splay outward under rails all round, four at the corners or any number in a round. */
import * as v from "valibot";
import { between, choice, count, distance, size } from "./fields";

/** Low between the legs: none, from leg to leg all round, or two at the ends with one between them (of legs at the corners). */
export const SPLAY_LOWS = ["none", "box", "h"] as const;

/** @source common practice */
const USUAL_RING = { legs: 3, turn: 90, splay: 8, setIn: 90 };

const splayedFrameSchema = v.strictObject({
  stand: v.optional(choice("where legs stand", ["corners", "round"]), "corners"),
  /** legs in a round: evenly on a circle, each leaning straight out from the middle */
  ring: v.optional(
    v.strictObject({
      legs: count("legs in a round", 3, 6),
      /** where the first leg stands, from the right-hand end toward the front, degrees */
      turn: between("turn of the legs in a round", 0, 359, "°"),
      splay: between("splay of the legs in a round", 0, 25, "°"),
      /** from the rim, where it is nearest to the middle, to the outside of the heads */
      setIn: distance("set-in of the heads from the rim", 1200),
    }),
    USUAL_RING,
  ),
  /** outward from upright, toward the top's ends and toward its sides, degrees */
  splay: v.strictObject({
    end: between("splay toward the ends", 0, 25, "°"),
    side: between("splay toward the sides", 0, 25, "°"),
  }),
  /** from the top's ends and sides to the outside of the heads */
  setIn: v.strictObject({
    end: distance("set-in of the heads from the ends", 1200),
    side: distance("set-in of the heads from the sides", 1200),
  }),
  /** below the rails; where those end at them legs have flat faces */
  shape: v.optional(choice("legs below the rails", ["square", "round"]), "square"),
  section: size("leg section", 20, 200),
  foot: size("leg section at the foot", 12, 200),
  rail: v.strictObject({
    /** plumb, from its upper edge to its lower */
    depth: size("rail depth", 20, 250),
    thickness: size("rail thickness", 10, 100),
    /** of its face behind the legs' faces, under the top */
    reveal: distance("reveal", 60),
    stands: choice("how rails stand", ["leaning", "plumb"]),
  }),
  low: v.strictObject({
    kind: choice("low stretchers", SPLAY_LOWS),
    /** of their underside above the floor */
    height: distance("height of the low stretchers", 1200),
    depth: size("low stretcher depth", 10, 200),
    thickness: size("low stretcher thickness", 8, 120),
  }),
});
export type SplayedFrameChoices = v.InferOutput<typeof splayedFrameSchema>;

/** @source common practice */
export const USUAL_SPLAYED_FRAME: SplayedFrameChoices = {
  ...{ stand: "corners", ring: USUAL_RING },
  splay: { end: 8, side: 8 },
  setIn: { end: 130, side: 105 },
  ...{ shape: "square", section: 60, foot: 36 },
  rail: { depth: 75, thickness: 22, reveal: 3, stands: "leaning" },
  low: { kind: "none", height: 150, depth: 38, thickness: 24 },
};
export const splayedFrameFields = { splayedFrame: v.optional(splayedFrameSchema, USUAL_SPLAYED_FRAME) };
