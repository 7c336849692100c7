import { notFound } from "next/navigation";
import { commissionOf, Member } from "../../../core/commission";
import { planPiece } from "../../../core/plan";
import { savedInputs } from "../../../store/inputs";
import { piecesOfCommission } from "../../../store/summaries";
import { currentWorkshop } from "../../../store/workshops";
import { CommissionView } from "../../../ui/commission/CommissionView";
import { isoToday } from "../../api/answer";

export const dynamic = "force-dynamic";

/** A commission is no longer than this in a record. */
const LONGEST = 120;

/** The pieces of one commission, planned one after another: other requests are answered between them. */
export default async function CommissionPage({ params }: { params: Promise<{ name: string }> }) {
  const name = decoded((await params).name);
  if (name === null || name.trim() === "" || name.length > LONGEST || name.includes("\0")) notFound();
  const workshop = await currentWorkshop();
  const { ids, more } = await piecesOfCommission(workshop.id, name);
  if (ids.length === 0) notFound();
  const members: Member[] = [];
  for (const id of ids) {
    await new Promise((resolve) => setImmediate(resolve));
    const saved = await savedInputs(workshop, id, isoToday());
    if (saved) members.push({ id, piece: saved.opened.piece, plan: planned(saved.inputs) });
  }
  return <CommissionView name={name.trim()} commission={commissionOf(members)} more={more} />;
}

/** A piece that can't be planned is told on its own page, with what to take back: here it is named only. */
function planned(inputs: Parameters<typeof planPiece>[0]): Member["plan"] {
  try {
    return planPiece(inputs);
  } catch (error) {
    console.error(`A piece of a commission could not be planned: ${String(error)}`);
    return null;
  }
}

function decoded(name: string): string | null {
  try {
    return decodeURIComponent(name);
  } catch {
    // an address that was never ours
    return null;
  }
}
