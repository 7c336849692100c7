/** Fields of the form: a top that comes apart across its grain in its middle, to let leaves in, because it is carried in two, because no board is as long as it is: then its ends are glued; or round a piece whose grain runs across. */
import * as v from "valibot";
import { between, choice, count, distance, size } from "./fields";

export const PARTINGS = ["none", "leaves", "drawn", "glued", "middle"] as const;

/**
 * Halves and leaves each from their own boards; or in a row from one blank, the leaves between the halves so that the grain runs on when the table
 * is open, or after them so that it does when it is closed.
 */
export const PARTED_BLANKS = ["apart", "open", "closed"] as const;

/** @source common practice */
const USUAL_MIDDLE = { width: 120, slide: 5 };

const partingSchema = v.strictObject({
  kind: choice("top in parts", PARTINGS),
  blank: choice("blank of halves and leaves", PARTED_BLANKS),
  leaves: count("leaves", 1, 6),
  /** along the table: what one adds to it */
  leaf: size("leaf length along the table", 80, 1200),
  /** rails below the leaves, so that the apron goes on when the table is open */
  apron: v.boolean("Rails below the leaves are there or not."),
  /** a pair, as it is sold: one member stays with each half */
  slides: v.strictObject({
    closed: size("length of the slides, closed", 150, 3000),
    opens: size("how far the slides open", 80, 5000),
    height: size("height of the slides", 10, 150),
    thickness: size("thickness of one member of a slide", 5, 80),
    /** in their middle when they are open, and how far they sag under that */
    carries: between("what a pair of slides carries", 5, 500, " kg"),
    sags: distance("sag of the open slides under their load", 40),
  }),
  /** a piece between the halves whose grain runs across: along the table; how far its tenons slide each way */
  middle: v.optional(
    v.strictObject({
      width: size("width of the middle piece", 30, 400),
      slide: distance("way the tenons slide", 20),
    }),
    USUAL_MIDDLE,
  ),
  /** bolts that draw the two halves together, let in below */
  connectors: count("connectors across the seam", 2, 8),
});
export type PartingChoices = v.InferOutput<typeof partingSchema>;

/** @source common practice */
export const USUAL_PARTING: PartingChoices = {
  ...{ kind: "none", blank: "closed", leaves: 2, leaf: 400, apron: true },
  slides: { closed: 900, opens: 900, height: 55, thickness: 22, carries: 80, sags: 4 },
  ...{ connectors: 3, middle: USUAL_MIDDLE },
};
/** Fields of the form: a top in parts. */
export const partingFields = { parting: v.optional(partingSchema, USUAL_PARTING) };
