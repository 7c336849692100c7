/** Which stretches of which boards a piece needs: what is kept for it, so that the rest of a board can serve another piece of its commission. */
import { placed } from "../construction/placed";
import { panelPlaces } from "../panels/places";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { panelsMade } from "../piece/times";

/** Along a board from its left end, mm; `to` null: to its other end. */
export interface Stretch {
  board: string;
  from: number;
  to: number | null;
}

/**
 * What a piece needs of each board it names and has not sawn: its panels' strips as they are crosscut, its cutting plan's sections, each with the saw cut
 * beyond it. A piece that is of no commission shares no board: it needs each whole.
 *
 * @returns stretches, which may touch and overlap
 */
export function stretchesOf(piece: Piece, shop: Pick<Shop, "lengthAllowance" | "kerf">): Stretch[] {
  const sawn = new Set(piece.cutting.sawn.map(({ board }) => board.id));
  const alone = piece.commission.trim() === "";
  const lengths = alone ? new Map<string, number>() : panelLengths(piece);
  const strips = panelsMade(piece).flatMap(([id, panel]) => {
    const length = lengths.get(id);
    const whole = length === undefined || !panel.crosscutFirst;
    return panel.strips.map(({ board, slide }): Stretch => ({
      board,
      from: whole ? 0 : slide,
      to: whole ? null : slide + length + shop.lengthAllowance + shop.kerf,
    }));
  });
  const sections = piece.cutting.sections.map(({ board, x, length }): Stretch => ({
    board,
    from: alone ? 0 : x,
    to: alone ? null : x + length + shop.kerf,
  }));
  return [...strips, ...sections].filter(({ board }) => !sawn.has(board));
}

/** How long each panel is that is made, by its name in the record; none of a piece that can't be placed. */
function panelLengths(piece: Piece): Map<string, number> {
  try {
    const at = placed(piece.form, piece.asBuilt);
    const others = panelPlaces(piece.form, at, piece.times).map(({ id, length }) => [id, length] as const);
    return new Map([["top", at.core.length] as const, ...others].filter(([, length]) => length > 0));
  } catch {
    // sizes that nothing can be placed at: its boards are kept whole, and the plan says what is wrong
    return new Map();
  }
}

/** A board that was cut, and what is left of it: where each offcut began on it, mm. */
export interface LeftOf {
  board: string;
  offcuts: readonly { id: string; from: number; length: number }[];
}

/** The same stretches where they lie now: on the offcut that holds one whole, of a board that was cut for another piece. What no offcut holds is gone. */
export function followed(
  stretches: readonly Stretch[],
  cut: ReadonlyMap<string, LeftOf["offcuts"]>,
  { kerf }: Pick<Shop, "kerf">,
): Stretch[] {
  return stretches.flatMap((stretch): Stretch[] => {
    const offcuts = cut.get(stretch.board);
    if (!offcuts) return [stretch];
    const on = offcutOf(stretch, offcuts, { kerf });
    if (!on || stretch.to === null) return [];
    return followed([{ board: on.id, from: stretch.from - on.from, to: stretch.to - on.from }], cut, { kerf });
  });
}

/** The offcut that holds a stretch whole; the saw cut that was kept beyond it may have been made already. */
export const offcutOf = <O extends LeftOf["offcuts"][number]>(
  { from, to }: Pick<Stretch, "from" | "to">,
  offcuts: readonly O[],
  { kerf }: Pick<Shop, "kerf">,
): O | undefined =>
  to === null
    ? undefined
    : offcuts.find((each) => each.from <= from + SAME && to <= each.from + each.length + kerf + SAME);

/** Places on boards are kept to half a mm. */
const SAME = 0.6;
