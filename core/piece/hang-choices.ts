/** How a case hangs on its wall: the rail it hangs by, what the wall is, what a screw in it carries. */
import * as v from "valibot";
import { between, choice, count, size } from "./fields";

export const WALLS = ["masonry", "studs"] as const;

export const hangSchema = v.strictObject({
  rail: size("height of the hanging rail", 40, 250),
  wall: choice("what the wall is", WALLS),
  /** screws in plugs, over all rails */
  fixings: count("screws in the wall", 1, 24),
  /** from the middle of one stud to the next */
  studs: size("distance of the studs", 200, 900),
  /** what one screw in this wall carries by its maker's table: pulled out of it, and across it */
  pulls: between("what a screw holds pulled out", 1, 500, " kg"),
  bears: between("what a screw carries across", 1, 500, " kg"),
});
export type HangChoice = v.InferOutput<typeof hangSchema>;

/** An 8 mm screw in a nylon plug in brick, or 6 mm in a stud. @source common practice; the packet's own table counts */
export const USUAL_HANG: HangChoice = { rail: 90, wall: "masonry", fixings: 4, studs: 600, pulls: 40, bears: 60 };
