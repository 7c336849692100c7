/** Mortises and holes that came out other than planned: what goes into them is made to them. */
import { USUAL_TENON } from "../piece/base-choices";
import { measuredOr } from "../piece/measured";
import type { AsBuilt, JointChoices } from "../piece/schema";
import { fine, listed, round1, Verdict, verdict } from "../verdict/verdict";
import type { KindOfJoint } from "./kinds";

/** Nearer than this a mortise is what its cutter makes, mm. @source common practice */
const AS_CUT = 0.3;

/** A joint with something of a thickness in a mortise or a hole. */
type Mortised = KindOfJoint & { thickness: number };
export const isMortised = (joint: KindOfJoint): joint is Mortised => "thickness" in joint;

/** Joints whose mortises were measured, and what they measure, mm. */
function measuredOf(joints: readonly KindOfJoint[], asBuilt: readonly AsBuilt[]): { joint: Mortised; value: number }[] {
  return joints.filter(isMortised).flatMap((joint) => {
    const value = measuredOr(asBuilt, joint.group, "thickness", NaN);
    return Number.isNaN(value) ? [] : [{ joint, value }];
  });
}

/** The same choices with tenons as thick as the mortises that were measured; the same where none were. */
export function asMeasured(
  joints: readonly KindOfJoint[],
  choices: JointChoices,
  asBuilt: readonly AsBuilt[],
): JointChoices {
  return measuredOf(joints, asBuilt).reduce((all, { joint: { group, setAt }, value }): JointChoices => {
    // rails in legs share one choice, others have their own
    if (setAt) return { ...all, legRail: { ...all.legRail, thickness: value } };
    return {
      ...all,
      groups: { ...all.groups, [group]: { ...(all.groups[group] ?? usualOf(joints, group)), thickness: value } },
    };
  }, choices);
}

/** What a group is where nothing was chosen for it: loose tenons stay loose. */
function usualOf(joints: readonly KindOfJoint[], group: string): JointChoices["groups"][string] {
  const joint = joints.find((each) => each.group === group);
  return {
    ...USUAL_TENON,
    kind: joint && "made" in joint && joint.made === "loose-tenon" ? "loose" : USUAL_TENON.kind,
  };
}

interface MortiseFacts {
  asBuilt: readonly AsBuilt[];
  joints: readonly KindOfJoint[];
  /** as they would be had nothing been measured */
  planned: readonly KindOfJoint[];
}

/** What measured mortises ask of what goes into them. */
export function mortisesMeasured({ asBuilt, joints, planned }: MortiseFacts): Verdict | null {
  const measured = measuredOf(joints, asBuilt);
  if (measured.length === 0) return null;
  const off = measured.map(({ joint, value }) => {
    const before = planned.filter(isMortised).find(({ group }) => group === joint.group);
    return { joint, value, by: value - (before?.thickness ?? value) };
  });
  const worst = off.reduce((a, b) => (Math.abs(b.by) > Math.abs(a.by) ? b : a));
  const { joint, value, by } = worst;
  const loose = "made" in joint && joint.made === "loose-tenon";
  const dowels = joint.kind === "dowelled";
  const asked = dowels ? "dowels" : loose ? "loose tenons" : "tenons";
  const plain = Math.abs(by) <= AS_CUT;
  return verdict({
    id: "joints.mortise-measured",
    stage: "joints",
    subject: [joint.enters],
    level: plain ? "holds" : "tight",
    text: plain
      ? `Mortises measure what their cutter makes: ${fine(value)}`
      : `${joint.name}: mortises are ${fine(value)} wide, ${fine(Math.abs(by))} ${by > 0 ? "more" : "less"} than planned`,
    why: `${plain ? "" : `What goes into them is made to them: ${asked} ${fine(value)} thick${dowels || loose ? ", turned or planed for them, as none are sold so" : ", left full and planed to fit"}. `}Measured: ${listed(off.map((each) => `${each.joint.name.toLowerCase()} ${fine(each.value)}`))}. Walls and shoulders follow.`,
    limit: round1(value - by),
    actual: round1(value),
    unit: "mm",
    source: "the work itself",
    remedies: [],
  });
}
