/** Legs turned below their rails: what is left of them there, and what would end at them low down. */
import { grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import type { SplayedFrame } from "./place";

type Facts = BaseRuleFacts<SplayedFrame>;

/** At the shoulder; a foot that is thinner dents a floor, mm. @source common practice */
const ROUND = { good: 28, least: 20, foot: 18 };

const path = (...rest: string[]) => ["form", "splayedFrame", ...rest];

export function turnedLegs({ at }: Facts): Verdict | null {
  const { turned, section } = at.legs;
  if (!turned) return null;
  const { wide, foot } = turned;
  const over = foot > wide;
  const level = over ? "fix" : grade(wide, "at least", ROUND.good, ROUND.least);
  // as much of a thicker leg stays round
  const thicker = Math.ceil((section * ROUND.good) / wide);
  return verdict({
    id: "form.turned",
    stage: "form",
    subject: ["splayed-leg"],
    level,
    text: over
      ? `Legs turned to ${mm(wide)} below the rails can’t be ${mm(foot)} at the floor`
      : `Legs are turned from ${mm(wide)} below the rails to ${mm(foot)} at the floor`,
    why: `Joints are cut while a leg is square. The round begins as thick as ${wide < section - 0.5 ? "the planed faces leave of it" : "its square"}: over it the corners stand as they were sawn.`,
    limit: ROUND.good,
    actual: Math.round(wide),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : over && wide >= ROUND.foot
          ? [set(`Turn them to ${Math.floor(wide)} mm at the foot`, path("foot"), Math.floor(wide))]
          : thicker <= 200
            ? [set(`Make the legs ${thicker} mm square`, path("section"), thicker)]
            : [set("Leave them square", path("shape"), "square")],
  });
}

export function turnedLows({ at }: Facts): Verdict | null {
  if (!at.legs.turned || at.choices.low.kind === "none") return null;
  return verdict({
    id: "form.turned-lows",
    stage: "form",
    subject: ["splayed-leg"],
    level: "fix",
    text: "Low stretchers want flat faces: none are drawn between turned legs",
    why: "A shoulder that ends at a round leg which leans both ways is hollowed by hand, each to its own.",
    remedies: [
      set("Leave the stretchers out", path("low", "kind"), "none"),
      set("Leave the legs square", path("shape"), "square"),
    ],
  });
}
