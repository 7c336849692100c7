import { companyOf } from "../../../../../store/summaries";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece, route } from "../../../answer";

/** The other pieces of the same commission, as they were last planned: what stands under, on or beside this one. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  return Response.json({ pieces: await companyOf((await currentWorkshop()).id, id) });
});
