/** What the bench shows of a piece, small enough to keep beside each saved revision. */
import { thumbScene } from "./drawing/elevations";
import type { Scene } from "./drawing/scene";
import type { Piece } from "./piece/schema";
import { Plan, PlanFailed, planPiece, PlanInputs } from "./plan";
import type { Failure } from "./stages";
import { stageLevels } from "./verdict/levels";
import { Level, Stage, STAGES, worstFirst } from "./verdict/verdict";

/** A piece on the bench. `scene` null: it could not be planned. Sizes: length, width and height, mm. */
export interface Card {
  name: string;
  commission: string;
  deadline: string | null;
  species: string;
  /** made so many times, where that is more than once */
  times?: number;
  size: [number, number, number];
  scene: Scene | null;
  levels: { stage: Stage; level: Level | null }[];
  next: { stage: Stage; text: string; level: Level };
}

/** A piece on the bench as it was last planned; `card` null while that has not been done once, `pending` until its last revision is. */
export interface BenchPiece {
  id: string;
  name: string;
  commission: string;
  revision: number;
  putAway: boolean;
  card: Card | null;
  pending: boolean;
}

/** Another piece of the same commission: what it is called, and its length, width and height, mm. */
export interface Companion {
  id: string;
  name: string;
  size: [number, number, number];
}

/** How many pieces there are on the bench and put away, the longest of them, mm, and whether a runner is up to plan them. */
export interface BenchSum {
  onBench: number;
  away: number;
  longest: number;
  runners: boolean;
}

/** The card of a piece, and whatever failed while it was planned. @throws never */
export function summarise(inputs: PlanInputs): { card: Card; failures: readonly Failure[] } {
  try {
    const plan = planPiece(inputs);
    return { card: cardOf(inputs.piece, plan), failures: plan.failures };
  } catch (error) {
    const failures =
      error instanceof PlanFailed
        ? error.failures
        : [
            {
              stage: "the whole plan",
              mark: "form" as const,
              message: String(error),
              stack: error instanceof Error ? (error.stack ?? "") : "",
            },
          ];
    return { card: unplannedCard(inputs.piece), failures };
  }
}

function cardOf(piece: Piece, plan: Plan): Card {
  const first = worstFirst(plan.verdicts)[0];
  const step = plan.steps.find((each) => !each.done);
  return {
    ...namesOf(piece),
    species: plan.species.name,
    scene: thumbScene({ ...plan, form: piece.form }),
    levels: stageLevels(plan.verdicts, piece),
    next:
      first && first.level === "fix"
        ? { stage: first.stage, text: first.text, level: first.level }
        : { stage: "build", text: step ? `Next: ${step.title.toLowerCase()}` : "All steps are done", level: "holds" },
  };
}

function unplannedCard(piece: Piece): Card {
  return {
    ...namesOf(piece),
    species: piece.species,
    scene: null,
    levels: STAGES.map((stage) => ({ stage, level: "fix" })),
    next: {
      stage: "form",
      text: "Not planned: Taller fails at it. Open it and take back the last change.",
      level: "fix",
    },
  };
}

const namesOf = (piece: Piece) => ({
  name: piece.name,
  commission: piece.commission,
  deadline: piece.brief.deadline,
  ...(piece.times > 1 ? { times: piece.times } : {}),
  size: [piece.form.top.length, piece.form.top.width, piece.form.height] as [number, number, number],
});
