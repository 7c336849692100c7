import type { Shop } from "../piece/shop";
import { Board, Defect, widthAt } from "../stock/board";
import { NARROWEST_STRIP } from "./candidates";
import { END_TRIM } from "./runs";

/** A rectangle cut out of a board, whatever becomes of it; mm. */
export interface CutOut {
  x: number;
  y: number;
  length: number;
  width: number;
}

/**
 * What goes back on the rack when these are cut from a board: lengths between the cuts, and strips beside them, that are long enough to
 * keep and wide enough to use. Names follow the board's: B7.1, B7.2.
 *
 * @param cuts  lengths crosscut off, with the width that is used of each
 * @param taken names that are in use already
 * @returns boards with their own length, width, defects and warp: bow and crook by the square of the length kept, twist by its share
 */
export function offcutsOf(
  board: Board,
  cuts: readonly CutOut[],
  shop: Pick<Shop, "kerf" | "keepOffcut">,
  taken: readonly string[] = [],
): Board[] {
  const sorted = cuts.slice().sort((a, b) => a.x - b.x);
  const pieces: CutOut[] = [];
  let from = 0;
  for (const cut of [...sorted, null]) {
    const to = cut ? cut.x - shop.kerf : board.length;
    // the trimmed end is no piece of its own
    const start = from === 0 ? Math.min(END_TRIM, to) : from;
    if (to - start >= shop.keepOffcut) pieces.push({ x: start, y: 0, length: to - start, width: Infinity });
    if (!cut) break;
    const beside = widthAt(board, cut.x + cut.length) - cut.y - cut.width - shop.kerf;
    if (cut.length >= shop.keepOffcut && beside >= NARROWEST_STRIP)
      pieces.push({ x: cut.x, y: cut.y + cut.width + shop.kerf, length: cut.length, width: beside });
    from = cut.x + cut.length + shop.kerf;
  }
  const names = freeNames(board.id, pieces.length, taken);
  return pieces.map((piece, i) => pieceOf(board, piece, names[i]));
}

function pieceOf(board: Board, piece: CutOut, id: string): Board {
  const share = piece.length / board.length;
  const [left, right] = [
    Math.min(widthAt(board, piece.x) - piece.y, piece.width),
    Math.min(widthAt(board, piece.x + piece.length) - piece.y, piece.width),
  ].map(half);
  const across = Math.min(1, Math.min(left, right) / Math.min(board.width, board.widthEnd ?? board.width));
  return {
    ...board,
    id,
    cutFrom: board.id,
    cutAt: half(piece.x),
    length: half(piece.length),
    width: left,
    widthEnd: Math.abs(left - right) < 1 ? null : right,
    bow: tenth(board.bow * share ** 2),
    crook: tenth(board.crook * share ** 2),
    twist: tenth(board.twist * share * across),
    cup: tenth(board.cup * across ** 2),
    price: Math.round(board.price * share * across * 100) / 100,
    defects: board.defects.flatMap((d) => defectIn(d, piece, Math.max(left, right))),
  };
}

function defectIn(d: Defect, piece: CutOut, width: number): Defect[] {
  const [x, y] = [Math.max(d.x, piece.x), Math.max(d.y, piece.y)];
  const length = Math.min(d.x + d.length, piece.x + piece.length) - x;
  const wide = Math.min(d.y + d.width, piece.y + width) - y;
  return length > 0.5 && wide > 0.5
    ? [{ ...d, x: half(x - piece.x), y: half(y - piece.y), length: half(length), width: half(wide) }]
    : [];
}

function freeNames(id: string, count: number, taken: readonly string[]): string[] {
  const names: string[] = [];
  for (let n = 1; names.length < count; n += 1) if (!taken.includes(`${id}.${n}`)) names.push(`${id}.${n}`);
  return names;
}

const half = (n: number) => Math.round(n * 2) / 2;
const tenth = (n: number) => Math.round(n * 10) / 10;
