import { copyOf } from "../../../../../core/piece/copy";
import { addPiece } from "../../../../../store/new-pieces";
import { openPiece } from "../../../../../store/opened-pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece, route } from "../../../answer";

/** A copy starts without its boards, its log and what was measured or done: those belong to the first. */
export const POST = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const workshop = await currentWorkshop();
  const open = isId(id) ? await openPiece(workshop.id, id) : null;
  if (!open) return noPiece();
  return Response.json({ id: await addPiece(workshop.id, copyOf(open.piece)) });
});
