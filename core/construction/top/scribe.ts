/** A top's outline scribed round what it lies on: the line a disc leaves that is rolled round it. mm, y behind the middle */
import type { Patch } from "../../piece/patch";
import type { Form } from "../../piece/schema";
import { onBearer, PieceGeometry } from "../geometry";
import type { TypedPoint } from "./points";

type Spot = readonly [x: number, y: number];

/** An arc shorter than this is a corner, mm: typed points lie apart. Ours. */
const SHORT = 2;

/** Corners of everything that bears the top, from above. */
function cornersUnder({ posts, bearers }: Pick<PieceGeometry, "posts" | "bearers">): Spot[] {
  const signs = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ] as const;
  return [
    ...posts.flatMap(({ x, z, length, width }) =>
      signs.map(([a, b]): Spot => [x + (a * length) / 2, -(z + (b * width) / 2)]),
    ),
    ...bearers.flatMap((bearer) =>
      signs.map(([a, b]): Spot => {
        const { x, z } = onBearer(bearer, (a * bearer.length) / 2, (b * bearer.thickness) / 2);
        return [x, -z];
      }),
    ),
  ];
}

/** The line round them, anticlockwise. @source Andrew's monotone chain */
function hullOf(spots: readonly Spot[]): Spot[] {
  const all = [...spots].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: Spot, a: Spot, b: Spot) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const chain = (ordered: readonly Spot[]) => {
    const out: Spot[] = [];
    for (const spot of ordered) {
      while (out.length > 1 && turn(out[out.length - 2], out[out.length - 1], spot) <= 1e-9) out.pop();
      out.push(spot);
    }
    return out.slice(0, -1);
  };
  return [...chain(all), ...chain([...all].reverse())];
}

const rounded = (value: number) => Math.round(value * 10) / 10 + 0;

/**
 * Points of the line so far outside what bears the top: each side shifted outward, an arc of that radius round each corner.
 *
 * @returns none where nothing bears it
 * @source the outline and a disc added (Minkowski)
 */
export function scribed(at: Pick<PieceGeometry, "posts" | "bearers">, around: number): TypedPoint[] {
  const hull = hullOf(cornersUnder(at));
  if (hull.length < 3) return [];
  const sides = hull.map((from, i) => {
    const to = hull[(i + 1) % hull.length];
    return Math.atan2(to[1] - from[1], to[0] - from[0]);
  });
  return hull.flatMap(([x, y], i): TypedPoint[] => {
    const [before, after] = [sides[(i + hull.length - 1) % hull.length], sides[i]];
    const bend = (after - before + 4 * Math.PI) % (2 * Math.PI);
    const beside = (angle: number, far = around) => ({
      x: rounded(x + far * Math.sin(angle)),
      y: rounded(y - far * Math.cos(angle)),
    });
    if (bend * around < SHORT) return [{ ...beside(before + bend / 2, around / Math.cos(bend / 2)), rise: 0 }];
    return [
      { ...beside(before), rise: rounded(around * (1 - Math.cos(bend / 2))) },
      { ...beside(after), rise: 0 },
    ];
  });
}

/** How far one outline lies from another: the largest way from a point to its like; Infinity where they have other points. */
export function outlineOff(a: readonly TypedPoint[], b: readonly TypedPoint[]): number {
  if (a.length !== b.length) return Infinity;
  return Math.max(0, ...a.map((point, i) => Math.hypot(point.x - b[i].x, point.y - b[i].y, point.rise - b[i].rise)));
}

/**
 * What is typed when a top is scribed round what it lies on: its outline, and a blank that holds it.
 *
 * @param form  where the base goes with its top; null where it stands there already
 */
export function scribePatches(
  at: Pick<PieceGeometry, "posts" | "bearers">,
  around: number,
  form: Pick<Form, "overhang" | "top"> | null,
): Patch[] {
  const points = scribed(at, around);
  const reach = (axis: "x" | "y") => Math.ceil(2 * Math.max(0, ...points.map((point) => Math.abs(point[axis]))));
  // the blank grows with the overhang, so that the base stays as it is
  const grown = (size: "length" | "width", side: "end" | "side"): Patch[] =>
    form && form.overhang[side] < around
      ? [
          { path: ["form", "overhang", side], value: around },
          { path: ["form", "top", size], value: form.top[size] + 2 * (around - form.overhang[side]) },
        ]
      : [];
  const blank: Patch[] = form
    ? [...grown("length", "end"), ...grown("width", "side")]
    : [
        { path: ["form", "top", "length"], value: Math.max(200, reach("x")) },
        { path: ["form", "top", "width"], value: Math.max(60, reach("y")) },
      ];
  return [
    { path: ["form", "top", "outline"], value: "points" },
    { path: ["form", "top", "around"], value: around },
    { path: ["form", "top", "points"], value: points },
    ...blank,
  ];
}

/** What bears the top, from above: its own legs and rails, or what stands there already, each where it was measured. */
export const scribedFrom = (
  at: PieceGeometry,
  { kind }: Pick<Form, "kind">,
): Pick<PieceGeometry, "posts" | "bearers"> => (kind === "existing" ? { posts: at.feet, bearers: [] } : at);

/** The same for a piece as it is planned. */
export const scribeRound = (at: PieceGeometry, form: Form, around: number): Patch[] =>
  scribePatches(scribedFrom(at, form), around, form.kind === "existing" ? null : form);
