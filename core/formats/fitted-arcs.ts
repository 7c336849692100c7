/** A closed line of many short pieces as few lines and arcs, each within a tolerance of it. mm */
import type { Spot } from "../assembly/outline";

/** From a spot to the next: straight, or an arc that bows by so much to the right of the way. */
export interface Fitted {
  at: Spot;
  rise: number;
}

/** A line turns here by more than an arc would from piece to piece, degrees. Ours */
const CORNER = 12;
/** A piece so many times as long as its neighbour was drawn as a line, and ends where it ends. Ours */
const LINE = 4;
/** An arc is no more of a circle than this, as its rise over half its chord. Ours: half a circle, a little less. */
const ROUNDEST = 0.98;

/**
 * @param loop  closed, run through either way, no two neighbours on each other
 * @returns corners of the same line, in the same order
 */
export function fittedArcs(loop: readonly Spot[], tolerance: number): Fitted[] {
  const n = loop.length;
  const at = (i: number): Spot => loop[((i % n) + n) % n];
  const long = (i: number) => Math.hypot(at(i + 1)[0] - at(i)[0], at(i + 1)[1] - at(i)[1]);
  const corners = Array.from({ length: n }, (_, i) => i).filter((i) => {
    const [before, after] = [long(i - 1), long(i)];
    return before > LINE * after || after > LINE * before || turnAt(at(i - 1), at(i), at(i + 1)) > CORNER;
  });
  const first = corners[0] ?? 0;
  const stops = corners.length > 0 ? [...corners.map((i) => i - first), n] : [0, Math.floor(n / 2), n];
  const out: Fitted[] = [];
  for (let s = 0; s + 1 < stops.length; s += 1) {
    let from = stops[s];
    while (from < stops[s + 1]) {
      const to = farthest((i) => at(first + i), from, stops[s + 1], tolerance);
      out.push({ at: at(first + from), rise: to.rise });
      from = to.end;
    }
  }
  return out;
}

function turnAt(a: Spot, b: Spot, c: Spot): number {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  return Math.abs((Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) * 180) / Math.PI);
}

/** How far one line or arc goes along a smooth stretch: doubled while it fits, then halved in. */
function farthest(
  at: (i: number) => Spot,
  from: number,
  most: number,
  tolerance: number,
): { end: number; rise: number } {
  let good = { end: from + 1, rise: 0 };
  let bad = most + 1;
  for (let reach = 2; from + reach <= most; reach *= 2) {
    const rise = fits(at, from, from + reach, tolerance);
    if (rise === null) {
      bad = from + reach;
      break;
    }
    good = { end: from + reach, rise };
  }
  bad = Math.min(bad, most + 1);
  while (bad - good.end > 1) {
    const middle = Math.floor((good.end + bad) / 2);
    const rise = fits(at, from, middle, tolerance);
    if (rise === null) bad = middle;
    else good = { end: middle, rise };
  }
  return good;
}

/** The rise of the arc through both ends and the spot between them; null where another spot lies farther off it. */
function fits(at: (i: number) => Spot, from: number, to: number, tolerance: number): number | null {
  const [a, b] = [at(from), at(to)];
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const chord = Math.hypot(dx, dy);
  if (chord < 1e-6) return null;
  const seen = (p: Spot): Spot => [
    ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / chord,
    ((p[0] - a[0]) * dy - (p[1] - a[1]) * dx) / chord,
  ];
  const between = Array.from({ length: to - from - 1 }, (_, i) => seen(at(from + 1 + i)));
  if (between.every(([, off]) => Math.abs(off) <= tolerance)) return 0;
  // the circle through both ends and what lies nearest the middle
  const [x, y] = between.reduce((p, q) => (Math.abs(q[0] - chord / 2) < Math.abs(p[0] - chord / 2) ? q : p));
  if (Math.abs(y) < 1e-9) return null;
  const below = (x * (x - chord) + y * y) / (2 * y);
  const radius = Math.hypot(chord / 2, below);
  const rise = below + Math.sign(y) * radius;
  if (Math.abs(rise) > (ROUNDEST * chord) / 2) return null;
  return between.every((p) => Math.abs(Math.hypot(p[0] - chord / 2, p[1] - below) - radius) <= tolerance) ? rise : null;
}
