/** A case whose front bows out from side to side: one arc over the whole of it, on fronts, rails, bottom and dividers alike. mm */
import type { Corner } from "../../../assembly/outline";
import type { AssemblyPart, Worked } from "../../../assembly/part";
import { boxIn } from "../../../assembly/part-box";
import { HOME, seenFrom } from "../../../assembly/place";
import { FRONT, RIGHT, Vec } from "../../../assembly/vector";
import { steady } from "../../../units/steady";
import { Bow, bowAt, bowMost } from "./bow-arc";

export const BOW_BY = "bow";

/** The same parts, those that end at the front with what stands out before it. @param front  z of the straight front */
export function bowed(parts: readonly AssemblyPart[], bow: Bow | null, front: number): AssemblyPart[] {
  if (!bow) return [...parts];
  const found = parts.map((part) => {
    const [x, y, z] = boxIn(HOME, part);
    if (Math.abs(z[1] - front) > 0.01 || part.role === "sheet") return null;
    const out = outBefore(bow, { from: x[0], to: x[1] }, y[1] - y[0]);
    // seen from above: along, out to the front, and down
    return out && { shape: out.shape, at: [out.from, y[1], front] as Vec };
  });
  return parts.map((part, i) => {
    const out = found[i];
    if (!out) return part;
    const place = seenFrom(part.place, { at: out.at, x: RIGHT, y: FRONT });
    const add: Worked = { by: BOW_BY, shape: out.shape, place, shows: true };
    const straight = parts.some((other, j) => other.kind === part.kind && !found[j]);
    // others that are alike but for the bow are milled narrower: it is a kind of its own then
    const own = straight ? { kind: `${part.kind}-bowed`, name: `${part.name}, bowed` } : {};
    return { ...part, ...own, adds: [...part.adds, add], note: `${part.note} ${saidOf(part)}`.trim() };
  });
}

/** What the list says of it. */
function saidOf({ place }: AssemblyPart): string {
  // a face that looks to the front bows out of thicker stock, an edge out of wider
  const faces = Math.abs(place.y[1]) > 0.9 && Math.abs(place.x[0]) > 0.9;
  return faces
    ? "Its face bows out: sawn from stock as thick as that, once it is fitted."
    : "Its front edge bows out: sawn from a board as wide as that.";
}

/** The segment before a stretch of the front. @param high  what has it, from its lower face to its upper */
function outBefore(bow: Bow, { from, to }: { from: number; to: number }, high: number) {
  const [low, end] = [Math.max(from, bow.from), Math.min(to, bow.to)];
  if (end - low < 1) return null;
  const [left, right] = [bowAt(bow, low), bowAt(bow, end)];
  const long = end - low;
  const chord = Math.hypot(long, left - right);
  const rise = bow.radius - steady(Math.sqrt(bow.radius * bow.radius - (chord * chord) / 4));
  const outer: Corner[] = [
    { at: [0, 0], rise: 0 },
    // where the arc begins on the line itself there is no corner over it
    ...(right > 0.01 ? [{ at: [long, 0] as const, rise: 0 }] : []),
    { at: [long, right > 0.01 ? right : 0], rise },
    ...(left > 0.01 ? [{ at: [0, left] as const, rise: 0 }] : []),
  ];
  return {
    from: low,
    shape: { length: long, width: bowMost(bow, low, end), thickness: high, face: { outer, holes: [] } },
  };
}
