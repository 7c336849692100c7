/** Two boards that meet at 45° along their ends, grain running over, held by loose tenons set square to the cut. */
import { HOME } from "../assembly/place";
import type { TenonChoice } from "../piece/base-choices";
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import { looseTenonsOf, ownedSize } from "./cutters";
import type { Brought, Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";
import { looseRow } from "./loose-tenons";

/** Rules of the mitre with loose tenons, mm. @source common practice */
const MITRE = {
  /** a tenon's thickness, as a share of the board's */
  share: 1 / 4,
  /** one for so much of the width */
  every: 110,
  /** nearer the inside corner than the middle: there is more wood square to the cut */
  place: 0.56,
  wall: 3,
};

/** Its face is the cut: x square to it into the board that receives, y along the edge, z from the outside corner to the inside one. */
export interface Mitre extends Joint {
  kind: "mitre";
  board: number;
  thickness: number;
  tenons: number;
  tenonWidth: number;
  gap: number;
  reach: number;
  section: { width: number; thickness: number };
  behind: number;
  set: SettingCard["lines"];
}

export interface MitreInputs {
  meets: Meets;
  /** how wide both are, and how thick */
  width: number;
  board: number;
  setting: TenonChoice;
  shop: Shop;
  set: SettingCard["lines"];
}

/** Sizes a mitre: as many loose tenons as its width asks for, as deep as the board leaves wood behind them. */
export function mitre({ meets, width, board, setting, shop, set }: MitreInputs): Mitre {
  const { size, tool } = ownedSize(looseTenonsOf(shop), board * MITRE.share, setting.thickness);
  const long = board * Math.SQRT2;
  const usable = Math.max(1, width - 2 * TENON.endStop);
  const count = setting.tenons ?? Math.max(2, Math.round(width / MITRE.every));
  // square to the cut from its place to the inner face, less a wall and what the tenon's own corner takes
  const room = Math.min(MITRE.place * long, (1 - MITRE.place) * long) - size / 2 - MITRE.wall;
  const reach = setting.length ?? Math.max(1, Math.floor(room) - 1);
  const row = looseRow(shop, size, usable, count);
  const tenonWidth = row?.tenonWidth ?? Math.min(50, usable / count / 2);
  return {
    ...meets,
    kind: "mitre",
    ...{ board, thickness: size, tenons: count, tenonWidth, reach, tool, set },
    gap: count > 1 ? Math.max(0, (usable - count * tenonWidth) / (count - 1)) : 0,
    section: { width, thickness: long },
    behind: board / Math.SQRT2,
    length: 0,
    glueArea: width * long,
    walls: [
      { where: "behind the slot, to the inside", left: room + MITRE.wall - reach - 1, good: MITRE.wall, least: 1.5 },
    ],
  };
}

export function mitreBodies(joint: Mitre): JointBodies {
  const { section, behind, thickness, tenons, tenonWidth, gap, reach } = joint;
  const row = tenons * tenonWidth + (tenons - 1) * gap;
  const slots = (from: number, to: number): JointBody[] =>
    Array.from({ length: tenons }, (_, i): JointBody => ({
      shape: { length: to - from, width: tenonWidth, thickness },
      place: {
        ...HOME,
        at: [from, (section.width - row) / 2 + i * (tenonWidth + gap), section.thickness * MITRE.place - thickness / 2],
      },
    }));
  // each board loses what lies beyond the cut
  const beyond = (from: number): JointBody => ({
    shape: { length: behind, ...section },
    place: { ...HOME, at: [from, 0, 0] },
    shows: true,
  });
  return {
    adds: [],
    cuts: [beyond(-behind), ...slots(0, reach + 1)],
    own: [beyond(0), ...slots(-reach - 1, 0)],
    brings: slots(-reach, reach).map((body): Brought => ({ ...body, name: "Loose tenon", of: "wood" })),
  };
}

/** Glued from edge to edge: both boards move alike along it. */
export const mitreHeld = ({ section }: Mitre): Held[] => [
  { kind: "glue", name: "its mitre", from: 0, to: section.width },
];

export function mitreCard(joint: Mitre): SettingCard {
  const { board, section, thickness, tenonWidth, tenons, gap, reach, tool } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      ...joint.set,
      { what: "Saw tilt", setting: "45.0°, tried on two offcuts held to a square" },
      { what: "Across the cut", setting: fine(section.thickness) },
      {
        what: "Cutter",
        setting: tool.kind === "none" ? `no cutter of ${mm(thickness)} in the shop` : `${mm(thickness)} cutter`,
      },
      { what: "Slots square to the cut, from its inside corner", setting: fine(section.thickness * (1 - MITRE.place)) },
      { what: "Slots", setting: `${tenons} of ${mm(tenonWidth)}, ${mm(gap)} between, ${mm(reach + 1)} deep` },
      { what: "Loose tenon", setting: `${mm(thickness)} by ${mm(tenonWidth)}, ${mm(2 * reach)} long` },
      { what: "Board", setting: fine(board) },
    ],
    marked: "Size the end grain with thinned glue first; tape over the outside corner is the hinge and the clamp.",
  };
}
