import * as v from "valibot";
import { boardSchema } from "../../../../core/stock/board";
import { addBoard, boardOf, changeBoard, removeBoard } from "../../../../store/boards";
import { currentWorkshop } from "../../../../store/workshops";
import { isBoardName, readJson, refuse, refuseFault, route } from "../../answer";

const asked = v.object({ before: v.nullable(boardSchema), board: boardSchema });

/** Keeps a board as it was changed from `before`, or a new one; 409 with what stands when someone was quicker. */
export const PUT = route(async (request: Request, { params }: { params: Promise<{ board: string }> }) => {
  const { board: id } = await params;
  if (!isBoardName(id)) return refuse("A board's name is letters and digits, such as B14.", 400);
  const body = await readJson(request, 200_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(asked, body.json);
  if (!read.success) return refuseFault(asked, body.json);
  const { before, board } = read.output;
  if (board.id !== id || (before && before.id !== id))
    return refuse("A board keeps its name. Take it off and add it under another.");
  const workshop = (await currentWorkshop()).id;
  const stands = await boardOf(workshop, id);
  if (!before) {
    if (!(await addBoard(workshop, board)))
      return refuse(
        stands?.left === "cut"
          ? `${id} was the name of a board that has been cut. Give this board another name.`
          : `${id} is on the rack already. Give this board another name.`,
        409,
      );
  } else if (!(await changeBoard(workshop, before, board))) {
    return Response.json(
      {
        message: stands?.left
          ? `${id} is no longer on the rack: it was ${stands.left}.`
          : `${id} was changed on another screen meanwhile. What you typed is still here; load what stands to compare.`,
        stands: stands?.board ?? null,
      },
      { status: 409 },
    );
  }
  return Response.json({ board });
});

/** Takes a board off the rack, unless a piece has it. */
export const DELETE = route(async (_: Request, { params }: { params: Promise<{ board: string }> }) => {
  const { board } = await params;
  const gone = isBoardName(board) && (await removeBoard((await currentWorkshop()).id, board));
  return gone
    ? Response.json({})
    : refuse("This board is reserved for a piece, or no longer there. Take it out of the panel first.", 409);
});
