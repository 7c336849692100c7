import * as v from "valibot";
import { readPiece } from "../../../core/formats/piece-file";
import { freshPiece } from "../../../core/piece/fresh";
import { name } from "../../../core/piece/fields";
import { addPiece, importPiece } from "../../../store/new-pieces";
import { currentWorkshop } from "../../../store/workshops";
import { isoToday, readJson, refuse, refuseFault, route } from "../answer";

const asked = v.variant("kind", [
  v.object({ kind: v.literal("fresh"), name: name("name") }),
  v.object({ kind: v.literal("import"), text: v.string() }),
]);

/** A new piece, from nothing or from an exported file. */
export const POST = route(async (request: Request) => {
  const body = await readJson(request, 2_500_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  const workshop = await currentWorkshop();
  if (read.output.kind === "fresh")
    return Response.json({ id: await addPiece(workshop.id, freshPiece(read.output.name.trim(), isoToday())) });
  const piece = readPiece(read.output.text);
  return piece.ok ? Response.json(await importPiece(workshop.id, piece.piece)) : refuse(piece.message);
});
