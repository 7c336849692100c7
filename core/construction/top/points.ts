/** An outline by typed points: lines and arcs between them, from the middle of the top, x to the right and y behind it. mm */
import { polygonOf, Spot } from "../../assembly/outline";
import type { Form } from "../../piece/schema";

export type TypedPoint = Form["top"]["points"][number];

/** Arcs are drawn so fine, mm; an outline with less wood in it is none, mm². Ours. */
const FINE = 0.1;
const LEAST_AREA = 5000;

/** A closed line, anticlockwise, or why there is none. */
export type Drawn = { ok: true; loop: Spot[] } | { ok: false; fault: string };

const known = new WeakMap<readonly TypedPoint[], Drawn>();

/** The line through typed points; remembered for as long as they are the same. */
export function drawnThrough(points: readonly TypedPoint[]): Drawn {
  const before = known.get(points);
  if (before) return before;
  const found = through(points);
  known.set(points, found);
  return found;
}

function through(points: readonly TypedPoint[]): Drawn {
  if (points.length < 3) return { ok: false, fault: "An outline wants three points at least." };
  const same = points.findIndex((point, i) => {
    const next = points[(i + 1) % points.length];
    return Math.hypot(next.x - point.x, next.y - point.y) < 1;
  });
  if (same >= 0)
    return { ok: false, fault: `Points ${same + 1} and ${((same + 1) % points.length) + 1} lie on each other.` };
  const high = points.findIndex((point, i) => {
    const next = points[(i + 1) % points.length];
    // an arc that bows more than half its chord is more than half a circle
    return Math.abs(point.rise) > Math.hypot(next.x - point.x, next.y - point.y) / 2 + 1e-9;
  });
  if (high >= 0)
    return { ok: false, fault: `The arc after point ${high + 1} bows more than half a circle: put a point on it.` };
  const typed = polygonOf(
    points.map(({ x, y, rise }) => ({ at: [x, y], rise })),
    FINE,
  );
  if (crosses(typed))
    return { ok: false, fault: "The outline crosses itself: put its points in the order in which it is sawn." };
  const area = areaOfLoop(typed);
  if (Math.abs(area) < LEAST_AREA) return { ok: false, fault: "Hardly any wood lies inside the outline." };
  // run through clockwise it is the same line, gone through the other way round
  return { ok: true, loop: area < 0 ? [...typed].reverse() : typed };
}

const areaOfLoop = (loop: readonly Spot[]) =>
  loop.reduce((sum, [x, y], i) => {
    const [a, b] = loop[(i + 1) % loop.length];
    return sum + (x * b - a * y) / 2;
  }, 0);

/** Whether two edges that are not neighbours meet. */
function crosses(loop: readonly Spot[]): boolean {
  const edge = (i: number) => [loop[i], loop[(i + 1) % loop.length]] as const;
  for (let i = 0; i < loop.length; i += 1)
    for (let j = i + 2; j < loop.length; j += 1) {
      if (i === 0 && j === loop.length - 1) continue;
      if (meet(edge(i), edge(j))) return true;
    }
  return false;
}

function meet([a, b]: readonly [Spot, Spot], [c, d]: readonly [Spot, Spot]): boolean {
  const side = (p: Spot, q: Spot, r: Spot) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;
}

/** The box the line fits in, from the middle, mm. */
export const boxOfLoop = (loop: readonly Spot[]) => ({
  left: Math.min(...loop.map(([x]) => x)),
  right: Math.max(...loop.map(([x]) => x)),
  front: Math.min(...loop.map(([, y]) => y)),
  back: Math.max(...loop.map(([, y]) => y)),
});

/** How far the line reaches to either side of the middle in a band across the top, mm; 0 where it has no wood there. */
export function reachIn(loop: readonly Spot[], from: number, to: number): number {
  let most = 0;
  loop.forEach(([x, y], i) => {
    if (y >= from && y <= to) most = Math.max(most, Math.abs(x));
    const [a, b] = loop[(i + 1) % loop.length];
    for (const level of [from, to])
      if ((y - level) * (b - level) < 0) most = Math.max(most, Math.abs(x + ((a - x) * (level - y)) / (b - y)));
  });
  return most;
}

/** Whether a place lies inside the line. */
export function insideLoop(loop: readonly Spot[], x: number, y: number): boolean {
  let inside = false;
  loop.forEach(([px, py], i) => {
    const [qx, qy] = loop[(i + 1) % loop.length];
    if (py > y !== qy > y && x < px + ((qx - px) * (y - py)) / (qy - py)) inside = !inside;
  });
  return inside;
}

/** A rectangle with rounded corners, as points to go on from. mm */
export function roundedCorners(length: number, width: number, radius: number): TypedPoint[] {
  const [l, w, r] = [length / 2, width / 2, Math.max(1, Math.min(radius, length / 4, width / 4))];
  const rise = Math.round(r * (1 - Math.SQRT1_2) * 100) / 100;
  return [
    { x: -l + r, y: -w, rise: 0 },
    { x: l - r, y: -w, rise },
    { x: l, y: -w + r, rise: 0 },
    { x: l, y: w - r, rise },
    { x: l - r, y: w, rise: 0 },
    { x: -l + r, y: w, rise },
    { x: -l, y: w - r, rise: 0 },
    { x: -l, y: -w + r, rise },
  ];
}
