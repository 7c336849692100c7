import * as v from "valibot";
import { readRack, writeRack } from "../../../core/formats/rack-csv";
import { boardSchema } from "../../../core/stock/board";
import { SPECIES } from "../../../core/wood/species";
import { putBoards, rack } from "../../../store/boards";
import { currentWorkshop } from "../../../store/workshops";
import { isoToday, readJson, refuse, refuseFault } from "../answer";

/** The rack as CSV. */
export async function GET() {
  const boards = await rack((await currentWorkshop()).id, null);
  return new Response(writeRack(boards), { headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": 'attachment; filename="rack.csv"' } });
}

const asked = v.variant("kind", [
  v.object({ kind: v.literal("look"), text: v.string() }),
  v.object({ kind: v.literal("put"), boards: v.pipe(v.array(boardSchema), v.maxLength(20000)) }),
]);

/** Looks at a CSV without keeping anything, or puts boards on the rack. */
export async function POST(request: Request) {
  const body = await readJson(request, 12_000_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  const workshop = await currentWorkshop();
  if (read.output.kind === "look") {
    const found = readRack(read.output.text, [...workshop.ownSpecies, ...SPECIES], isoToday());
    return Response.json({ ...found, faults: found.faults.slice(0, 200), faultCount: found.faults.length });
  }
  const ids = new Set(read.output.boards.map((board) => board.id));
  if (ids.size !== read.output.boards.length) return refuse("Two of these boards have the same name. Give each its own.");
  return Response.json(await putBoards(workshop.id, read.output.boards));
}
