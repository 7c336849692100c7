import { deletePiece } from "../../../../store/pieces";
import { currentWorkshop } from "../../../../store/workshops";
import { isId, noPiece, refuse, route } from "../../answer";

/** Deletes a piece for good, with its history; only one that is put away. */
export const DELETE = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const done = isId(id) ? await deletePiece((await currentWorkshop()).id, id) : "gone";
  if (done === "on the bench")
    return refuse("This piece is on the bench. Put it away first; then it can be deleted.", 409);
  return done === "gone" ? noPiece() : Response.json({});
});
