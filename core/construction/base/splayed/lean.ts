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

/** A line seen in the plane in which a leg leans: a point on it, and which way it faces; out from the middle and up, mm. */
export interface Facing {
  out: number;
  up: number;
  way: { out: number; up: number };
}

/** What a leg is, as its inner face follows from it. */
export interface LegSides {
  lean: LegLean;
  section: number;
  footSection: number;
  /** from its outside on the floor to the middle; along it from the foot's inner corner to where its taper begins, null where it has none */
  foot: number;
  taperFrom: number | null;
}

/**
 * The inner face of a leg at a height: leaning as the leg does, or by its taper too below where that begins.
 *
 * @returns the face, which looks into the leg, and how thick the leg is there square to its own length
 */
export function innerFace(
  { lean, section: s, footSection: f, foot, taperFrom }: LegSides,
  up: number,
): Facing & { section: number } {
  const { sin, cos, tan } = lean;
  const origin = { out: foot - s * cos, up: -s * sin };
  const seen = (x: number, y: number) => ({ out: origin.out - x * sin + y * cos, up: origin.up + x * cos + y * sin });
  const turned = (x: number, y: number) => ({ out: -x * sin + y * cos, up: x * cos + y * sin });
  const low = (s - f) / 2;
  const start = (s - low) * tan;
  const begins = taperFrom === null ? null : seen(taperFrom, 0);
  if (taperFrom === null || begins === null || up >= begins.up) return { ...seen(0, 0), way: turned(0, 1), section: s };
  const long = Math.hypot(taperFrom - start, low);
  const x = (up - origin.up) / cos;
  const share = Math.max(0, Math.min(1, (taperFrom - x) / Math.max(1, taperFrom - start)));
  return { ...begins, way: turned(low / long, (taperFrom - start) / long), section: s - 2 * low * share };
}

/** How far out a facing line is at a height. */
export const outAt = ({ out, up, way }: Facing, height: number): number => out - ((height - up) * way.up) / way.out;
