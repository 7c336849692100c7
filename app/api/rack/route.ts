import * as v from "valibot";
import { writeRack } from "../../../core/formats/rack-csv";
import { writeTally } from "../../../core/formats/tally-csv";
import { list, text } from "../../../core/piece/fields";
import { boardSchema } from "../../../core/stock/board";
import { putBoards, rack, standingOf } from "../../../store/boards";
import { currentWorkshop } from "../../../store/workshops";
import { readJson, refuse, refuseFault, route } from "../answer";

/** The rack as CSV: Taller's own, or with `as=tally` a merchant's. */
export const GET = route(async (request: Request) => {
  const boards = await rack((await currentWorkshop()).id, null);
  const tally = new URL(request.url).searchParams.get("as") === "tally";
  return new Response(tally ? writeTally(boards) : writeRack(boards), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${tally ? "tally" : "rack"}.csv"`,
    },
  });
});

/** Boards put at once: a longer list comes in several, so that no one waits for it. */
const AT_ONCE = 1000;
const asked = v.variant("kind", [
  v.object({ kind: v.literal("put"), boards: list("boards", boardSchema, AT_ONCE, 1) }),
  v.object({ kind: v.literal("there"), ids: list("names", text("board", 40), 20_000) }),
]);

/** Puts boards on the rack, or says which of these names stand there already and which were cut. Lists are read where they are chosen, not here. */
export const POST = route(async (request: Request) => {
  const body = await readJson(request, 4_000_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  const workshop = (await currentWorkshop()).id;
  if (read.output.kind === "there") return Response.json(await standingOf(workshop, read.output.ids));
  const ids = new Set(read.output.boards.map((board) => board.id));
  if (ids.size !== read.output.boards.length)
    return refuse("Two of these boards have the same name. Give each its own.");
  return Response.json(await putBoards(workshop, read.output.boards));
});
