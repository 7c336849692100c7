import { writeCutList } from "../../../../../core/formats/cut-list-csv";
import { planPiece } from "../../../../../core/plan";
import { rack } from "../../../../../store/boards";
import { openPiece } from "../../../../../store/pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, isoToday, noPiece, route } from "../../../answer";

/** The cut list as CSV. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const workshop = await currentWorkshop();
  const open = isId(id) ? await openPiece(workshop.id, id) : null;
  if (!open) return noPiece();
  const plan = planPiece({ piece: open.piece, shop: workshop.shop, rack: await rack(workshop.id, id), ownSpecies: workshop.ownSpecies, today: isoToday() });
  return new Response(writeCutList(plan), { headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": 'attachment; filename="cut-list.csv"' } });
});
