import { Failure, marksOf, Stood, told } from "../stages";
import { Stage, Verdict, verdict } from "./verdict";

/** How a mark of the story stick is called in a sentence. */
export const MARK_NAMES: Record<Stage, string> = {
  brief: "Brief",
  form: "Form",
  movement: "Movement",
  joints: "Joints",
  boards: "Boards",
  "glue-up": "Glue-up",
  cutting: "Cutting",
  build: "Build",
  log: "Log",
};

/** What a rule found, and the rules that threw instead. */
export interface Judged {
  verdicts: Verdict[];
  failures: Failure[];
}

/** Every rule over the same facts; one that throws is a failure of its own and takes no other with it. */
export function judge<F>(mark: Stage, rules: readonly ((facts: F) => Verdict | Verdict[] | null)[], facts: F): Judged {
  const judged: Judged = { verdicts: [], failures: [] };
  rules.forEach((rule, i) => {
    try {
      judged.verdicts.push(...[rule(facts) ?? []].flat());
    } catch (error) {
      judged.failures.push({ stage: `rule ${i + 1} of ${MARK_NAMES[mark]}`, mark, ...told(error) });
    }
  });
  return judged;
}

/** Whether a verdict tells of a fault of Taller and not of the piece. */
export const isFault = ({ id }: Verdict) => id.startsWith("fault.");

/** What a maker is told where stages failed, or wait for one that did. */
export function faultVerdicts(failures: readonly Failure[], waiting: Stood<unknown>["waiting"]): Verdict[] {
  const failed = marksOf(failures);
  const waits = marksOf(waiting).filter((mark) => !failed.includes(mark));
  return [
    ...failed.map((mark) =>
      verdict({
        id: `fault.${mark}`,
        stage: mark,
        level: "fix",
        text: `${MARK_NAMES[mark]} could not be worked out to the end`,
        why: `Taller failed at ${failures
          .filter((each) => each.mark === mark)
          .map((each) => each.stage)
          .join(
            ", ",
          )}: a fault of Taller, not of the piece, and kept with what it takes to repeat it. Take back the change that brought it; the rest of the plan stands.`,
        source: "Taller itself",
      }),
    ),
    ...waits.map((mark) =>
      verdict({
        id: `fault.${mark}`,
        stage: mark,
        level: "fix",
        text: `${MARK_NAMES[mark]} is not complete`,
        why: `It builds on ${[...new Set(waiting.filter((each) => each.mark === mark).map((each) => each.for))].join(", ")}, which could not be worked out.`,
        source: "Taller itself",
      }),
    ),
  ];
}
