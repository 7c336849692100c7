import { writePiece } from "../../../../../core/formats/piece-file";
import { openPiece } from "../../../../../store/opened-pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece, route } from "../../../answer";

/** The piece as one JSON file. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const open = isId(id) ? await openPiece((await currentWorkshop()).id, id) : null;
  if (!open) return noPiece();
  const file =
    open.piece.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "piece";
  return new Response(writePiece(open.piece), {
    headers: { "content-type": "application/json", "content-disposition": `attachment; filename="${file}.json"` },
  });
});
