/** Edges along the grain that are eased, rounded or chamfered: never where another part bears, or where something is cut into the edge. */
import { Loop, straightAt } from "../assembly/outline";
import type { AssemblyPart, Worked } from "../assembly/part";
import { boxIn, Span } from "../assembly/part-box";
import { within } from "../assembly/place";
import type { Shape } from "../assembly/shape";
import type { Vec } from "../assembly/vector";
import type { EdgeChoice } from "../piece/kinds";

/** An edge is left square so far beside what bears on it, and a stretch shorter than that is not worth a cutter, mm. @source common practice */
const STOP = { beside: 5, least: 40 };
/** What comes nearer than this touches, mm. */
const TOUCH = 0.05;

/** What a cutter takes from a corner, seen along it with the corner at the origin: a quarter left round, or a flat. */
function waste({ how, size, raised }: EdgeChoice, faceFirst: boolean): Loop {
  const { wide, deep } = reachOf({ how, size, raised });
  const chord = Math.hypot(wide, deep);
  // a circle lies so much nearer the corner than its chord
  const bow = how === "chamfered" ? 0 : Math.sqrt(size ** 2 - chord ** 2 / 4) - size;
  const [a, b] = faceFirst ? [wide, deep] : [deep, wide];
  return [straightAt(0, 0), { at: [a, 0], rise: bow }, straightAt(0, b)];
}

/** A raised cutter keeps at least this share of its radius in the wood. Ours. */
const LEAST_LEFT = 0.1;

/**
 * How far an edge's curve reaches across the face and down the side, mm. It leaves the side in line with it; a raised cutter meets the face at
 * an angle.
 *
 * @source Pythagoras, from the cutter's centre
 */
export function reachOf({ how, size, raised }: Pick<EdgeChoice, "how" | "size" | "raised">): {
  wide: number;
  deep: number;
} {
  if (how === "chamfered") return { wide: size, deep: size };
  const deep = Math.max(size - raised, size * LEAST_LEFT);
  return { wide: size - Math.sqrt(size ** 2 - deep ** 2), deep };
}

/** The four edges of a part along its grain, each with its corner at the origin of a frame that looks into the wood. */
const EDGES: { across: 0 | 1; through: 0 | 1; y: Vec }[] = [
  { across: 0, through: 0, y: [0, 1, 0] },
  { across: 1, through: 0, y: [0, 0, 1] },
  { across: 1, through: 1, y: [0, -1, 0] },
  { across: 0, through: 1, y: [0, 0, -1] },
];

/** Whether all edges along the grain run straight from end to end: what is shaped by a template is eased by its template. */
export const straightEdged = ({ face, edge }: Shape) => !face && !edge;

/** Stretches of an edge that nothing bears on. */
function freeOf(length: number, taken: readonly Span[]): Span[] {
  const free: Span[] = [];
  let at = 0;
  for (const [from, to] of [...taken].sort((a, b) => a[0] - b[0])) {
    if (from - at >= STOP.least) free.push([at, from]);
    at = Math.max(at, to);
  }
  if (length - at >= STOP.least) free.push([at, length]);
  return free;
}

/** What is taken from the edges of a part that stands among others. */
function cutsOf(part: AssemblyPart, others: readonly AssemblyPart[], choice: EdgeChoice): Worked[] {
  const { shape, place } = part;
  const { size } = choice;
  const near = [
    ...others.flatMap((other) => [other, ...other.adds.map((each) => stoodIn(other, each))]),
    ...part.cuts.map((each) => stoodIn(part, each)),
  ].map((each) => boxIn(place, each));
  return EDGES.flatMap(({ across, through, y }) => {
    const faceFirst = y[1] !== 0;
    const [low, high] = [across * (shape.width - size), through * (shape.thickness - size)];
    const taken = near
      .filter(
        ([, b, c]) =>
          b[0] < low + size + TOUCH && b[1] > low - TOUCH && c[0] < high + size + TOUCH && c[1] > high - TOUCH,
      )
      .map(([[from, to]]): Span => [from - STOP.beside, to + STOP.beside]);
    return freeOf(shape.length, taken).map(([from, to]): Worked => ({
      by: "edge",
      ...(choice.when === "after" ? { when: "closed" as const } : {}),
      shape: { length: to - from, width: size, thickness: size, end: { outer: waste(choice, faceFirst), holes: [] } },
      place: { at: [from, across * shape.width, through * shape.thickness], x: [1, 0, 0], y },
    }));
  });
}

const stoodIn = (part: AssemblyPart, { shape, place }: Pick<Worked, "shape" | "place">) => ({
  shape,
  place: within(part.place, place),
});

/** The same parts, each kind with its edges worked as they were chosen. @param edges  by kind of part */
export function edged(parts: readonly AssemblyPart[], edges: Readonly<Record<string, EdgeChoice>>): AssemblyPart[] {
  return parts.map((part) => {
    const choice = edges[part.kind];
    if (!choice || !straightEdged(part.shape)) return part;
    if (2 * choice.size > Math.min(part.shape.width, part.shape.thickness)) return part;
    const others = parts.filter((other) => other !== part);
    return { ...part, cuts: [...part.cuts, ...cutsOf(part, others, choice)] };
  });
}
