/** The one way through: inputs in, everything derived out, as a list of named stages. The list stands in plan/, how it is run in stages.ts. */
import type { Plan } from "./plan/derived";
import type { PlanInputs } from "./plan/inputs";
import { JUDGED } from "./plan/judged";
import { asPlan } from "./plan/whole";

export type { Plan } from "./plan/derived";
export { PlanFailed } from "./plan/failed";
export type { PlanInputs } from "./plan/inputs";
export { RULE_COUNT } from "./plan/rule-count";

/**
 * The whole plan of a piece.
 *
 * @throws PlanFailed when a stage that all others build on threw, see `createPlanner`
 * @example const plan = planPiece({ piece: freshPiece("Table", "2026-11-23"), shop: USUAL_SHOP, rack: [], ownSpecies: [], today: "2026-11-23" });
 */
export function planPiece(inputs: PlanInputs): Plan {
  return createPlanner()(inputs);
}

/**
 * A planner that remembers its last answer stage by stage, so that only what depends on a change is computed again. A stage that throws
 * becomes a verdict and a line in `failures`, and leaves its part of the plan empty.
 *
 * @throws PlanFailed when nothing can stand: the wood, the geometry, the year or the courses of moisture failed
 */
export function createPlanner(): (inputs: PlanInputs) => Plan {
  const run = JUDGED.runner();
  return (inputs) => asPlan(run(inputs));
}
