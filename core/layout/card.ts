/** A card for the bench, and what its rows share. */
import type { Shop } from "../piece/shop";
import type { Board } from "../stock/board";
import type { Part } from "./cut-list";
import type { MachineSetting } from "./machine-settings";
import type { CutPanel } from "./cut-panel";
import { MilledLane } from "./mill";
import { BoardCut, RoughPiece } from "./sawing";

/** One line on a card: from what, what is done, what it becomes, and what should be left or lie there after it. */
export interface CardRow {
  from: string;
  what: string;
  to: string[];
  check: string;
}

/** One machine, one setting; done from top to bottom and ticked off. `board` is sawn apart by it. */
export interface CutCard {
  id: string;
  machine: string;
  setting: number | null;
  title: string;
  rows: CardRow[];
  board: string | null;
}

/** What the cards are written from. `milled` says how each lane and strip is flattened. */
export interface CardFacts {
  boards: readonly BoardCut[];
  pieces: ReadonlyMap<string, RoughPiece>;
  milled: readonly MilledLane[];
  settings: readonly MachineSetting[];
  parts: readonly Part[];
  /** panels whose strips are sawn, the top first */
  panels: readonly CutPanel[];
  shop: Shop;
}

export interface LaneLine {
  board: Board;
  from: string;
  mark: string;
  width: number;
  length: number;
  pieces: string[];
  lengths: number[];
  whole: boolean;
  /** as wide as the board grew: never ripped */
  own: boolean;
}

export const count = (n: number) => (n === 1 ? "1 piece" : `${n} pieces`);

export const distinct = <T>(list: readonly T[]) => [...new Set(list)];

export const descending = (sizes: readonly number[]) => distinct(sizes).sort((a, b) => b - a);

/** Marks of the pieces of a part that are of this size, as they are written on the wood. */
export function marksOf(parts: readonly Part[], id: string, fits: (stock: Part["stock"][number]) => boolean): string[] {
  const part = parts.find((each) => each.id === id)!;
  const pieces = part.sticks?.map(({ mark }) => mark) ?? part.marks;
  return pieces.flatMap((mark) => part.stock.filter(fits).map((stock) => `${mark}${stock.suffix}`));
}

/** Pieces of a lane that goes through whole stand under the lane's mark: they are not cut apart yet. */
export function partRow({ name }: { name: string }, marks: readonly string[], milled: readonly MilledLane[]): CardRow {
  const to = distinct(
    marks.map((mark) => milled.find((each) => each.pieces.length > 1 && each.pieces.includes(mark))?.mark ?? mark),
  );
  return { from: name, what: String(to.length), to, check: count(to.length) };
}
