import { RUNNER } from "../../../../store/jobs";
import { benchPage, benchSum } from "../../../../store/summaries";
import { currentWorkshop } from "../../../../store/workshops";
import { refuse, route } from "../../answer";

/** A page of the bench, or of those put away, from the `from`th piece on, and how many there are. */
export const GET = route(async (request: Request) => {
  const given = new URL(request.url).searchParams;
  const from = Number(given.get("from") ?? "0");
  if (!Number.isInteger(from) || from < 0 || from > 1e6)
    return refuse("The place on the bench should be a whole number.", 400);
  const workshop = (await currentWorkshop()).id;
  const [pieces, sum] = await Promise.all([benchPage(workshop, given.has("away"), from), benchSum(workshop, RUNNER)]);
  return Response.json({ pieces, sum });
});
