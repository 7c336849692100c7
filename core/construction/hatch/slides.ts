/** A lid that slides out of an end of the top: slips glued into its long edges, which run in grooves of the opening. mm */
import type { AssemblyPart, Pose, Worked } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import { BACK, RIGHT, Vec } from "../../assembly/vector";
import type { PieceGeometry } from "../geometry";
import type { Hatch } from "./facts";

/** A slip’s share of the thickness; how deep it sits in the lid, and in the opening’s side; how much deeper the groove is there, and wider; how far of its length a lid slides out, mm. @source common practice */
const SLIP = { share: 1 / 3, into: 8, deeper: 1.5, play: 0.4, out: 0.8 };

const SLIP_BY = "hatch-slip";

/** Thickness of a slip, and how much stays above and below it. */
export const slipOf = ({ top }: Pick<PieceGeometry, "top">) => {
  const thickness = Math.max(2, Math.round(top.thickness * SLIP.share));
  return { thickness, above: (top.thickness - thickness) / 2, into: SLIP.into, deeper: SLIP.deeper, play: SLIP.play };
};

/** Two grooves in the edges of the lid, in its own frame. */
export function lidGrooves(at: PieceGeometry, lid: { length: number; width: number }): Worked[] {
  const { thickness, above } = slipOf(at);
  return [0, lid.width - SLIP.into].map((from) => ({
    by: SLIP_BY,
    shape: { length: lid.length, width: SLIP.into, thickness },
    place: { ...HOME, at: [0, from, above] },
  }));
}

/** Two grooves in the sides of the opening, in the top’s frame. @param middle  the middle of its panel there */
export function topGrooves({ x, y }: Hatch, at: PieceGeometry, middle: Vec): Worked[] {
  const { thickness, above } = slipOf(at);
  const deep = SLIP.into + SLIP.deeper;
  return [y.from - deep, y.to].map((from) => ({
    by: SLIP_BY,
    shape: { length: x.to - x.from, width: deep, thickness: thickness + SLIP.play },
    place: { ...HOME, at: [middle[0] + x.from, middle[1] + from, above - SLIP.play / 2] },
  }));
}

/** What is glued into the lid and runs in the top. @param length  of the lid */
export function slipParts(hatch: Hatch, at: PieceGeometry, length: number): AssemblyPart[] {
  const { x, y, gap, slides } = hatch;
  const { thickness, above } = slipOf(at);
  const wide = 2 * SLIP.into + gap;
  const from = slides === -1 ? x.from : x.from + gap;
  return [y.from - SLIP.into, y.to - gap - SLIP.into].map((front, i) => ({
    ...{ id: `HS${i + 1}`, kind: "hatch-slip", name: "Slip", said: "slip of the lid", letter: "HS" },
    ...{ role: "rail", make: "solid" },
    note: "Straight-grained; glued into the lid’s edge, waxed where it runs.",
    shape: { length, width: wide, thickness },
    place: { at: [from, at.under + above, -front], x: RIGHT, y: BACK },
    ...{ adds: [], cuts: [], opens: [0, 0, i === 0 ? 60 : -60] },
  }));
}

/** Most of it out of the end: what stays in the grooves carries it. */
export function slidOut({ slides }: Hatch, parts: readonly AssemblyPart[]): Pose {
  const long = parts[0].shape.length * SLIP.out * slides!;
  return {
    ...{ id: "hatch-out", name: "the lid in the top slid out" },
    places: Object.fromEntries(
      parts.map(({ id, place }) => [id, { ...place, at: [place.at[0] + long, place.at[1], place.at[2]] as Vec }]),
    ),
  };
}
