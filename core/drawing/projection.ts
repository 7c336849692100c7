/** Bodies as they are seen along a direction: every edge in full where nothing stands before it, dashed where something does. */
import type { Solid } from "../assembly/solid";
import { cross, dot, Vec } from "../assembly/vector";
import { EdgeLine, edgesOf, linesOf } from "./edges";
import type { Point } from "./scene";

/** Which way a drawing looks: what is to its right and what is up; the viewer stands at right × up. */
export interface View {
  right: Vec;
  up: Vec;
}

/** From above with the front below; from the front; from the right-hand end. */
export const VIEWS = {
  plan: { right: [1, 0, 0], up: [0, 0, -1] },
  front: { right: [1, 0, 0], up: [0, 1, 0] },
  side: { right: [0, 0, -1], up: [0, 1, 0] },
} satisfies Record<string, View>;

/** A body that is drawn; `id` is what its lines are called. */
export interface Drawable {
  id: string;
  solid: Solid;
  /** see `linesOf`; worked out when it isn't given */
  lines?: readonly EdgeLine[];
}

/** A straight line of the drawing. */
export interface ProjectedEdge {
  id: string;
  from: Point;
  to: Point;
  hidden: boolean;
}

/** Nothing hides an edge that it stands before by less, mm. Ours: parts that touch share their edges. */
const BEFORE = 0.05;
/** Lines shorter than this are points, mm. */
const SHORTEST = 0.1;

interface Face {
  points: Point[];
  least: Point;
  most: Point;
  /** how near the viewer it is: at + slope · (u, v) */
  at: number;
  slope: Point;
}
type Span = [from: number, to: number];

/**
 * Edges of bodies in mm of the drawing, those in full first.
 *
 * @source derived: an edge is hidden where a face that looks at the viewer covers it and lies before it; both are linear along the edge
 */
export function projected(bodies: readonly Drawable[], view: View): ProjectedEdge[] {
  const toward = cross(view.right, view.up);
  const faces = bodies.flatMap(({ solid }) => solid.flatMap((facet) => faceOf(facet, view, toward) ?? []));
  const seen: ProjectedEdge[] = [];
  const unseen: ProjectedEdge[] = [];
  for (const { id, solid, lines = linesOf(solid) } of bodies)
    for (const edge of edgesOf(lines, toward)) {
      const from: Point = [dot(edge.from, view.right), dot(edge.from, view.up)];
      const to: Point = [dot(edge.to, view.right), dot(edge.to, view.up)];
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      if (length < SHORTEST) continue;
      const covered = coveredBy(faces, { from, to, near: [dot(edge.from, toward), dot(edge.to, toward)] });
      const whole = { id, from, to };
      unseen.push(...stretchesOf(whole, covered, length, true));
      seen.push(...stretchesOf(whole, without([[0, 1]], covered), length, false));
    }
  return oncePerLine([...seen, ...unseen]);
}

/** The stretches of an edge that are long enough to be drawn. */
function stretchesOf(
  { id, from, to }: Omit<ProjectedEdge, "hidden">,
  spans: readonly Span[],
  length: number,
  hidden: boolean,
): ProjectedEdge[] {
  const out: ProjectedEdge[] = [];
  for (const [a, b] of spans)
    if ((b - a) * length >= SHORTEST) out.push({ id, from: along(from, to, a), to: along(from, to, b), hidden });
  return out;
}

const along = (from: Point, to: Point, s: number): Point => [
  from[0] + s * (to[0] - from[0]),
  from[1] + s * (to[1] - from[1]),
];

function faceOf({ corners, n, w }: Solid[number], { right, up }: View, toward: Vec): Face | null {
  const facing = dot(n, toward);
  if (facing < 1e-6) return null;
  const points = corners.map((p): Point => [dot(p, right), dot(p, up)]);
  const [us, vs] = [points.map(([u]) => u), points.map(([, v]) => v)];
  return {
    points,
    least: [Math.min(...us), Math.min(...vs)],
    most: [Math.max(...us), Math.max(...vs)],
    at: w / facing,
    slope: [-dot(n, right) / facing, -dot(n, up) / facing],
  };
}

/** An edge in the drawing, and how near the viewer its ends are. */
interface Laid {
  from: Point;
  to: Point;
  near: readonly [number, number];
}

