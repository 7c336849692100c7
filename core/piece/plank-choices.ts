/** Fields of the form: panels that stand on end below the top, their grain upright. */
import * as v from "valibot";
import { choice, count, distance, size } from "./fields";
import { MITRES } from "./mitre-choices";

/** Parts round a corner are composed each by itself, or cut in a row from one blank. */
export const BLANKS = ["apart", "one"] as const;

/** @source common practice */
const USUAL_WALL = {
  kind: "none" as "none" | "housed",
  place: "back" as "middle" | "back",
  height: 200,
  depth: 300,
  thickness: 20,
};

const plankSchema = v.strictObject({
  ends: count("plank ends", 2, 3),
  /** across the top; from its sides to the ends' edges */
  setIn: distance("set-in of the ends", 1000),
  thickness: size("thickness of the ends", 10, 120),
  /** how the top meets them: mitred with the grain running over, let in, on loose tenons, or by tenons that come through it */
  joint: choice("end to top", ["mitred", "housed", "loose", "through"]),
  /** what holds mitres */
  mitre: v.optional(choice("what holds the mitres", MITRES), "loose"),
  /** of tenons that come through the top */
  proud: v.optional(distance("tenons proud of the top", 30), 0),
  /** mitred ends may be closed by a board on the floor: the grain runs round all four */
  floor: v.optional(choice("board below", ["none", "mitred"]), "none"),
  /** mitred ends come off one blank with the top, so that the grain runs on, or each from its own boards */
  blank: v.optional(choice("blank of top and ends", BLANKS), "apart"),
  /** what is cut from the middle of the foot, so that it stands on two */
  relief: distance("foot relief", 200),
  stretcher: v.strictObject({
    kind: choice("stretcher", ["none", "wedged", "blind"]),
    height: distance("stretcher height", 1200),
    depth: size("stretcher depth", 15, 500),
    thickness: size("stretcher thickness", 10, 120),
    proud: distance("tenon proud", 80),
  }),
  /** a board on edge from end to end, its grain along the piece, let into them */
  wall: v.optional(
    v.strictObject({
      kind: choice("wall between the ends", ["none", "housed"]),
      place: choice("where the wall stands", ["middle", "back"]),
      height: distance("height of the wall", 1200),
      depth: size("wall from edge to edge", 60, 1200),
      thickness: size("thickness of the wall", 8, 60),
    }),
    USUAL_WALL,
  ),
});
export type PlankChoices = v.InferOutput<typeof plankSchema>;

/** @source common practice */
export const USUAL_PLANK: PlankChoices = {
  ...{
    ends: 2,
    setIn: 40,
    thickness: 32,
    joint: "housed",
    floor: "none",
    blank: "apart",
    relief: 15,
    proud: 0,
    mitre: "loose",
  },
  wall: USUAL_WALL,
  stretcher: { kind: "wedged", height: 180, depth: 100, thickness: 28, proud: 6 },
};
/** Fields of the form: plank ends. */
export const plankFields = { plank: v.optional(plankSchema, USUAL_PLANK) };
