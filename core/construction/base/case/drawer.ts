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

/** A box on slides: clear of what is below and above it, of the back; lengths that are sold; mm. @source common practice */
export const SLIDE = {
  ...{ rise: 6, under: 12, clear: 3 },
  sold: [250, 300, 350, 400, 450, 500, 550, 600, 700],
};

/** A side-hung drawer: its strips so high, so deep in its sides, stopped so far behind the front's inner face; air below it and in the groove; mm. @source common practice */
export const HANG = { height: 14, depth: 7, stop: 15, below: 2, play: 0.5, above: 4 };

/** How long its slides are: as typed, or the longest that is sold and goes in; null where none does. @param room  from the front's back to what is behind */
export const slideLength = (typed: number | null, room: number): number | null =>
  typed ?? SLIDE.sold.findLast((each) => each <= room) ?? null;

/** @returns null where nothing is left for one: the rules say so */
export function drawerOf(
  choice: CaseChoices["drawers"],
  bay: Span,
  opening: Span,
  space: { front: number; back: number },
): Omit<Drawer, "bay" | "row"> | null {
  const room = { bay, opening };
  if (choice.on === "slides") {
    const box = onSlides(choice, room, space);
    return box && whole(choice, box, opening);
  }
  const box = onRunners(choice, room, space);
  if (choice.on === "runners") return whole(choice, box, opening);
  const drawer = whole(choice, { ...box, high: { ...box.high, from: box.high.from + HANG.below } }, opening);
  return drawer && hungBy(drawer);
}

/** A drawer's box before what goes into it: from outside to outside, its front, what its sides enter. */
type Box = Pick<Drawer, "across" | "high" | "deep" | "front" | "head" | "slides">;
interface Room {
  bay: Span;
  opening: Span;
}

function onRunners(
  { front, above, beside, behind }: CaseChoices["drawers"],
  { bay, opening }: Room,
  { front: face, back }: { front: number; back: number },
): Box {
  const across = { from: bay.from + beside, to: bay.to - beside };
  const high = { from: opening.from, to: opening.to - above };
  return {
    ...{ across, high, deep: { from: back + behind, to: face }, slides: null },
    front: { thickness: front, from: high.from + DRAWER.clear, to: high.to, across },
    head: { thickness: front, face },
  };
}

/** Its strips lie in the middle of its sides, or above the bottom's groove where that is in the way. */
function hungBy<D extends Omit<Drawer, "bay" | "row">>(drawer: D): D {
  const { high, side, bottom, head } = drawer;
  const y = Math.max((high.from + high.to - HANG.height) / 2, bottom.from + bottom.thickness + HANG.above);
  return {
    ...drawer,
    hanger: {
      ...{ y, height: HANG.height, depth: Math.min(HANG.depth, side * DRAWER.share) },
      to: head.face - head.thickness - HANG.stop,
    },
  };
}

function onSlides(
  { front, side, above, beside, slides }: CaseChoices["drawers"],
  { bay, opening }: Room,
  { front: face, back }: { front: number; back: number },
): Box | null {
  const behindFront = face - front;
  const length = slideLength(slides.length, behindFront - back - SLIDE.clear);
  if (length === null) return null;
  const high = { from: opening.from + SLIDE.rise, to: opening.to - above - SLIDE.under };
  const y = (high.from + high.to - slides.height) / 2;
  return {
    across: { from: bay.from + slides.thick, to: bay.to - slides.thick },
    ...{ high, deep: { from: behindFront - length, to: face } },
    front: {
      ...{ thickness: front, from: opening.from + DRAWER.clear, to: opening.to - above },
      across: { from: bay.from + beside, to: bay.to - beside },
    },
    head: { thickness: side, face: behindFront },
    slides: { thick: slides.thick, height: slides.height, length, y },
  };
}

function whole(
  { side, bottomThickness }: CaseChoices["drawers"],
  box: Box,
  opening: Span,
): Omit<Drawer, "bay" | "row"> | null {
  const { across, high, deep, head } = box;
  const bottom = {
    thickness: bottomThickness,
    from: high.from + DRAWER.up,
    groove: Math.min(DRAWER.groove, side * DRAWER.share),
  };
  const width = across.to - across.from;
  const behindFront = head.face - head.thickness - deep.from - side;
  const backFrom = bottom.from + bottom.thickness;
  const backTo = high.to - Math.min(DRAWER.lower, (high.to - backFrom) / 4);
  if (width - 2 * side < DRAWER.least || behindFront < DRAWER.least || backTo - backFrom < DRAWER.least / 2)
    return null;
  return {
    ...{ n: 0, size: 1, turned: null, hanger: null, ...box, width, side, bottom },
    opening: opening.to - opening.from,
    back: { from: backFrom, to: backTo },
  };
}

/** `drawer-side`, `drawer-side-2`: parts of drawers of one size. */
export const ofSize = (kind: string, { size }: Pick<Drawer, "size">) => (size > 1 ? `${kind}-${size}` : kind);

/** What a bottom measures: its grain from side to side. */
export const bottomSize = ({ across, deep, side, head, bottom }: Drawer, solid: boolean) => ({
  length: across.to - across.from - 2 * side + 2 * bottom.groove - 2 * DRAWER.loose,
  // in the front's groove, out below the back
  width: head.face - head.thickness - deep.from + bottom.groove - (solid ? 0 : DRAWER.loose),
  thickness: bottom.thickness,
});

/** Wood in a drawer, mm³: its boards by their sizes between the joints. */
export function woodIn({ width, high, deep, side, front, slides, back, bottom }: Drawer): number {
  const [up, long] = [high.to - high.from, deep.to - deep.from];
  const heads = back.to - back.from + (slides ? up : 0);
  const around = 2 * side * up * (long - front.thickness) + side * heads * (width - 2 * side);
  const faced = (front.across.to - front.across.from) * (front.to - front.from) * front.thickness;
  return faced + around + bottom.thickness * (width - 2 * side) * (long - front.thickness);
}

/** What one holds inside, mm³. */
export const roomIn = ({ width, high, deep, side, head, bottom }: Drawer): number =>
  (width - 2 * side) * (high.to - bottom.from - bottom.thickness) * (head.face - head.thickness - deep.from - side);

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
