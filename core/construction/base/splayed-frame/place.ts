import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import type { SplayedFrameChoices } from "../../../piece/splayed-frame-choices";
import { Bearer, Footprint, frameRound, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { CORNERS, cornerAt, innerAt, legsOf, outerAt, slopeAt, SplayedLegs, Way } from "./legs";
import { halfAt, levelOf, Stick } from "./sticks";

/** Where everything of splayed legs under rails stands, mm. */
export interface SplayedFrame extends PieceGeometry {
  kind: "splayed-frame";
  legs: SplayedLegs;
  rail: { depth: number; thickness: number; reveal: number; leaning: boolean };
  rails: Stick[];
  lows: Stick[];
  choices: SplayedFrameChoices;
}

/**
 * Places splayed legs with rails all round under the top, and stretchers low between them.
 *
 * @returns geometry; sizes may come out at or below 0, which its rules judge
 */
export function placeSplayedFrame(form: Form, asBuilt: readonly AsBuilt[]): SplayedFrame {
  const { top, core } = topOf(form, asBuilt);
  const choices = {
    ...form.splayedFrame,
    section: measuredOr(asBuilt, "splayed-leg", "thickness", form.splayedFrame.section),
  };
  const under = form.height - top.thickness;
  const legs = legsOf(choices, top, under);
  const { depth, reveal, stands } = choices.rail;
  const thickness = measuredOr(asBuilt, "splay-rail", "thickness", choices.rail.thickness);
  const leaning = stands === "leaning";
  const rails = ([1, -1] as const).flatMap((side) =>
    (["along", "across"] as const).map((run): Stick => {
      const [out, ends] = run === "along" ? [legs.side, legs.end] : [legs.end, legs.side];
      return {
        id: `${run === "along" ? "A" : "E"}${side > 0 ? 1 : 2}`,
        kind: run === "along" ? "splay-rail" : "splay-end-rail",
        ...{ run, side, holders: holdersOf(run, side), lower: under - depth, upper: under, thickness },
        ...{ outer: out.head - reveal, slope: leaning ? out.tan : 0 },
        ...{ reach: innerAt(legs, ends, under), end: ends.tan },
      };
    }),
  );
  const lows = lowSticks(choices, legs);
  const feet = standsAt(legs, 0, { end: legs.end.foot, side: legs.side.foot });
  return {
    kind: "splayed-frame",
    keeps: { end: false, side: false },
    ...{ top, core, under, legs, rails, lows, choices, feet },
    rail: { depth, thickness, reveal, leaning },
    frame: frameRound(feet),
    bearers: rails.map(bearerOf),
    posts: standsAt(legs, under, { end: legs.end.level, side: legs.side.level }),
    through: null,
    sticks: [{ kind: "splayed-leg", said: "Legs", section: choices.section }],
    seats: [],
    kneeRoom: under - depth,
    between: 2 * Math.max(0, innerAt(legs, legs.end, 0)),
  };
}

/** The legs it stands between: the one it points from, the one it points to. */
const holdersOf = (run: Stick["run"], side: 1 | -1): [string, string] =>
  run === "along" ? [cornerAt(-1, side), cornerAt(1, side)] : [cornerAt(side, -1), cornerAt(side, 1)];

/** Level cuts across all four legs at a height. */
const standsAt = (legs: SplayedLegs, y: number, { end, side }: { end: number; side: number }): Footprint[] =>
  CORNERS.map(({ x, z }) => ({
    x: x * (outerAt(legs, legs.end, y) - end / 2),
    z: z * (outerAt(legs, legs.side, y) - side / 2),
    ...{ length: end, width: side },
  }));

function bearerOf(stick: Stick): Bearer {
  const along = stick.run === "along";
  const level = levelOf(stick);
  return {
    part: stick.id,
    kind: stick.kind,
    said: along ? "rail" : "end rail",
    name: `${along ? "long" : "end"}-${stick.side > 0 ? (along ? "front" : "right") : along ? "back" : "left"}`,
    run: stick.run,
    at: stick.side * (stick.outer - level / 2),
    length: Math.max(1, 2 * stick.reach),
    thickness: level,
    depth: stick.upper - stick.lower,
    inside: stick.side > 0 ? -1 : 1,
    ...(stick.slope > 0 ? { slope: stick.slope } : {}),
  };
}

/** Between stretchers that lie one above another, mm. @source common practice */
const APART = 12;

/** Stretchers low between the legs, each in the middle of what it meets; one in the middle runs from end to end between two. */
function lowSticks({ low, rail }: SplayedFrameChoices, legs: SplayedLegs): Stick[] {
  if (low.kind === "none") return [];
  const [lower, upper] = [low.height, low.height + low.depth];
  const leaning = rail.stands === "leaning";
  /** between outer and inner face of a leg where its upper edge is */
  const middle = (way: Way, y: number) => (outerAt(legs, way, y) + innerAt(legs, way, y)) / 2;
  const sized = { lower, upper, thickness: low.thickness };
  // all round, those at the ends lie above the others: no mortise meets another
  const raised = low.kind === "box" ? low.depth + APART : 0;
  const between = (run: Stick["run"], side: 1 | -1): Stick => {
    const [out, ends] = run === "along" ? [legs.side, legs.end] : [legs.end, legs.side];
    const slope = leaning ? out.tan : 0;
    const half = levelOf({ thickness: low.thickness, slope }) / 2;
    const up = run === "across" ? raised : 0;
    const y = upper + up;
    return {
      id: `${run === "along" ? "R" : "U"}${side > 0 ? 1 : 2}`,
      kind: run === "along" ? "splay-stretcher" : "splay-end-stretcher",
      ...{ run, side, holders: holdersOf(run, side), thickness: low.thickness, slope },
      ...{ lower: lower + up, upper: y, outer: middle(out, y) + half },
      ...{ reach: innerAt(legs, ends, y), end: slopeAt(legs, ends, y) },
    };
  };
  const ends = ([1, -1] as const).map((side) => between("across", side));
  if (low.kind === "box") return [...ends, ...([1, -1] as const).map((side) => between("along", side))];
  const [one] = ends;
  const inside = one.outer - levelOf(one);
  const crossing: Stick = {
    ...{ id: "R", kind: "splay-middle-stretcher", run: "along", side: 1, holders: ["U2", "U1"], ...sized },
    ...{ outer: low.thickness / 2, slope: 0, reach: inside, end: one.slope },
  };
  return [...ends, crossing];
}

/** How long one is from shoulder to shoulder: where it is longest. */
export const longestOf = (stick: Stick): number => 2 * Math.max(halfAt(stick, stick.lower), halfAt(stick, stick.upper));

/** Height of the lowest of several above the floor. */
export const lowest = (sticks: readonly Stick[]): number => Math.min(...sticks.map(({ lower }) => lower));
