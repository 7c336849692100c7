/** The line of a curved edge: along a part from its end, in from where the edge would be straight. mm */
import { Corner, polygonOf, Spot } from "../assembly/outline";
import type { CurveChoice } from "../piece/kinds";

/** Arcs are followed so fine, mm. */
const FINE = 0.005;
/** Nearer than this a line has met the other end, or itself, mm. */
const NEAR = 0.01;

/** Corners of the line from end to end, seen with its wood above it: an arc with a rise bows out of the wood. */
export function edgeLine({ way, straight, rise, points, mirrored }: CurveChoice, length: number): Corner[] {
  const corner = (x: number, y: number, bow = 0): Corner => ({ at: [x, y], rise: bow });
  if (way !== "points")
    return [
      corner(0, 0),
      corner(straight, 0, way === "bowed" ? rise : -rise),
      corner(length - straight, 0),
      corner(length, 0),
    ];
  const from = corner(0, 0);
  const to = corner(length, 0);
  const half = points.map(({ x, y, rise: bow }) => corner(x, y, bow));
  if (!mirrored) return [from, ...half, to];
  // back the same way: each arc belongs to the point it now begins at
  const back = half.map(({ at: [x, y] }, i) => corner(length - x, y, i > 0 ? half[i - 1].rise : 0)).reverse();
  const [last, first] = [half.at(-1), back[0]];
  const once = last && first && Math.abs(last.at[0] - first.at[0]) < NEAR;
  return [
    from,
    ...(once ? [...half.slice(0, -1), { ...last, rise: first.rise }] : half),
    ...(once ? back.slice(1) : back),
    to,
  ];
}

/** The same line as it is drawn, from end to end: along it, and in from the straight edge. */
export function drawnEdge(choice: CurveChoice, length: number): Spot[] {
  const line = edgeLine(choice, length);
  // it is closed for drawing only: the last corner is its end
  return polygonOf([...line.slice(0, -1), { at: line[line.length - 1].at, rise: 0 }], FINE);
}

/** Why a line by points can't be sawn; null where it can. */
export function lineFault(choice: CurveChoice, length: number): string | null {
  if (choice.way !== "points") return null;
  if (choice.points.length === 0) return "wants a point at least for the line of its edge";
  const line = edgeLine(choice, length);
  const corners = line.slice(1).map(({ at }, i) => ({ from: line[i], to: at }));
  if (corners.some(({ from, to }) => to[0] < from.at[0] - NEAR))
    return "has a line along its edge that runs back, or past its end";
  const high = ({ from, to }: (typeof corners)[number]) =>
    Math.abs(from.rise) > Math.hypot(to[0] - from.at[0], to[1] - from.at[1]) / 2 + NEAR;
  if (corners.some(high)) return "has an arc along its edge that bows more than half a circle";
  const atEnd = (x: number) => x < NEAR || x > length - NEAR;
  if (line.some(({ at: [x, y] }) => atEnd(x) && Math.abs(y) > NEAR))
    return "has a point in from its edge at its very end: the shoulder there would go";
  const drawn = drawnEdge(choice, length);
  return drawn.some(([x], i) => i > 0 && x < drawn[i - 1][0] - NEAR)
    ? "has an arc along its edge that overhangs"
    : null;
}

/** How deep the line goes in between two places along the part, and how far out; both at least 0. */
export function depthsIn(drawn: readonly Spot[], from: number, to: number): { deepest: number; out: number } {
  let [deepest, out] = [0, 0];
  const take = (y: number) => {
    deepest = Math.max(deepest, y);
    out = Math.max(out, -y);
  };
  drawn.forEach(([x, y], i) => {
    if (x >= from && x <= to) take(y);
    const next = drawn[i + 1];
    if (!next) return;
    for (const at of [from, to])
      if ((x - at) * (next[0] - at) < 0) take(y + ((next[1] - y) * (at - x)) / (next[0] - x));
  });
  return { deepest, out };
}
