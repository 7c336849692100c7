/** What the rules of the cutting stage judge. */
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { Board } from "../stock/board";
import type { Part } from "./cut-list";
import type { SheetPlan } from "./sheets";
import type { CuttingStage } from "./stage";

export interface CuttingFacts extends CuttingStage {
  piece: Piece;
  parts: readonly Part[];
  shop: Shop;
  /** what is cut from sheets */
  sheets: readonly SheetPlan[];
  /** boards of the legs' wood that nothing else has */
  rack: readonly Board[];
}
