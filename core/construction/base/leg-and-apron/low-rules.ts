/** What low stretchers ask of the piece, and of their joints. */
import { KIND_RULES } from "../../../joinery/joint-rules";
import { mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Rule } from "../base";
import type { Facts } from "./facts";
import { lowOf } from "./joints";

/** Under the rails stays so much for a foot or a broom, mm. @source common practice */
const FREE = 100;

/** The rules of every joint of a kind, of these stretchers. */
export const LOW_RULES: readonly Rule<Facts>[] = KIND_RULES.map((rule) => (facts) => {
  const joints = lowOf(facts.joints);
  const judged = joints.length > 0 ? rule({ ...facts, joints }) : null;
  return judged && { ...judged, id: judged.id.replace("joints.", "joints.low-") };
});

/** Low stretchers lie above the floor and below the rails, between legs that are thick enough for them. */
export function lowStretchersFit({ at, form }: Facts): Verdict | null {
  const { low } = at;
  if (!low) return null;
  const above = at.rail.lowerEdge - low.height - low.depth;
  const shortest = 2 * Math.min(...low.all.map(({ half }) => half.upper));
  const leg = Math.min(low.leg.along, low.leg.across);
  const thin = low.thickness > leg - 10;
  const level = above < 0 || shortest < 60 || low.thickness >= leg ? "fix" : above < FREE || thin ? "tight" : "holds";
  const height = Math.max(0, Math.floor(at.rail.lowerEdge - low.depth - FREE));
  return verdict({
    id: "form.low-stretchers",
    stage: "form",
    subject: low.all.map(({ kind }) => kind),
    level,
    text:
      above < 0
        ? `The low stretchers run into the rails by ${mm(-above)}`
        : shortest < 60
          ? `Only ${mm(shortest)} stay between the legs for a low stretcher`
          : thin
            ? `Stretchers of ${mm(low.thickness)} in legs that are ${mm(leg)} there`
            : `Stretchers ${mm(low.height)} above the floor, ${mm(above)} below the rails`,
    why: `They are ${mm(low.depth)} deep; legs keep 5 mm or more on each side of them, and ${FREE} mm under the rails stay free.`,
    limit: FREE,
    actual: Math.round(above),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : above < FREE && height !== form.low.height
          ? [set(`Lay them ${height} mm above the floor`, ["form", "low", "height"], height)]
          : thin && leg > 20
            ? [set(`Make them ${Math.floor(leg - 10)} mm thick`, ["form", "low", "thickness"], Math.floor(leg - 10))]
            : [set("Leave them out", ["form", "low", "kind"], "none")],
  });
}

/** An arch leaves a rail deep enough in its middle to carry the top. */
export function archLeaves({ at, form }: Facts): Verdict | null {
  if (form.apron.arch <= 0) return null;
  const left = at.rail.depth - form.apron.arch;
  const good = Math.max(ARCH.least, at.rail.depth * ARCH.share);
  const level = left < ARCH.least * 0.75 ? "fix" : left < good ? "tight" : "holds";
  const most = Math.max(0, Math.floor(at.rail.depth - good));
  return verdict({
    id: "form.arch",
    stage: "form",
    subject: ["long-rail", "end-rail"],
    level,
    text: left <= 0 ? "The arch cuts the rails in two" : `The arch leaves ${mm(left)} of rail in the middle`,
    why: `Half the rail’s depth, and ${ARCH.least} mm at least, keep it stiff; it stays straight at the shoulders.`,
    limit: Math.round(good),
    actual: Math.round(left),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Arch them ${most} mm`, ["form", "apron", "arch"], most)],
  });
}
/** What an arched rail keeps in its middle, mm, and as a share of its depth. @source common practice */
const ARCH = { least: 45, share: 0.5 };

/** A stretcher is sawn from one board. */
export function lowStretcherLength({ at, joints, longest }: Facts): Verdict | null {
  const { low } = at;
  if (!low || longest <= 0) return null;
  const tenons = lowOf(joints);
  const needs = low.all.map(({ kind, half }) => ({
    kind,
    length: 2 * Math.max(half.upper, half.lower) + 2 * (tenons.find((each) => each.enters === kind)?.length ?? 0),
  }));
  const most = needs.reduce((a, b) => (b.length > a.length ? b : a));
  const over = most.length - longest;
  return verdict({
    id: "form.low-length",
    stage: "form",
    subject: [most.kind],
    level: over > 0 ? "fix" : "holds",
    text:
      over > 0
        ? `A low stretcher of ${mm(most.length)} is longer than any board`
        : `The longest low stretcher is ${mm(most.length)} with its tenons`,
    why: `The longest board of this wood on the rack is ${mm(longest)}.`,
    limit: longest,
    actual: Math.round(most.length),
    sense: "at most",
    unit: "mm",
    remedies:
      over > 0 && most.kind !== "end-stretcher" ? [set("At the ends only", ["form", "low", "kind"], "ends")] : [],
  });
}
