/** The arc by which a case's front bows out. mm */
import type { CaseChoices } from "../../../piece/case-choices";
import { steady } from "../../../units/steady";

/** The arc before a front: from where to where it stands over the straight line, how far in its middle, its radius. */
export interface Bow {
  from: number;
  to: number;
  rise: number;
  radius: number;
}

/** What of a case decides whether it can bow. */
interface Front {
  doors: readonly unknown[];
  drawers: readonly { turned?: unknown }[];
  inside: { from: number; to: number };
}

/** Why a front stays straight; null where it bows, or is not asked to. */
export type BowHindrance = "corners" | "doors" | "through" | "steep";
export function bowHindrance({ bow, corners }: CaseChoices, { doors, drawers, inside }: Front): BowHindrance | null {
  if (bow <= 0) return null;
  if (corners !== "rails" && corners !== "sub-top") return "corners";
  if (doors.length > 0) return "doors";
  if (drawers.some(({ turned }) => turned)) return "through";
  return 2 * bow >= inside.to - inside.from ? "steep" : null;
}

/** @source derived: r = (c²/4 + h²) / 2h */
export function bowOf(choice: CaseChoices, at: Front): Bow | null {
  if (choice.bow <= 0 || bowHindrance(choice, at) !== null) return null;
  const { from, to } = at.inside;
  const half = (to - from) / 2;
  return { from, to, rise: choice.bow, radius: (half * half + choice.bow * choice.bow) / (2 * choice.bow) };
}

/** How far the arc stands before the straight front at a place along it; 0 beside it. */
export function bowAt({ from, to, rise, radius }: Bow, x: number): number {
  const off = x - (from + to) / 2;
  if (x <= from || x >= to) return 0;
  return steady(Math.sqrt(radius * radius - off * off) - (radius - rise));
}

/** As far as it stands out anywhere between two places. */
export function bowMost(bow: Bow, from: number, to: number): number {
  const middle = (bow.from + bow.to) / 2;
  return bowAt(bow, Math.min(Math.max(middle, from), to));
}
