/** An alcove that a case is built into, as it is measured: three widths, two plumbs, the diagonals of its floor. */
import * as v from "valibot";
import { between, distance, size } from "./fields";

export const alcoveSchema = v.strictObject({
  /** in front: at the floor, half-way up, and as high as `height` */
  floor: size("width of the alcove at the floor", 200, 6000),
  middle: size("width of the alcove half-way up", 200, 6000),
  top: size("width of the alcove above", 200, 6000),
  height: size("height the alcove was measured at", 300, 4000),
  /** how far each wall leans in, from the floor to that height; less than 0: out */
  left: between("lean of the left wall", -150, 150, " mm"),
  right: between("lean of the right wall", -150, 150, " mm"),
  depth: size("depth of the alcove", 100, 2500),
  /** on the floor: from the left corner in front to the right one behind, and from the right one in front */
  first: size("first diagonal of the alcove", 200, 7000),
  second: size("second diagonal of the alcove", 200, 7000),
  /** left free on each side at least, for the case to go in */
  gap: distance("gap beside a case in its alcove", 60),
});
export type Alcove = v.InferOutput<typeof alcoveSchema>;

/** An alcove as square as its floor, to begin from. */
export const squareAlcove = (width: number, depth: number): Alcove => {
  const diagonal = Math.round(Math.hypot(width, depth));
  return {
    ...{ floor: width, middle: width, top: width, height: 2000, left: 0, right: 0 },
    ...{ depth, first: diagonal, second: diagonal, gap: 4 },
  };
};
