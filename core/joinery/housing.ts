import { HOME } from "../assembly/place";
import type { Vec } from "../assembly/vector";
import { mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import type { Held, Joint, JointBodies, SettingCard } from "./joint";

/** A whole section let in by so much, mm, and at most a third of what it is let into. @source common practice */
const HOUSING = { depth: 8, share: 1 / 3 };

/** A part let into another by its whole section: its shoulder can't be seen to open. */
export interface Housing extends Joint {
  kind: "housing";
  section: { width: number; thickness: number };
  behind: number;
  /** glued along its length, where both sides move alike; else held by screws in its middle */
  glued: boolean;
  /** how far short of each end of the section it stops, mm: no end of it is seen */
  stops: { from: number; to: number };
}

export interface HousingInputs {
  meets: Meets;
  section: { width: number; thickness: number };
  into: { depth: number; thickness: number };
  glued?: boolean;
  stops?: Housing["stops"];
}
const OPEN = { from: 0, to: 0 };

/** Sizes a housing for the whole end of a part. */
export function housing({ meets, section, into, glued = false, stops = OPEN }: HousingInputs): Housing {
  const length = Math.max(1, Math.floor(Math.min(HOUSING.depth, into.depth * HOUSING.share)));
  return {
    ...meets,
    kind: "housing",
    ...{ section, glued, stops },
    behind: into.depth,
    length,
    tool: { kind: "router bit", size: 0 },
    glueArea: 2 * inside(section, stops) * length,
    walls: [{ where: "behind the housing", left: into.depth - length, good: 2 * TENON.wall, least: TENON.wall }],
  };
}

const inside = ({ width }: Housing["section"], { from, to }: Housing["stops"]) => Math.max(1, width - from - to);

export function housingBodies({ section, length, stops }: Housing): JointBodies {
  const whole = {
    shape: { length, ...section, width: inside(section, stops) },
    place: { ...HOME, at: [0, stops.from, 0] as Vec },
  };
  return { adds: [whole], cuts: [whole], own: [] };
}

export const housingHeld = ({ section, glued, stops }: Housing): Held[] => [
  glued
    ? { kind: "glue", name: "its housing", from: stops.from, to: Math.max(stops.from, section.width - stops.to) }
    : { kind: "screw", name: "its screws", from: section.width / 2, to: section.width / 2 },
];

export function housingCard(joint: Housing): SettingCard {
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      { what: "Housing", setting: `${mm(joint.length)} deep` },
      {
        what: "Long and wide",
        setting: `${mm(inside(joint.section, joint.stops))} by ${mm(joint.section.thickness)}`,
      },
      ...(joint.stops.from + joint.stops.to > 0
        ? [
            {
              what: "Stopped, its end squared with a chisel",
              setting: `${mm(Math.max(joint.stops.from, joint.stops.to))} short of the edge; the shoulder is notched as far`,
            },
          ]
        : []),
      joint.glued
        ? { what: "Fixed", setting: "glued from end to end" }
        : { what: "Fixed", setting: "two screws, bored before the glue-up" },
    ],
    marked: "The housing is marked from the part itself, held in place.",
  };
}
