import { benchPage } from "../../../../store/summaries";
import { currentWorkshop } from "../../../../store/workshops";
import { refuse, route } from "../../answer";

/** Further pieces of the bench, or of those put away, from the `from`th on. */
export const GET = route(async (request: Request) => {
  const given = new URL(request.url).searchParams;
  const from = Number(given.get("from") ?? "0");
  if (!Number.isInteger(from) || from < 0 || from > 1e6) return refuse("The place on the bench should be a whole number.", 400);
  return Response.json({ pieces: await benchPage((await currentWorkshop()).id, given.has("away"), from) });
});
