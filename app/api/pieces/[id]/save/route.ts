import * as v from "valibot";
import { oversize } from "../../../../../core/formats/piece-file";
import { text } from "../../../../../core/piece/fields";
import { pieceSchema } from "../../../../../core/piece/schema";
import { savePiece } from "../../../../../store/pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, noPiece, readJson, refuse, refuseFault, route } from "../../../answer";

const n = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(2_147_000_000));
const asked = v.object({
  revision: n,
  changes: v.pipe(
    v.array(
      v.variant("kind", [
        v.object({ kind: v.literal("edit"), n, parent: n, label: text("label", 300), piece: pieceSchema }),
        v.object({ kind: v.literal("move"), head: n }),
      ]),
    ),
    v.minLength(1),
    v.maxLength(500),
  ),
});

/** Saves changes that started from a revision; 409 with both versions at hand when it is stale. */
export const POST = route(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  const body = await readJson(request, 8_000_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  for (const change of read.output.changes) {
    const fault = change.kind === "edit" ? oversize(change.piece) : null;
    if (fault) return refuse(fault);
  }
  const result = await savePiece((await currentWorkshop()).id, id, read.output.revision, read.output.changes);
  switch (result.kind) {
    case "saved":
      return Response.json({
        revision: result.revision,
        taken: result.taken,
        rackChanged: result.rackChanged,
        putAway: result.putAway,
      });
    case "refused":
      return refuse(result.message);
    case "stale":
      return Response.json(
        {
          message: "Someone else saved this piece meanwhile.",
          revision: result.revision,
          theirs: result.theirs,
          head: result.head,
          newest: result.newest,
        },
        { status: 409 },
      );
    case "gone":
      return noPiece();
    case "unknown-state":
      return refuse("The step this change starts from is not known here. Reload the piece.");
  }
});
