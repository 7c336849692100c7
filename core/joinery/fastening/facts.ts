/** What rules of a top's fastening judge. */
import type { AssemblyPart } from "../../assembly/part";
import type { PieceGeometry } from "../../construction/geometry";
import type { Piece } from "../../piece/schema";

export interface FasteningFacts {
  piece: Piece;
  at: PieceGeometry;
  /** with all that joints and the fastening cut from them */
  parts: readonly AssemblyPart[];
}
