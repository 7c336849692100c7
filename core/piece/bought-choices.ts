/** Fields of the form: legs that are bought, or made of metal to order, and bolted below the top. */
import * as v from "valibot";
import { between, choice, count, distance, size } from "./fields";

export const BOUGHT_KINDS = ["frames", "hairpins", "pedestal", "lift", "welded"] as const;
/** Hairpin legs at the corners, or in a circle: the first on the line of the grain, the others evenly from it. */
export const LEGS_STAND = ["corners", "circle"] as const;
export const COATINGS = ["raw", "waxed", "powder"] as const;

const USUAL_WELDED = { wall: 3, sled: false, coating: "powder" as const, coatingWeeks: 1 };
const USUAL_BRACKET = { long: 40, slot: 14, screw: 4 };

const boughtSchema = v.strictObject({
  kind: choice("bought legs", BOUGHT_KINDS),
  count: count("bought legs", 1, 6),
  /** from the top's sides to the outside of a frame, or of a leg's plate */
  setIn: distance("set-in of the bought legs", 1200),
  /** of a frame over all, or of a foot, across the top */
  width: size("width of a bought frame", 60, 2000),
  /** its bar or tube, seen from the end and from the side */
  bar: size("bar of the bought legs", 6, 150),
  /** how far it spreads from plate to foot */
  spread: distance("spread of the bought legs", 400),
  plate: v.strictObject({
    length: size("plate length", 20, 800),
    width: size("plate width", 20, 1500),
    thickness: size("plate thickness", 2, 30),
    /** rows along the top, and holes in each row across it */
    rows: count("rows of holes", 1, 3),
    holes: count("holes in a row", 1, 8),
  }),
  /** each, kg */
  mass: between("mass of one", 0.1, 150, " kg"),
  rating: between("rating of one", 1, 1000, " kg"),
  /** heights a lifting frame goes between, mm under the top */
  low: size("lowest height of the frame", 150, 1500),
  high: size("highest height of the frame", 150, 1500),
  weeks: between("lead time", 0, 52, " weeks"),
  legs: v.optional(choice("where hairpin legs stand", LEGS_STAND), "corners"),
  /** one frame welded whole from square tube, to the maker's own drawing */
  welded: v.optional(
    v.strictObject({
      wall: between("wall of the tube", 1, 12, " mm"),
      /** tubes on the floor from leg to leg at both ends */
      sled: v.boolean("Tubes lie on the floor or not."),
      coating: choice("coating", COATINGS),
      /** after it is welded */
      coatingWeeks: between("weeks of coating", 0, 26, " weeks"),
    }),
    USUAL_WELDED,
  ),
  /** on which a shelf lies between the legs: a slot across the shelf's grain at each */
  bracket: v.optional(
    v.strictObject({
      long: size("length of a shelf bracket", 15, 200),
      slot: size("slot of a shelf bracket", 4, 60),
      screw: size("screw of a shelf bracket", 2, 10),
    }),
    USUAL_BRACKET,
  ),
  /** what came was measured, and what is drawn is what came */
  measured: v.boolean("The bought legs were measured or not."),
  /** threaded inserts, or screws straight into the wood */
  into: choice("what the bolts go into", ["inserts", "screws"]),
});
export type BoughtChoices = v.InferOutput<typeof boughtSchema>;

/** A pair of welded frames. @source common practice */
export const USUAL_BOUGHT: BoughtChoices = {
  ...{ kind: "frames", count: 2, setIn: 90, width: 650, bar: 60, spread: 0 },
  plate: { length: 100, width: 600, thickness: 5, rows: 2, holes: 5 },
  ...{ mass: 11, rating: 150, low: 620, high: 1250, weeks: 4, measured: false, into: "inserts" },
  ...{ legs: "corners", welded: USUAL_WELDED, bracket: USUAL_BRACKET },
};
/** Fields of the form: bought legs. */
export const boughtFields = { bought: v.optional(boughtSchema, USUAL_BOUGHT) };
