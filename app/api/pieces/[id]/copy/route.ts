import { addPiece, openPiece } from "../../../../../store/pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece } from "../../../answer";

/** A copy starts without its boards, its log and what was measured or done: those belong to the first. */
export async function POST(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const workshop = await currentWorkshop();
  const open = isId(id) ? await openPiece(workshop.id, id) : null;
  if (!open) return noPiece();
  const { piece } = open;
  return Response.json({ id: await addPiece(workshop.id, { ...piece, name: `${piece.name.slice(0, 110)}, copy`, panel: { ...piece.panel, strips: [], pinned: [] }, asBuilt: [], log: [], done: [] }) });
}
