/** A top of one slab or two with their own edges, as they were measured; glass let in between two. mm; from the top's front left corner */
import { Outline, Spot, straight } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import { Station, USUAL_SLABS } from "../../piece/slab-choices";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { flat, LIFT, part } from "./part";

/** One slab: its two edges from the left end to the right one, how far it reaches. */
export interface Slab {
  id: string;
  kind: string;
  /** how a sentence calls it */
  said: string;
  front: readonly Spot[];
  back: readonly Spot[];
  least: number;
  most: number;
}

/** Measured nearer than this to the one before a width is the same once more: a jag so short is bark, mm. Ours */
const NEAR = 10;

/** An edge through its stations from one end of the top to the other; straight on beyond the last. */
function edgeOf(stations: readonly Station[], length: number, of: "from" | "to"): Spot[] {
  const sorted = [...stations]
    .sort((a, b) => a.at - b.at)
    .reduce<Station[]>((kept, each) => (each.at - (kept.at(-1)?.at ?? -Infinity) < NEAR ? kept : [...kept, each]), []);
  const lies = (x: number): number => {
    const next = sorted.findIndex(({ at }) => at >= x);
    if (next <= 0) return sorted[next === 0 ? 0 : sorted.length - 1][of];
    const [a, b] = [sorted[next - 1], sorted[next]];
    return a[of] + ((b[of] - a[of]) * (x - a.at)) / (b.at - a.at);
  };
  const inner = sorted.filter(({ at }) => at > 1 && at < length - 1).map((each): Spot => [each.at, each[of]]);
  return [[0, lies(0)], ...inner, [length, lies(length)]];
}

/** The slabs of a top, the front one first; none where it is made otherwise. */
export function slabsOf(
  { field, slabs }: Pick<Form, "field" | "slabs">,
  { length }: Pick<PieceGeometry["top"], "length">,
): Slab[] {
  if (field !== "slabs") return [];
  const all = slabs.count === 1 ? [slabs.front] : [slabs.front, slabs.back];
  return all.map((stations, i): Slab => {
    const [front, back] = [edgeOf(stations, length, "from"), edgeOf(stations, length, "to")];
    return {
      ...{ id: `SL${i + 1}`, kind: `slab-${i + 1}`, front, back },
      said: all.length === 1 ? "slab" : i === 0 ? "front slab" : "back slab",
      least: Math.min(...front.map(([, y]) => y)),
      most: Math.max(...back.map(([, y]) => y)),
    };
  });
}

/** Slabs to begin from on a top of this size; a maker's own, once any was measured. */
export function slabsFor({ slabs, top }: Pick<Form, "slabs" | "top">): Form["slabs"] {
  const { front, back } = USUAL_SLABS;
  const usual = JSON.stringify([slabs.front, slabs.back]) === JSON.stringify([front, back]);
  if (!usual) return slabs;
  const [long, wide] = [front[front.length - 1].at, back[0].to];
  const scaled = (all: readonly Station[]): Station[] =>
    all.map(({ at, from, to }) => ({
      at: Math.round((at * top.length) / long),
      from: Math.round((from * top.width) / wide),
      to: Math.round((to * top.width) / wide),
    }));
  return { ...slabs, front: scaled(front), back: scaled(back) };
}

/** Where an edge lies at a place along the top. */
export function onEdge(edge: readonly Spot[], x: number): number {
  const next = Math.max(
    1,
    edge.findIndex(([at]) => at >= x),
  );
  const [[xa, a], [xb, b]] = [edge[next - 1], edge[next]];
  return a + ((b - a) * (x - xa)) / (xb - xa);
}

/** Where it lies on the average. @source trapezoids between its points */
export function meanOf(edge: readonly Spot[]): number {
  const area = edge.slice(1).reduce((sum, [x, y], i) => sum + ((x - edge[i][0]) * (y + edge[i][1])) / 2, 0);
  return area / edge.at(-1)![0];
}

/** The line along a slab that stays where it is: its middle. */
export const middleLine = (slab: Slab): number => (meanOf(slab.front) + meanOf(slab.back)) / 2;

/** The slab over a place, with so much wood around it at least; null where none is. x and z from the middle of the top. */
export function slabOver(
  slabs: readonly Slab[],
  { top }: Pick<PieceGeometry, "top">,
  { x, z }: { x: number; z: number },
  around = 0,
): Slab | null {
  const [along, across] = [x + top.length / 2, top.width / 2 - z];
  return (
    slabs.find(
      ({ front, back }) =>
        across >= onEdge(front, along) + around - 1e-9 && across <= onEdge(back, along) - around + 1e-9,
    ) ?? null
  );
}

/** A stretch of an edge moved square to itself: over which it ran, its slope, and its height where x is 0. */
interface Moved {
  from: number;
  to: number;
  slope: number;
  zero: number;
}

/**
 * The same line so far behind, square to itself: its corners where the lines beside one another meet. A stretch in a hollow too narrow for
 * that is passed over.
 */