/** The stretches of an edge, 0 to 1, that faces cover and lie before. */
function coveredBy(faces: readonly Face[], edge: Laid): Span[] {
  const spans: Span[] = [];
  const [left, right] = [Math.min(edge.from[0], edge.to[0]), Math.max(edge.from[0], edge.to[0])];
  const [low, high] = [Math.min(edge.from[1], edge.to[1]), Math.max(edge.from[1], edge.to[1])];
  for (const face of faces) {
    if (right < face.least[0] || left > face.most[0] || high < face.least[1] || low > face.most[1]) continue;
    const span = coveredByOne(face, edge);
    if (span) spans.push(span);
  }
  return merged(spans);
}

/** @source Cyrus and Beck 1978: a line against a convex outline, and against the face's depth */
function coveredByOne({ at, slope, points }: Face, { from, to, near }: Laid): Span | null {
  const span: Span = [0, 1];
  const before = at + slope[0] * from[0] + slope[1] * from[1] - near[0] - BEFORE;
  const after = at + slope[0] * to[0] + slope[1] * to[1] - near[1] - BEFORE;
  if (!keep(span, before, after)) return null;
  for (let i = 0; i < points.length; i += 1) {
    const [p, q] = [points[i], points[i + 1 < points.length ? i + 1 : 0]];
    const [du, dv] = [q[0] - p[0], q[1] - p[1]];
    const size = Math.sqrt(du * du + dv * dv);
    if (size < 1e-9) continue;
    // its own border is covered too: no line shows through where two faces meet
    const a = (du * (from[1] - p[1]) - dv * (from[0] - p[0])) / size + 1e-6;
    const b = (du * (to[1] - p[1]) - dv * (to[0] - p[0])) / size + 1e-6;
    if (!keep(span, a, b)) return null;
  }
  return span;
}

/** Narrows a span to where what runs from a to b stays at or above 0; false when nothing is left. */
function keep(span: Span, a: number, b: number): boolean {
  if (a < 0 && b < 0) return false;
  if (a < 0) span[0] = Math.max(span[0], a / (a - b));
  else if (b < 0) span[1] = Math.min(span[1], a / (a - b));
  return span[0] < span[1];
}

function merged(spans: readonly Span[]): Span[] {
  if (spans.length < 2) return [...spans];
  const out: Span[] = [];
  for (const span of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = out.at(-1);
    if (last && span[0] <= last[1] + 1e-6) last[1] = Math.max(last[1], span[1]);
    else out.push([...span]);
  }
  return out;
}

/** What is left of spans when others, merged, are taken out. */
function without(spans: readonly Span[], taken: readonly Span[]): Span[] {
  if (taken.length === 0) return [...spans];
  return taken.reduce<Span[]>(
    (left, [from, to]) =>
      left.flatMap(([a, b]): Span[] =>
        to <= a || from >= b
          ? [[a, b]]
          : (
              [
                [a, from],
                [to, b],
              ] as Span[]
            ).filter(([p, q]) => q - p > 1e-9),
      ),
    [...spans],
  );
}

/** Lines that lie on one another are drawn once: the first of them, so that what is full covers what is dashed. */
function oncePerLine(edges: readonly ProjectedEdge[]): ProjectedEdge[] {
  const drawn = new Map<string, Span[]>();
  const out: ProjectedEdge[] = [];
  for (const edge of edges) {
    const [du, dv] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
    const size = Math.hypot(du, dv);
    const sign = du < -1e-6 * size || (Math.abs(du) <= 1e-6 * size && dv < 0) ? -1 : 1;
    const [u, v] = [(sign * du) / size, (sign * dv) / size];
    const off = edge.from[0] * v - edge.from[1] * u;
    const key = `${Math.round(u * 1e4) + 0},${Math.round(v * 1e4) + 0},${Math.round(off * 10) + 0}`;
    const [a, b] = [edge.from[0] * u + edge.from[1] * v, edge.to[0] * u + edge.to[1] * v];
    const span: Span = a < b ? [a, b] : [b, a];
    const before = drawn.get(key);
    for (const [p, q] of before ? without([span], before) : [span])
      if (q - p >= SHORTEST)
        out.push({ ...edge, from: [u * p + v * off, v * p - u * off], to: [u * q + v * off, v * q - u * off] });
    drawn.set(key, before ? merged([...before, span]) : [span]);
  }
  return out;
}
