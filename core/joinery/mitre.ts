/**
 * Two boards that meet along their ends at half their angle, grain running over: held by loose tenons or a spline set square to the cut, or, once
 * they are glued, by keys across the corner or dowels through it.
 */
import { HOME } from "../assembly/place";
import { fine, mm } from "../verdict/verdict";
import { TENON } from "./blind-tenon";
import { bevelSawn, cuttersOf, looseTenonsOf, ownedSize } from "./cutters";
import type { Brought, Held, JointBodies, JointBody, SettingCard } from "./joint";
import { looseRow } from "./loose-tenons";
import type { Mitre, MitreInputs } from "./mitred";
import { cornerBodies, cornerLines, throughCorner } from "./mitre-corner";

/** Rules of the mitre with loose tenons, mm. @source common practice */
const MITRE = {
  /** a tenon's thickness, as a share of the board's */
  share: 1 / 4,
  /** one for so much of the width */
  every: 110,
  /** nearer the inside corner than the middle: there is more wood square to the cut */
  place: 0.56,
  wall: 3,
  /** a spline's thickness, as a share of the board's, and in whose cut it lies */
  spline: 1 / 8,
};

/**
 * Sizes a mitre: as many loose tenons as its width asks for, or a spline from side to side, as deep as the boards leave wood behind them.
 *
 * @source derived: the cut halves the angle, so it is board / sin(half) long
 */
export function mitre({ meets, width, board, angle = 90, held = "loose", setting, shop, set }: MitreInputs): Mitre {
  if (held === "keys" || held === "dowels")
    return throughCorner({ meets, width, board, angle, held, setting, shop, set });
  const spline = held === "spline";
  const half = (angle / 2) * (Math.PI / 180);
  const { size, tool } = spline
    ? ownedSize(cuttersOf(shop), board * MITRE.spline, setting.thickness)
    : ownedSize(looseTenonsOf(shop), board * MITRE.share, setting.thickness);
  const long = board / Math.sin(half);
  const usable = Math.max(1, width - 2 * TENON.endStop);
  const count = spline ? 1 : (setting.tenons ?? Math.max(2, Math.round(width / MITRE.every)));
  // square to the cut from its place to the nearer face, less a wall and what the tenon's own corner takes
  const room = Math.min(MITRE.place, 1 - MITRE.place) * long * Math.tan(half) - size / 2 - MITRE.wall;
  const reach = setting.length ?? Math.max(1, Math.floor(room) - 1);
  const row = spline ? null : looseRow(shop, size, usable, count);
  const tenonWidth = spline ? width : (row?.tenonWidth ?? Math.min(50, usable / count / 2));
  return {
    ...meets,
    kind: "mitre",
    ...{ board, angle, held, thickness: size, tenons: count, tenonWidth, reach, tool, set },
    gap: count > 1 ? Math.max(0, (usable - count * tenonWidth) / (count - 1)) : 0,
    section: { width, thickness: long },
    behind: board * Math.cos(half),
    sawn: bevelSawn(board, shop),
    length: 0,
    glueArea: width * long,
    walls: [
      { where: "behind the slot, to the inside", left: room + MITRE.wall - reach - 1, good: MITRE.wall, least: 1.5 },
    ],
  };
}

export function mitreBodies(joint: Mitre): JointBodies {
  const { section, behind, thickness, tenons, tenonWidth, gap, reach, held } = joint;
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
  if (held === "keys" || held === "dowels") {
    const { cuts, own, brings } = cornerBodies(joint);
    return { adds: [], cuts: [beyond(-behind), ...cuts], own: [beyond(0), ...own], brings };
  }
  return {
    adds: [],
    cuts: [beyond(-behind), ...slots(0, reach + 1)],
    own: [beyond(0), ...slots(-reach - 1, 0)],
    brings: slots(-reach, reach).map((body): Brought => ({
      ...body,
      name: held === "spline" ? "Spline" : "Loose tenon",
      of: "wood",
    })),
  };
}

/** Glued from edge to edge: both boards move alike along it. */
export const mitreHeld = ({ section }: Mitre): Held[] => [
  { kind: "glue", name: "its mitre", from: 0, to: section.width },
];

export function mitreCard(joint: Mitre): SettingCard {
  const { board, section, thickness, tenonWidth, tenons, gap, reach, tool, angle, held } = joint;
  const spline = held === "spline";
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      ...joint.set,
      angle === 90
        ? { what: "Saw tilt", setting: `45.0°, tried on two offcuts held to a square; ${joint.sawn}` }
        : {
            what: "Mitre",
            setting: `${(90 - angle / 2).toFixed(1)}° off square, half of ${angle.toFixed(1)}°: measured on the drawing, tried on offcuts`,
          },
      { what: "Across the cut", setting: fine(section.thickness) },
      ...(held === "keys" || held === "dowels"
        ? cornerLines(joint)
        : [
            {
              what: "Cutter",
              setting: tool.kind === "none" ? `no cutter of ${mm(thickness)} in the shop` : `${mm(thickness)} cutter`,
            },
            {
              what: `${spline ? "Groove" : "Slots"} square to the cut, from its inside corner`,
              setting: fine(section.thickness * (1 - MITRE.place)),
            },
            spline
              ? {
                  what: "Groove",
                  setting: `${mm(reach + 1)} deep, from side to side, in a cradle that holds the cut level`,
                }
              : { what: "Slots", setting: `${tenons} of ${mm(tenonWidth)}, ${mm(gap)} between, ${mm(reach + 1)} deep` },
            {
              what: spline ? "Spline, its grain across the cut" : "Loose tenon",
              setting: `${mm(thickness)} by ${mm(spline ? 2 * reach : tenonWidth)}, ${mm(spline ? tenonWidth : 2 * reach)} long`,
            },
          ]),
      { what: "Board", setting: fine(board) },
    ],
    marked: spline
      ? "Size the end grain with thinned glue first; one clamp on notched cauls pulls square to the cut."
      : "Size the end grain with thinned glue first; tape over the outside corner is the hinge and the clamp.",
  };
}
