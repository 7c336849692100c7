import { planPiece } from "../core/plan";
import { worstFirst } from "../core/verdict/verdict";
import { stageLevels } from "../ui/stick/levels";
import { rack } from "../store/boards";
import { bench } from "../store/pieces";
import { currentWorkshop } from "../store/workshops";
import { BenchView } from "../ui/bench/BenchView";
import { thumbScene } from "../core/drawing/elevations";
import { isoToday } from "./api/answer";

export const dynamic = "force-dynamic";

/** The bench: every piece drawn small to scale, with what it needs next. */
export default async function Bench() {
  const workshop = await currentWorkshop();
  const [pieces, boards] = await Promise.all([bench(workshop.id), rack(workshop.id, null)]);
  const cards = pieces.map(({ id, piece, putAway, revision }) => {
    const mine = boards.map((board) => (board.reservedBy?.piece === id ? { ...board, reservedBy: null } : board));
    const plan = planPiece({ piece, shop: workshop.shop, rack: mine, ownSpecies: workshop.ownSpecies, today: isoToday() });
    const first = worstFirst(plan.verdicts)[0];
    const nextStep = plan.steps.find((step) => !step.done);
    return {
      id, name: piece.name, commission: piece.commission, putAway, revision, deadline: piece.brief.deadline, species: plan.species.name,
      size: [piece.form.top.length, piece.form.top.width, piece.form.height] as [number, number, number],
      scene: thumbScene({ geometry: plan.geometry, species: plan.species, form: piece.form }),
      levels: stageLevels(plan.verdicts, piece),
      next: first && first.level === "fix" ? { stage: first.stage, text: first.text, level: first.level } : { stage: "build" as const, text: nextStep ? `Next: ${nextStep.title.toLowerCase()}` : "All steps are done", level: "holds" as const },
    };
  });
  return <BenchView cards={cards} shop={workshop.shop.name} />;
}
