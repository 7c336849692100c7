/** The edges of a body as a drawing has them: where two faces meet at an angle, and where a round face turns from the viewer. */
import type { Solid } from "../assembly/solid";
import { add, cross, dot, long, minus, times, unit, Vec } from "../assembly/vector";

/** A straight piece of an edge in space. */
export interface SolidEdge {
  from: Vec;
  to: Vec;
}

/** Faces that meet at less than this belong to one round face. Ours: chords of an arc drawn within 0.02 mm meet at far less. */
const SMOOTH = Math.cos((22 * Math.PI) / 180);
const FLAT = 1 - 1e-6;

interface Stretch {
  from: number;
  to: number;
  n: Vec;
}
/** All that lies along one straight line of a body. */
export interface EdgeLine {
  through: Vec;
  along: Vec;
  stretches: Stretch[];
}

/** Everything along which faces of a body end, line by line: facets may be split anywhere, so what lies along one line is put together. */
export function linesOf(solid: Solid): EdgeLine[] {
  const lines = new Map<string, EdgeLine>();
  for (const { corners, n } of solid)
    for (let i = 0; i < corners.length; i += 1) {
      const [a, b] = [corners[i], corners[(i + 1) % corners.length]];
      if (long(minus(b, a)) < 1e-6) continue;
      const line = lineThrough(lines, a, b);
      const [p, q] = [dot(a, line.along), dot(b, line.along)];
      line.stretches.push({ from: Math.min(p, q), to: Math.max(p, q), n });
    }
  return [...lines.values()];
}

/** Edges of a body from its lines. @param toward  where the viewer stands; only for round faces */
export const edgesOf = (lines: readonly EdgeLine[], toward: Vec): SolidEdge[] =>
  lines.flatMap((line) => edgesAlong(line, toward));

/** Edges that are seen from everywhere: where faces meet at more than a round face's do. */
export const creasesOf = (lines: readonly EdgeLine[]): SolidEdge[] => edgesOf(lines, [0, 0, 0]);

function lineThrough(lines: Map<string, EdgeLine>, a: Vec, b: Vec): EdgeLine {
  const way = unit(minus(b, a));
  const first = way.findIndex((each) => Math.abs(each) > 1e-6);
  const along = way[first] < 0 ? times(way, -1) : way;
  const moment = cross(a, along);
  const key = `${fine(along[0], 1e5)},${fine(along[1], 1e5)},${fine(along[2], 1e5)},${fine(moment[0], 50)},${fine(moment[1], 50)},${fine(moment[2], 50)}`;
  const known = lines.get(key);
  if (known) return known;
  const line = { through: minus(a, times(along, dot(a, along))), along, stretches: [] };
  lines.set(key, line);
  return line;
}

/** Rounded off the places where sizes that makers choose would lie on a boundary: there a hair would part what is one line. */
const fine = (n: number, by: number) => Math.floor(n * by + 0.6180339887) + 0;

function edgesAlong({ through, along, stretches }: EdgeLine, toward: Vec): SolidEdge[] {
  // most lines are one edge between two faces
  if (stretches.length === 2 && stretches[0].from === stretches[1].from && stretches[0].to === stretches[1].to)
    return isEdge([stretches[0].n, stretches[1].n], toward)
      ? [
          {
            from: add(through, times(along, stretches[0].from)),
            to: add(through, times(along, stretches[0].to)),
          },
        ]
      : [];
  const ends = [...new Set(stretches.flatMap(({ from, to }) => [from, to]))].sort((p, q) => p - q);
  const out: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < ends.length; i += 1) {
    const [from, to] = [ends[i], ends[i + 1]];
    if (to - from < 1e-4) continue;
    const middle = (from + to) / 2;
    const faces = stretches.filter((each) => each.from < middle && each.to > middle).map(({ n }) => n);
    if (!isEdge(faces, toward)) continue;
    const last = out.at(-1);
    if (last && from - last.to < 1e-3) last.to = to;
    else out.push({ from, to });
  }
  const at = (place: number) => add(through, times(along, place));
  return out.map(({ from, to }) => ({ from: at(from), to: at(to) }));
}

function isEdge(faces: readonly Vec[], toward: Vec): boolean {
  const [first] = faces;
  if (!first || faces.every((n) => dot(n, first) > FLAT)) return false;
  if (faces.some((n) => dot(n, first) < SMOOTH)) return true;
  const facing = faces.map((n) => dot(n, toward) > 1e-6);
  return facing.some((each) => each !== facing[0]);
}
