import type { CommissionAnswer } from "../../../../core/commission-boards";
import { isKeepable } from "../../../../core/piece/fields";
import { savedInputs } from "../../../../store/inputs";
import { piecesOfCommission } from "../../../../store/summaries";
import { currentWorkshop } from "../../../../store/workshops";
import { isoToday, refuse, route } from "../../answer";

/** A commission is no longer than this in a record. */
const LONGEST = 120;

/** Every piece of a commission as it is saved, each with the boards it looks through. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ name: string }> }) => {
  const { name } = await params;
  if (name.trim() === "" || name.length > LONGEST || !isKeepable(name))
    return refuse(`A commission has a name of 1 to ${LONGEST} characters.`, 400);
  const workshop = await currentWorkshop();
  const { ids } = await piecesOfCommission(workshop.id, name);
  if (ids.length === 0) return refuse("No piece of this commission is on the bench.", 404);
  const answer: CommissionAnswer = {
    order: { members: [], shop: workshop.shop, ownSpecies: workshop.ownSpecies, today: isoToday() },
    heads: [],
  };
  const members = [];
  for (const id of ids) {
    const saved = await savedInputs(workshop, id, isoToday());
    if (!saved) continue;
    const { piece, revision, head, newest } = saved.opened;
    members.push({ id, piece, rack: saved.inputs.rack });
    answer.heads.push({ id, name: piece.name, revision, head, newest });
  }
  return Response.json({ ...answer, order: { ...answer.order, members } } satisfies CommissionAnswer);
});