export function beside(edge: readonly Spot[], by: number): Spot[] {
  let lines = edge.slice(1).map(([xb, yb], i): Moved => {
    const [xa, ya] = edge[i];
    const slope = (yb - ya) / (xb - xa);
    return { from: xa, to: xb, slope, zero: ya - slope * xa + by * Math.hypot(1, slope) };
  });
  const [start, end] = [edge[0][0], edge[edge.length - 1][0]];
  for (;;) {
    const corners = [start, ...lines.slice(1).map((line, i) => meet(lines[i], line)), end];
    // of those that run back, the one that runs back most goes first
    const back = lines.map((_, i) => corners[i] - corners[i + 1]);
    const worst = back.indexOf(Math.max(...back));
    if (lines.length < 2 || back[worst] <= 1e-9)
      return corners.map((x, i): Spot => {
        const { slope, zero } = lines[Math.min(i, lines.length - 1)];
        return [x, zero + slope * x];
      });
    lines = lines.filter((_, i) => i !== worst);
  }
}

/** Where two stretches meet; where they run on in one line, at the corner they had, or in the middle of what lay between. */
function meet(before: Moved, after: Moved): number {
  const turn = before.slope - after.slope;
  return Math.abs(turn) < 1e-9 ? (before.to + after.from) / 2 : (after.zero - before.zero) / turn;
}

/** Soft dots under the glass, and how far its ends stay inside the top's, mm. @source common practice */
export const BED = 1;
export const GLASS_END = 2;
/** kg/m³. @source float glass, EN 572, from memory */
const GLASS = 2500;

/** The glass and the rebate it lies in; null where nothing lies between two slabs. */
export interface Glass {
  /** its edges from end to end */
  front: Spot[];
  back: Spot[];
  /** of the rebates, each from the inner end of the seat to beyond the slab's edge */
  rebates: [Spot[], Spot[]];
  depth: number;
}
export function glassOf({ slabs: { between } }: Pick<Form, "slabs">, slabs: readonly Slab[]): Glass | null {
  if (slabs.length < 2 || between.kind !== "glass") return null;
  const { seat, clear, thickness } = between;
  const [inner, outer] = [slabs[0].back, slabs[1].front];
  const closed = (low: Spot[], high: Spot[]): Spot[] => [...low, ...high.reverse()];
  return {
    front: beside(inner, clear - seat),
    back: beside(outer, seat - clear),
    rebates: [closed(beside(inner, -seat), beside(inner, BEYOND)), closed(beside(outer, -BEYOND), beside(outer, seat))],
    depth: thickness + BED,
  };
}
/** What is cut runs on over the edge, mm: no skin is left. */
const BEYOND = 2;

const outlined = (spots: readonly Spot[], [x, y]: Spot): Outline => ({
  outer: straight(spots.map(([a, b]): Spot => [a - x, b - y])),
  holes: [],
});

/** Slabs where they lie, and the glass between them. */
export function slabParts(form: Form, at: PieceGeometry): AssemblyPart[] {
  const { length, width, thickness } = at.top;
  const slabs = slabsOf(form, at.top);
  const glass = glassOf(form, slabs);
  const parts = slabs.map((slab, i): AssemblyPart => {
    const size = { length, width: slab.most - slab.least, thickness };
    const corner: Spot = [0, slab.least];
    const lying = part({
      ...{ id: slab.id, kind: slab.kind },
      shape: { ...size, face: outlined([...slab.front, ...[...slab.back].reverse()], corner) },
      place: flat(at, width / 2 - slab.least, -length / 2),
    });
    const rebate = glass?.rebates[i];
    return {
      ...lying,
      ownEdges: true,
      ...(slabs.length === 1 ? { name: "Slab", said: "slab" } : {}),
      cuts:
        rebate && glass
          ? [
              {
                by: "glass",
                shape: { ...size, thickness: glass.depth, face: outlined(rebate, corner) },
                place: { ...HOME, at: [0, 0, thickness - glass.depth] },
                markedFrom: "the glass that came",
              },
            ]
          : [],
    };
  });
  return glass ? [...parts, glassPart(form, at, glass)] : parts;
}

function glassPart(form: Form, at: PieceGeometry, { front, back }: Glass): AssemblyPart {
  const { between } = form.slabs;
  const { top, under } = at;
  const inside = (edge: readonly Spot[]): Spot[] => [
    [GLASS_END, onEdge(edge, GLASS_END)],
    ...edge.slice(1, -1),
    [top.length - GLASS_END, onEdge(edge, top.length - GLASS_END)],
  ];
  const spots = [...inside(front), ...inside(back).reverse()];
  const least = Math.min(...front.map(([, y]) => y));
  const width = Math.max(1, Math.max(...back.map(([, y]) => y)) - least);
  const size = { length: top.length - 2 * GLASS_END, width, thickness: between.thickness };
  const lying = flat(at, top.width / 2 - least, GLASS_END - top.length / 2);
  const area = Math.abs(
    spots.reduce((sum, [x, y], i) => {
      const [u, w] = spots[(i + 1) % spots.length];
      return sum + (x * w - u * y) / 2;
    }, 0),
  );
  return {
    ...part({ id: "GL", kind: "glass", shape: { ...size, face: outlined(spots, [GLASS_END, least]) }, place: lying }),
    place: { ...lying, at: [lying.at[0], under + top.thickness - between.thickness, lying.at[2]] },
    bought: { mass: (area * between.thickness * GLASS) / 1e9, weeks: between.weeks, measured: between.measured },
    opens: [0, LIFT + 120, 0],
  };
}
