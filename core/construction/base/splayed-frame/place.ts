import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import type { SplayedFrameChoices } from "../../../piece/splayed-frame-choices";
import { Bearer, Footprint, frameRound, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { CORNERS, cornerAt, footIn, innerAt, legsOf, outerAt, Ring, slopeAt, SplayedLegs, Way } from "./legs";
import { railsRound, ringOf, ringStands } from "./ring";
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
  const legs =
    choices.stand === "round"
      ? ringOf(choices, Math.min(top.length, top.width) / 2, under)
      : legsOf(choices, top, under);
  const { depth, reveal, stands } = choices.rail;
  const thickness = measuredOr(asBuilt, "splay-rail", "thickness", choices.rail.thickness);
  const leaning = stands === "leaning";
  const rails = stationsOf(legs).map(({ rail, low: _, ...station }): Stick => {
    const [out, ends] = waysOf(legs, station);
    return {
      ...{ ...station, ...rail, lower: under - depth, upper: under, thickness },
      ...{ outer: out.head - reveal, slope: leaning ? out.tan : 0 },
      ...{ reach: innerAt(legs, ends, under), end: ends.tan },
    };
  });
  // a stretcher wants a flat face to end at
  const lows = legs.turned ? [] : lowSticks(choices, legs);
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

/** A place for a rail and for a stretcher below it: the legs it stands between, from the one it points from to the one it points to, and how both are called. */
interface Station extends Pick<Stick, "run" | "way" | "out" | "holders"> {
  rail: Pick<Stick, "id" | "kind">;
  low: Pick<Stick, "id" | "kind">;
}

function stationsOf(legs: SplayedLegs): Station[] {
  if (legs.ring)
    return railsRound(legs.ring).map((each, i): Station => ({
      ...{ ...each, run: "round" },
      rail: { id: `A${i + 1}`, kind: "splay-rail" },
      low: { id: `R${i + 1}`, kind: "splay-stretcher" },
    }));
  return ([1, -1] as const).flatMap((side): Station[] => {
    const n = side > 0 ? 1 : 2;
    return [
      {
        ...{ run: "along", way: [1, 0], out: [0, side], holders: [cornerAt(-1, side), cornerAt(1, side)] },
        rail: { id: `A${n}`, kind: "splay-rail" },
        low: { id: `R${n}`, kind: "splay-stretcher" },
      },
      {
        ...{ run: "across", way: [0, 1], out: [side, 0], holders: [cornerAt(side, -1), cornerAt(side, 1)] },
        rail: { id: `E${n}`, kind: "splay-end-rail" },
        low: { id: `U${n}`, kind: "splay-end-stretcher" },
      },
    ];
  });
}

/** What legs are as a rail has them: the way it looks, and the way it runs. */
export const waysOf = (legs: SplayedLegs, { run }: Pick<Stick, "run">): [out: Way, ends: Way] =>
  run === "across" ? [legs.end, legs.side] : [legs.side, legs.end];

/** Level cuts across all legs at a height; at corners each of a size both ways. */
function standsAt(legs: SplayedLegs, y: number, { end, side }: { end: number; side: number }): Footprint[] {
  if (isRing(legs)) return ringStands(legs, y);
  const into = (way: Way) => (y === 0 ? footIn(legs, way) : 0);
  return CORNERS.map(({ x, z }) => ({
    x: x * (outerAt(legs, legs.end, y) - into(legs.end) - end / 2),
    z: z * (outerAt(legs, legs.side, y) - into(legs.side) - side / 2),
    ...{ length: end, width: side },
  }));
}

/** Legs that stand on a circle. */
export const isRing = (legs: SplayedLegs): legs is SplayedLegs & { ring: Ring } => legs.ring !== null;

function bearerOf(stick: Stick): Bearer {
  const level = levelOf(stick);
  const middle = stick.outer - level / 2;
  const same = {
    ...{ part: stick.id, kind: stick.kind, length: Math.max(1, 2 * stick.reach), thickness: level },
    depth: stick.upper - stick.lower,
    ...(stick.slope > 0 ? { slope: stick.slope } : {}),
  };
  const [x, z] = stick.out;
  if (stick.run === "round")
    return {
      ...{ ...same, said: "rail", name: `round-${stick.id.slice(1)}`, run: "aslant", round: true, at: 0, inside: 1 },
      aslant: { x: x * middle, z: z * middle, way: stick.way },
    };
  const side = x + z > 0 ? 1 : -1;
  const along = stick.run === "along";
  return {
    ...{ ...same, said: along ? "rail" : "end rail", run: stick.run, at: side * middle, inside: side > 0 ? -1 : 1 },
    name: `${along ? "long" : "end"}-${side > 0 ? (along ? "front" : "right") : along ? "back" : "left"}`,
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
  const all = stationsOf(legs).map(({ rail: _, low: called, ...station }): Stick => {
    const [out, ends] = waysOf(legs, station);
    const slope = leaning ? out.tan : 0;
    const half = levelOf({ thickness: low.thickness, slope }) / 2;
    const up = station.run === "across" ? raised : 0;
    const y = upper + up;
    return {
      ...{ ...station, ...called, thickness: low.thickness, slope },
      ...{ lower: lower + up, upper: y, outer: middle(out, y) + half },
      ...{ reach: innerAt(legs, ends, y), end: slopeAt(legs, ends, y) },
    };
  });
  if (legs.ring) return all;
  const ends = all.filter(({ run }) => run === "across");
  if (low.kind === "box") return [...ends, ...all.filter(({ run }) => run === "along")];
  const [one] = ends;
  const inside = one.outer - levelOf(one);
  const crossing: Stick = {
    ...{ id: "R", kind: "splay-middle-stretcher", run: "along", way: [1, 0], out: [0, 1], holders: ["U2", "U1"] },
    ...{ ...sized, outer: low.thickness / 2, slope: 0, reach: inside, end: one.slope },
  };
  return [...ends, crossing];
}

/** How long one is from shoulder to shoulder: where it is longest. */
export const longestOf = (stick: Stick): number => 2 * Math.max(halfAt(stick, stick.lower), halfAt(stick, stick.upper));

/** Height of the lowest of several above the floor. */
export const lowest = (sticks: readonly Stick[]): number => Math.min(...sticks.map(({ lower }) => lower));
