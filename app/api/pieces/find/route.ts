import { findPieces } from "../../../../store/summaries";
import { currentWorkshop } from "../../../../store/workshops";
import { route } from "../../answer";

/** Pieces by name or commission. */
export const GET = route(async (request: Request) => {
  const text = (new URL(request.url).searchParams.get("text") ?? "").trim().slice(0, 60);
  return Response.json({ pieces: await findPieces((await currentWorkshop()).id, text) });
});
