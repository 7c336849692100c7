/** Edges of a part that are curved: hollowed by an arc, bowed out by one, or by typed points. mm */
import { Corner, Spot, straightAt } from "../assembly/outline";
import type { AssemblyPart, Worked } from "../assembly/part";
import { add, dot, minus, times } from "../assembly/vector";
import type { CurveChoice } from "../piece/kinds";
import { depthsIn, drawnEdge, edgeLine, lineFault } from "./edge-line";

/** Parts that are curved are sticks: with an edge above and one below, or with one toward the piece's middle and one outward. */
const STICKS: readonly string[] = ["rail", "frame", "post", "leg", "block"];
/** An arc over less than this is no curve, mm. Ours */
const LEAST_CHORD = 60;

type Placed = Pick<AssemblyPart, "place">;
const lies = ({ place }: Placed) => Math.abs(place.y[1]) > 0.9;
export const stands = ({ place }: Placed) => Math.abs(place.x[1]) > 0.9;

/** Why a part keeps its edges straight; null where it may be curved. */
export function straightBy(part: AssemblyPart, choice: CurveChoice): string | null {
  const { shape, role } = part;
  if (!STICKS.includes(role) || !(lies(part) || stands(part))) return "has no two edges to be curved";
  if (shape.face || shape.edge || shape.end || shape.planes?.length) return "has a shape of its own already";
  if (choice.way !== "points" && shape.length - 2 * choice.straight < LEAST_CHORD)
    return "is too short for it beside its straight ends";
  const fault = lineFault(choice, shape.length);
  if (fault) return fault;
  const { deepest } = depthsOf(part, choice);
  return deepest * (choice.edge === "both" ? 2 : 1) >= shape.width - 5 ? "is not wide enough for it" : null;
}

/** How deep its curve goes into a part's edge, and how far out of it. */
export function depthsOf(
  { shape }: Pick<AssemblyPart, "shape">,
  choice: CurveChoice,
): { deepest: number; out: number } {
  const { way, rise } = choice;
  if (way !== "points") return way === "bowed" ? { deepest: 0, out: rise } : { deepest: rise, out: 0 };
  return depthsIn(drawnEdge(choice, shape.length), 0, shape.length);
}

/** Which of a part's edges are curved, in its own frame: the one where y is 0, the one where it is widest. */
export function curvedEdges(
  part: Placed & Pick<AssemblyPart, "shape">,
  { edge }: CurveChoice,
): { low: boolean; high: boolean } {
  const [one, other] = [edge !== "upper", edge !== "lower"];
  return facesOut(part) ? { low: one, high: other } : { low: other, high: one };
}

/** Whether a part's width points up; of one that stands, outward: then "lower" is its edge toward the middle. */
function facesOut({ place, shape }: Placed & Pick<AssemblyPart, "shape">): boolean {
  if (Math.abs(place.y[1]) > 0.9) return place.y[1] > 0;
  const out = dot(add(place.at, times(place.y, shape.width / 2)), place.y);
  return Math.abs(out) > 1 ? out > 0 : true;
}

/** What an edge that bows out adds to a part's width: below its straight edge, and above the other, in its own frame. */
export function bowedOut(
  part: Placed & Pick<AssemblyPart, "shape">,
  choice: CurveChoice,
): { low: number; high: number } {
  const { low, high } = curvedEdges(part, choice);
  const { out } = depthsOf(part, choice);
  return { low: low ? out : 0, high: high ? out : 0 };
}

/** The same parts, each kind with its edges curved as they were chosen: what bows out is sawn from a wider board. @param curves  by kind of part */
export function curved(parts: readonly AssemblyPart[], curves: Readonly<Record<string, CurveChoice>>): AssemblyPart[] {
  return parts.map((part) => {
    const choice = curves[part.kind];
    if (!choice || straightBy(part, choice) !== null) return part;
    const { length } = part.shape;
    const { low, high } = curvedEdges(part, choice);
    const more = bowedOut(part, choice);
    const [lower, upper] = [more.low, more.low + part.shape.width];
    const line = edgeLine(choice, length);
    const seenFrom = (y: number, inward: 1 | -1): Corner[] =>
      line.map(({ at: [x, deep], rise }) => ({ at: [x, y + inward * deep], rise }));
    const outer = [
      ...(low ? seenFrom(lower, 1) : [straightAt(0, lower), straightAt(length, lower)]),
      ...(high ? turnedBack(seenFrom(upper, -1)) : [straightAt(length, upper), straightAt(0, upper)]),
    ].filter(({ at, rise: bent }, i, all) => {
      const next = all[(i + 1) % all.length].at;
      // with nothing left straight an arc begins where the corner is
      return bent !== 0 || Math.hypot(next[0] - at[0], next[1] - at[1]) > 1e-9;
    });
    const width = upper + more.high;
    return { ...lowered(part, more.low), shape: { ...part.shape, width, face: { outer, holes: [] } } };
  });
}

/** A line run through from its other end: each arc belongs to the corner it then begins at. */
const turnedBack = (line: readonly Corner[]): Corner[] =>
  line.map(({ at }, i) => ({ at, rise: i > 0 ? line[i - 1].rise : 0 })).reverse();

/** The same part told from a corner that lies so much lower: everything in it stays where it is. */
function lowered(part: AssemblyPart, by: number): AssemblyPart {
  if (by === 0) return part;
  const up = (each: Worked): Worked => ({ ...each, place: { ...each.place, at: add(each.place.at, [0, by, 0]) } });
  return {
    ...part,
    place: { ...part.place, at: minus(part.place.at, times(part.place.y, by)) },
    adds: part.adds.map(up),
    cuts: part.cuts.map(up),
  };
}

/** The line as it is drawn on a part, for whatever asks how deep it is somewhere. */
export const lineAlong = ({ shape }: Pick<AssemblyPart, "shape">, choice: CurveChoice): Spot[] =>
  drawnEdge(choice, shape.length);
