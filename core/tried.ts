/** What a remedy does when it is pressed: it is planned with, and its plan held beside this one. */
import { applyPatches } from "./piece/patch";
import type { Plan, PlanInputs } from "./plan";
import { Level, Remedy, Verdict } from "./verdict/verdict";

const RANK: Record<Level, number> = { holds: 0, tight: 1, fix: 2 };

/** A remedy that was tried: whether its verdict gets better, and which others get worse by it. */
export interface TriedRemedy extends Remedy {
  mends: boolean;
  worse: Verdict[];
}

/**
 * Tries a remedy of a verdict.
 *
 * @param planner  a planner of its own: it remembers the last piece it was given
 * @throws PlanFailed when nothing of the changed piece stands
 */
export function triedRemedy(
  { inputs, plan, planner }: { inputs: PlanInputs; plan: Plan; planner: (inputs: PlanInputs) => Plan },
  verdict: Verdict,
  remedy: Remedy,
): TriedRemedy {
  const before = new Map(plan.verdicts.map((each) => [each.id, each.level]));
  const after = planner({ ...inputs, piece: applyPatches(inputs.piece, remedy.patches) }).verdicts;
  const mine = after.find(({ id }) => id === verdict.id);
  return {
    ...remedy,
    // under what holds, a remedy is an offer: it must not spoil it
    mends:
      RANK[mine?.level ?? "holds"] < RANK[verdict.level] ||
      (verdict.level === "holds" && mine?.level !== "tight" && mine?.level !== "fix"),
    worse: after.filter(({ id, level }) => id !== verdict.id && RANK[level] > RANK[before.get(id) ?? "holds"]),
  };
}
