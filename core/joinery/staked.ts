/** A tenon on the end of a leg that goes straight up into a top, along the leg's own line: through it and wedged, or stopped in it. mm */
import type { Shape } from "../assembly/shape";
import { cross, dot, Vec } from "../assembly/vector";
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import type { Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";
import { round } from "./joint";
import { steady, turnOf } from "../units/steady";

/**
 * A tenon is so much of its leg where nobody says; bits it is bored with; a stopped one leaves so much above it, at least so much; the mortise goes
 * so much deeper. A wedge's kerf begins so far above the underside and opens by so much; what is trimmed is left so much longer.
 *
 * @source common practice
 */
export const STAKED = {
  share: 0.6,
  bits: [16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 40, 45, 50, 60],
  above: { good: 10, least: 6 },
  deeper: 2,
  kerfFrom: 10,
  gain: 3,
  over: 5,
};

export interface Staked extends Joint {
  kind: "staked";
  shape: "round" | "square";
  /** across it */
  size: number;
  /** of the leg from upright, degrees */
  lean: number;
  /** of the kerf from the line square to the leg's lean, so that it stands across the top's grain, degrees */
  kerfAt: number;
  through: boolean;
  proud: number;
  /** along it, from the underside in its middle to its end */
  reach: number;
  /** of the leg, square; of the top it goes into */
  section: { width: number; thickness: number };
  behind: number;
  kerf: number;
}

export interface StakedInputs {
  meets: Meets;
  section: number;
  top: number;
  lean: number;
  /** which way it leans, from the line along the top, degrees */
  way: number;
  tenon: { shape: "round" | "square"; size: number | null; ends: "wedged" | "blind"; proud: number };
  /** of the shop's saw, and the cutters it owns for square mortises */
  kerf: number;
  cutters: readonly number[];
}

/** @returns sizes that may be impossible (negative walls): the rules of joints judge them */
export function staked({ meets, section, top, lean, way, tenon, kerf, cutters }: StakedInputs): Staked {
  const { shape, proud } = tenon;
  const wanted = STAKED.share * section;
  const nearest = STAKED.bits.reduce((a, b) => (Math.abs(b - wanted) < Math.abs(a - wanted) ? b : a));
  const size = tenon.size ?? (shape === "round" ? nearest : Math.round(wanted));
  const through = tenon.ends === "wedged";
  const { cos, sin, tan } = turnOf(lean);
  const upright = top - STAKED.above.good - STAKED.deeper;
  // a flat bottom, square to a line that leans, comes up highest on its outer side
  const reach = through ? (top + proud) / cos : Math.max(1, Math.floor((upright - (size / 2) * sin) / cos));
  const left = top - (reach + STAKED.deeper) * cos - (size / 2) * sin;
  const cutter = Math.max(0, ...cutters.filter((each) => each <= size));
  return {
    ...meets,
    kind: "staked",
    ...{ shape, size, lean, through, proud: through ? proud : 0, reach, kerf },
    kerfAt: kerfTurn(shape, lean, way),
    section: { width: section, thickness: section },
    behind: top / cos,
    // what the leg has beyond its head's upper point
    length: Math.max(0, reach - (section / 2) * tan + (through ? (size / 2) * tan : 0)),
    glueArea: (shape === "round" ? Math.PI : 4) * size * Math.min(reach, top / cos),
    tool:
      shape === "round"
        ? { kind: "drill", size }
        : cutter > 0
          ? { kind: "chisel", size: cutter }
          : { kind: "none", size },
    walls: [
      { where: "beside the tenon, as its shoulder", left: (section - size) / 2, good: 6, least: TENON.leastShoulder },
      ...(through ? [] : [{ where: "above its mortise", left, ...STAKED.above }]),
    ],
  };
}

/**
 * How far the kerf is turned about the tenon, so that on the top’s face it runs square across the grain: its wedge presses on end grain. A
 * square one is sawn along its sides.
 *
 * @source derived: the line across the grain, seen along the leg
 */
export function kerfTurn(shape: "round" | "square", lean: number, way: number): number {
  const along = turnOf(way);
  const turn = steady((Math.atan2(along.sin * turnOf(lean).cos, along.cos) * 180) / Math.PI);
  const half = ((turn % 180) + 180) % 180;
  const near = half > 90 ? half - 180 : half;
  return shape === "round" ? near : Math.abs(near) > 45 ? 90 : 0;
}

/** Its body from within the leg to its end: x along it, its middle in the middle of the leg. */
function body({ shape, size, section, lean }: Staked, to: number): JointBody {
  const half = size / 2;
  const from = -half * turnOf(lean).tan - 0.5;
  const middle = section.width / 2;
  if (shape === "round") return round("x", size, [from, middle, middle], to - from);
  return {
    shape: { length: to - from, width: size, thickness: size },
    place: { at: [from, middle - half, middle - half], x: [1, 0, 0], y: [0, 1, 0] },
  };
}

/** Trimmed level with the top, or so far above it. */
function trimmed(one: JointBody, { reach, section, lean }: Staked): JointBody {
  const { at, x, y } = one.place;
  const z = cross(x, y);
  const own = (v: Vec): Vec => [dot(v, x), dot(v, y), dot(v, z)];
  const middle = section.width / 2;
  const { cos, sin } = turnOf(lean);
  const up: Vec = [cos, sin, 0];
  const shape: Shape = {
    ...one.shape,
    planes: [{ through: own([reach - at[0], middle - at[1], middle - at[2]]), waste: own(up) }],
  };
  return { ...one, shape };
}

/** @param outward  −1 for a leg on the other side of the top, where all is turned the other way */
export function stakedBodies(joint: Staked, outward: 1 | -1): JointBodies {
  const { through, reach, size, kerf, section, lean, behind } = joint;
  const over = (size / 2) * turnOf(lean).tan;
  if (!through) return { adds: [body(joint, reach)], cuts: [body(joint, reach + STAKED.deeper)], own: [] };
  const turn = turnOf(joint.kerfAt * outward);
  const wide: Vec = [0, -turn.sin, turn.cos];
  const middle = section.width / 2;
  const across = Math.sqrt(size ** 2 - kerf ** 2);
  const corner: Vec = [
    STAKED.kerfFrom,
    middle - (wide[1] * across) / 2 + (turn.cos * kerf) / 2,
    middle - (wide[2] * across) / 2 + (turn.sin * kerf) / 2,
  ];
  // sawn past the end, so that saw and trimmed face never meet in one plane
  const long = Math.max(1, reach + 2 * over - STAKED.kerfFrom);
  const slit = (more: number): JointBody => ({
    shape: { length: long + more, width: across, thickness: kerf },
    place: { at: corner, x: [1, 0, 0], y: wide },
  });
  return {
    adds: [{ ...trimmed(body(joint, reach + over), joint), shows: true }],
    cuts: [body(joint, behind + over + 1)],
    own: [slit(1)],
    brings: [{ ...trimmed(slit(0), joint), name: "Wedge", of: "wood" }],
  };
}

export const stakedHeld = ({ section, size, through }: Staked): Held[] => [
  {
    kind: "glue",
    name: through ? "its wedged tenon" : "its tenon",
    from: (section.width - size) / 2,
    to: (section.width + size) / 2,
  },
];

export function stakedCard(joint: Staked): SettingCard {
  const { shape, size, lean, through, proud, reach, kerf, kerfAt, tool, section } = joint;
  const cut = shape === "round" ? "Hole" : "Mortise";
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: through ? `${cut}, through the top` : `${cut}, stopped`,
        setting: `${shape === "round" ? `${mm(size)} bit` : `${mm(size)} square, ${tool.kind === "none" ? "no cutter for it in the shop" : `${mm(tool.size)} ${tool.kind} at the corners`}`}${through ? "" : `, ${mm(reach + STAKED.deeper)} deep along it`}`,
      },
      ...(lean > 0
        ? [{ what: "Bored by a bevel", setting: `${lean.toFixed(1)}° from upright, along each leg’s sight line` }]
        : []),
      { what: "Tenon", setting: `${mm(size)} ${shape}, ${fine((section.width - size) / 2)} of shoulder round it` },
      {
        what: "Along its middle from the underside",
        setting: `${fine(reach)}${through && proud === 0 ? `, ${mm(STAKED.over)} left over until it is trimmed` : ""}`,
      },
      ...(through
        ? [
            { what: "Above the top", setting: proud > 0 ? `${mm(proud)} proud, chamfered` : "trimmed flush" },
            {
              what: "Kerf, across the top’s grain",
              setting: `${Math.abs(kerfAt) < 0.05 ? "square to" : Math.abs(Math.abs(kerfAt) - 90) < 0.05 ? "along" : `${(90 - Math.abs(kerfAt)).toFixed(0)}° from`} the way it leans, to ${mm(STAKED.kerfFrom)} above the underside`,
            },
            { what: "Wedge", setting: `${fine(kerf + STAKED.gain)} at the thick end, ${mm(size)} wide` },
          ]
        : []),
    ],
    marked: through
      ? "Bored from the show face into a board clamped below, so that nothing breaks out. The wedge stands across the top’s grain: along it the top splits."
      : "A stop on the bit; a mock hole in scrap of the same thickness says what is left above it.",
  };
}
