/** Edges along the grain that are eased, rounded or chamfered: never where another part bears, or where something is cut into the edge. */
import { Loop, straightAt } from "../assembly/outline";
import type { AssemblyPart, Worked } from "../assembly/part";
import { Place, seenFrom, toPiece, within } from "../assembly/place";
import type { Shape } from "../assembly/shape";
import type { Vec } from "../assembly/vector";
import type { EdgeChoice } from "../piece/kinds";

/** An edge is left square so far beside what bears on it, and a stretch shorter than that is not worth a cutter, mm. @source common practice */
const STOP = { beside: 5, least: 40 };
/** What comes nearer than this touches, mm. */
const TOUCH = 0.05;

/** What a cutter takes from a corner, seen along it with the corner at the origin: a quarter left round, or a flat. */
function waste({ how, size }: EdgeChoice): Loop {
  // a quarter circle lies so much nearer the corner than its chord
  const bow = how === "chamfered" ? 0 : -size * (1 - Math.SQRT1_2);
  return [straightAt(0, 0), { at: [size, 0], rise: bow }, straightAt(0, size)];
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

type Span = [from: number, to: number];

/** The box a piece fills in the frame of a part. */
function boxIn(frame: Place, { shape, place }: { shape: Shape; place: Place }): [Span, Span, Span] {
  const seen = seenFrom(frame, place);
  const corners = [0, shape.length].flatMap((a) =>
    [0, shape.width].flatMap((b) => [0, shape.thickness].map((c) => toPiece(seen, [a, b, c]))),
  );
  const span = (i: 0 | 1 | 2): Span => {
    const values = corners.map((corner) => corner[i]);
    return [Math.min(...values), Math.max(...values)];
  };
  return [span(0), span(1), span(2)];
}

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
    const [low, high] = [across * (shape.width - size), through * (shape.thickness - size)];
    const taken = near
      .filter(
        ([, b, c]) =>
          b[0] < low + size + TOUCH && b[1] > low - TOUCH && c[0] < high + size + TOUCH && c[1] > high - TOUCH,
      )
      .map(([[from, to]]): Span => [from - STOP.beside, to + STOP.beside]);
    return freeOf(shape.length, taken).map(([from, to]): Worked => ({
      by: "edge",
      shape: { length: to - from, width: size, thickness: size, end: { outer: waste(choice), holes: [] } },
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
