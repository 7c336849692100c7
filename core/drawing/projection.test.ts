import { chained } from "./views";
import { describe, expect, it } from "vitest";
import { standingBody } from "../assembly/part";
import { solidOf } from "../assembly/shape";
import { Solid, stood } from "../assembly/solid";
import { add, cross, dot, minus, times, Vec } from "../assembly/vector";
import { edgesOf, linesOf } from "./edges";
import type { Piece } from "../piece/schema";
import { at, planOf, tableWith } from "../testing/plans";
import { projected, VIEWS, View } from "./projection";
import { hull } from "./silhouette";
import type { Point } from "./scene";

const trestle = at("form.kind", "trestle");
const PIECES: [string, Piece][] = [
  ["a table with tapered legs", tableWith(at("form.leg.taper", "four-faces"), at("form.leg.foot", 40))],
  ["a table with a shelf", tableWith(at("form.shelf.kind", "solid"))],
  ["slats over cross-rails", tableWith(at("form.field", "slats"), at("form.crossRails", 2))],
  ["a round top", tableWith(at("form.top.outline", "ellipse"))],
  [
    "legs up through the top, over stretchers and a shelf",
    tableWith(
      ...[at("form.leg.top", "through"), at("form.overhang", { end: 0, side: 0 })],
      ...[at("form.low.kind", "h"), at("form.shelf.kind", "solid")],
    ),
  ],
  ["a trestle with struts", tableWith(trestle, at("form.trestle.struts.joint", "tenoned"))],
  [
    "a trestle with everything",
    tableWith(
      trestle,
      at("form.trestle.ties.count", "two"),
      at("form.trestle.uprights", 1),
      at("form.trestle.foot.ends", "rounded"),
    ),
  ],
];

/** Whether anything stands between a point and the viewer; null where the ray only grazes it. @source Möller and Trumbore 1997, from memory */
function isCovered(bodies: readonly Solid[], from: Vec, toward: Vec): boolean | null {
  let grazes = false;
  for (const body of bodies)
    for (const { corners } of body)
      for (let i = 1; i + 1 < corners.length; i += 1) {
        const [a, b, c] = [corners[0], corners[i], corners[i + 1]];
        const [e1, e2] = [minus(b, a), minus(c, a)];
        const p = cross(toward, e2);
        const det = dot(e1, p);
        if (Math.abs(det) < 1e-9) continue;
        const t = minus(from, a);
        const u = dot(t, p) / det;
        const q = cross(t, e1);
        const v = dot(toward, q) / det;
        const beside = Math.min(u, v, 1 - u - v) * Math.sqrt(Math.abs(det));
        if (dot(e2, q) / det < 0.1 || beside < -0.2) continue;
        if (beside > 0.2) return true;
        grazes = true;
      }
  return grazes ? null : false;
}

const VIEW_LIST: [string, View][] = Object.entries(VIEWS);
/** Where along each edge a ray is sent. */
const LOOKS = [0.13, 0.37, 0.5, 0.71, 0.93];

describe.each(PIECES)("%s: rays from the viewer see full edges and no dashed ones", (_, piece) => {
  const { assembly } = planOf(piece);
  const bodies = assembly.parts.map((part) => ({ id: part.id, solid: stood(standingBody(part), part.place) }));
  const solids = bodies.map(({ solid }) => solid);
  it.each(VIEW_LIST)("%s", (_name, view) => {
    const toward = cross(view.right, view.up);
    const flat = (p: Vec): Point => [dot(p, view.right), dot(p, view.up)];
    const drawn = projected(bodies, view);
    const on = (spot: Point, hidden: boolean) =>
      drawn.some((edge) => edge.hidden === hidden && distance(spot, edge.from, edge.to) < 0.05);
    const looked = { seen: 0, unseen: 0 };
    const wrong: string[] = [];
    for (const { solid, id } of bodies)
      for (const { from, to } of edgesOf(linesOf(solid), toward))
        for (const share of LOOKS) {
          const point = add(from, times(minus(to, from), share));
          const covered = isCovered(solids, point, toward);
          const spot = flat(point);
          const [p, q] = [flat(from), flat(to)];
          if (covered === null || Math.hypot(p[0] - q[0], p[1] - q[1]) < 1) continue;
          looked[covered ? "unseen" : "seen"] += 1;
          if (covered ? !on(spot, true) && !on(spot, false) : !on(spot, false))
            wrong.push(
              `${id} at ${spot.map((each) => each.toFixed(1)).join()} should be ${covered ? "dashed" : "full"}`,
            );
        }
    // and no full line without an edge that is seen there
    for (const edge of drawn.filter(
      (each) => !each.hidden && Math.hypot(each.to[0] - each.from[0], each.to[1] - each.from[1]) > 2,
    )) {
      const spot: Point = [(edge.from[0] + edge.to[0]) / 2, (edge.from[1] + edge.to[1]) / 2];
      const there = bodies.flatMap(({ solid }) =>
        edgesOf(linesOf(solid), toward).flatMap(({ from, to }) => {
          const [p, q] = [flat(from), flat(to)];
          const size = Math.hypot(q[0] - p[0], q[1] - p[1]);
          if (size < 0.1 || distance(spot, p, q) > 0.05) return [];
          const share = ((spot[0] - p[0]) * (q[0] - p[0]) + (spot[1] - p[1]) * (q[1] - p[1])) / size ** 2;
          return [isCovered(solids, add(from, times(minus(to, from), share)), toward)];
        }),
      );
      if (there.every((covered) => covered === true))
        wrong.push(`full at ${spot.map((each) => each.toFixed(1)).join()}, but covered`);
    }
    expect(wrong).toEqual([]);
    expect(looked.seen).toBeGreaterThan(5);
    expect(looked.unseen).toBeGreaterThan(5);
  });
});

