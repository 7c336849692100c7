import type { Species } from "../wood/species";

const RADIANS = Math.PI / 180;
/** Beyond this the tangent runs away; a ring angle past it is quarter-sawn for any purpose. */
const STEEPEST = 85;

/**
 * Coefficient of a face whose growth rings meet it at one angle: strain is a tensor.
 *
 * @param species    its radial and tangential coefficients, per percent MC
 * @param ringAngle  degrees, 0 flat-sawn, 90 quarter-sawn; the sign says which way the rings lean and does not matter here
 * @returns per percent MC, across the width
 * @source derived: C(θ) = CT cos²θ + CR sin²θ
 */
export function coefficientAt(species: Pick<Species, "radial" | "tangential">, ringAngle: number): number {
  const s = Math.sin(ringAngle * RADIANS);
  return species.tangential * (1 - s * s) + species.radial * s * s;
}

/**
 * Mean coefficient over a board whose rings are circles round one pith.
 *
 * @param left, right  ring angle at each edge, degrees, signed: a board sawn through the heart's side runs from −30 to 30
 * @returns per percent MC, across the width
 * @source derived: CR + (CT − CR)(θ2 − θ1)/(tan θ2 − tan θ1)
 */
export function boardCoefficient(species: Pick<Species, "radial" | "tangential">, left: number, right: number): number {
  const t1 = Math.max(-STEEPEST, Math.min(STEEPEST, left)) * RADIANS;
  const t2 = Math.max(-STEEPEST, Math.min(STEEPEST, right)) * RADIANS;
  if (Math.abs(t2 - t1) < 1e-4) return coefficientAt(species, (left + right) / 2);
  return species.radial + ((species.tangential - species.radial) * (t2 - t1)) / (Math.tan(t2) - Math.tan(t1));
}

/** Distance from the face to the pith and the pith's offset from the left edge, mm; null when the rings run straight. */
export function pith(width: number, left: number, right: number): { distance: number; offset: number } | null {
  const t1 = Math.tan(Math.max(-STEEPEST, Math.min(STEEPEST, left)) * RADIANS);
  const t2 = Math.tan(Math.max(-STEEPEST, Math.min(STEEPEST, right)) * RADIANS);
  if (Math.abs(t2 - t1) < 1e-3) return null;
  const distance = width / (t2 - t1);
  return { distance: Math.abs(distance), offset: -distance * t1 };
}
