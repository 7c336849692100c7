/** Reads the line of a part's edge from a file: the lower or upper side of the part's face as it was drawn there. mm */
import type { Spot } from "../assembly/outline";
import { EdgePoint, MOST_EDGE_POINTS } from "../piece/kinds";
import { fittedArcs } from "./fitted-arcs";
import { largestIn, NEAR, tenth } from "./outline-file";
import { OutlineFault } from "./outline-loops";

export type ReadEdge = { ok: true; points: EdgePoint[]; said: string[] } | { ok: false; message: string };

/** A drawing is as long as its part within so much; its ends lie level within so much, mm. Ours */
const FITS = { length: 0.5, level: 0.3 };

/**
 * @param part  how long it is between its shoulders, mm; which of its edges is meant
 * @returns the points of the edge between its ends, or a sentence that says what to do
 */
export function readEdge(name: string, text: string, part: { length: number; edge: "lower" | "upper" }): ReadEdge {
  try {
    return { ok: true, ...edgeIn(text, part) };
  } catch (error) {
    if (error instanceof OutlineFault) return { ok: false, message: `${name}: ${error.message}` };
    throw error;
  }
}

function edgeIn(text: string, { length, edge }: { length: number; edge: "lower" | "upper" }) {
  // without a scale of its own it is as long as the part
  const { outer, length: drawn, said } = largestIn(text, null, length);
  if (Math.abs(drawn - length) > FITS.length)
    throw new OutlineFault(
      `its outline is ${Math.round(drawn * 10) / 10} mm long, the part ${Math.round(length * 10) / 10} mm between its shoulders. Draw the part’s whole face at its own length, or without a scale.`,
    );
  // the upper edge is the lower one of the drawing turned over
  const loop = edge === "lower" ? outer : outer.map(([x, y]): Spot => [x, -y]).reverse();
  const corners = fittedArcs(loop, NEAR);
  const [left, right] = [endOf(corners, -length / 2), endOf(corners, length / 2)];
  if (left < 0 || right < 0)
    throw new OutlineFault(
      "its ends are not straight and upright. Draw the part’s whole face, ends and all, as one closed line.",
    );
  const base = corners[left].at[1];
  if (Math.abs(corners[right].at[1] - base) > FITS.level)
    throw new OutlineFault(
      `the ${edge} edge ends ${Math.round(Math.abs(corners[right].at[1] - base) * 10) / 10} mm higher at one end than at the other. Both ends must stay where the straight edge would be.`,
    );
  // anticlockwise the lower side runs from left to right
  const between = Array.from(
    { length: (right - left + corners.length) % corners.length },
    (_, i) => corners[(left + i) % corners.length],
  );
  if (between.length > MOST_EDGE_POINTS)
    throw new OutlineFault(
      `its ${edge} edge takes ${between.length} lines and arcs; an edge has ${MOST_EDGE_POINTS} at most. Draw it with fewer, and choose it again.`,
    );
  const points = between.map(({ at: [x, y], rise }): EdgePoint => ({
    x: tenth(Math.max(0, Math.min(length, x + length / 2))),
    y: tenth(y - base),
    rise: tenth(rise),
  }));
  // a first corner with nothing on it but a straight line is the end itself
  const kept = points[0]?.rise === 0 ? points.slice(1) : points;
  if (kept.length === 0) throw new OutlineFault(`its ${edge} edge is straight.`);
  return { points: kept, said };
}

/** The lowest corner at an end: −1 where none lies there. */
const endOf = (corners: readonly { at: Spot }[], x: number): number =>
  corners.reduce(
    (best, { at }, i) => (Math.abs(at[0] - x) < FITS.length && (best < 0 || at[1] < corners[best].at[1]) ? i : best),
    -1,
  );
