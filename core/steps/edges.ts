import type { BaseWork } from "../construction/base/base";
import type { Part } from "../layout/cut-list";
import { curvesOf, EdgeChoice, edgesOf } from "../piece/kinds";
import type { Piece } from "../piece/schema";
import { Step, stepOf as step, TIME } from "./step";

const HOW: Record<EdgeChoice["how"], (edge: EdgeChoice) => string> = {
  eased: ({ size }) => `eased by hand, ${size} mm`,
  rounded: ({ size, raised }) =>
    `rounded by ${size} mm${raised > 0 ? ` with the cutter raised by ${raised} mm: try its height on a piece of the same thickness` : ""}`,
  chamfered: ({ size }) => `chamfered by ${size} mm`,
};

/** What belongs to the top, and is worked with it. */
const OF_THE_TOP = ["end-board", "frame-long", "frame-end", "batten"];

interface Chosen {
  part: Part;
  edge: EdgeChoice;
}

/** What a group of parts waits for: their joints cut, or all of it together. */
interface Group {
  id: string;
  title: { before: string; after: string };
  jointed: readonly string[];
  together: readonly string[];
}

/**
 * Edges that are worked: before the glue, once parts have their joints and are still by themselves, or after it; the base's, and the top's.
 *
 * @param made  the top's own steps, in order
 */
export function edgeSteps(
  { kinds }: Pick<Piece, "kinds">,
  parts: readonly Part[],
  base: Pick<BaseWork, "apart" | "closed">,
  made: readonly Pick<Step, "id">[],
): { base: Step[]; top: Step[] } {
  const chosen = Object.entries(edgesOf(kinds)).flatMap(([kind, edge]): Chosen[] => {
    const part = parts.find(({ id }) => id === kind);
    return part ? [{ part, edge }] : [];
  });
  const [before, last] = [made.at(-2) ?? made.at(-1), made.at(-1)];
  return {
    base: worked(
      chosen.filter(({ part }) => !OF_THE_TOP.includes(part.id)),
      {
        id: "edges",
        title: { before: "Work the edges of the parts", after: "Work the edges of the base as it stands" },
        jointed: base.apart.slice(0, 1),
        together: base.closed,
      },
    ),
    top: worked(
      chosen.filter(({ part }) => OF_THE_TOP.includes(part.id)),
      {
        id: "top-edges",
        title: { before: "Work the edges of what holds the top", after: "Work the edges of the top’s ends and frame" },
        jointed: before ? [before.id] : ["mill"],
        together: last ? [last.id] : ["mill"],
      },
    ),
  };
}

const EDGES = { lower: "lower edge", upper: "upper edge", both: "both edges" };
const UPRIGHT = { lower: "inner edge", upper: "outer edge", both: "both edges" };

/** Curves that were chosen, sawn when their parts have their joints and are still by themselves; what comes next waits for them. */
export function withCurves(
  { kinds }: Pick<Piece, "kinds">,
  parts: readonly Part[],
  steps: readonly Step[],
  next: string,
): Step[] {
  const chosen = Object.entries(curvesOf(kinds)).flatMap(([kind, curve]) => {
    const part = parts.find(({ id }) => id === kind);
    return part ? [{ part, curve }] : [];
  });
  const waits = steps.find(({ id }) => id === next);
  if (chosen.length === 0 || !waits) return [...steps];
  const sawn = step({
    id: "curves",
    title:
      chosen.length > 1 ? "Saw the curves of the parts" : `Saw the curve of the ${chosen[0].part.name.toLowerCase()}`,
    detail: `${chosen.map(({ part, curve }) => `${part.name}: ${(part.role === "leg" || part.role === "post" ? UPRIGHT : EDGES)[curve.edge]} ${curve.way === "points" ? `by ${curve.points.length} points${curve.mirrored ? ", both halves alike" : ""}` : `${curve.way === "bowed" ? "bowed out" : "hollowed"} by ${curve.rise} mm, ${curve.straight} mm straight at each end`}`).join("; ")}. From templates, 3 mm outside the line, then along the template downhill: from both ends toward the middle.`,
    parts: chosen.map(({ part }) => part.id),
    after: [...waits.after],
    hours: chosen.reduce((sum, { part }) => sum + 0.2 + part.count * TIME.shape, 0),
    caution: "Bandsaw: the blade as narrow as the hollow asks, the guard down to the wood.",
  });
  return steps.flatMap((each) => (each === waits ? [sawn, { ...each, after: [...each.after, "curves"] }] : [each]));
}

const worked = (chosen: readonly Chosen[], { id, title, jointed, together }: Group): Step[] =>
  (["before", "after"] as const).flatMap((when): Step[] => {
    const now = chosen.filter(({ edge }) => edge.when === when);
    if (now.length === 0) return [];
    return [
      step({
        id: `${id}-${when}`,
        title: title[when],
        detail: `${now.map(({ part, edge }) => `${part.name} ${HOW[edge.how](edge)}`).join("; ")}. Stop short of every shoulder and of whatever bears on an edge.`,
        parts: now.map(({ part }) => part.id),
        after: [...(when === "before" ? jointed : together)],
        hours: now.reduce((sum, { part }) => sum + part.count * TIME.edge, 0),
      }),
    ];
  });

/** The same steps, the one that glues waiting for edges that are worked before it. */
export const afterEdges = <S extends Pick<Step, "id"> & Partial<Step>>(
  steps: readonly S[],
  glued: string | undefined,
  edges: readonly Step[],
): S[] => {
  const before = edges.filter(({ id }) => id.endsWith("-before")).map(({ id }) => id);
  return steps.map((each) =>
    before.length > 0 && each.id === glued ? { ...each, after: [...(each.after ?? []), ...before] } : each,
  );
};
