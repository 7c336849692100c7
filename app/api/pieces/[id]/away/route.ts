import * as v from "valibot";
import { setPutAway } from "../../../../../store/pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece, readJson, refuse, route } from "../../../answer";

/** Puts a piece away or gets it back. */
export const POST = route(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const body = await readJson(request, 1000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(v.object({ away: v.boolean() }), body.json);
  if (!read.success) return refuse("Say whether the piece is put away.");
  return isId(id) && (await setPutAway((await currentWorkshop()).id, id, read.output.away))
    ? Response.json({})
    : noPiece();
});
