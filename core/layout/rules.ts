/** Every rule of the cutting stage. */
import { Verdict } from "../verdict/verdict";
import type { CuttingFacts } from "./cutting-facts";
import { legStock } from "./leg-rules";
import { flattened, jointerLength, shortParts, withinSaws } from "./machine-rules";
import { rowsKept } from "./row-rules";
import { fromSheets } from "./sheet-rules";
import { circular, movedAway, placedAll, spoiledPieces, unknownMatch, yieldOf } from "./placed-rules";

/** Every rule of the cutting stage. */
export const CUTTING_RULES: ((facts: CuttingFacts) => Verdict | null)[] = [
  placedAll,
  circular,
  unknownMatch,
  movedAway,
  spoiledPieces,
  legStock,
  withinSaws,
  flattened,
  jointerLength,
  shortParts,
  yieldOf,
  rowsKept,
  fromSheets,
];
