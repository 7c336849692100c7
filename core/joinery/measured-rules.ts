/** Parts that came out other than they were planned: what can be saved, and how. */
import { AssemblyPart, extentOf } from "../assembly/part";
import { USUAL_TENON } from "../piece/base-choices";
import { measuredOr } from "../piece/measured";
import type { Patch } from "../piece/patch";
import type { AsBuilt, JointChoices } from "../piece/schema";
import { fine, Remedy, round1, Verdict, verdict } from "../verdict/verdict";
import type { KindOfJoint } from "./kinds";

/** Nearer than this to its plan a length is as planned: a shaving, mm. Ours */
const AS_PLANNED = 0.5;
/** A tenon shorter than this is none, mm. @source common practice */
const NO_TENON = 15;

export interface MeasuredFacts {
  asBuilt: readonly AsBuilt[];
  choices: JointChoices;
  parts: readonly AssemblyPart[];
  joints: readonly KindOfJoint[];
  /** how the base's choices make a kind of part so much shorter between its shoulders, mm; none where they can't */
  shorter: (kind: string, by: number) => Patch[];
}

interface Off {
  part: AssemblyPart;
  planned: number;
  measured: number;
}

/** The part whose measured length is farthest from its plan, and the rescue that uses what is there. */
export function measuredFits({ asBuilt, choices, parts, joints, shorter }: MeasuredFacts): Verdict | null {
  // of a kind whose parts differ the list is by the longest
  const kinds = new Map<string, AssemblyPart>();
  for (const part of parts.filter(({ role }) => role !== "panel")) {
    const known = kinds.get(part.kind);
    if (!known || extentOf(part).length > extentOf(known).length) kinds.set(part.kind, part);
  }
  const off = [...new Set(asBuilt.map((each) => each.part))].flatMap((kind): Off[] => {
    const part = kinds.get(kind);
    if (!part) return [];
    const planned = extentOf(part).length;
    return [{ part, planned, measured: measuredOr(asBuilt, kind, "length", planned) }];
  });
  if (off.length === 0) return null;
  const lack = ({ planned, measured }: Off) => planned - measured;
  // what is too short is worse than what is too long
  const worst = off.reduce((a, b) => (lack(b) > lack(a) || (lack(a) <= AS_PLANNED && lack(b) < lack(a)) ? b : a));
  const by = lack(worst);
  const { part, planned, measured } = worst;
  const said = part.said ?? part.name.toLowerCase();
  const level = by > AS_PLANNED ? "fix" : by < -AS_PLANNED ? "tight" : "holds";
  return verdict({
    id: "joints.measured",
    stage: "joints",
    subject: [part.kind],
    level,
    text:
      level === "fix"
        ? `The ${said} came out ${fine(by)} too short for its joints`
        : level === "tight"
          ? `The ${said} is still ${fine(-by)} longer than planned`
          : "What was measured is what the joints want",
    why: `Planned ${fine(planned)} with its joints, ${fine(part.shape.length)} between its shoulders; measured ${fine(measured)}.${level === "fix" ? " It need not be made again." : ""}`,
    limit: round1(planned),
    actual: round1(measured),
    sense: "at least",
    unit: "mm",
    remedies: level === "fix" ? rescues(worst, { choices, joints, shorter }) : [],
  });
}

const supports = ({ role }: AssemblyPart) => role === "leg" || role === "post";
/** Supports that were cut short lower the top; anything else draws what it joins together. */
const saved = (part: AssemblyPart, by: number): string =>
  supports(part) ? `Let the top stand ${fine(by)} lower` : `Draw the frame in by ${fine(by)}`;

/** Loose tenons where its own are missing, shorter ones where there is something left, a smaller frame where it does not reach. */
function rescues(
  { part, measured }: Off,
  { choices, joints, shorter }: Pick<MeasuredFacts, "choices" | "joints" | "shorter">,
): Remedy[] {
  const own = joints.filter(
    (joint) =>
      joint.enters === part.kind && joint.length > 0 && (joint.kind === "rail-tenon" || joint.kind === "blind-tenon"),
  );
  const groups = [...new Map(own.map((joint) => [joint.setAt?.join() ?? joint.group, joint])).values()];
  const change = (to: (joint: KindOfJoint) => { kind?: string; length: number | null }): Patch[] =>
    groups.map((joint) =>
      joint.setAt
        ? { path: [...joint.setAt], value: { ...choices.legRail, ...to(joint) } }
        : {
            path: ["joints", "groups", joint.group],
            value: { ...(choices.groups[joint.group] ?? USUAL_TENON), ...to(joint) },
          },
    );
  const loose = change(({ setAt }) => ({ kind: setAt ? "loose-tenon" : "loose", length: null }));
  // rails share their choice: what saves one is done to all
  const all = groups.some(({ setAt }) => setAt) ? "all rails" : "it";
  const left = (measured - part.shape.length) / 2;
  const missing = part.shape.length - measured;
  if (groups.length === 0) {
    // a support carries by all of its length, what joins others by what lies between its shoulders
    const lack = supports(part) ? extentOf(part).length - measured : missing;
    const frame = shorter(part.kind, Math.max(0, lack));
    return lack > AS_PLANNED && frame.length > 0 ? [{ label: saved(part, lack), patches: frame }] : [];
  }
  if (missing > AS_PLANNED) {
    const frame = shorter(part.kind, missing);
    return frame.length === 0
      ? []
      : [
          {
            label: `${saved(part, missing)}, ${all === "it" ? "" : `${all} `}on loose tenons`,
            patches: [...frame, ...loose],
          },
        ];
  }
  if (left < NO_TENON) return [{ label: `Join ${all} by loose tenons instead`, patches: loose }];
  const length = Math.floor(left * 2) / 2;
  return [
    { label: `Tenons ${fine(length)} long${all === "it" ? "" : " on all rails"}`, patches: change(() => ({ length })) },
    { label: `Saw them off, and join ${all} by loose tenons`, patches: loose },
  ];
}
