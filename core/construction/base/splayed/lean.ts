/** What the inner face of a leg that leans is at a height, and how arms turn. mm, degrees from upright */
import type { LegLean } from "../leaning";

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

/**
 * The line of a turned leg that faces the middle: a cone from its head to its foot.
 *
 * @returns the line, which looks into the leg, and how thick the leg is at that height square to its own length
 */
export function innerLine(
  { lean, section: s, footSection: f, foot }: LegSides,
  up: number,
): Facing & { section: number } {
  const { sin, cos, length } = lean;
  const origin = { out: foot - s * cos, up: -s * sin };
  const low = (s - f) / 2;
  const long = Math.hypot(length, low);
  const [along, across] = [length / long, low / long];
  const share = Math.max(0, Math.min(1, (up - origin.up) / cos / Math.max(1, length)));
  return {
    ...{ out: origin.out + low * cos, up: origin.up + low * sin },
    way: { out: along * cos - across * sin, up: along * sin + across * cos },
    section: f + (s - f) * share,
  };
}

/** How far out a facing line is at a height. */
export const outAt = ({ out, up, way }: Facing, height: number): number => out - ((height - up) * way.up) / way.out;
