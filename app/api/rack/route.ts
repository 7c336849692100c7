import * as v from "valibot";
import { readRack, writeRack, writeTally } from "../../../core/formats/rack-csv";
import { boardSchema } from "../../../core/stock/board";
import { SPECIES } from "../../../core/wood/species";
import { boardsOnRack, putBoards, rack } from "../../../store/boards";
import { currentWorkshop } from "../../../store/workshops";
import { isoToday, readJson, refuse, refuseFault } from "../answer";

/** The rack as CSV: Taller's own, or with `as=tally` a merchant's. */
export async function GET(request: Request) {
  const boards = await rack((await currentWorkshop()).id, null);
  const tally = new URL(request.url).searchParams.get("as") === "tally";
  return new Response(tally ? writeTally(boards) : writeRack(boards), { headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${tally ? "tally" : "rack"}.csv"` } });
}

const asked = v.variant("kind", [
  v.object({ kind: v.literal("look"), text: v.string() }),
  v.object({ kind: v.literal("import"), text: v.string() }),
  v.object({ kind: v.literal("put"), boards: v.pipe(v.array(boardSchema), v.maxLength(20000)) }),
]);

/** Looks at a CSV without keeping anything, puts its good rows on the rack, or puts boards on the rack. */
export async function POST(request: Request) {
  const body = await readJson(request, 40_000_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  const workshop = await currentWorkshop();
  if (read.output.kind === "put") {
    const ids = new Set(read.output.boards.map((board) => board.id));
    if (ids.size !== read.output.boards.length) return refuse("Two of these boards have the same name. Give each its own.");
    return Response.json(await putBoards(workshop.id, read.output.boards));
  }
  const { boards, faults } = readRack(read.output.text, [...workshop.ownSpecies, ...SPECIES], isoToday());
  if (read.output.kind === "import") return Response.json(await putBoards(workshop.id, boards));
  const there = await boardsOnRack(workshop.id, boards.map((board) => board.id));
  return Response.json({ count: boards.length, first: boards.slice(0, 6), faults: faults.slice(0, 200), faultCount: faults.length, there: there.slice(0, 8), thereCount: there.length });
}
