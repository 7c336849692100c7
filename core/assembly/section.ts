/** The faces of a body that lie in one plane, as closed outlines: what a saw shows when it has gone through. */
import type { Solid } from "./solid";
import { add, cross, dot, long, minus, times, unit, Vec } from "./vector";

/** Places nearer than this are one, mm. Ours: ten times what the carving tells apart. */
const NEAR = 1e-4;

/**
 * Outlines of all facets of a body that lie in a plane and look its way: anticlockwise round wood as seen from before the plane,
 * clockwise round what is missing in it.
 *
 * @param n  of length 1
 * @param w  how far the plane lies along n, mm
 */
export function loopsIn(solid: Solid, n: Vec, w: number): Vec[][] {
  const flat = solid.filter((facet) => dot(facet.n, n) > 1 - 1e-6 && Math.abs(facet.w - w) < 1e-3);
  const place = placer();
  return chained(bordersOf(flat.map(({ corners }) => corners.map(place))));
}

/**
 * Makes places that are nearly one the very same: the first that was seen. Places are looked for in the cells round about, since two
 * that differ by a hair may round to different ones.
 */
function placer(): (p: Vec) => Vec {
  const cells = new Map<string, Vec[]>();
  const cell = (each: number) => Math.floor(each / CELL);
  return (p) => {
    const [x, y, z] = p.map(cell);
    for (const i of AROUND)
      for (const j of AROUND)
        for (const k of AROUND)
          for (const known of cells.get(`${x + i},${y + j},${z + k}`) ?? [])
            if (long(minus(known, p)) < CELL) return known;
    const here = `${x},${y},${z}`;
    cells.set(here, [...(cells.get(here) ?? []), p]);
    return p;
  };
}
const CELL = 4 * NEAR;
const AROUND = [-1, 0, 1];

type Edge = readonly [from: Vec, to: Vec];

/** Edges of polygons that no other of them shares: facets may be split anywhere, so every edge is first split where a corner lies on it. */
function bordersOf(polygons: readonly (readonly Vec[])[]): Edge[] {
  const corners = [...new Set(polygons.flat())];
  const nameOf = named();
  const edges = polygons.flatMap((polygon) =>
    polygon.flatMap((from, i) => splitAt([from, polygon[(i + 1) % polygon.length]], corners)),
  );
  const left = new Map<string, Edge[]>();
  for (const edge of edges) {
    const [a, b] = edge.map(nameOf);
    if (a === b) continue;
    const back = left.get(`${b}>${a}`);
    if (back?.pop()) continue;
    left.set(`${a}>${b}`, [...(left.get(`${a}>${b}`) ?? []), edge]);
  }
  return [...left.values()].flat();
}

/** A number for each place, by itself and not by where it is. */
function named(): (p: Vec) => number {
  const names = new Map<Vec, number>();
  return (p) => {
    const known = names.get(p) ?? names.size;
    names.set(p, known);
    return known;
  };
}

function splitAt([from, to]: Edge, corners: readonly Vec[]): Edge[] {
  const whole = minus(to, from);
  const size = long(whole);
  if (size < NEAR) return [];
  const way = unit(whole);
  const at = corners
    .map((corner) => ({ corner, s: dot(minus(corner, from), way) }))
    .filter(({ corner, s }) => s > NEAR && s < size - NEAR && long(minus(corner, add(from, times(way, s)))) < NEAR)
    .sort((a, b) => a.s - b.s)
    .map(({ corner }) => corner);
  const all = [from, ...at, to];
  return all.slice(1).map((next, i): Edge => [all[i], next]);
}

/** Edges end to end; corners on a straight way are left out. */
function chained(edges: readonly Edge[]): Vec[][] {
  const from = new Map<Vec, Edge[]>();
  for (const edge of edges) from.set(edge[0], [...(from.get(edge[0]) ?? []), edge]);
  const loops: Vec[][] = [];
  for (const first of edges) {
    const start = from.get(first[0]);
    if (!start?.includes(first)) continue;
    const loop: Vec[] = [];
    for (let edge: Edge | undefined = first; edge; edge = from.get(edge[1])?.[0]) {
      const here: Edge[] = from.get(edge[0])!;
      here.splice(here.indexOf(edge), 1);
      loop.push(edge[0]);
    }
    const corners = loop.filter((p, i) => {
      const [before, after] = [loop[(i + loop.length - 1) % loop.length], loop[(i + 1) % loop.length]];
      return long(cross(unit(minus(p, before)), unit(minus(after, p)))) > 1e-6;
    });
    if (corners.length > 2) loops.push(corners);
  }
  return loops;
}
