import type { Sawn } from "../piece/schema";
import type { Board } from "./board";

const area = (board: Pick<Board, "length" | "width" | "widthEnd">) =>
  (board.length * (board.width + (board.widthEnd ?? board.width))) / 2;

/**
 * What is wrong with an account of how a board was sawn: what comes out of it can't be more than went in.
 *
 * @returns a sentence with the fix; null when it adds up
 */
export function sawnFault({
  board,
  sections,
  strip,
  offcuts,
}: Pick<Sawn, "board" | "sections" | "strip" | "offcuts">): string | null {
  const used =
    sections.reduce((sum, each) => sum + each.length * each.lanes.reduce((width, lane) => width + lane.width, 0), 0) +
    (strip ? strip.length * strip.width : 0);
  const kept = offcuts.reduce((sum, each) => sum + area(each), 0);
  const odd = offcuts.find(
    (each) => each.cutFrom !== board.id || each.species !== board.species || each.thickness > board.thickness,
  );
  if (odd) return `${odd.id} can't be an offcut of ${board.id}. Lay the board out again.`;
  if (new Set(offcuts.map((each) => each.id)).size < offcuts.length)
    return `Two offcuts of ${board.id} have the same name. Lay the board out again.`;
  if (used + kept > area(board) * 1.01) return `More comes out of ${board.id} than it holds. Lay the board out again.`;
  return null;
}
