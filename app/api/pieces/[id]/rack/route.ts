import { rack } from "../../../../../store/boards";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece, route } from "../../../answer";

/** Boards of one species as this piece sees them. */
export const GET = route(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  return Response.json(await rack((await currentWorkshop()).id, id, new URL(request.url).searchParams.get("species")));
});
