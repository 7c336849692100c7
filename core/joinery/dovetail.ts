/** Dovetails at the corner of two boards: tails on the one that enters, pins left standing on the one that receives; through it, or lapped. */
import { straight } from "../assembly/outline";
import { fine } from "../verdict/verdict";
import { DovetailRow, USUAL_ROW } from "../piece/dovetail-choices";
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
  /** the least a tail that is set by hand keeps at its neck */
  neck: 5,
};

/** Its face is where the shoulder lies: x into the board with the pins, y along the row, z through the tails' board. */
export interface Dovetail extends Joint {
  kind: "dovetail";
  tails: number;
  slope: Slope;
  /** of the narrowest tail at its end, of a pin and a half pin at their narrow side */
  tail: number;
  pin: number;
  half: number;
  /** middles of the pins between tails, from the lower edge; whether they were set one by one */
  pins: readonly number[];
  set: boolean;
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
  /** as the maker spaces it */
  row?: DovetailRow;
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
 * Sizes a row of dovetails: tails alike unless their pins are set one by one, a half pin at each edge.
 *
 * @returns sizes that may be impossible: their walls say so, such as pins narrower than the saw's kerf
 */
export function dovetail({
  meets,
  section,
  into,
  slope,
  lapped,
  tails: asked,
  row = USUAL_ROW,
  kerf,
}: DovetailInputs): Dovetail {
  const { width, thickness } = section;
  const tails = row.middles ? row.middles.length + 1 : (row.tails ?? asked ?? usualTails(width, thickness));
  const length = tailLength(into.depth, lapped);
  const splay = length * SLOPES[slope];
  const pin = row.pin ?? Math.max(DOVETAIL.narrowest, thickness * DOVETAIL.pin);
  const half = row.half ?? Math.max(DOVETAIL.narrowest, thickness * DOVETAIL.half);
  const even = (width - 2 * half - (tails - 1) * pin) / tails;
  const pins = row.middles
    ? [...row.middles].sort((a, b) => a - b)
    : Array.from({ length: tails - 1 }, (_, i) => half + (i + 1) * even + (i + 0.5) * pin);
  const spaced = tailsOf({ pins, pin, half, width });
  const tail = row.middles ? Math.min(...spaced.map(({ from, to }) => to - from)) : even;
  return {
    ...meets,
    kind: "dovetail",
    ...{ tails, slope, tail, pin, half, section, length, pins, set: row.middles !== null },
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

/** Between the half pins and the pins: a tail each. */
const tailsOf = ({ pins, pin, half, width }: Pick<Dovetail, "pins" | "pin" | "half"> & { width: number }) =>
  [...pins, null].map((middle, i) => ({
    from: i === 0 ? half : pins[i - 1] + pin / 2,
    to: middle === null ? width - half : middle - pin / 2,
  }));

/** Where each tail begins and ends along the row, at its wide end. */
export const tailsAt = ({ pins, pin, half, section }: Dovetail): { from: number; to: number }[] =>
  tailsOf({ pins, pin, half, width: section.width });

/**
 * The row with the middle of one of its pins moved, all others where they are: it stops a narrow tail before its neighbours.
 *
 * @param i  which pin, from the lower edge; its middle to half a millimetre
 */
export function pinMoved(joint: Dovetail, i: number, to: number): number[] {
  const { pins, pin, half, section, length, slope } = joint;
  const least = pin + 2 * length * SLOPES[slope] + DOVETAIL.neck;
  const low = i === 0 ? half - pin / 2 + least : pins[i - 1] + least;
  const high = i === pins.length - 1 ? section.width - half + pin / 2 - least : pins[i + 1] - least;
  const middle = low > high ? pins[i] : Math.min(high, Math.max(low, Math.round(to * 2) / 2));
  return pins.map((each, n) => (n === i ? middle : each));
}

export function dovetailBodies(joint: Dovetail): JointBodies {
  const { length, section, slope, lap } = joint;
  const splay = length * SLOPES[slope];
  // what has no neck is no tail: its wall says so
  const whole = tailsAt(joint).filter(({ from, to }) => to - from - 2 * splay > NO_TAIL);
  const all = whole.map(({ from, to }): JointBody => {
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

/** A neck thinner than this holds nothing, mm. Ours: a saw’s kerf takes it. */
const NO_TAIL = 0.2;

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
      {
        what: joint.set ? "The narrowest tail, at its end and at its neck" : "Each tail, at its end and at its neck",
        setting: `${fine(tail)} and ${fine(tail - 2 * splay)}`,
      },
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
