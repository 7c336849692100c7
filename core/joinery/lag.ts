import { HOME } from "../assembly/place";
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import { Held, Joint, JointBodies, JointBody, round, SettingCard } from "./joint";

/**
 * Rules of the bolted joint, mm. @source common practice: a stub keeps it from turning, the screw bites in the long grain of a loose
 * tenon let across the part, its hole set off so that it draws tight
 */
const LAG = { stub: 12, bolt: 10, counterbore: { diameter: 25, depth: 12 }, tenon: { from: 40, size: 20 }, offset: 1 };

/** A screw through the part that receives, into a loose tenon let across the part that enters: it comes apart for the stairs. */
export interface Lagged extends Joint {
  kind: "lagged";
  thickness: number;
  stubWidth: number;
  bolt: number;
  boltLength: number;
  counterbore: { diameter: number; depth: number };
  tenon: { from: number; size: number };
  offset: number;
  section: { width: number; thickness: number };
  behind: number;
}

export interface LagInputs {
  meets: Meets;
  section: { width: number; thickness: number };
  into: { depth: number; thickness: number };
}

/** Sizes a bolted joint. */
export function lagged({ meets, section, into }: LagInputs): Lagged {
  const { stub, bolt, counterbore, tenon, offset } = LAG;
  return {
    ...meets,
    kind: "lagged",
    thickness: section.thickness / 2,
    stubWidth: section.width - 2 * TENON.lowerShoulder,
    bolt,
    boltLength: Math.max(1, into.depth - counterbore.depth) + tenon.from + tenon.size,
    counterbore,
    tenon,
    offset,
    length: stub,
    section,
    behind: into.depth,
    tool: { kind: "drill", size: bolt },
    glueArea: 0,
    walls: [
      {
        where: "beside the bolt",
        left: (into.thickness - counterbore.diameter) / 2,
        good: 2 * TENON.wall,
        least: TENON.wall,
      },
      {
        where: "round the bolt in the part's end",
        left: (section.thickness - bolt) / 2,
        good: TENON.wall,
        least: TENON.wallLeast,
      },
    ],
  };
}

export function laggedBodies(joint: Lagged): JointBodies {
  const { section, thickness, stubWidth, bolt, tenon, length, behind, counterbore } = joint;
  const stub = {
    shape: { length, width: stubWidth, thickness },
    place: { ...HOME, at: [0, TENON.lowerShoulder, (section.thickness - thickness) / 2] as const },
  };
  const bored = (diameter: number, from: number, to: number) =>
    round("x", diameter, [from, section.width / 2, section.thickness / 2], to - from);
  const thick = Math.min(tenon.size, section.thickness / 2);
  const across: JointBody = {
    shape: { length: tenon.size, width: section.width / 2 + bolt, thickness: thick },
    place: { ...HOME, at: [-tenon.from - tenon.size, 0, (section.thickness - thick) / 2] },
  };
  return {
    adds: [stub],
    cuts: [
      stub,
      bored(bolt, 0, behind),
      bored(counterbore.diameter, Math.max(length + 1, behind - counterbore.depth), behind),
    ],
    own: [bored(bolt, -tenon.from - tenon.size, length), across],
    brings: [
      { ...bored(bolt, -tenon.from - tenon.size, behind - counterbore.depth), name: "Lag screw", of: "steel" },
      { ...across, name: "Loose tenon for a screw", plural: "Loose tenons for screws", of: "wood" },
    ],
  };
}

/** The screw holds a point; nothing is glued. */
export const laggedHeld = ({ section }: Lagged): Held[] => [
  { kind: "screw", name: "its screw", from: section.width / 2, to: section.width / 2 },
];

export function laggedCard(joint: Lagged): SettingCard {
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: "Stub tenon, dry",
        setting: `${mm(joint.thickness)} by ${mm(joint.stubWidth)}, ${mm(joint.length)} long`,
      },
      {
        what: "Counterbore outside",
        setting: `${mm(joint.counterbore.diameter)}, ${mm(joint.counterbore.depth)} deep, flat`,
      },
      { what: "Hole through", setting: `${mm(joint.bolt)}, in the middle` },
      { what: "Lag screw", setting: `${mm(joint.bolt)} by ${mm(joint.boltLength)}` },
      {
        what: "Loose tenon across, from the shoulder",
        setting: `${mm(joint.tenon.from)}, ${mm(joint.tenon.size)} wide, glued in from below`,
      },
      { what: "Hole in it nearer the shoulder by", setting: fine(joint.offset) },
    ],
    marked: "Bore the loose tenon through the closed joint's hole, then move the mark toward the shoulder.",
  };
}
