import type { Inset } from "../piece/schema";
import type { Species } from "../wood/species";
import { boardCoefficient } from "./coefficient";
import type { Course } from "./course";
import { widthChange } from "./width";
import { UNKNOWN_RINGS } from "./year";

/** Panel that must stay in its groove in the dry month, mm. @source common practice */
export const LEAST_IN_GROOVE = 4;
/** A gap that eyes forgive round an inset front, mm. @source common practice */
export const WIDEST_GAP = 4;

/** A drawer, door or panel in its opening: what the closest gap needs and has, and what is left of it dry and wet, mm. */
export interface InsetMovement {
  id: string;
  name: string;
  kind: Inset["kind"];
  moves: number;
  dry: number;
  wet: number;
  gap: { today: number; dry: number; wet: number };
  engaged: { today: number; dry: number } | null;
  when: { dry: string; wet: string };
}

/**
 * What sits in an opening moves across its own grain while the opening, framed by wood along its grain, stays.
 *
 * A drawer's sides and front grow in height; a solid door across its whole width, a framed one by its two stiles; a panel
 * across its width inside the grooves, half of it at each side.
 */
export function insetMovements(
  insets: readonly Inset[],
  species: Species,
  start: number,
  course: Course,
): InsetMovement[] {
  const perPercent = boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  return insets.map((inset) => {
    const moves = movingWidth(inset);
    const change = (moisture: number) => widthChange(moves, perPercent, start, moisture);
    const [dry, wet] = [change(course.driest.moisture), change(course.wettest.moisture)];
    // a door and a panel have two edges to share it between, a drawer's sides rest on its runners
    const edges = inset.kind === "drawer" ? 1 : 2;
    const gap = { today: inset.gap, dry: inset.gap - dry / edges, wet: inset.gap - wet / edges };
    const engaged = inset.kind === "panel" ? { today: inset.groove - inset.gap, dry: inset.groove - gap.dry } : null;
    return {
      id: inset.id,
      name: inset.name,
      kind: inset.kind,
      moves,
      dry,
      wet,
      gap,
      engaged,
      when: { dry: course.driest.name, wet: course.wettest.name },
    };
  });
}

/** Wood across the grain between the two edges that could bind, mm. */
function movingWidth(inset: Inset): number {
  switch (inset.kind) {
    case "drawer":
      return Math.max(1, inset.height - inset.gap);
    case "door":
      return inset.build === "framed"
        ? Math.min(inset.width, 2 * inset.stile)
        : Math.max(1, inset.width - 2 * inset.gap);
    case "panel":
      return Math.max(1, inset.width + 2 * (inset.groove - inset.gap));
  }
}
