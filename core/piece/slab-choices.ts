/** Fields of the form: a top of slabs with their own edges, and glass let in between two. */
import * as v from "valibot";
import { choice, count, distance, list, size } from "./fields";

/** Where a slab's two edges lie, so far from the left end: measured back from a straight line along the top's front. */
const stationSchema = v.strictObject({
  at: distance("distance of a measured width from the left end", 6000),
  from: distance("front edge of a slab", 2500),
  to: distance("back edge of a slab", 2500),
});
export type Station = v.InferOutput<typeof stationSchema>;

const slabsSchema = v.strictObject({
  count: count("slabs", 1, 2),
  front: list("measured widths of the front slab", stationSchema, 30, 1),
  back: list("measured widths of the back slab", stationSchema, 30, 1),
  between: v.strictObject({
    kind: choice("what lies between the slabs", ["nothing", "glass"]),
    thickness: size("glass thickness", 3, 25),
    /** how wide the rebate is that it lies in, and how much room it has in that beside each edge */
    seat: size("seat of the glass", 4, 60),
    clear: distance("room beside the glass", 20),
    /** of the cutter that follows the glass's template */
    radius: size("radius of the cutter", 2, 40),
    weeks: distance("weeks the glass takes", 26),
    /** the glass has come, and its own template guides the cutter */
    measured: v.boolean("The glass was measured or not."),
  }),
});
export type SlabChoices = v.InferOutput<typeof slabsSchema>;

/** Two slabs of a table 1800 by 850. Ours, to begin from. */
export const USUAL_SLABS: SlabChoices = {
  count: 2,
  front: [
    { at: 0, from: 0, to: 352 },
    { at: 450, from: 8, to: 380 },
    { at: 900, from: 4, to: 361 },
    { at: 1350, from: 10, to: 372 },
    { at: 1800, from: 0, to: 345 },
  ],
  back: [
    { at: 0, from: 503, to: 850 },
    { at: 450, from: 512, to: 842 },
    { at: 900, from: 486, to: 846 },
    { at: 1350, from: 498, to: 838 },
    { at: 1800, from: 510, to: 850 },
  ],
  between: { kind: "glass", thickness: 10, seat: 18, clear: 3, radius: 8, weeks: 3, measured: false },
};
/** Fields of the form: slabs. */
export const slabFields = { slabs: v.optional(slabsSchema, USUAL_SLABS) };
