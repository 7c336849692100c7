/** Two faces drawn together by screws: through the part that enters, into the one that receives. */
import type { Outline } from "../assembly/outline";
import { fine, mm } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import { Brought, Held, Joint, JointBodies, JointBody, round, SettingCard } from "./joint";

/** A wood screw of 5 mm: its shank's hole, its pilot hole in hardwood. @source common practice: a pilot as wide as the thread's core */
const SCREW = { diameter: 5, pilot: 3.5 };

export interface Screwed extends Joint {
  kind: "screwed";
  screws: number;
  screw: { diameter: number; pilot: number; long: number };
  /** what a screw passes before the face, and where it stands across it, mm */
  through: number;
  at: number;
  section: { width: number; thickness: number };
  behind: number;
  /** how long the slots are, along the face or across it, in which the screws let the part go; null where they hold it still */
  slot: number | null;
  slotWay: "along" | "across";
  /** the last of them, or the middle one, holds all the same, in a round hole: the others let the part go from there */
  tight?: true | "middle";
  /** how a card says where they stand and which way their slots run, where the face is only a spot round each */
  spots?: { where: string; slots: string };
}

export interface ScrewedInputs {
  meets: Meets;
  /** of the face they share */
  section: { width: number; thickness: number };
  into: { depth: number };
  screws: number;
  /** length of a screw, mm */
  long: number;
  through: number;
  /** across the face; its middle where it isn't said */
  at?: number;
  slot?: number | null;
  slotWay?: Screwed["slotWay"];
  tight?: Screwed["tight"];
  spots?: Screwed["spots"];
}

/** Places the screws: so many along the face, the outer ones a quarter of their distance from its ends. */
export const screwed = ({
  meets,
  section,
  into,
  screws,
  long,
  through,
  at,
  slot = null,
  slotWay = "along",
  tight,
  spots,
}: ScrewedInputs): Screwed => ({
  ...meets,
  kind: "screwed",
  screws,
  screw: { ...SCREW, long },
  ...{ through, at: at ?? section.thickness / 2, section, slot, slotWay },
  ...(tight ? { tight } : {}),
  ...(spots ? { spots } : {}),
  behind: into.depth,
  length: 0,
  glueArea: 0,
  tool: { kind: "drill", size: SCREW.diameter },
  walls: [],
});

/** Where the screws stand along the face. */
const along = ({ screws, section }: Screwed): number[] =>
  Array.from({ length: screws }, (_, i) => (section.width * (i + 0.5)) / screws);

/** Whether the screw of that number holds where the others let go. */
const isTight = ({ tight, screws }: Screwed, i: number) =>
  tight === true ? i === screws - 1 : tight === "middle" && 2 * i === screws - 1;

export function screwedBodies(joint: Screwed): JointBodies {
  const { through, at, screw, behind, slot } = joint;
  const bites = Math.min(behind, Math.max(1, screw.long - through));
  const each = (diameter: number, from: number, to: number) =>
    along(joint).map((y) => round("x", diameter, [from, y, at], to - from));
  return {
    adds: [],
    cuts: each(screw.pilot, 0, bites),
    own: slot === null ? each(screw.diameter, -through, 0) : slots(joint, Math.max(slot, screw.diameter)),
    brings: each(screw.pilot, -Math.min(through, screw.long), bites).map((body): Brought => ({
      ...body,
      ...{ name: "Screw", of: "steel", sold: { diameter: screw.diameter, length: screw.long } },
    })),
  };
}

/** Slots through the part that enters, round at their ends. */
function slots(joint: Screwed, long: number): JointBody[] {
  const d = joint.screw.diameter;
  const lengthwise = joint.slotWay === "along";
  const end: Outline = {
    outer: [
      { at: [d / 2, 0], rise: 0 },
      { at: [long - d / 2, 0], rise: d / 2 },
      { at: [long - d / 2, d], rise: 0 },
      { at: [d / 2, d], rise: d / 2 },
    ],
    holes: [],
  };
  return along(joint).map((y, i): JointBody =>
    long - d < 0.1 || isTight(joint, i)
      ? round("x", d, [-joint.through, y, joint.at], joint.through)
      : {
          shape: { length: joint.through, width: long, thickness: d, end },
          place: lengthwise
            ? { at: [-joint.through, y - long / 2, joint.at - d / 2], x: [1, 0, 0], y: [0, 1, 0] }
            : { at: [-joint.through, y + d / 2, joint.at - long / 2], x: [1, 0, 0], y: [0, 0, 1] },
        },
  );
}

export const screwedHeld = (joint: Screwed): Held[] =>
  along(joint).map((y, i) =>
    joint.slot === null || isTight(joint, i)
      ? { kind: "screw", name: "its screw", from: y, to: y }
      : {
          ...{ kind: "slot", name: "its screw in a slot", from: y, to: y },
          ...{ play: Math.max(0, (joint.slot - joint.screw.diameter) / 2), way: joint.slotWay },
        },
  );

export function screwedCard(joint: Screwed): SettingCard {
  const { screws, screw, through, section, at, spots } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      { what: "Screws", setting: `${screws} of ${mm(screw.diameter)} by ${mm(screw.long)}` },
      spots
        ? { what: "Where", setting: spots.where }
        : {
            what: "From the part’s edge",
            setting: along(joint)
              .map((y) => mm(Math.round(y)))
              .join(", "),
          },
      ...(Math.abs(at - section.thickness / 2) < 0.5
        ? []
        : [{ what: "From the near corner of its end", setting: fine(at) }]),
      joint.slot === null
        ? { what: "Hole through the part", setting: `${mm(screw.diameter)}, ${fine(through)} long` }
        : {
            what: `Slot through the part, ${spots ? spots.slots : `${joint.slotWay} it`}`,
            setting: `${mm(screw.diameter)} by ${fine(joint.slot)}: the screw in its middle under a washer, a turn loose`,
          },
      ...(joint.tight
        ? [
            {
              what: joint.tight === "middle" ? "The middle one" : "The last one",
              setting: `tight, through a hole of ${mm(screw.diameter)}`,
            },
          ]
        : []),
      {
        what: "Pilot hole behind it",
        setting: `${fine(screw.pilot)}, ${fine(Math.max(0, screw.long - through))} deep`,
      },
    ],
    marked: "Its holes before anything is closed round it; the pilot hole is bored through the part held in its place.",
  };
}
