/** What tips a piece on splayed legs: between two feet its edge is farthest out. */
import { grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import { isSeat, LEAN, seatTips } from "../tipping";
import { pushAt } from "../tips-between-feet";
import type { Splayed } from "./place";

type Facts = BaseRuleFacts<Splayed>;
const path = (...rest: string[]) => ["form", "splayed", ...rest];

/** Who sits on it between two feet. */
function sitsBetween({ at, form }: Pick<Facts, "at" | "form">, beyond: number): Verdict {
  const { setIn, legs } = form.splayed;
  return seatTips({
    ...{ beyond, between: "between two feet", subject: ["splayed-leg", "top"] },
    remedies: (by) => [
      ...(setIn > by + 20 ? [set(`Set the heads in by ${mm(setIn - by)}`, path("setIn"), Math.round(setIn - by))] : []),
      ...(at.arms.length < 6 ? [set(`Stand it on ${legs + 1} legs`, path("legs"), legs + 1)] : []),
    ],
  });
}

/** Between two feet the edge is farthest out: there a push lifts the foot behind. */
export function tips({ at, form, weight }: Facts): Verdict {
  const { newtons, out, beyond } = pushAt(at, weight, form.top.outline === "ellipse");
  if (isSeat(form)) return sitsBetween({ at, form }, beyond);
  const level = grade(newtons, "at least", LEAN.good, LEAN.least);
  const more = at.arms.length < 5 ? at.arms.length + 1 : null;
  return verdict({
    id: "form.tips",
    stage: "form",
    subject: ["splayed-leg", "top"],
    level,
    text: Number.isFinite(newtons)
      ? `It tips at ${Math.round(newtons)} N between two feet`
      : "The top stays inside its feet: no edge tips it",
    why: Number.isFinite(newtons)
      ? `About ${Math.round(weight)} kg stand ${mm(out)} inside the line between two feet, and the rim is ${mm(beyond)} outside it; someone who leans on the edge puts on ${LEAN.good} N and more.`
      : "A push down on the rim meets the floor between the feet.",
    ...(Number.isFinite(newtons)
      ? { limit: LEAN.good, actual: Math.round(newtons), sense: "at least" as const, unit: "N" }
      : {}),
    source: "derived: moments about the line between two neighbouring feet; load from EN 1730, from memory",
    remedies:
      level === "holds"
        ? []
        : [
            ...(form.splayed.setIn > 40 ? [set("Set the heads in by 40 mm", path("setIn"), 40)] : []),
            ...(more ? [set(`Stand it on ${more} legs`, path("legs"), more)] : []),
          ],
  });
}
