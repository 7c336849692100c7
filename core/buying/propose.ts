import type { RoughPiece } from "../layout/sawing";
import { searchCuts } from "../layout/search";
import type { Shop } from "../piece/shop";
import type { Board } from "../stock/board";
import { cubicMetres } from "../units/lumber";

/** What to buy: whole boards that hold everything that is missing, and how much more wood that is than the pieces themselves. */
export interface Purchase {
  boards: Board[];
  price: number;
  cubicMetres: number;
  factor: number;
  missing: string[];
}

/** Rounds of the search: a stock is small. */
const ROUNDS = 4;
/** A strip of a panel is asked for about so wide, mm. @source common practice */
const STRIP = 150;

/** Strips that the top still lacks, as pieces to buy wood for. */
export function strips(
  need: { length: number; width: number; thickness: number },
  have: number,
  shop: Pick<Shop, "lengthAllowance" | "widthAllowance">,
  species: string,
): RoughPiece[] {
  const open = need.width - have;
  if (open <= 0) return [];
  const count = Math.ceil(open / STRIP);
  const width = Math.ceil(open / count);
  return Array.from({ length: count }, (_, i) => ({
    id: `T${i + 1}`,
    part: "top",
    species,
    label: `T${i + 1}`,
    length: need.length + shop.lengthAllowance,
    width: width + shop.widthAllowance,
    thickness: need.thickness,
    net: need.length * width * need.thickness,
  }));
}

/** Chooses boards of a stock for the pieces that are missing: the least wood, each board paid for whole. */
export function proposePurchase(pieces: readonly RoughPiece[], stock: readonly Board[], shop: Shop): Purchase {
  const rack = stock.map((board) => ({ ...board, reservedBy: null }));
  // nothing that is left over comes back from a purchase: a board is charged whole
  const asBought = { ...shop, keepOffcut: 1e6 };
  let last = null;
  for (const cut of searchCuts({
    pieces,
    rack,
    taken: [],
    shop: asBought,
    sequence: "least-waste",
    groups: {},
    seed: 1,
    rounds: ROUNDS,
  }))
    last = cut;
  const used = new Set(last?.sections.map((section) => section.board));
  const boards = stock.filter((board) => used.has(board.id));
  const bought = boards.reduce((sum, board) => sum + cubicMetres(board.length, board.width, board.thickness), 0);
  const net = (last?.net ?? 0) / 1e9;
  return {
    boards,
    price: boards.reduce((sum, board) => sum + board.price, 0),
    cubicMetres: bought,
    factor: net > 0 ? bought / net : 0,
    missing: last?.missing ?? [],
  };
}
