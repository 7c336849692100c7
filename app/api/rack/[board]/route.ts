import { removeBoard } from "../../../../store/boards";
import { currentWorkshop } from "../../../../store/workshops";
import { refuse } from "../../answer";

/** Takes a board off the rack, unless a piece has it. */
export async function DELETE(_: Request, { params }: { params: Promise<{ board: string }> }) {
  const { board } = await params;
  const gone = /^[\w.-]{1,40}$/.test(board) && (await removeBoard((await currentWorkshop()).id, board));
  return gone ? Response.json({}) : refuse("This board is reserved for a piece, or no longer there. Take it out of the panel first.", 409);
}
