import type { Failure } from "../stages";

/** Nothing of a plan stands without what failed here: a fault in Taller, told with the stages that threw. */
export class PlanFailed extends Error {
  constructor(readonly failures: readonly Failure[]) {
    super(
      `This piece can't be planned: Taller fails at ${failures.map((each) => each.stage).join(", ")}. Take back the change that brought it.`,
      { cause: failures[0] },
    );
    this.name = "PlanFailed";
  }
}
