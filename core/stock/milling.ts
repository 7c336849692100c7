import type { Shop } from "../piece/shop";
import type { Board } from "./board";
import { edgeLoss, narrowest } from "./board";

/** What milling leaves of a board, mm. `thickness` may be negative: then nothing is left. */
export interface Milled {
  thickness: number;
  width: number;
  length: number;
  lost: { cup: number; bow: number; twist: number; cleaning: number; crook: number };
}

/**
 * What is left when a piece `length` by `width` of a board is flattened, jointed and planed.
 *
 * Cup scales with the square of the share of the width kept, bow and crook with that of the length, twist with both; so
 * a board that is crosscut and ripped before it is flattened keeps far more.
 *
 * @param length, width  the piece that is flattened, mm; the whole board when it is flattened before cutting
 * @source derived: circular bow and cup; safe for twist, unsafe for a sharp kink
 */
export function millingYield(
  board: Board,
  shop: Pick<Shop, "cleaning" | "jointing">,
  length: number,
  width: number,
): Milled {
  const l = Math.min(1, length / board.length);
  const w = Math.min(1, width / narrowest(board));
  const lost = {
    cup: board.cup * w * w,
    bow: board.bow * l * l,
    twist: 0.5 * board.twist * w * l,
    cleaning: 2 * shop.cleaning,
    crook: board.crook * l * l,
  };
  return {
    thickness: board.thickness - lost.cup - lost.bow - lost.twist - lost.cleaning,
    width: width - lost.crook - 2 * edgeLoss(board, shop),
    length,
    lost,
  };
}
