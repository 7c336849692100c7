/** Knots and checks that stay in a top. */
import { Step, stepOf, TIME } from "./step";

/** @param filled  boards with them  @param after  the step at which the top is one */
export const fillSteps = (filled: readonly string[], parts: string[], after: string): Step[] =>
  filled.length === 0
    ? []
    : [
        stepOf({
          id: "fill",
          title: "Fill knots and checks of the top",
          detail: `In ${filled.join(", ")}: loose wood out, epoxy tinted dark, a little proud and warmed until no bubble rises; tape below what goes through.`,
          parts,
          after: [after],
          hours: 0.5,
          wait: TIME.fill,
          waitFor: "the filling to harden before it is sanded",
        }),
      ];
