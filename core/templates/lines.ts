/** The lines of a template as they are drawn at full size. mm */
import { Outline, polygonOf, Spot } from "../assembly/outline";

/** How far a drawn chord may lie from its arc, mm: under a pencil's line. */
const PENCIL = 0.05;

/** The loops of an outline as points, the outer one first. */
export const loopsOf = ({ outer, holes }: Outline): Spot[][] =>
  [outer, ...holes].map((loop) => polygonOf(loop, PENCIL));

/**
 * The same loop so far outside itself: where two edges meet, where both their lines are moved to.
 *
 * @returns corners anticlockwise; a hollow tighter than `by` would cross itself, and is left sharp there
 */
export function outside(loop: readonly Spot[], by: number): Spot[] {
  const spots = loop.filter((p, i) => {
    const q = loop[(i + 1) % loop.length];
    return Math.hypot(q[0] - p[0], q[1] - p[1]) > 1e-6;
  });
  const way = (p: Spot, q: Spot): Spot => {
    const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
    return [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  };
  return spots.map((p, i): Spot => {
    const [before, after] = [
      way(spots[(i + spots.length - 1) % spots.length], p),
      way(p, spots[(i + 1) % spots.length]),
    ];
    // to the right of the way: outward, as corners run anticlockwise
    const [nx, ny] = [before[1] + after[1], -(before[0] + after[0])];
    const square = nx * nx + ny * ny;
    // edges that turn back on one another have no corner to go to
    if (square < 0.05) return [p[0] + by * after[1], p[1] - by * after[0]];
    return [p[0] + (2 * by * nx) / square, p[1] + (2 * by * ny) / square];
  });
}
