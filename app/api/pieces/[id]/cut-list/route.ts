import { writeCutList } from "../../../../../core/formats/cut-list-csv";
import { planPiece } from "../../../../../core/plan";
import { savedInputs } from "../../../../../store/inputs";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, isoToday, noPiece, route } from "../../../answer";

/** The cut list as CSV. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const saved = isId(id) ? await savedInputs(await currentWorkshop(), id, isoToday()) : null;
  if (!saved) return noPiece();
  return new Response(writeCutList(planPiece(saved.inputs)), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": 'attachment; filename="cut-list.csv"',
    },
  });
});
