import { stripChord } from "../construction/top/outline";
import type { PieceGeometry } from "../construction/geometry";
import type { Form, PanelChoice } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { edgeLoss, heldBy, narrowest, RackBoard, widthAt } from "../stock/board";
import { stripYield } from "../stock/sawn-face";
import { LEAST_OVER } from "./strip-thickness";

/** A strip wider than this is ripped before it is used: wide flat-sawn strips cup. mm @source common practice */
export const WIDEST_STRIP = 260;
/** Strips narrower than this look like a butcher's block, mm. @source common practice */
export const NARROWEST_STRIP = 55;

/** What one board offers the panel: the clear window of `length` that gives the widest strip, from `slide` along the board and `across` it. mm; cost in mm³ of rough wood used up. */
export interface Candidate {
  board: RackBoard;
  slide: number;
  across: number;
  width: number;
  cost: number;
}

/** The panel to fill. `least`: the length of a strip at its outer edge, where a curved outline is shortest; the same as `length` for a straight one. */
export interface PanelNeed {
  length: number;
  width: number;
  thickness: number;
  least?: number;
  outline?: Form["top"];
}

/** What is asked of the boards for this top. An outline is cut from the whole top only. */
export function panelNeed(at: Pick<PieceGeometry, "core" | "top">, top: Form["top"]): PanelNeed {
  const { length, width, thickness } = at.core;
  if (top.outline === "rectangle" || length !== at.top.length) return { length, width, thickness };
  const outline = { ...top, length, width };
  return {
    length,
    width,
    thickness,
    least: Math.ceil(stripChord(outline, width / 2 - NARROWEST_STRIP, width / 2)),
    outline,
  };
}

/** Why a board can't be in the panel, as a maker would write on it. */
export type Unfit = { board: RackBoard; reason: string };

/**
 * Which boards of the rack could be strips of the panel, and what each would give.
 *
 * @param need    finished panel; the strips are left long by the shop's allowance
 * @param choice  banned boards, and whether boards are crosscut before flattening
 */
export function panelCandidates(
  rack: readonly RackBoard[],
  species: string,
  need: PanelNeed,
  { shop, choice }: { shop: Shop; choice: Pick<PanelChoice, "banned" | "crosscutFirst" | "sawnFace"> },
): { candidates: Candidate[]; unfit: Unfit[] } {
  const candidates: Candidate[] = [];
  const unfit: Unfit[] = [];
  for (const board of rack) {
    if (board.species !== species) continue;
    const fit = fitBoard(board, need, shop, choice);
    if (typeof fit === "string") unfit.push({ board, reason: fit });
    else candidates.push(fit);
  }
  return { candidates, unfit };
}

function fitBoard(
  board: RackBoard,
  need: PanelNeed,
  shop: Shop,
  choice: Pick<PanelChoice, "banned" | "crosscutFirst" | "sawnFace">,
): Candidate | string {
  if (choice.banned.includes(board.id)) return "kept for something else";
  if (board.reservedBy) return `reserved for ${board.reservedBy.name}`;
  const partly = !choice.crosscutFirst && board.held?.[0];
  if (partly) return `in part reserved for ${partly.name}`;
  const whole = need.length + shop.lengthAllowance;
  if (board.length < (need.least ?? need.length) + shop.lengthAllowance) return "too short";
  const length = Math.min(whole, board.length);
  const milled = stripYield(board, shop, {
    length: choice.crosscutFirst ? length : board.length,
    width: narrowest(board),
    passes: choice.sawnFace,
  });
  if (milled.thickness < need.thickness + (choice.sawnFace === null ? LEAST_OVER : 0))
    return `mills to ${Math.max(0, Math.floor(milled.thickness * 2) / 2)}`;
  const clear = widestWindow(board, length, shop.kerf);
  const width = Math.min(
    WIDEST_STRIP,
    Math.floor((clear.width - milled.lost.crook - 2 * edgeLoss(board, shop)) * 2) / 2,
  );
  if (width < NARROWEST_STRIP && board.held?.length && heldBy(board, clear.slide, clear.slide + length))
    return `in part reserved for ${board.held[0].name}`;
  if (width < NARROWEST_STRIP) return clear.width < narrowest(board) ? "defects in the way" : "too narrow";
  return { board, slide: clear.slide, across: clear.from, width, cost: usedUp(board, length, shop) };
}

/** Rough wood that is used up when so much of a board is cut for a strip, mm³: the rest is kept when it is long enough. */
export function usedUp(
  board: Pick<RackBoard, "length" | "width" | "thickness">,
  length: number,
  shop: Pick<Shop, "kerf" | "keepOffcut">,
): number {
  const rest = board.length - length - shop.kerf;
  return (rest >= shop.keepOffcut ? length + shop.kerf : board.length) * board.width * board.thickness;
}

/** The place along the board where `length` holds the widest band without a defect, and nothing that is kept for another piece. */
export function widestWindow(
  board: RackBoard,
  length: number,
  kerf = 0,
): { slide: number; width: number; from: number } {
  const last = board.length - length;
  // what is kept for another counts as no wood, from edge to edge
  const kept = (board.held ?? []).map(({ from, to }) => ({
    ...{ x: from - kerf, y: 0, width: Infinity },
    length: (to ?? board.length) - from + kerf,
  }));
  const inTheWay = [...board.defects, ...kept];
  const stops = [0, last, ...inTheWay.flatMap((d) => [d.x + d.length, d.x - length])].filter(
    (x) => x >= 0 && x <= last,
  );
  let best = { slide: 0, width: 0, from: 0 };
  for (const slide of [...new Set(stops)].sort((a, b) => a - b)) {
    const inside = inTheWay
      .filter((d) => d.x < slide + length - 1e-9 && d.x + d.length > slide + 1e-9)
      .sort((a, b) => a.y - b.y);
    // a tapered board's real edge along this window: what lies beyond it is no wood
    const edgeHere = Math.min(widthAt(board, slide), widthAt(board, slide + length));
    let from = 0;
    for (const edge of [
      ...inside.map((d) => ({ low: Math.min(d.y, edgeHere), high: d.y + d.width })),
      { low: edgeHere, high: Infinity },
    ]) {
      if (edge.low - from > best.width + 1e-9) best = { slide, width: edge.low - from, from };
      from = Math.max(from, edge.high);
    }
  }
  return best;
}

/** Finished places of the strips across the panel, front edge first; what is over comes off the two outer ones alike. */
export function jointLines(widths: readonly number[], width: number): number[] {
  const over = widths.reduce((sum, each) => sum + each, 0) - width;
  let at = -over / 2;
  return widths.slice(0, -1).map((each) => (at += each));
}
