/** A leg that leans outward in one upright plane, cut level at both ends: what is set out for it, where it stands, its shape. mm, degrees from upright */
import { Spot, straight } from "../../assembly/outline";
import type { Place } from "../../assembly/place";
import type { Shape } from "../../assembly/shape";
import { coneRound } from "./round-leg";
import { steady, turnOf } from "../../units/steady";

export interface LegLean {
  degrees: number;
  tan: number;
  sin: number;
  cos: number;
  /** along an edge from floor to head, and over both points */
  edge: number;
  length: number;
  /** a level cut across its head */
  level: number;
  /** how far its foot stands out from its head */
  out: number;
}

/** @source derived: edge = H / cos s; a level cut = S / cos s; over both points = edge + S tan s; out = H tan s */
export function legLean({ height, splay, section }: { height: number; splay: number; section: number }): LegLean {
  const { sin, cos, tan } = turnOf(splay);
  const edge = Math.max(0, height) / cos;
  return {
    ...{ degrees: splay, tan, sin, cos, edge },
    length: edge + section * tan,
    level: section / cos,
    out: Math.max(0, height) * tan,
  };
}

/** Which way each arm points, as radians from the right-hand end toward the front: even round a circle, drawn out with the top where it is longer. */
export function armWays(
  legs: number,
  turn: number,
  { length, width }: { length: number; width: number },
): { x: number; z: number; angle: number }[] {
  return Array.from({ length: legs }, (_, i) => {
    const even = (turn * Math.PI) / 180 + (2 * Math.PI * i) / legs;
    const [a, b] = [length * steady(Math.cos(even)), width * steady(Math.sin(even))];
    const size = Math.max(1e-9, Math.hypot(a, b));
    return { x: a / size, z: b / size, angle: steady(Math.atan2(b, a)) };
  });
}

/** From the middle of a top to its rim in a direction, mm. @param round  an ellipse; else its straight sides */
export function rimAt(
  { x, z }: { x: number; z: number },
  { length, width }: { length: number; width: number },
  round: boolean,
): number {
  const [a, b] = [length / 2, width / 2];
  if (round) return 1 / Math.hypot(x / a, z / b);
  return Math.min(Math.abs(x) < 1e-9 ? Infinity : a / Math.abs(x), Math.abs(z) < 1e-9 ? Infinity : b / Math.abs(z));
}

/** Which way a leg leans in plan, and how far out along that the outside of its foot stands: from a point in that line, the middle where none is said. */
export interface LegStand {
  x: number;
  z: number;
  foot: number;
  from?: { x: number; z: number };
}

/** Where a leg stands: grain from foot to head, its width outward. */
export function leaningPlace({ lean, section }: { lean: LegLean; section: number }, leg: LegStand): Place {
  const { sin, cos } = lean;
  const { x, z } = leg.from ?? { x: 0, z: 0 };
  // its outer face stands on the floor at the foot's outside
  const out = leg.foot - section * cos;
  const half = section / 2;
  return {
    at: [x + leg.x * out - leg.z * half, -section * sin, z + leg.z * out + leg.x * half],
    x: [-leg.x * sin, cos, -leg.z * sin],
    y: [leg.x * cos, sin, leg.z * cos],
  };
}

/** A rebate in a head's inner side: a level floor from its inner face out to a plumb wall, and up through its end. Heights and reaches as it stands, mm */
export interface HeadRebate {
  /** how far out the outside of its foot stands */
  foot: number;
  from: number;
  to: number;
  wall: number;
}

/** Cut level at both ends; it tapers on four sides below `from`, along it from the foot's inner corner. */
export function leaningShape(
  { lean, section: s, footSection: f }: { lean: LegLean; section: number; footSection: number },
  taper: number | null,
  rebate?: HeadRebate,
): Shape {
  const { tan, edge, length, sin, cos } = lean;
  const whole = { length, width: s, thickness: s };
  const head = s * tan + edge;
  const from = taper ?? head;
  const [low, high] = [(s - f) / 2, (s + f) / 2];
  const tapers = from < head;
  /** a spot of it as it stands, seen from its face */
  const laid = (out: number, up: number, foot: number): Spot => {
    const [across, along] = [out - (foot - s * cos), up + s * sin];
    return [along * cos - across * sin, along * sin + across * cos];
  };
  const heads: Spot[] = [[head, 0]];
  if (rebate) {
    const { foot, from: floor, to, wall } = rebate;
    const inner = foot - s * cos - (floor + s * sin) * tan;
    heads.splice(0, 1, laid(inner, floor, foot), laid(wall, floor, foot), laid(wall, to, foot));
  }
  const face = straight(
    tapers
      ? [[(s - low) * tan, low], [from, 0], ...heads, [edge, s], [from, s], [(s - high) * tan, high]]
      : [[s * tan, 0], ...heads, [edge, s], [0, s]],
  );
  const edgeView = straight([
    [0, low],
    [from, 0],
    [length, 0],
    [length, s],
    [from, s],
    [0, high],
  ]);
  return { ...whole, face: { outer: face, holes: [] }, ...(tapers ? { edge: { outer: edgeView, holes: [] } } : {}) };
}

/** A cone from head to foot, or a cylinder, cut level at both ends. */
export function leaningRound({
  lean,
  section: s,
  footSection,
}: {
  lean: LegLean;
  section: number;
  footSection: number;
}): Shape {
  const { length, edge, tan, cos, sin } = lean;
  return {
    ...{ length, width: s, thickness: s },
    planes: [
      ...coneRound({ from: 0, to: length, low: footSection / 2, high: s / 2 }),
      { through: [s * tan, 0, 0], waste: [-cos, -sin, 0] },
      { through: [edge, s, 0], waste: [cos, sin, 0] },
    ],
  };
}
