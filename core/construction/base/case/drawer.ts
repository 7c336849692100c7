/** A drawer of solid wood in its opening: front flush with the case, sides on runners, the back lower than the sides. mm */
import type { CaseChoices } from "../../../piece/case-choices";
import type { Form } from "../../../piece/schema";
import type { PanelPlace } from "../../geometry";
import type { Case, Drawer } from "./case";
import type { Span } from "../leg-frame/place";

/** Sizes of a drawer, mm. @source common practice */
export const DRAWER = {
  /** its front stands so much clear of the rail below it */
  clear: 1,
  /** the bottom's groove: so far above the sides' lower edge, so deep, and no deeper than this share of a side */
  up: 9,
  groove: 5,
  share: 0.45,
  /** the back ends so far below the sides' upper edge: air goes out there */
  lower: 6,
  /** a solid bottom is left so much short behind, for what it swells; and so much in its length */
  loose: 0.5,
  /** what can be a drawer: inside it, and its sides */
  least: 30,
};

/** @returns null where nothing is left for one: the rules say so */
export function drawerOf(
  { front, side, bottomThickness, above, beside, behind }: CaseChoices["drawers"],
  bay: Span,
  opening: Span,
  { front: face, back }: { front: number; back: number },
): Omit<Drawer, "bay" | "row"> | null {
  const across = { from: bay.from + beside, to: bay.to - beside };
  const high = { from: opening.from, to: opening.to - above };
  const deep = { from: back + behind, to: face };
  const bottom = {
    thickness: bottomThickness,
    from: high.from + DRAWER.up,
    groove: Math.min(DRAWER.groove, side * DRAWER.share),
  };
  const width = across.to - across.from;
  const behindFront = deep.to - front - deep.from - side;
  const backFrom = bottom.from + bottom.thickness;
  const backTo = high.to - Math.min(DRAWER.lower, (high.to - backFrom) / 4);
  if (width - 2 * side < DRAWER.least || behindFront < DRAWER.least || backTo - backFrom < DRAWER.least / 2)
    return null;
  return {
    ...{ n: 0, size: 1, turned: null, across, width, high, deep, side, bottom },
    opening: opening.to - opening.from,
    front: { thickness: front, from: high.from + DRAWER.clear },
    back: { from: backFrom, to: backTo },
  };
}

/** `drawer-side`, `drawer-side-2`: parts of drawers of one size. */
export const ofSize = (kind: string, { size }: Pick<Drawer, "size">) => (size > 1 ? `${kind}-${size}` : kind);

/** What a bottom measures: its grain from side to side. */
export const bottomSize = ({ across, deep, side, front, bottom }: Drawer, solid: boolean) => ({
  length: across.to - across.from - 2 * side + 2 * bottom.groove - 2 * DRAWER.loose,
  // in the front's groove, out below the back
  width: deep.to - front.thickness - deep.from + bottom.groove - (solid ? 0 : DRAWER.loose),
  thickness: bottom.thickness,
});

/** Wood in a drawer, mm³: its boards by their sizes between the joints, and the tails in front. */
export function woodIn({ width, high, deep, side, front, back, bottom }: Drawer): number {
  const [up, long] = [high.to - high.from, deep.to - deep.from];
  const around = 2 * side * up * (long - front.thickness) + side * (back.to - back.from) * (width - 2 * side);
  return width * up * front.thickness + around + bottom.thickness * (width - 2 * side) * (long - front.thickness);
}

/** Bottoms that are glued up from boards. */
export function drawerPanels({ drawers }: Pick<Case, "drawers">, { case: { drawers: choice } }: Form): PanelPlace[] {
  if (choice.bottom !== "solid") return [];
  return drawers.map((drawer) => ({
    ...{ id: `drawer-bottom-${drawer.n}`, kind: ofSize("drawer-bottom", drawer), part: `X${drawer.n}` },
    name: `bottom of drawer ${drawer.n}`,
    ...bottomSize(drawer, true),
    sizesAt: ["form", "case", "drawers"],
  }));
}
