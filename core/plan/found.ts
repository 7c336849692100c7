/** Boards that a panel could be composed from. */
import { isComposed, PieceGeometry } from "../construction/geometry";
import { panelCandidates, panelNeed } from "../layout/candidates";
import type { PanelChoice, Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";

interface CandidateFacts {
  rack: readonly RackBoard[];
  species: string;
  at: PieceGeometry;
  shop: Shop;
  choice: Pick<PanelChoice, "banned" | "crosscutFirst" | "sawnFace">;
  top: Piece["form"]["top"];
}

export function candidatesFor({ rack, species, at, shop, choice, top }: CandidateFacts) {
  // slats and stripes are placed with the other parts: there is no panel to compose
  if (!isComposed(at.core)) return { candidates: [], unfit: [] };
  return panelCandidates(rack, species, panelNeed(at, top), { shop, choice });
}
