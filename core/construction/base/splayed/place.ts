import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import { frameRound, Bearer, Footprint, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { USUAL } from "../../usual";
import { armWays, LegLean, legLean, rimAt } from "../leaning";
import { halfBetween, innerFace, innerLine } from "./lean";
import { Beside, besideRim } from "./beside";

/** One arm and its leg: which way they point, and how far from the middle the leg's outside lies at the top's underside and on the floor. mm */
export interface Arm {
  x: number;
  z: number;
  angle: number;
  head: number;
  foot: number;
  /** from the middle to the top's rim */
  rim: number;
  /** half of the angle to the arm before it and to the one after, radians */
  before: number;
  after: number;
}

/** Where everything of splayed legs under arms stands, mm. */
export interface Splayed extends PieceGeometry {
  kind: "splayed";
  lean: LegLean;
  section: number;
  footSection: number;
  arm: { depth: number; thickness: number; from: number };
  arms: Arm[];
  /** legs are turned */
  round: boolean;
  /** what a leg's head is to its arm: forked over it, under it, or what it ends against */
  heads: "fork" | "below" | "face";
  /** heads that stand outside the rim, with a rebate for it; null where the top covers them */
  beside: Beside | null;
  /** how far feet stand out from the heads, and how far a head rises over the top's underside */
  out: number;
  rise: number;
  /** two arms each run from leg to leg and are lapped in the middle */
  lapped: boolean;
  /** low between the legs, under the arms */
  star: { depth: number; thickness: number; from: number } | null;
}

/** An arm over a leg's head ends so far beyond it, mm. @source common practice */
const BEYOND = 10;

/**
 * Places splayed legs: their heads a set-in from the rim, each under or over an arm that points to the middle.
 *
 * @returns geometry; sizes may come out at or below 0, which its rules judge
 */
export function placeSplayed(form: Form, asBuilt: readonly AsBuilt[]): Splayed {
  const { top, core } = topOf(form, asBuilt);
  const { splayed } = form;
  const section = measuredOr(asBuilt, "splayed-leg", "width", splayed.section);
  const depth = measuredOr(asBuilt, "arm", "width", splayed.arm.depth);
  const thickness = measuredOr(asBuilt, "arm", "thickness", splayed.arm.thickness);
  const under = form.height - top.thickness;
  const heads = HEADS[splayed.joint];
  const round = form.top.outline === "ellipse";
  const stands = splayed.rim.kind === "beside" && heads === "face" && round;
  const rise = stands ? top.thickness + splayed.rim.above : 0;
  const height = heads === "below" ? under - depth : under;
  // a fork is sawn in a square head, and so is a rebate
  const turned = splayed.shape === "round" && heads !== "fork" && !stands;
  const lean = legLean({ height: height + rise, splay: splayed.splay, section });
  const out = Math.max(0, height) * lean.tan;
  const ways = armWays(splayed.legs, splayed.turn, top);
  const arms = ways.map((way, i): Arm => {
    const rim = rimAt(way, top, round);
    const head = stands ? rim + splayed.rim.proud : rim - splayed.setIn;
    return {
      ...way,
      ...{ head, foot: head + out, rim },
      before: halfBetween(ways[(i + ways.length - 1) % ways.length], way),
      after: halfBetween(way, ways[(i + 1) % ways.length]),
    };
  });
  const footSection = Math.min(section, splayed.foot);
  const lapped = splayed.hub === "lapped" && splayed.legs === 4;
  const { star } = splayed;
  const at = { arms, lean, section, footSection, thickness, heads };
  const beside = stands ? besideRim(arms, { top, section, lean, rise, ...splayed.rim }) : null;
  const feet = footprints(at);
  return {
    kind: "splayed",
    keeps: { end: false, side: false },
    ...{ top, core, under, lean, section, footSection, arms, round: turned, heads, lapped, feet },
    ...{ beside, out, rise },
    ...(beside ? { rebated: beside.rebated } : {}),
    arm: { depth, thickness, from: under - depth },
    star: star.kind === "star" ? { depth: star.depth, thickness: star.thickness, from: star.height } : null,
    frame: frameRound(feet),
    bearers: bearersOf(arms, { depth, thickness }, lapped, (arm) => armEnd(at, arm)),
    posts: postsOf({ heads, beside, arms, lean, section }),
    through: null,
    sticks: [{ kind: "splayed-leg", said: "Legs", section }],
    seats: [],
    kneeRoom: under - depth,
    between: roomBetween(feet, arms),
  };
}

const HEADS = { bridle: "fork", loose: "below", tenon: "face" } as const;

/** How far an arm reaches from the middle under the top: to the outside of a fork, beyond the head below it, or to a leg's inner face. */
export const armEnd = ({ heads, lean }: Pick<Splayed, "heads" | "lean">, { head }: Pick<Arm, "head">) =>
  ({ fork: head, below: head + BEYOND, face: head - lean.level })[heads];

/** What bears the top goes on to where a head that comes up to it ends, or to the wall of its rebate. */
export const bearsTo = (at: Splayed, arm: Arm, i: number) =>
  at.beside ? at.beside.walls[i] : Math.max(armEnd(at, arm), at.heads === "face" ? arm.head : 0);

/** Heads that come up to the top from below it. */
function postsOf(at: Pick<Splayed, "heads" | "beside" | "arms" | "lean" | "section">): Footprint[] {
  const { heads, beside, arms, lean, section } = at;
  if (heads === "below") return [];
  return arms.map((arm, i) => {
    const [from, to] = [arm.head - lean.level, beside ? beside.walls[i] : arm.head];
    return square(arm, (from + to) / 2, Math.max(1, to - from), section);
  });
}

/** Where a leg's taper begins along it, from its foot's inner corner; null where it has none. */
export function taperFrom({
  lean,
  section: s,
  footSection: f,
  arm,
  rise,
}: Pick<Splayed, "lean" | "section" | "footSection" | "arm" | "rise">): number | null {
  const from = s * lean.tan + lean.edge - (rise + arm.depth) / lean.cos - USUAL.taperBelow;
  return f < s && from > s * lean.tan + 1 ? from : null;
}

/** The inner face of an arm's leg at a height; of a turned one the line nearest to the middle. */
export const legFace = (at: Splayed, { foot }: Pick<Arm, "foot">, up: number) => {
  const { lean, section, footSection } = at;
  const sides = { lean, section, footSection, foot, taperFrom: taperFrom(at) };
  return at.round ? innerLine(sides, up) : innerFace(sides, up);
};

/** How far a stick reaches round a turned leg beyond its line nearest to the middle. @source derived: the sagitta of its thickness */
export function roundBy({ round }: Pick<Splayed, "round">, section: number, thickness: number): number {
  const r = section / 2;
  return round ? r - Math.sqrt(Math.max(0, r * r - (thickness / 2) ** 2)) : 0;
}

/** A square that leans with an arm, by the box it fits in. */
function square({ x, z }: Arm, out: number, along: number, across: number): Footprint {
  return {
    ...{ x: x * out, z: z * out },
    corners: [-0.5, 0.5].flatMap((a) =>
      [-0.5, 0.5].map((b) => ({
        x: x * (out + a * along) - z * b * across,
        z: z * (out + a * along) + x * b * across,
      })),
    ),
    length: Math.abs(x) * along + Math.abs(z) * across,
    width: Math.abs(z) * along + Math.abs(x) * across,
  };
}

const footprints = ({ arms, lean, section, footSection }: Pick<Splayed, "arms" | "lean" | "section" | "footSection">) =>
  arms.map((arm) => {
    const level = footSection / lean.cos;
    return square(arm, arm.foot - (section - footSection) / 2 / lean.cos - level / 2, level, footSection);
  });

function bearersOf(
  arms: readonly Arm[],
  { depth, thickness }: { depth: number; thickness: number },
  lapped: boolean,
  endOf: (arm: Arm) => number,
): Bearer[] {
  const same = { kind: "arm", said: "arm", run: "aslant", at: 0, thickness, depth, inside: 1 } as const;
  if (lapped)
    return arms.slice(0, 2).map((arm, i): Bearer => ({
      ...{ ...same, part: `H${i + 1}`, name: `arm-${i + 1}`, length: Math.max(1, 2 * endOf(arm)) },
      aslant: { x: 0, z: 0, way: [arm.x, arm.z] },
      // where they cross each is half as deep
      entered: [{ at: 0, width: thickness }],
    }));
  return arms.map((arm, i): Bearer => {
    const end = endOf(arm);
    return {
      ...{ ...same, part: `H${i + 1}`, name: `arm-${i + 1}`, length: Math.max(1, end) },
      aslant: { x: (arm.x * end) / 2, z: (arm.z * end) / 2, way: [arm.x, arm.z] },
    };
  });
}

/** Free length for a chair between the two feet that stand nearest together. */
function roomBetween(feet: readonly Footprint[], arms: readonly Arm[]): number {
  return Math.min(
    ...feet.map((foot, i) => {
      const next = feet[(i + 1) % arms.length];
      return Math.hypot(foot.x - next.x, foot.z - next.z) - Math.max(foot.length, foot.width);
    }),
  );
}
