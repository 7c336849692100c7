import type { Shop } from "../piece/shop";
import { RackBoard, narrowest } from "../stock/board";
import { millingYield } from "../stock/milling";

/** One rough piece that must be cut: mm, thickness finished. `rank` keeps the order stable. */
export interface RoughPiece { id: string; part: string; label: string; length: number; width: number; thickness: number }

/** A rough piece at its place on a board; x along it, y across. */
export interface Placed { piece: RoughPiece; board: string; x: number; y: number }

interface FreeArea { board: RackBoard; x: number; y: number; length: number; width: number }

/** Wood trimmed from each end of a board for checks, mm. @source common practice */
export const END_TRIM = 20;
/** A board thicker than this many times the need is kept for something better. Ours. */
const THICKEST = 1.9;

/**
 * Gives every rough piece a place on the boards, longest first: crosscut the piece off, then rip it to width. Of all places
 * it takes the thinnest board that mills thick enough and leaves least beside the piece.
 *
 * @param used  what the panel takes: from its boards only the ends are free
 * @returns places, and the pieces that found none
 */
export function placePieces(pieces: readonly RoughPiece[], rack: readonly RackBoard[], used: readonly { board: string; x: number; length: number }[], shop: Shop): { placed: Placed[]; missing: RoughPiece[] } {
  const free = rack.flatMap((board) => freeAreas(board, used.find((each) => each.board === board.id) ?? null, shop));
  const placed: Placed[] = [];
  const missing: RoughPiece[] = [];
  const order = pieces.slice().sort((a, b) => b.thickness - a.thickness || b.length - a.length || b.width - a.width || (a.id < b.id ? -1 : 1));
  for (const piece of order) {
    let best = -1;
    let least = Infinity;
    free.forEach((area, i) => {
      if (area.length < piece.length || area.width < piece.width || area.board.thickness > piece.thickness * THICKEST + 8) return;
      if (millingYield(area.board, shop, piece.length, piece.width).thickness < piece.thickness) return;
      const fault = (area.board.thickness - piece.thickness) * 1e6 + (area.width - piece.width) * 2000 + (area.length - piece.length);
      if (fault < least) { least = fault; best = i; }
    });
    if (best < 0) { missing.push(piece); continue; }
    const [area] = free.splice(best, 1);
    placed.push({ piece, board: area.board.id, x: area.x, y: area.y });
    const beyond = area.length - piece.length - shop.kerf;
    const beside = area.width - piece.width - shop.kerf;
    if (beyond > 0) free.push({ ...area, x: area.x + piece.length + shop.kerf, length: beyond });
    if (beside > 0) free.push({ ...area, y: area.y + piece.width + shop.kerf, width: beside, length: piece.length });
  }
  return { placed, missing };
}

/** Runs of a board free of defects and of the panel's strip, trimmed at the ends. */
function freeAreas(board: RackBoard, strip: { x: number; length: number } | null, shop: Shop): FreeArea[] {
  if (board.reservedBy) return [];
  const blocked = board.defects.map((d) => ({ from: d.x, to: d.x + d.length }));
  if (strip) blocked.push({ from: strip.x - shop.kerf, to: strip.x + strip.length + shop.kerf });
  blocked.sort((a, b) => a.from - b.from);
  const areas: FreeArea[] = [];
  let from = END_TRIM;
  for (const block of [...blocked, { from: board.length - END_TRIM, to: board.length }]) {
    if (block.from - from > 100) areas.push({ board, x: from, y: 0, length: block.from - from, width: narrowest(board) });
    from = Math.max(from, block.to);
  }
  return areas;
}
