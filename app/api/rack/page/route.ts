import * as v from "valibot";
import { distance, text } from "../../../../core/piece/fields";
import { rackPage, rackSum } from "../../../../store/boards";
import { currentWorkshop } from "../../../../store/workshops";
import { refuseFault, route } from "../../answer";

const number = (field: string) => v.pipe(v.string(), v.transform(Number), distance(field, 1e6));
const asked = v.object({
  text: text("search", 60),
  species: v.nullable(text("species", 60)),
  longest: number("length"),
  widest: number("width"),
  thickest: number("thickness"),
  free: v.boolean(),
  sort: v.picklist(["name", "length", "width"]),
  from: number("place"),
});

/** One page of the rack and, with `sum`, how much there is. */
export const GET = route(async (request: Request) => {
  const given = new URL(request.url).searchParams;
  const get = (name: string, other: string) => given.get(name) ?? other;
  const json = {
    text: get("text", ""),
    species: given.get("species") || null,
    longest: get("longest", "0"),
    widest: get("widest", "0"),
    thickest: get("thickest", "0"),
    free: given.has("free"),
    sort: get("sort", "name"),
    from: get("from", "0"),
  };
  const read = v.safeParse(asked, json);
  if (!read.success) return refuseFault(asked, json);
  const { from, ...query } = read.output;
  const workshop = (await currentWorkshop()).id;
  const [boards, sum] = await Promise.all([
    rackPage(workshop, query, from),
    given.has("sum") ? rackSum(workshop, query) : null,
  ]);
  return Response.json({ boards, sum });
});
