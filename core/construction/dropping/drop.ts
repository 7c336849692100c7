/** Leaves that hang at a top's long sides: where they turn, how they lie up and down. mm */
import type { Place } from "../../assembly/place";
import { BACK, FRONT, LEFT, RIGHT, UP, Vec } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import type { Drop, PanelPlace, PieceGeometry } from "../geometry";
import { placeGates } from "./gates";
import { passed, placeLopers } from "./lopers";

/** The middle of a hinge's knuckle lies so far above the underside; a cove has so much air about the round; edges stand so far off. @source common practice */
export const RULE = { inset: 3, air: 0.5, least: 8 };

/** What keeps leaves from hanging there as they were chosen; null where nothing does, or none were. */
export type DropHindrance = "base" | "ends" | "field" | "outline" | "parting";
export function dropHindrance({ drop, kind, ends, field, top, parting, leg }: Form): DropHindrance | null {
  if (drop.kind === "none") return null;
  if (kind !== "leg-and-apron" || leg.top === "through") return "base";
  if (ends !== "none") return "ends";
  if (field !== "solid") return "field";
  if (top.outline !== "rectangle") return "outline";
  return parting.kind === "none" ? null : "parting";
}

/** The round of a rule joint: what the top's thickness leaves between its step and the knuckle. */
export const roundOf = ({ top, drop }: Pick<Form, "top" | "drop">): number =>
  drop.joint === "rule" ? Math.max(1, top.thickness - drop.fillet - RULE.inset) : 0;

/** From the top's middle to the line a leaf turns about: below the round's middle, or beside a square edge. */
const axisOut = (form: Pick<Form, "top" | "drop">): number =>
  form.top.width / 2 + (form.drop.joint === "rule" ? -roundOf(form) : RULE.air);

/** What leaves that are up add to the top's width, mm. */
export const addedUp = (form: Form): number =>
  form.drop.kind === "none" || dropHindrance(form)
    ? 0
    : (form.drop.kind === "both" ? 2 : 1) * (axisOut(form) + RULE.air + form.drop.leaf - form.top.width / 2);

/** The same geometry with its leaves; the same where none hang. */
export function dropped<G extends PieceGeometry>(at: G, form: Form): G {
  if (form.drop.kind === "none" || dropHindrance(form)) return at;
  const { leaf, joint, fillet } = form.drop;
  const round = roundOf(form);
  const sides: Drop["sides"] = form.drop.kind === "both" ? [1, -1] : [1];
  const lopers = placeLopers(at, form, sides);
  const drop: Drop = {
    ...{ leaf, joint, fillet, round, sides, lopers, gates: placeGates(at, form, sides) },
    axis: { y: at.under + (joint === "rule" ? RULE.inset : 0), out: axisOut(form) },
  };
  const panels = drop.sides.map((side, i): PanelPlace => ({
    ...{ id: `drop-${i + 1}`, kind: "drop-leaf", part: dropId(drop, i) },
    ...{ name: drop.sides.length > 1 ? (side > 0 ? "front leaf" : "back leaf") : "leaf" },
    ...{ length: at.top.length, width: leaf, thickness: at.top.thickness, sizesAt: ["form", "drop"] },
  }));
  return { ...at, drop, bearers: passed(at.bearers, lopers), panels: [...(at.panels ?? []), ...panels] };
}

export const dropId = ({ sides }: Pick<Drop, "sides">, i: number) => (sides.length > 1 ? `DL${i + 1}` : "DL");

/** A leaf where it lies up beside the top, or hangs: both alike, one turned end for end. */
export function leafPlace(at: PieceGeometry, side: 1 | -1, up: boolean): Place {
  const { axis, leaf, joint } = at.drop!;
  const inset = joint === "rule" ? RULE.inset : 0;
  const half = at.top.length / 2;
  // from the axis: outward and up, of the corner its sizes are told from
  const [out, high] = [RULE.air + leaf, -inset];
  const [o, h] = up ? [out, high] : [high, -out];
  const corner: Vec = [side > 0 ? -half : half, axis.y + h, side * (axis.out + o)];
  return { at: corner, x: side > 0 ? RIGHT : LEFT, y: up ? (side > 0 ? BACK : FRONT) : UP };
}

/** How wide the table is with its leaves up, mm: what shows of each beside the top. */
export const widthUp = (at: Pick<PieceGeometry, "drop" | "top">): number =>
  at.drop
    ? at.top.width + at.drop.sides.length * (at.drop.axis.out + RULE.air + at.drop.leaf - at.top.width / 2)
    : at.top.width;
