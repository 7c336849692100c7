/** A leg that leans outward in one upright plane, cut level at both ends: what is set out for it. mm, degrees from upright */

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
  const s = (splay * Math.PI) / 180;
  const [sin, cos, tan] = [Math.sin(s), Math.cos(s), Math.tan(s)];
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
    const [a, b] = [length * Math.cos(even), width * Math.sin(even)];
    const size = Math.max(1e-9, Math.hypot(a, b));
    return { x: a / size, z: b / size, angle: Math.atan2(b, a) };
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

/** Half of the angle between two ways, in turn, radians. */
export const halfBetween = (from: { angle: number }, to: { angle: number }) => {
  const turn = (to.angle - from.angle) % (2 * Math.PI);
  return (turn <= 0 ? turn + 2 * Math.PI : turn) / 2;
};
