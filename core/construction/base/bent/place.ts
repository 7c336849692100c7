import { measuredOr } from "../../../piece/measured";
import type { BentChoices } from "../../../piece/bent-choices";
import type { AsBuilt, Form } from "../../../piece/schema";
import { frameRound, Bearer, Footprint, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { steady } from "../../../units/steady";

/** One bent leg, from above: where the outside of its bend lies, and which way it points. mm */
export interface Bend {
  x: number;
  z: number;
  way: readonly [number, number];
}

/** The bend itself, in its own upright plane. mm, degrees */
export interface BendShape {
  section: number;
  foot: number;
  thickness: number;
  /** between arm and leg */
  angle: number;
  sin: number;
  cos: number;
  /** how far the inner corner of the mitre lies along each from the outer one */
  inner: number;
  /** along the outer edge of the leg, from the bend to the floor, and along the inner one's line */
  outside: number;
  inside: number;
  /** how far the foot stands out beyond the bend, on its outer edge */
  out: number;
  arm: { length: number; end: number };
}

/** Where everything of a piece on bent legs stands, mm. */
export interface Bent extends PieceGeometry {
  kind: "bent";
  bends: Bend[];
  shape: BendShape;
  choices: BentChoices;
}

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placeBent(form: Form, asBuilt: readonly AsBuilt[]): Bent {
  const { top, core } = topOf(form, asBuilt);
  const { bent: choices } = form;
  const under = form.height - top.thickness;
  const shape = shapeOf(choices, under, asBuilt);
  const bends = bendsOf(choices, top);
  const feet = bends.map((bend) => footOf(bend, shape));
  const xs = feet.map(({ x, length }) => Math.abs(x) - length / 2);
  return {
    kind: "bent",
    keeps: { end: false, side: false },
    ...{ top, core, under, choices, shape, bends, feet },
    frame: frameRound(feet),
    bearers: bends.map((bend, i) => bearerOf(bend, shape, i)),
    posts: [],
    seats: [],
    through: null,
    sticks: [{ kind: "bent-leg", said: "Legs", section: Math.max(shape.section, shape.thickness) }],
    kneeRoom: under - shape.section,
    between: 2 * Math.max(0, Math.min(...xs)),
  };
}

/** @source derived: the mitre halves the angle between arm and leg */
function shapeOf(choices: BentChoices, under: number, asBuilt: readonly AsBuilt[]): BendShape {
  const section = measuredOr(asBuilt, "bent-leg", "width", choices.section);
  const thickness = measuredOr(asBuilt, "bent-leg", "thickness", choices.thickness);
  const splay = (choices.splay * Math.PI) / 180;
  const [sin, cos] = [steady(Math.sin(splay)), steady(Math.cos(splay))];
  const angle = 90 + choices.splay;
  const foot = Math.min(section, choices.foot);
  return {
    ...{ section, foot, thickness, angle, sin, cos },
    inner: section / steady(Math.tan((angle / 2) * (Math.PI / 180))),
    outside: under / cos,
    inside: (under - foot * sin) / cos,
    out: (under * sin) / cos,
    arm: { length: choices.arm.length, end: Math.min(section, choices.arm.end) },
  };
}

/** Four of them, one toward each corner. */
function bendsOf({ way, setIn }: BentChoices, top: { length: number; width: number }): Bend[] {
  const [x, z] = [top.length / 2 - setIn.end, top.width / 2 - setIn.side];
  const slant = Math.hypot(x, z) || 1;
  return [
    [-1, 1],
    [1, 1],
    [1, -1],
    [-1, -1],
  ].map(([a, b]): Bend => ({
    ...{ x: a * x, z: b * z },
    way: way === "across" ? [0, b] : way === "along" ? [a, 0] : [(a * x) / slant, (b * z) / slant],
  }));
}

function footOf({ x, z, way }: Bend, { out, foot, cos, thickness }: BendShape): Footprint {
  const level = foot / cos;
  const middle = out - level / 2;
  return {
    ...{ x: x + way[0] * middle, z: z + way[1] * middle },
    length: Math.abs(way[0]) * level + Math.abs(way[1]) * thickness,
    width: Math.abs(way[1]) * level + Math.abs(way[0]) * thickness,
  };
}

/** An arm's screws sit so far from its ends, and so far apart at most, mm. @source common practice */
const SCREWS = { end: 25, apart: 250 };

/** Each arm bears the top by itself, from its inner end to its bend: two screws at least, or it turns. */
function bearerOf({ x, z, way }: Bend, { arm, thickness, section }: BendShape, i: number): Bearer {
  const length = Math.max(1, arm.length - section);
  const half = Math.max(0, length / 2 - SCREWS.end);
  const gaps = Math.max(1, Math.ceil((2 * half) / SCREWS.apart));
  const middle = (arm.length + section) / 2;
  return {
    ...{ part: `H${i + 1}`, kind: "bent-arm", said: "arm", name: `arm-${i + 1}`, run: "aslant", at: 0 },
    ...{ length, thickness, depth: arm.end, inside: 1 },
    aslant: { x: x - way[0] * middle, z: z - way[1] * middle, way },
    spots: half === 0 ? [0] : Array.from({ length: gaps + 1 }, (_, n) => -half + (2 * half * n) / gaps),
  };
}
