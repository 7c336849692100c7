import { searchFor } from "../../../../../core/layout/cutting";
import { planPiece } from "../../../../../core/plan";
import { savedInputs } from "../../../../../store/inputs";
import { openJob, jobOf, stopJob } from "../../../../../store/jobs";
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
  const saved = await savedInputs(workshop, id, isoToday());
  if (!saved) return noPiece();
  const { cutting } = planPiece(saved.inputs);
  const inputs = searchFor(cutting.pieces, saved.opened.piece.cutting, {
    rack: saved.inputs.rack,
    strips: cutting.strips,
    shop: workshop.shop,
    rounds: ROUNDS,
    seed: 1,
  });
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
