import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";
import type { Species } from "../wood/species";

/** Everything a plan is computed from. `today` is an ISO date; `ownSpecies` come before the library's. */
export interface PlanInputs {
  piece: Piece;
  shop: Shop;
  rack: readonly RackBoard[];
  ownSpecies: readonly Species[];
  today: string;
}
