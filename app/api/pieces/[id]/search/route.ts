import { searchFor } from "../../../../../core/layout/cutting";
import { planPiece } from "../../../../../core/plan";
import { rack } from "../../../../../store/boards";
import { openJob, jobOf, stopJob } from "../../../../../store/jobs";
import { openPiece } from "../../../../../store/pieces";
import { currentWorkshop } from "../../../../../store/workshops";
import { isId, isoToday, noPiece, refuse, route } from "../../../answer";

/** Rounds of a search that is sent away: long enough that a browser should not wait for it. */
const ROUNDS = 60;

/** The newest search of this piece on the server: how far it is and the best so far. */
export const GET = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  return Response.json({ job: await jobOf((await currentWorkshop()).id, id) });
});

/** Sends the piece, as it is saved, to the search runners. */
export const POST = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  const workshop = await currentWorkshop();
  const opened = await openPiece(workshop.id, id);
  if (!opened) return noPiece();
  const boards = await rack(workshop.id, id, opened.piece.species);
  const plan = planPiece({ piece: opened.piece, shop: workshop.shop, rack: boards, ownSpecies: workshop.ownSpecies, today: isoToday() });
  const inputs = searchFor(plan.cutting.pieces, opened.piece.cutting, boards, plan.cutting.strips, workshop.shop, ROUNDS, 1);
  if (inputs.pieces.length === 0) return refuse("Everything is sawn: there is nothing left to search for.");
  await openJob(workshop.id, id, inputs);
  return Response.json({ job: await jobOf(workshop.id, id) });
});

/** Stops it; the best so far stays. */
export const DELETE = route(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  if (!isId(id)) return noPiece();
  const workshop = await currentWorkshop();
  await stopJob(workshop.id, id);
  return Response.json({ job: await jobOf(workshop.id, id) });
});
