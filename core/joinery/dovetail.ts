/** Dovetails at the corner of two boards: tails on the one that enters, pins left standing on the one that receives; through it, or lapped. */
import { straight } from "../assembly/outline";
import { fine } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import type { Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";

/** Slopes of tails, as so much aside for one along. @source common practice: 1 in 6 in soft wood, 1 in 8 in hard */
export const SLOPES = { "1:6": 1 / 6, "1:8": 1 / 8 } as const;
export type Slope = keyof typeof SLOPES;

/** Sizes of dovetails, mm. @source common practice */
const DOVETAIL = {
  /** a tail and its pin for so many thicknesses of its board, within what a hand still lays out */
  pitch: 2.5,
  least: 20,
  most: 55,
  /** pins at their narrow side, as a share of the tails' board; never less than a narrow chisel passes */
  pin: 1 / 3,
  narrowest: 4,
  /** a half pin at each edge, at its narrow side, as a share of the tails' board */
  half: 0.4,
  /** what covers a lapped dovetail, as a share of its board, and at least */
  lap: 1 / 4,
  leastLap: 4,
  /** tails are sawn so much longer than the board is thick, and planed off */
  proud: 0.5,
};

/** Its face is where the shoulder lies: x into the board with the pins, y along the row, z through the tails' board. */
export interface Dovetail extends Joint {
  kind: "dovetail";
  tails: number;
  slope: Slope;
  /** of a tail at its end, of a pin and a half pin at their narrow side */
  tail: number;
  pin: number;
  half: number;
  /** what covers the tails' ends; 0 where they come through */
  lap: number;
  section: { width: number; thickness: number };
  behind: number;
}

export interface DovetailInputs {
  meets: Meets;
  /** of the tails' board: along the row, and how thick it is */
  section: { width: number; thickness: number };
  /** the board with the pins */
  into: { depth: number };
  slope: Slope;
  lapped: boolean;
  /** null: as the width asks for */
  tails: number | null;
  kerf: number;
}

/** How long tails are in a board so thick: through it, or up to what covers them. mm */
export function tailLength(depth: number, lapped: boolean): number {
  const covers = Math.max(DOVETAIL.leastLap, depth * DOVETAIL.lap);
  return Math.max(1, lapped ? Math.round((depth - covers) * 2) / 2 : depth);
}

/** How many tails a row takes, where nobody says. */
const usualTails = (width: number, thickness: number) => {
  const pitch = Math.min(DOVETAIL.most, Math.max(DOVETAIL.least, DOVETAIL.pitch * thickness));
  return Math.max(1, Math.min(24, Math.round(width / pitch)));
};

/**
 * Sizes a row of dovetails: tails alike, a half pin at each edge.
 *
 * @returns sizes that may be impossible: their walls say so, such as pins narrower than the saw's kerf
 */
export function dovetail({ meets, section, into, slope, lapped, tails: asked, kerf }: DovetailInputs): Dovetail {
  const { width, thickness } = section;
  const tails = asked ?? usualTails(width, thickness);
  const length = tailLength(into.depth, lapped);
  const splay = length * SLOPES[slope];
  const pin = Math.max(DOVETAIL.narrowest, thickness * DOVETAIL.pin);
  const half = Math.max(DOVETAIL.narrowest, thickness * DOVETAIL.half);
  const tail = (width - 2 * half - (tails - 1) * pin) / tails;
  return {
    ...meets,
    kind: "dovetail",
    ...{ tails, slope, tail, pin, half, section, length },
    lap: Math.max(0, into.depth - length),
    behind: into.depth,
    tool: { kind: "chisel", size: 0 },
    // both cheeks of every tail
    glueArea: 2 * tails * thickness * Math.hypot(length, splay),
    walls: [
      { where: "across the neck of a tail", left: tail - 2 * splay, good: Math.max(8, tail / 3), least: 4 },
      { where: "across a pin at its narrow side", left: pin, good: kerf + 1, least: Math.max(kerf, 2) },
      ...(lapped ? [{ where: "over the tails’ ends", left: into.depth - length, good: 4, least: 3 }] : []),
    ],
  };
}

/** Where each tail begins and ends along the row, at its wide end. */
export const tailsAt = ({ tails, half, tail, pin }: Dovetail): { from: number; to: number }[] =>
  Array.from({ length: tails }, (_, i) => {
    const from = half + i * (tail + pin);
    return { from, to: from + tail };
  });

export function dovetailBodies(joint: Dovetail): JointBodies {
  const { length, section, slope, lap } = joint;
  const splay = length * SLOPES[slope];
  const all = tailsAt(joint).map(({ from, to }): JointBody => {
    const wide = to - from;
    return {
      shape: {
        ...{ length, width: wide, thickness: section.thickness },
        face: {
          outer: straight([
            [0, splay],
            [length, 0],
            [length, wide],
            [0, wide - splay],
          ]),
          holes: [],
        },
      },
      place: { at: [0, from, 0], x: [1, 0, 0], y: [0, 1, 0] },
      ...(lap === 0 ? { shows: true } : {}),
    };
  });
  return { adds: all, cuts: all, own: [] };
}

/** From the first tail to the last: both boards move alike along the row. */
export function dovetailHeld(joint: Dovetail): Held[] {
  const all = tailsAt(joint);
  return [{ kind: "glue", name: "its dovetails", from: all[0].from, to: all.at(-1)!.to }];
}

export function dovetailCard(joint: Dovetail): SettingCard {
  const { length, slope, tails, tail, pin, half, lap, section, behind } = joint;
  const splay = length * SLOPES[slope];
  const marks = tailsAt(joint).map(({ from, to }) => `${fine(from)}–${fine(to)}`);
  const angle = (Math.atan(SLOPES[slope]) * 180) / Math.PI;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: "Gauge on the tails’ board, all round",
        setting: lap > 0 ? `${fine(length)}, from its end` : `${fine(behind + DOVETAIL.proud)}, from its end`,
      },
      ...(lap > 0 ? [{ what: "Gauge on the end of the pins’ board, from its inside", setting: fine(length) }] : []),
      { what: "Gauge on the inside of the pins’ board", setting: fine(section.thickness) },
      {
        what: "Tails, from the lower edge along the end",
        setting: `${marks.slice(0, 8).join(", ")}${marks.length > 8 ? ` and ${marks.length - 8} more` : ""}`,
      },
      { what: "Slope", setting: `1 in ${slope.slice(2)}, ${angle.toFixed(1)}° from square` },
      { what: "Each tail, at its end and at its neck", setting: `${fine(tail)} and ${fine(tail - 2 * splay)}` },
      ...(tails > 1
        ? [{ what: "Pins between, narrow and wide", setting: `${fine(pin)} and ${fine(pin + 2 * splay)}` }]
        : []),
      { what: "Half pin at each edge", setting: `${fine(half)} and ${fine(half + splay)}` },
      ...(lap > 0 ? [{ what: "Left over the tails’ ends", setting: fine(lap) }] : []),
    ],
    marked:
      "Tails first: the pins are marked with a knife from the very tails that go there, each corner numbered. Pins first works as well: then the tails are marked.",
  };
}
