/** What holds corners from outside comes when they are glued. */
import { Step, stepOf } from "../../steps/step";

const HELD = {
  keyed: {
    title: "Saw the corners and glue keys in",
    detail:
      "In a cradle that holds the corner down at half its angle, a stop for each cut, all corners at one setting before the next. Keys planed to slide in, glue on both faces, down to the bottom of their cuts; sawn off and planed flush toward the corner, never away from it.",
    check: "No light beside a key, none stands off the bottom of its cut.",
  },
  dowelled: {
    title: "Bore the corners and drive dowels through",
    detail:
      "A block sawn at half the corner’s angle and drilled square guides the drill from one outer face; a waste piece behind where it comes out. Glue in the hole, the dowel driven until it shows on both sides; sawn and planed flush.",
    check: "Every hole comes out where its line is, on both faces alike.",
  },
  rebated: {
    title: "Bore the corners and drive their pins",
    detail:
      "From the outer face, a stop on the drill; glue in the hole, a pin’s tip rounded, driven home over a block; sawn and planed flush.",
    check: "Corners square, no pin comes out beside its board.",
  },
};

/** @param parts  kinds of the boards that meet at the corners */
export const cornerStep = (held: keyof typeof HELD, parts: readonly string[]): Step =>
  stepOf({ id: "corners-held", ...HELD[held], parts: [...parts], after: ["glue-base"], hours: 2 });
