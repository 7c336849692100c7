/** An open slot over a tongue: the part that enters ends in a tongue, the one that receives is forked over it, square or leaning. */
import { straight } from "../assembly/outline";
import { HOME } from "../assembly/place";
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import type { Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";

/** A third of the forked part is tongue. @source common practice */
const SHARE = 1 / 3;

export interface Bridle extends Joint {
  kind: "bridle";
  thickness: number;
  /** how far the tongue drops for each mm it goes in, where the two don't meet square */
  slope: number;
  section: { width: number; thickness: number };
  behind: number;
}

export interface BridleInputs {
  meets: Meets;
  /** of the part that enters, along the face they share and across it */
  section: { width: number; thickness: number };
  into: { depth: number; thickness: number };
  /** between the two, from square, degrees */
  off: number;
  thickness: number | null;
}

/** Sizes a bridle: the tongue is a third of what is forked over it, to the half mm, and as long as that is deep. */
export function bridle({ meets, section, into, off, thickness: asked }: BridleInputs): Bridle {
  const slope = Math.tan((off * Math.PI) / 180);
  const thickness = asked ?? Math.max(1, Math.round(into.thickness * SHARE * 2) / 2);
  return {
    ...meets,
    kind: "bridle",
    ...{ thickness, slope, section },
    behind: into.depth,
    // along the part that enters, at its longer edge
    length: into.depth / Math.cos((off * Math.PI) / 180),
    tool: { kind: "none", size: thickness },
    glueArea: 2 * section.width * into.depth,
    walls: [
      { where: "each cheek of the fork", left: (into.thickness - thickness) / 2, good: 12, least: TENON.wall },
      { where: "each shoulder of the tongue", left: (section.thickness - thickness) / 2, good: 6, least: 2 },
    ],
  };
}

/** The tongue, and the slot it fills: open where the forked part ends. */
export function bridleBodies({ thickness, slope, section, behind }: Bridle): JointBodies {
  const drop = slope * behind;
  const low = Math.min(0, -drop);
  const tongue: JointBody = {
    shape: {
      length: behind,
      width: section.width + Math.abs(drop),
      thickness,
      face: {
        outer: straight([
          [0, -low],
          [behind, -low - drop],
          [behind, section.width - low - drop],
          [0, section.width - low],
        ]),
        holes: [],
      },
    },
    place: { ...HOME, at: [0, low, (section.thickness - thickness) / 2] },
  };
  return { adds: [{ ...tongue, shows: true }], cuts: [tongue], own: [] };
}

export const bridleHeld = ({ section }: Bridle): Held[] => [
  { kind: "glue", name: "its bridle", from: 0, to: section.width },
];

export function bridleCard(joint: Bridle): SettingCard {
  const { thickness, section, behind, slope, walls } = joint;
  const off = (Math.atan(slope) * 180) / Math.PI;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      { what: "Slot, through the head, from both faces alike", setting: `${fine(thickness)} wide` },
      { what: "Slot, its bottom", setting: `${mm(section.width)} down along the inner face` },
      { what: "Cheek left on each side", setting: fine(walls[0].left) },
      { what: "Tongue", setting: `${fine(thickness)} thick, ${mm(behind / Math.cos(Math.atan(slope)))} long` },
      { what: "Shoulder depth each face", setting: fine(walls[1].left) },
      ...(Math.abs(off) < 0.05
        ? []
        : [{ what: "Shoulder and tip, and the slot’s bottom, off square", setting: `${Math.abs(off).toFixed(1)}°` }]),
    ],
    marked: "The slot is sawn first; the tongue is planed to it until it slides home by hand.",
  };
}
