/** Edges of a part that are hollowed by an arc, or bowed out by one: by its rise, between what stays straight beside it. mm */
import { Corner, straightAt } from "../assembly/outline";
import type { AssemblyPart, Worked } from "../assembly/part";
import { add, minus, times } from "../assembly/vector";
import type { CurveChoice } from "../piece/kinds";

/** Parts that are curved are sticks with an edge above and one below. */
const STICKS: readonly string[] = ["rail", "frame"];
/** An arc over less than this is no curve, mm. Ours */
const LEAST_CHORD = 60;

/** Why a part keeps its edges straight; null where it may be curved. */
export function straightBy(
  { shape, role, place }: AssemblyPart,
  { straight, rise, edge, way }: CurveChoice,
): string | null {
  if (!STICKS.includes(role) || Math.abs(place.y[1]) < 0.9) return "has no lower and upper edge";
  if (shape.face || shape.edge || shape.end || shape.planes?.length) return "has a shape of its own already";
  if (shape.length - 2 * straight < LEAST_CHORD) return "is too short for it beside its straight ends";
  if (way === "bowed") return null;
  return rise * (edge === "both" ? 2 : 1) >= shape.width - 5 ? "is not wide enough for it" : null;
}

/** Which of a part's edges are hollowed, in its own frame: the one where y is 0, the one where it is widest. */
export const hollowed = (
  { place }: Pick<AssemblyPart, "place">,
  { edge }: CurveChoice,
): { low: boolean; high: boolean } => {
  const [below, above] = [edge !== "upper", edge !== "lower"];
  return place.y[1] > 0 ? { low: below, high: above } : { low: above, high: below };
};

/** What an edge that bows out adds to a part's width: below its straight edge, and above the other, in its own frame. */
export const bowedOut = (part: Pick<AssemblyPart, "place">, choice: CurveChoice): { low: number; high: number } => {
  const { low, high } = hollowed(part, choice);
  const by = choice.way === "bowed" ? choice.rise : 0;
  return { low: low ? by : 0, high: high ? by : 0 };
};

/** The same parts, each kind with its edges curved as they were chosen: what bows out is sawn from a wider board. @param curves  by kind of part */
export function curved(parts: readonly AssemblyPart[], curves: Readonly<Record<string, CurveChoice>>): AssemblyPart[] {
  return parts.map((part) => {
    const choice = curves[part.kind];
    if (!choice || straightBy(part, choice) !== null) return part;
    const { length } = part.shape;
    const { straight, rise } = choice;
    const { low, high } = hollowed(part, choice);
    const more = bowedOut(part, choice);
    const bow = choice.way === "bowed" ? rise : -rise;
    const [lower, upper] = [more.low, more.low + part.shape.width];
    const arc = (from: number, to: number, y: number, bent: boolean): Corner[] =>
      bent ? [{ at: [from, y], rise: bow }, straightAt(to, y)] : [];
    const outer = [
      straightAt(0, lower),
      ...arc(straight, length - straight, lower, low),
      straightAt(length, lower),
      straightAt(length, upper),
      ...arc(length - straight, straight, upper, high),
      straightAt(0, upper),
    ].filter(({ at, rise: bent }, i, all) => {
      const next = all[(i + 1) % all.length].at;
      // with nothing left straight an arc begins where the corner is
      return bent !== 0 || Math.hypot(next[0] - at[0], next[1] - at[1]) > 1e-9;
    });
    const width = upper + more.high;
    return { ...lowered(part, more.low), shape: { ...part.shape, width, face: { outer, holes: [] } } };
  });
}

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

/** How deep an arc of this rise over this chord is so far from its beginning. @source the circle through its ends and its crown */
export function depthAt(chord: number, rise: number, x: number): number {
  if (x <= 0 || x >= chord) return 0;
  const radius = chord ** 2 / (8 * rise) + rise / 2;
  return Math.max(0, Math.sqrt(radius ** 2 - (x - chord / 2) ** 2) - (radius - rise));
}
