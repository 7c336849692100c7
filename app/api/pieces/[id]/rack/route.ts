import { boardsNamed } from "../../../../../core/piece/copy";
import { speciesUsed } from "../../../../../core/piece/kinds";
import { isKeepable } from "../../../../../core/piece/fields";
import { OFFERED, offeredBoards } from "../../../../../store/offered";
import { openPiece } from "../../../../../store/opened-pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isBoardName, isId, noPiece, refuse, route } from "../../../answer";

/** A piece is of so many woods at most. Ours. */
const WOODS = 40;

/** Boards of its species as this piece sees them: those it uses and those named in `uses`, and a fair sample of the others. */
export const GET = route(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const workshop = (await currentWorkshop()).id;
  const opened = isId(id) ? await openPiece(workshop, id) : null;
  if (!opened) return noPiece();
  const given = new URL(request.url).searchParams;
  const species = given.has("species") ? given.getAll("species") : speciesUsed(opened.piece);
  if (species.length > WOODS || species.some((each) => each.length > 80 || !isKeepable(each)))
    return refuse("The species should be its id, such as european-ash.", 400);
  const uses = (given.get("uses") ?? "").split(",").filter(isBoardName);
  return Response.json(
    await offeredBoards(workshop, id, {
      species,
      uses: [...new Set([...boardsNamed(opened.piece), ...uses])],
      most: OFFERED,
    }),
  );
});
