import { grade, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts, Rule } from "../base";
import { degrees } from "./parts";
import type { SplayedFrame } from "./place";

type Facts = BaseRuleFacts<SplayedFrame>;

/** A tenon that is cut so far off its grain splits along it, degrees. @source common practice */
const OFF_GRAIN = { good: 6, least: 12 };

export const SPLAYED_FRAME_JOINT_RULES: readonly Rule<Facts>[] = [grainOfTenons];

/** Tenons cut on a rail stand square to its aslant shoulder: its grain runs out of them. */
function grainOfTenons({ at, joints }: Facts): Verdict | null {
  const cut = [...at.rails, ...at.lows]
    .map((stick) => ({
      off: (Math.atan(stick.end) * 180) / Math.PI,
      joint: joints.find(({ enters }) => enters === stick.kind),
    }))
    .filter(({ joint }) => joint?.kind === "blind-tenon" && joint.made === "tenon")
    .reduce<{ off: number; group: string } | null>(
      (a, { off, joint }) => (joint && (!a || off > a.off) ? { off, group: joint.group } : a),
      null,
    );
  if (!cut) return null;
  const level = grade(cut.off, "at most", OFF_GRAIN.good, OFF_GRAIN.least);
  return verdict({
    id: "joints.tenon-grain",
    stage: "joints",
    subject: [cut.group.split("+")[1]],
    level,
    text: `Tenons stand ${degrees(cut.off)} off their rails’ grain`,
    why: "Cut square to a shoulder that is aslant, a tenon has its grain run out at its side: a third of its strength is gone at 10°. Loose tenons have theirs straight.",
    limit: OFF_GRAIN.good,
    actual: Math.round(cut.off * 10) / 10,
    sense: "at most",
    unit: "°",
    source: "strength at an angle to the grain after Hankinson, from memory",
    remedies:
      level === "holds" ? [] : [set("Use loose tenons there", ["joints", "groups", cut.group, "kind"], "loose")],
  });
}
