/** Fields of the form: legs tenoned into the top itself, with nothing between them. */
import * as v from "valibot";
import { STICKS_OF } from "../assembly/sort";
import { between, choice, count, distance, size } from "./fields";

/** Four at the corners, or any number round the middle. */
export const STAKED_STANDS = ["corners", "round"] as const;
export const STAKED_SHAPES = ["square", "round"] as const;
/** Tenons come through the top and are wedged, or stop in it. */
export const STAKED_TENONS = ["wedged", "blind"] as const;

const stakedSchema = v.strictObject({
  stand: choice("where legs stand", STAKED_STANDS),
  /** of those round the middle: how many, and where the first stands, from the right-hand end toward the front, degrees */
  legs: count("legs round the middle", 3, 6),
  turn: between("turn of the legs", 0, 359, "°"),
  /** outward from upright: toward the top's ends and its sides at the corners, straight outward round the middle */
  splay: v.strictObject({
    end: between("splay toward the ends", 0, 30, "°"),
    side: between("splay toward the sides", 0, 30, "°"),
    out: between("splay outward", 0, 30, "°"),
  }),
  /** of the mortises' middles below the top: from its ends and sides, or from its rim */
  setIn: v.strictObject({
    end: distance("set-in of the mortises from the ends", 1500),
    side: distance("set-in of the mortises from the sides", 800),
    rim: distance("set-in of the mortises from the rim", 800),
  }),
  section: size("leg section", 20, 250),
  foot: size("leg section at the foot", 12, 250),
  shape: choice("leg shape", STAKED_SHAPES),
  make: choice("how a leg is made", STICKS_OF),
  tenon: v.strictObject({
    shape: choice("tenon shape", STAKED_SHAPES),
    /** across it; null: Taller chooses */
    size: v.nullable(size("tenon size", 12, 150)),
    ends: choice("where tenons end", STAKED_TENONS),
    proud: distance("tenons proud of the top", 30),
  }),
});
export type StakedChoices = v.InferOutput<typeof stakedSchema>;

/** @source common practice */
export const USUAL_STAKED: StakedChoices = {
  ...{ stand: "corners", legs: 3, turn: 90 },
  splay: { end: 10, side: 8, out: 10 },
  setIn: { end: 160, side: 110, rim: 110 },
  ...{ section: 50, foot: 34, shape: "round", make: "solid" },
  tenon: { shape: "round", size: null, ends: "wedged", proud: 0 },
};
export const stakedFields = { staked: v.optional(stakedSchema, USUAL_STAKED) };
