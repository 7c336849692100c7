/** Legs turned round below the rails, square where those meet them. mm */
import type { Worked } from "../../../assembly/part";
import { HOME } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";
import type { Form } from "../../../piece/schema";
import { Step, stepOf as step, TIME } from "../../../steps/step";
import { mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { USUAL } from "../../usual";
import type { BaseRuleFacts } from "../base";
import { coneRound, turningSaid } from "../round-leg";
import type { LegAndApron } from "./place";

/** A cone, or a cylinder, from the floor to under the rails, and the square head above; null where no leg is left below. */
export function turnedLeg({ leg, rail }: Pick<LegAndApron, "leg" | "rail">): {
  from: number;
  shape: Shape;
  head: Worked;
} | null {
  const { section, across, length, foot } = leg;
  const from = rail.lowerEdge - USUAL.taperBelow;
  if (from <= 0 || from >= length || section <= 0 || across !== section) return null;
  const [low, high] = [Math.min(foot, section) / 2, section / 2];
  const planes = coneRound({ from: 0, to: from, low, high });
  return {
    from,
    shape: { length, width: section, thickness: across, planes },
    head: {
      by: "leg",
      shows: true,
      shape: { length: length - from, width: section, thickness: across },
      place: { ...HOME, at: [from, 0, 0] },
    },
  };
}

/** A lathe turns what is as thick as it is wide; what meets a round leg low down wants its ends hollowed. */
export function turnedRound({ form, at }: BaseRuleFacts<LegAndApron>): Verdict | null {
  if (form.leg.taper !== "turned") return null;
  const { section, across } = at.leg;
  const low = form.low.kind !== "none";
  const shelf = form.shelf.kind !== "none" && at.seats.some(({ letIn }) => letIn > 0);
  const flat = across !== section;
  return verdict({
    id: "form.turned",
    stage: "form",
    subject: ["leg", ...(low ? ["stretcher", "end-stretcher"] : [])],
    level: flat ? "fix" : low || shelf ? "tight" : "holds",
    text: flat
      ? `A leg ${mm(section)} by ${mm(across)} can’t be turned round`
      : low
        ? "Low stretchers meet round legs: their shoulders are hollowed to them"
        : shelf
          ? "The shelf’s corners are let into round legs: each housing is scribed"
          : `Legs are turned from ${mm(section)} to ${mm(at.leg.foot)} at the floor, square at the rails`,
    why: "Joints are cut while the leg is square. Below the rails it is turned between centres, its corners nicked with a knife where the round begins.",
    remedies: flat
      ? [set(`Make it ${mm(section)} square`, ["form", "leg", "across"], null)]
      : low || shelf
        ? [set("Taper them on all faces instead", ["form", "leg", "taper"], "four-faces")]
        : [],
  });
}

/** How legs get thinner toward the floor, once they are jointed. */
export const taperStep = (form: Form, at: Pick<LegAndApron, "leg">): Step =>
  step({
    id: "taper",
    ...(form.leg.taper === "turned"
      ? turningSaid({ wide: at.leg.section, foot: at.leg.foot, all: "all four" })
      : {
          title: "Taper the legs",
          detail: "From 10 mm below the rail to the foot, after the joints are cut.",
          caution: "Taper jig: hold-downs, and the leg's thick end first.",
        }),
    parts: ["leg"],
    after: ["dry-fit"],
    hours: 4 * TIME.shape * (form.leg.taper === "turned" ? 2 : 1),
  });
