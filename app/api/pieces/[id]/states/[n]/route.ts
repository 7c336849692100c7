import { stateOf } from "../../../../../../store/opened-pieces";
import { currentWorkshop } from "../../../../../../store/workshops";
import { isId, noPiece, route } from "../../../../answer";

/** One earlier state of a piece, for undo after a reload. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ id: string; n: string }> }) => {
  const { id, n } = await params;
  if (!isId(id) || !/^[1-9]\d{0,8}$/.test(n)) return noPiece();
  const piece = await stateOf((await currentWorkshop()).id, id, Number(n));
  return piece ? Response.json(piece) : noPiece();
});