function distance(spot: Point, p: Point, q: Point): number {
  const [du, dv] = [q[0] - p[0], q[1] - p[1]];
  const share = Math.max(0, Math.min(1, ((spot[0] - p[0]) * du + (spot[1] - p[1]) * dv) / (du * du + dv * dv || 1)));
  return Math.hypot(spot[0] - p[0] - share * du, spot[1] - p[1] - share * dv);
}

describe("by hand", () => {
  const box = (length: number, width: number, thickness: number, where: Vec): Solid =>
    stood(solidOf({ length, width, thickness }), { at: where, x: [1, 0, 0], y: [0, 1, 0] });
  const sum = (edges: ReturnType<typeof projected>, hidden: boolean) =>
    edges
      .filter((edge) => edge.hidden === hidden)
      .reduce((total, { from, to }) => total + Math.hypot(to[0] - from[0], to[1] - from[1]), 0);
  it("a box alone shows its outline once, and hides nothing that its outline doesn't cover", () => {
    const edges = projected([{ id: "a", solid: box(100, 50, 20, [0, 0, 0]) }], VIEWS.front);
    expect(sum(edges, false)).toBeCloseTo(300, 6);
    expect(sum(edges, true)).toBe(0);
  });
  it("a box half behind another is dashed where it is covered", () => {
    const edges = projected(
      [
        { id: "front", solid: box(100, 50, 20, [0, 0, 100]) },
        { id: "back", solid: box(100, 30, 20, [50, 10, 0]) },
      ],
      VIEWS.front,
    );
    // 50 of each long edge and the whole left end lie behind; the other half is seen
    expect(sum(edges, true)).toBeCloseTo(50 + 50 + 30, 4);
    expect(sum(edges, false)).toBeCloseTo(300 + 50 + 50 + 30, 4);
  });
  it("no line shows through a top where two of its faces meet: a shelf's edge right under a notch is dashed", () => {
    const { parts } = planOf(PIECES.find(([name]) => name.startsWith("legs up"))![1]).assembly;
    const bodies = parts.map((part) => ({ id: part.kind, solid: stood(standingBody(part), part.place) }));
    const edges = projected(bodies, VIEWS.plan).filter(({ id }) => id === "shelf");
    expect(edges.length).toBeGreaterThan(0);
    expect(edges.filter(({ hidden }) => !hidden)).toEqual([]);
  });
  it("a turned square's outline is its four corners", () => {
    const points: Point[] = [
      [0, 0],
      [1, 1],
      [2, 0],
      [1, -1],
      [1, 0],
      [0.5, 0.1],
    ];
    expect(hull(points)).toEqual([
      [0, 0],
      [1, -1],
      [2, 0],
      [1, 1],
    ]);
  });
});

describe("lines that are dashed", () => {
  it("chords of a circle are one line, long edges stay by themselves", () => {
    const chord = (i: number) => {
      const at = (n: number): [number, number] => [
        10 * Math.cos((n * Math.PI) / 20),
        10 * Math.sin((n * Math.PI) / 20),
      ];
      // every other one is run through the other way
      const [from, to] = i % 2 ? [at(i + 1), at(i)] : [at(i), at(i + 1)];
      return { id: "foot", from, to, hidden: true };
    };
    const rail = { id: "rail", from: [0, 0] as [number, number], to: [400, 0] as [number, number], hidden: true };
    const lines = chained([...Array.from({ length: 40 }, (_, i) => chord(i)), rail]);
    expect(lines.map(({ id, points }) => [id, points.length])).toEqual([
      ["rail", 2],
      ["foot", 41],
    ]);
    const round = lines[1].points;
    expect(round[0]).toEqual(round.at(-1)!.map((each) => expect.closeTo(each, 9)));
    for (const [i, [u, v]] of round.slice(1).entries())
      expect(Math.hypot(u - round[i][0], v - round[i][1])).toBeLessThan(1.6);
  });
});
