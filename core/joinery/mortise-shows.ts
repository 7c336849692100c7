/** Mortises that were cut longer than the part over them covers: what shows, and what saves it. */
import { measuredOr } from "../piece/measured";
import type { AsBuilt } from "../piece/schema";
import { fine, grade, mm, Remedy, round1, set, Verdict, verdict } from "../verdict/verdict";
import type { KindOfJoint } from "./kinds";

/** So much shoulder hides a mortise's end, mm. @source common practice */
const HIDES = { good: 2, least: 0 };

/** A joint whose mortise lies along a face, covered by the shoulders of what enters. */
type Covered = Extract<KindOfJoint, { kind: "blind-tenon" | "rail-tenon" | "through-tenon" }>;
export const isCovered = (joint: KindOfJoint): joint is Covered =>
  joint.kind === "blind-tenon" || joint.kind === "rail-tenon" || joint.kind === "through-tenon";

/** How long the mortise of a joint is along its face, from the first tenon's edge to the last one's, mm. */
export const mortiseLong = (joint: Covered): number =>
  joint.section.width - beginsAt(joint) - ("end" in joint.shoulders ? joint.shoulders.end : joint.shoulders.lower);

/** How far in from the part's edge it begins, at its upper end where its ends differ. */
export const beginsAt = ({ shoulders }: Covered): number => ("end" in shoulders ? shoulders.end : shoulders.top);

interface Facts {
  asBuilt: readonly AsBuilt[];
  joints: readonly KindOfJoint[];
}

/** Measured from the end it was planned to begin at: what goes on too far shows beside the part. */
export function mortiseShows({ asBuilt, joints }: Facts): Verdict | null {
  const measured = joints.filter(isCovered).flatMap((joint) => {
    const long = measuredOr(asBuilt, joint.group, "length", NaN);
    return Number.isNaN(long) ? [] : [{ joint, long, hidden: joint.section.width - beginsAt(joint) - long }];
  });
  if (measured.length === 0) return null;
  const { joint, long, hidden } = measured.reduce((a, b) => (b.hidden < a.hidden ? b : a));
  const level = grade(hidden, "at least", HIDES.good, HIDES.least);
  const planned = mortiseLong(joint);
  const slip: Remedy = set(
    `Glue a slip ${fine(Math.max(0, long - planned))} long into its end, and it is as planned`,
    ["asBuilt"],
    asBuilt.filter(({ part, dimension }) => part !== joint.group || dimension !== "length"),
  );
  const deep = Math.ceil(joint.section.width + HIDES.good - hidden);
  // rails in legs have one depth, all of them
  const deeper =
    joint.setAt && deep <= 400 ? [set(`Make the rails ${mm(deep)} deep`, ["form", "apron", "depth"], deep)] : [];
  return verdict({
    id: "joints.mortise-shows",
    stage: "joints",
    subject: [joint.receives, joint.enters],
    level,
    text:
      hidden < HIDES.least
        ? `${joint.name}: the mortise shows ${fine(-hidden)} beside the shoulder`
        : level === "tight"
          ? `${joint.name}: only ${fine(hidden)} of shoulder hide the mortise’s end`
          : `${joint.name}: ${fine(hidden)} of shoulder still hide the mortise`,
    why: `Planned ${fine(planned)} long, measured ${fine(long)} from the same end; the shoulder covers ${mm(joint.section.width)}. ${long > planned + 1 ? "The tenon keeps its cheeks and holds; along the mortise it has room: draw it to the planned end." : ""}`.trim(),
    limit: HIDES.good,
    actual: round1(hidden),
    sense: "at least",
    unit: "mm",
    source: "the work itself",
    remedies: level === "holds" ? [] : [slip, ...deeper],
  });
}
