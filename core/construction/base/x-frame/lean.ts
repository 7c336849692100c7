/** An X of two strips, solved from its height, how far it spreads below and above, and how wide its strips are. */
import { steady } from "../../../units/steady";

/** One strip of an X, from the middle of the X: angles in degrees from the floor, mm. */
export interface Lean {
  degrees: number;
  sin: number;
  cos: number;
  /** along the strip: edge from floor to head, and over all with both ends cut level */
  edge: number;
  length: number;
  /** a level cut across it */
  level: number;
  /** where the middle lines cross, over the floor */
  crossing: number;
  /** from the strip's long point at the foot to the middle of the crossing, along it */
  toCrossing: number;
}

/**
 * The lean of an X's strips: each runs from outside at the floor on one side to outside at its head on the other.
 *
 * With S half of both spreads together, H the height and w the width, S sin θ − H cos θ = w; so θ = atan(H / S) + asin(w / √(S² + H²)).
 *
 * @param floor, head  spread outside to outside, mm
 * @returns angles beyond 90° when the strips are too wide for their spread, which a rule judges
 * @source derived: the strip's two edges through the two outer points
 */
export function leanOf({
  height,
  floor,
  head,
  width,
}: {
  height: number;
  floor: number;
  head: number;
  width: number;
}): Lean {
  const spread = (floor + head) / 2;
  const angle = steady(
    Math.atan2(height, spread) + Math.asin(Math.min(1, width / Math.max(1, Math.hypot(spread, height)))),
  );
  const [sin, cos] = [steady(Math.sin(angle)), steady(Math.cos(angle))];
  const level = width / sin;
  const edge = height / sin;
  const crossing = (height * (floor - level)) / (floor + head - 2 * level);
  return {
    degrees: (angle * 180) / Math.PI,
    sin,
    cos,
    edge,
    length: edge + (width * Math.abs(cos)) / sin,
    level,
    crossing,
    toCrossing: crossing / sin + (width * cos) / (2 * sin),
  };
}
