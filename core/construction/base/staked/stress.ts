/** What a push from the side does to tenons that stand in a top by themselves. */
import type { Staked } from "../../../joinery/staked";
import type { StakedLegs } from "./place";

export const STRESS = {
  /** a push along the edge, N @source EN 1730's load on a top from the side, from memory */
  push: 300,
  /** what dry hardwood bends with for good, and the most; what it is pressed with in its mortise; N/mm² @source from memory: a third of what breaks it, and a half */
  bends: { good: 30, least: 45 },
  pressed: { good: 6, least: 9 },
};

/**
 * Nothing but the tenon keeps a leg upright: a push from the side bends it at its shoulder, and presses it against its mortise.
 *
 * @source derived: M = F h / n; round W = π d³ / 32, square d³ / 6; p = 6 M / (d l²)
 */
export function legStress(
  { size, shape, through, behind, reach }: Pick<Staked, "size" | "shape" | "through" | "behind" | "reach">,
  { under, legs }: Pick<StakedLegs, "under" | "legs">,
): { bends: number; pressed: number } {
  const moment = (STRESS.push * Math.max(0, under)) / legs.length;
  const section = shape === "round" ? (Math.PI * size ** 3) / 32 : size ** 3 / 6;
  const deep = through ? behind : reach;
  return { bends: moment / section, pressed: (6 * moment) / (size * deep ** 2) };
}
