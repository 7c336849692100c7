import { boardsNamed } from "../core/piece/copy";
import { speciesUsed } from "../core/piece/kinds";
import type { PlanInputs } from "../core/plan";
import { OFFERED, offeredBoards } from "./offered";
import { openPiece, OpenPiece } from "./opened-pieces";
import type { Workshop } from "./workshops";

/** A piece as it is saved, and everything its plan is computed from; null when it is not here. */
export async function savedInputs(
  workshop: Workshop,
  id: string,
  today: string,
): Promise<{ opened: OpenPiece; inputs: PlanInputs } | null> {
  const opened = await openPiece(workshop.id, id);
  if (!opened) return null;
  const { piece } = opened;
  const { boards } = await offeredBoards(workshop.id, id, {
    species: speciesUsed(piece),
    uses: boardsNamed(piece),
    most: OFFERED,
  });
  return { opened, inputs: { piece, shop: workshop.shop, rack: boards, ownSpecies: workshop.ownSpecies, today } };
}
