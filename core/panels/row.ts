/** One blank for several parts, so that the grain runs on over their corners. */
import type { PanelRow, PieceGeometry } from "../construction/geometry";
import { listed } from "../verdict/verdict";

/** What a tilted blade takes at a mitre beside the board's thickness, its kerf with it, mm. @source common practice */
export const MITRE_LOST = 10;
/** What a square cut between two parts takes, its kerf and a shaving at each end, mm. @source common practice */
export const CUT_LOST = 6;

/** How long the blank is, mm. */
export const rowLength = ({ pieces, lost }: PanelRow): number =>
  pieces.reduce((sum, { length }) => sum + length, 0) + Math.max(0, pieces.length - 1) * lost;

/** Where it is crosscut, from its middle along it, mm: the middles of what is lost. */
export function rowCuts(row: PanelRow): number[] {
  let at = -rowLength(row) / 2;
  return row.pieces.slice(0, -1).map(({ length }) => {
    at += length + row.lost;
    return at - row.lost / 2;
  });
}

/** Middle of each part along the blank, from the blank's middle, mm. */
export function rowMiddles(row: PanelRow): number[] {
  let at = -rowLength(row) / 2;
  return row.pieces.map(({ length }) => {
    at += length + row.lost;
    return at - row.lost - length / 2;
  });
}

/** Middle of the top along the panel it is composed as. */
export const topMiddle = ({ row }: Pick<PieceGeometry, "row">): number =>
  row
    ? rowMiddles(row)[
        Math.max(
          0,
          row.pieces.findIndex(({ kind }) => kind === "top"),
        )
      ]
    : 0;

/** "left end, top and right end, in this order". */
export const rowSaid = ({ pieces }: PanelRow): string => `${listed(pieces.map(({ name }) => name))}, in this order`;

/** The top as it is composed, glued and flattened: as long as the blank it is cut from. */
export function asBlank<G extends Pick<PieceGeometry, "core" | "top" | "row">>(at: G): G {
  if (!at.row) return at;
  const length = rowLength(at.row);
  return { ...at, top: { ...at.top, length }, core: { ...at.core, length, shoulder: length } };
}

/** Kinds of part that a panel becomes. */
export const kindsOf = (kind: string, row?: PanelRow): string[] => [
  ...new Set([kind, ...(row?.pieces.map((each) => each.kind) ?? [])]),
];
