/** Fields of the form: a box whose grain runs round it, with a lid. */
import * as v from "valibot";
import { between, choice, count, distance, size } from "./fields";
import { BLANKS } from "./plank-choices";
import { legFrameSchema, USUAL_LEG_FRAME } from "./leg-frame-choices";

/** How a lid is held: on hinges at the back, on brackets that lift it up and forward, or only laid on. */
export const LIDS = ["hinged", "lift", "loose"] as const;

/** @source common practice */
const USUAL_SLATS = { width: 70, gap: 10 };

const boxSchema = v.strictObject({
  stands: choice("what the box stands on", ["floor", "frame"]),
  /** of the walls; one that stands on the floor is as high as the piece lets it be */
  high: size("height of the box", 40, 1500),
  wall: size("thickness of the walls", 6, 60),
  behind: distance("overhang at the back", 300),
  corner: choice("corners of the box", ["splined", "loose-tenons", "keyed", "dowelled", "dovetailed", "rebated"]),
  slope: choice("slope of dovetails", ["1:6", "1:8"]),
  /** walls come off one blank in a row, so that the grain runs round three corners, or each from its own boards */
  blank: v.optional(choice("blank of the walls", BLANKS), "apart"),
  bottom: v.strictObject({
    of: choice("bottom of the box", ["sheet", "solid", "slats"]),
    thickness: size("thickness of the bottom", 3, 40),
    /** a solid one's: slots of its screws, and room behind it in its rebate on the day */
    slot: size("slot of the bottom's screws", 5, 40),
    free: distance("room behind the bottom", 15),
    /** from front to back, side by side: about how wide, and how far apart */
    slats: v.optional(
      v.strictObject({ width: size("width of a bottom slat", 20, 300), gap: distance("gap between bottom slats", 60) }),
      USUAL_SLATS,
    ),
  }),
  lid: v.strictObject({
    way: choice("how the lid is held", LIDS),
    /** between walls and lid, as high as the bumpers under it */
    gap: distance("gap under the lid", 20),
    /** holds a hinged lid open, and lets it down */
    stay: v.boolean("A lid stay is there or not."),
    /** steel below the lid, kg */
    ballast: between("ballast of the lid", 0, 60, " kg"),
    bracket: v.strictObject({
      mass: between("mass of a bracket", 0.1, 20, " kg"),
      /** what both together lift, kg */
      low: between("least lid of the brackets", 0, 100, " kg"),
      high: between("heaviest lid of the brackets", 0.5, 150, " kg"),
      /** closed, in the box: from front to back, up, and along the piece */
      length: size("length of a bracket", 80, 800),
      height: size("height of a bracket", 15, 400),
      width: size("width of a bracket", 5, 120),
      /** of the lid, open */
      rise: size("rise of the lid", 20, 500),
      forward: distance("way forward of the lid", 700),
      /** what of it lies on the walls' upper edges */
      flange: distance("thickness of a bracket's flange", 15),
      /** its screws, and its slots for them */
      screw: size("length of a bracket's screws", 8, 60),
      slot: size("slot of a bracket's screws", 4, 40),
      weeks: count("weeks until the brackets come", 0, 52),
      measured: v.boolean("The brackets were measured or not."),
    }),
  }),
  frame: legFrameSchema,
});
export type BoxChoices = v.InferOutput<typeof boxSchema>;

/** @source common practice; loads of lift brackets as their makers give them: one in use wants a lid over 9 kg */
export const USUAL_BOX: BoxChoices = {
  ...{ stands: "frame", high: 240, wall: 20, behind: 0, corner: "splined", slope: "1:8", blank: "apart" },
  bottom: { of: "sheet", thickness: 12, slot: 12, free: 4, slats: USUAL_SLATS },
  lid: {
    ...{ way: "hinged", gap: 2, stay: true, ballast: 0 },
    bracket: {
      ...{ mass: 1.6, low: 9, high: 13, length: 330, height: 95, width: 45, rise: 160, forward: 330, flange: 1.5 },
      ...{ screw: 16, slot: 12, weeks: 3, measured: false },
    },
  },
  frame: USUAL_LEG_FRAME,
};
export const boxFields = { box: v.optional(boxSchema, USUAL_BOX) };
