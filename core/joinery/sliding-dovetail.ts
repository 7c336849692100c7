import { straight } from "../assembly/outline";
import { HOME } from "../assembly/place";
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import type { Held, Joint, JointBodies, SettingCard } from "./joint";

/** Rules of the sliding dovetail. @source common practice: a slope of 1 in 7, a third of the part deep, 20 mm at most */
const DOVETAIL = { slope: 1 / 7, shareOfDepth: 1 / 3, deepest: 20 };

/** A tail along the end of a part that slides into a housing; open on one side. */
export interface SlidingDovetail extends Joint {
  kind: "sliding-dovetail";
  /** at its tip, and at the shoulder */
  tip: number;
  neck: number;
  slope: number;
  section: { width: number; thickness: number };
  behind: number;
}

export interface DovetailInputs {
  meets: Meets;
  section: { width: number; thickness: number };
  into: { depth: number; thickness: number };
}

/** Sizes a sliding dovetail: the tail is as thick as its part at the tip. */
export function slidingDovetail({ meets, section, into }: DovetailInputs): SlidingDovetail {
  const length = Math.max(1, Math.floor(Math.min(DOVETAIL.deepest, into.depth * DOVETAIL.shareOfDepth)));
  const neck = section.thickness - 2 * length * DOVETAIL.slope;
  return {
    ...meets,
    kind: "sliding-dovetail",
    tip: section.thickness,
    neck,
    slope: DOVETAIL.slope,
    length,
    section,
    behind: into.depth,
    tool: { kind: "router bit", size: 0 },
    glueArea: 2 * section.width * length,
    walls: [{ where: "behind the housing", left: into.depth - length, good: 2 * TENON.wall, least: TENON.wall }],
  };
}

export function slidingDovetailBodies({ length, section, tip, neck }: SlidingDovetail): JointBodies {
  const in_ = (tip - neck) / 2;
  const tail = {
    shape: {
      length,
      width: section.width,
      thickness: tip,
      edge: {
        outer: straight([
          [0, in_],
          [length, 0],
          [length, tip],
          [0, tip - in_],
        ]),
        holes: [],
      },
    },
    place: HOME,
  };
  return { adds: [tail], cuts: [tail], own: [] };
}

/** Dry along its length: only the last of it is glued. */
export const slidingDovetailHeld = ({ section }: SlidingDovetail): Held[] => [
  { kind: "glue", name: "its dovetail", from: section.width / 2, to: section.width / 2 },
];

export function slidingDovetailCard(joint: SlidingDovetail): SettingCard {
  const angle = (Math.atan(joint.slope) * 180) / Math.PI;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      { what: "Housing", setting: `${mm(joint.length)} deep, ${fine(joint.neck)} wide at the face` },
      { what: "Housing, open above", setting: `${mm(joint.section.width)} down` },
      { what: "Slope", setting: `${angle.toFixed(1)}° from square, 1 in ${Math.round(1 / joint.slope)}` },
      { what: "Tail at its tip", setting: fine(joint.tip) },
      { what: "Tail at its shoulder", setting: fine(joint.neck) },
      { what: "Glue", setting: "the last third only, or none" },
    ],
    marked: "The tail is cut to the housing: rout the housing first, then plane the tail until it slides by hand.",
  };
}
