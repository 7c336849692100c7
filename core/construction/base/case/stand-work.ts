/** How a closed case comes to stand where it will: levelled, on its plinth or frame, hung, built in. */
import { Step, stepOf as step } from "../../../steps/step";
import type { Form } from "../../../piece/schema";
import { fine, mm } from "../../../verdict/verdict";
import type { Case } from "./case";
import { hangStep } from "./hung-work";
import { postKinds } from "./posts";

/** @param whole  the step at which the case is closed; `frame` the one at which a leg frame is */
export function standSteps(at: Case, form: Form, { whole, frame }: { whole: string; frame: string | null }): Step[] {
  const { legs, plinth } = at;
  return [
    at.onWall
      ? hangStep(at, at.onWall, form.case.hang, [whole])
      : step({
          id: "cut-feet",
          ...(legs && frame
            ? {
                title: "Level the frame and stand the case on it",
                detail: `Legs sawn to length on the flat floor, eased 2 mm. The case upside down, the frame on it, even all round; screws up through the strips, tight in front, those behind in the middle of their slots of ${fine(form.case.slot)}.`,
                parts: ["stand-leg"],
                after: [whole, frame],
                hours: 1,
                check: `The gap is ${mm(legs.gap)} all round, and nothing rocks.`,
              }
            : plinth
              ? {
                  title: "Set the case on its plinth",
                  detail: `The plinth levelled on the flat floor, the case set on it, even at both ends; screws down through the bottom, tight in front, those at the ends and behind in the middle of their slots of ${fine(form.case.slot)}.`,
                  parts: ["plinth-front", "plinth-back", "plinth-side"],
                  after: [whole, "plinth"],
                  hours: 1,
                  check: "No rock, no light between plinth and bottom.",
                }
              : {
                  title: "Level the feet and ease them",
                  detail: "On the flat floor, marked from a block: a shaving, no more. Chamfer every foot 2 mm.",
                  parts: at.cornered ? postKinds(at) : ["case-side"],
                  after: [whole],
                  hours: 0.5,
                  check: "No rock on a flat floor.",
                }),
        }),
    ...(at.fillers.length > 0
      ? [
          step({
            id: "fillers",
            title: "Scribe the fillers to the walls",
            detail:
              "The case in its alcove, level and plumb, packed under its feet. Each filler held plumb against its side, a block as wide as its widest gap run down the wall with a pencil on it; sawn and planed to the line, undercut a little; screwed from inside the case.",
            parts: ["filler"],
            after: ["cut-feet"],
            hours: 1.5,
            check: "No light between wall and filler.",
          }),
        ]
      : []),
  ];
}
