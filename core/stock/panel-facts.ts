/** A panel as it lies, for all that is judged of it. */
import type { PieceGeometry } from "../construction/geometry";
import { jointLines } from "../layout/candidates";
import type { Piece, Strip } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { Verdict } from "../verdict/verdict";
import type { RackBoard } from "./board";
import type { Milled } from "./milling";

/** A strip as it lies in the panel, front edge first; `from` and `width` are finished, `across` is where it is ripped from its board, `length` what the outline keeps of it, which starts at `at` along the panel; mm. */
export interface LaidStrip {
  strip: Strip;
  board: RackBoard;
  milled: Milled;
  /** light passes over its upper face, which stays as it was sawn; null where it is planed */
  sawn: number | null;
  full: number;
  across: number;
  from: number;
  width: number;
  length: number;
  at: number;
}

export interface PanelFacts {
  /** how a sentence calls the panel: "top" */
  name: string;
  piece: Piece;
  at: PieceGeometry;
  shop: Shop;
  rack: readonly RackBoard[];
  laid: readonly LaidStrip[];
  missing: readonly string[];
  lacking: { name: string; count: number }[];
}

/** A rule of a panel: its verdict or verdicts, or null when it has nothing to judge. */
export type PanelRule = (facts: PanelFacts) => Verdict | Verdict[] | null;

/** Joint lines across the panel, from its front edge, mm. */
export const linesOf = (laid: readonly LaidStrip[], at: PieceGeometry) =>
  jointLines(
    laid.map((each) => each.full),
    at.core.width,
  );
