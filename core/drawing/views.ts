/** Views of the parts: their faces in their wood under the edges that are seen. */
import { AssemblyPart, standing } from "../assembly/part";
import { within } from "../assembly/place";
import { solidOf } from "../assembly/shape";
import { coloursOf } from "../assembly/material";
import { fixedOutside } from "../assembly/small";
import { asStrips } from "../assembly/strips";
import { stood } from "../assembly/solid";
import { cross, dot } from "../assembly/vector";
import type { Form } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { woodOf } from "../wood/woods";
import { projected, ProjectedEdge, View } from "./projection";
import { Ink, Item, Point, seedOf } from "./scene";
import { bodyWhereItStands, DRAWN } from "./standing";
import { nearest, openings, silhouette } from "./silhouette";

export type Drawable = Pick<Plan, "geometry" | "species" | "woods" | "assembly"> & {
  form: Form;
  /** what is fixed to parts outside is drawn with them */
  small?: Plan["small"];
};

/** Faces of the parts in their wood, far ones first, under the edges that are seen and, where they are wanted, those that are not. */
export function viewItems({ assembly, species, woods, small = [] }: Drawable, view: View, hidden: boolean): Item[] {
  // a part of several woods is drawn strip by strip, with its seams
  const bodies = [...standing(assembly.parts).flatMap(asStrips), ...fixedOutside(standing(small))].map((part) => ({
    part,
    ...bodyWhereItStands(part),
  }));
  const faces = bodies
    .map(({ part, solid }) => ({ part, solid, near: nearest(solid, view) }))
    .sort((a, b) => a.near - b.near)
    .flatMap(({ part, near }) => shownPieces(part).map((piece) => ({ part, near, ...piece })))
    .map(({ part, shape, place, solid }): Item => ({
      kind: "face",
      points: silhouette({ shape, place }, solid, view),
      ...openings({ shape, place }, view),
      colour: coloursOf(part, (kind) => woodOf(woods, kind, species).colour),
      seed: seedOf(part.id),
      // metal and glass have none
      grain: part.bought ? "end" : grainIn(part, view),
      id: part.kind,
    }))
    // a part of no size, in a piece that can't be, has no outline
    .filter((item) => item.kind !== "face" || item.points.length > 2);
  const edges = projected(
    bodies.map(({ part, solid, lines }) => ({ id: part.kind, solid, lines })),
    view,
  );
  const full = edges.filter((edge) => !edge.hidden);
  const dashed = hidden ? edges.filter((edge) => edge.hidden) : [];
  return [
    ...faces,
    ...chained(dashed).map(({ id, points }): Item => ({ kind: "path", points, closed: false, ink: "hidden", id })),
    ...full.map((edge) => edgeItem(edge, "outline")),
  ];
}

/** What a part covers was worked out for another view of it. */
const covered = new WeakMap<AssemblyPart, ReturnType<typeof piecesShown>>();
function shownPieces(part: AssemblyPart) {
  const before = covered.get(part);
  if (before) return before;
  const pieces = piecesShown(part);
  covered.set(part, pieces);
  return pieces;
}

/** What a part covers, piece by piece: its own shape, and what shows of its joints beyond it. */
function piecesShown({ shape, place, adds }: AssemblyPart) {
  const pieces = [
    { shape, place },
    ...adds.filter(({ shows }) => shows).map((each) => ({ shape: each.shape, place: within(place, each.place) })),
  ];
  return pieces.map((piece) => ({ ...piece, solid: stood(solidOf(piece.shape, DRAWN), piece.place) }));
}

const edgeItem = ({ id, from, to }: ProjectedEdge, ink: Ink): Item => ({
  kind: "path",
  points: [from, to],
  closed: false,
  ink,
  id,
});

/** Chords of an arc are so short, mm: one by one they would be dashes, not a dashed line. */
const CHORD = 15;

/** Edges as lines to draw: short ones that run on from one another are one. */
export function chained(edges: readonly ProjectedEdge[]): { id: string; points: Point[] }[] {
  const key = ([u, v]: Point) => `${Math.round(u * 100)},${Math.round(v * 100)}`;
  const short = ({ from, to }: ProjectedEdge) => Math.hypot(to[0] - from[0], to[1] - from[1]) < CHORD;
  const left = new Set(edges.filter(short));
  const at = new Map<string, ProjectedEdge[]>();
  for (const edge of left)
    for (const end of [edge.from, edge.to]) at.set(key(end), [...(at.get(key(end)) ?? []), edge]);
  const next = (id: string, end: Point) => at.get(key(end))?.find((each) => left.has(each) && each.id === id);
  const out = edges.filter((edge) => !short(edge)).map(({ id, from, to }) => ({ id, points: [from, to] }));
  for (const edge of edges) {
    if (!left.delete(edge)) continue;
    const points: Point[] = [edge.from, edge.to];
    for (const way of ["push", "unshift"] as const)
      for (;;) {
        const end = way === "push" ? points.at(-1)! : points[0];
        const on = next(edge.id, end);
        if (!on) break;
        left.delete(on);
        points[way](key(on.from) === key(end) ? on.to : on.from);
      }
    out.push({ id: edge.id, points });
  }
  return out;
}

/** How the grain runs in a view, degrees from the right; a part that points at the viewer shows its end. */
function grainIn({ place }: AssemblyPart, view: View): number | "end" {
  const toward = cross(view.right, view.up);
  if (Math.abs(dot(place.x, toward)) > 0.9) return "end";
  return (Math.atan2(dot(place.x, view.up), dot(place.x, view.right)) * 180) / Math.PI;
}
