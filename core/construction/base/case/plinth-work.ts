import { FRAME_CLAMPS, Step, stepOf as step } from "../../../steps/step";
import type { Times } from "./door-work";

/** A plinth by itself, before the case is set on it. */
export const plinthStep = ({ milled, fullHours, clampHours }: Times): Step =>
  step({
    id: "plinth",
    title: "Mitre and glue the plinth",
    detail:
      "All four boards against two stops, two long and two short; a spline in each mitre. Folded up over tape on a flat board, a strap round it.",
    parts: ["plinth-front", "plinth-back", "plinth-side"],
    after: milled,
    hours: 2.5,
    wait: fullHours,
    waitFor: "the plinth to cure",
    clamps: FRAME_CLAMPS,
    clampHours,
    check: "Diagonals alike while the glue is wet.",
  });
