/** A top that comes apart across its grain in its middle: which tops do, what comes between, from which blanks. mm */
import { CUT_LOST, rowLength } from "../../panels/row";
import type { BaseName } from "../../piece/base-choices";
import { measuredOr } from "../../piece/measured";
import type { AsBuilt, Form } from "../../piece/schema";
import { addedUp } from "../dropping/drop";
import type { PanelPlace, PanelRow, Parting, PieceGeometry } from "../geometry";

/** What stands below a top that is drawn together from two, or glued end to end. */
const CARRIES: readonly BaseName[] = [
  ...(["leg-and-apron", "trestle", "x-frame", "splayed"] as const),
  ...(["splayed-frame", "bent", "bought", "existing"] as const),
];
/** Bases whose own frame is parted with the top, and those that carry a top drawn together from two. */
const BASES: Record<Parting["kind"], readonly BaseName[]> = {
  leaves: ["leg-and-apron"],
  drawn: CARRIES,
  glued: CARRIES,
  middle: CARRIES,
};

/** What keeps a top from being parted as it was chosen; null where nothing does, or nothing was. */
export type Hindrance = "base" | "ends" | "field" | "outline";
export function hindrance({ parting, kind, ends, field, top }: Form): Hindrance | null {
  if (parting.kind === "none") return null;
  if (!BASES[parting.kind].includes(kind)) return "base";
  if (ends !== "none") return "ends";
  if (field !== "solid") return "field";
  // a piece across has straight ends, and nothing is cut out of it
  return parting.kind === "middle" && (top.outline !== "rectangle" || top.cutouts.length > 0) ? "outline" : null;
}

/** Whether leaves go in, so that what stands below is parted as well. */
export const letsLeavesIn = (form: Form): boolean => form.parting.kind === "leaves" && hindrance(form) === null;

/** What is planned for the middle of the top; null where it is whole. */
export function partingOf(form: Form, asBuilt: readonly AsBuilt[]): Parting | null {
  const { kind, leaves, leaf } = form.parting;
  if (kind === "none" || hindrance(form) !== null) return null;
  if (kind !== "leaves") {
    const middle = kind === "middle" ? measuredOr(asBuilt, "middle-piece", "width", form.parting.middle.width) : 0;
    return { kind, leaves: 0, leaf: 0, opens: 0, middle };
  }
  const long = measuredOr(asBuilt, "leaf", "length", leaf);
  return { kind, leaves, leaf: long, opens: leaves * long, middle: 0 };
}

const leafName = (i: number, of: number) => (of > 1 ? `leaf ${i + 1}` : "leaf");

/** The same geometry with its top in two halves: each as long as the other, and what they are sawn from. */
export function parted<G extends PieceGeometry>(at: G, form: Form, asBuilt: readonly AsBuilt[]): G {
  const parting = partingOf(form, asBuilt);
  if (!parting) return at;
  const { leaves, leaf } = parting;
  const half = Math.max(1, (at.top.length - parting.middle) / 2);
  const between = Array.from({ length: leaves }, (_, i) => ({ name: leafName(i, leaves), kind: "leaf", length: leaf }));
  const row = (pieces: PanelRow["pieces"]): PanelRow => ({ pieces, lost: CUT_LOST });
  const left = { name: "left half", kind: "top", length: half };
  const right = { name: "right half", kind: "top", length: half };
  const { blank } = form.parting;
  // what was one is not sawn apart to be glued again
  if (blank !== "apart" && parting.kind !== "glued")
    return { ...at, parting, row: row(blank === "open" ? [left, ...between, right] : [left, right, ...between]) };
  const { width, thickness } = at.core;
  const beside: PanelPlace = {
    ...{ id: "half", kind: "top", part: "T2", name: "right half of the top", length: half, width, thickness },
    sizesAt: ["form", "top"],
  };
  const ofLeaves: PanelPlace[] =
    leaves === 0
      ? []
      : [
          {
            ...{ id: "leaves", kind: "leaf", part: "TL", name: leaves > 1 ? "leaves" : "leaf" },
            ...{ length: rowLength(row(between)), width, thickness, sizesAt: ["form", "top"] },
            ...(leaves > 1 ? { row: row(between) } : {}),
          },
        ];
  return { ...at, parting, row: row([left]), panels: [...(at.panels ?? []), beside, ...ofLeaves] };
}

/** The part of the field over a place under the top: the whole, a half, what is between them. x and z from the middle of the top, mm */
export function fieldAt(
  { parting, inserted, top }: Pick<PieceGeometry, "parting" | "inserted" | "top">,
  { x, z }: { x: number; z: number },
): string {
  if (parting) return Math.abs(x) < parting.middle / 2 ? "TM" : x < 0 ? "T1" : "T2";
  if (!inserted) return "T";
  const behind = top.width / 2 - z;
  return behind < inserted.front ? "T1" : behind > inserted.front + inserted.width ? "T2" : "TS";
}

/** The top as it is sat at when all its leaves are in. */
export const openTop = (form: Form): { length: number; width: number } => ({
  length: form.top.length + (letsLeavesIn(form) ? form.parting.leaves * form.parting.leaf : 0),
  width: form.top.width + addedUp(form),
});
