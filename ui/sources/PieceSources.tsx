"use client";
import { SPECIES } from "../../core/wood/species";
import { usePiece } from "../piece/PieceProvider";
import { SourcesView } from "./SourcesView";

/** The sources page with the open piece's numbers in it. */
export function PieceSources() {
  const { plan, piece, ownSpecies } = usePiece();
  return <SourcesView species={[...ownSpecies, ...SPECIES]} of={{ plan, piece }} />;
}
