import type { BaseWork } from "../construction/base/base";
import type { Part } from "../layout/cut-list";
import { EdgeChoice, edgesOf } from "../piece/kinds";
import type { Piece } from "../piece/schema";
import { Step, stepOf as step, TIME } from "./step";

const HOW: Record<EdgeChoice["how"], (size: number) => string> = {
  eased: (size) => `eased by hand, ${size} mm`,
  rounded: (size) => `rounded by ${size} mm`,
  chamfered: (size) => `chamfered by ${size} mm`,
};

/**
 * Edges that are worked: those before the glue, once every part has its joints and is still by itself; those after it, when the base stands.
 *
 * @returns the steps, and for those before the glue the step that waits for them
 */
export function edgeSteps(
  { kinds }: Pick<Piece, "kinds">,
  parts: readonly Part[],
  base: Pick<BaseWork, "apart" | "closed">,
): { steps: Step[]; before: string | null } {
  const chosen = Object.entries(edgesOf(kinds)).flatMap(([kind, edge]) => {
    const part = parts.find(({ id }) => id === kind);
    return part ? [{ part, edge }] : [];
  });
  const steps = (["before", "after"] as const).flatMap((when): Step[] => {
    const now = chosen.filter(({ edge }) => edge.when === when);
    if (now.length === 0) return [];
    return [
      step({
        id: `edges-${when}`,
        title: when === "before" ? "Work the edges of the parts" : "Work the edges of the base as it stands",
        detail: `${now.map(({ part, edge }) => `${part.name} ${HOW[edge.how](edge.size)}`).join("; ")}. Stop short of every shoulder and of what the top bears on.`,
        parts: now.map(({ part }) => part.id),
        after: when === "before" ? base.apart.slice(0, 1) : [...base.closed],
        hours: now.reduce((sum, { part }) => sum + part.count * TIME.edge, 0),
      }),
    ];
  });
  return { steps, before: steps.some(({ id }) => id === "edges-before") ? "edges-before" : null };
}

/** The base's steps with the glue waiting for the edges. @param before  the step that works them; null where none are worked first */
export const afterEdges = (steps: readonly Step[], glued: string | undefined, before: string | null): Step[] =>
  steps.map((each) => (before && each.id === glued ? { ...each, after: [...each.after, before] } : each));
