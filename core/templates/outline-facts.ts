/** What a maker must know of a curve before it is sawn: where it mirrors itself, how tight it is, where its grain runs out. mm */
import { Loop, Outline, polygonOf, Spot } from "../assembly/outline";

/** How far a chord may lie from its arc where an outline is measured, mm. */
const FINE = 0.02;
/** Corners of a drawn curve turn by less than this; more is a corner that a chisel squares. Ours, degrees */
const CORNER = 25;
/** Two halves differ by less than a pencil line, mm. */
const ALIKE = 0.15;
const SAMPLES = 48;
/** So much of its length is an end. Ours */
const ENDS = 0.12;

/** Where a line across the outline goes in and comes out, from the lower edge up. */
export function crossings(spots: readonly Spot[], x: number): number[] {
  const met: number[] = [];
  for (const [i, p] of spots.entries()) {
    const q = spots[(i + 1) % spots.length];
    if (p[0] <= x === q[0] <= x) continue;
    met.push(p[1] + ((q[1] - p[1]) * (x - p[0])) / (q[0] - p[0]));
  }
  return met.sort((a, b) => a - b);
}

/** Whether one half turned over lies on the other: about the middle of its length. */
export function mirrors({ outer, holes }: Outline, length: number): boolean {
  const loops = [outer, ...holes].map((loop) => polygonOf(loop, FINE));
  const across = (x: number) => loops.flatMap((spots) => crossings(spots, x)).sort((a, b) => a - b);
  return Array.from({ length: SAMPLES }, (_, i) => ((i + 0.5) * length) / (2 * SAMPLES)).every((x) => {
    const [left, right] = [across(x), across(length - x)];
    return left.length === right.length && left.every((y, k) => Math.abs(y - right[k]) < ALIKE);
  });
}

/** Stretches of a loop that bend: where each begins, how it runs on from there to the next, and the radius it bends by; less than nothing is hollow. */
interface Bend {
  at: Spot;
  way: number;
  radius: number;
}
function bends(loop: Loop): Bend[] {
  const spots = polygonOf(loop, FINE);
  return spots.flatMap((p, i): Bend[] => {
    const [before, after] = [spots[(i + spots.length - 1) % spots.length], spots[(i + 1) % spots.length]];
    const [a, b] = [Math.atan2(p[1] - before[1], p[0] - before[0]), Math.atan2(after[1] - p[1], after[0] - p[0])];
    let turn = b - a;
    if (turn > Math.PI) turn -= 2 * Math.PI;
    if (turn < -Math.PI) turn += 2 * Math.PI;
    if (Math.abs(turn) < 1e-6 || Math.abs(turn) > (CORNER * Math.PI) / 180) return [];
    const step = (Math.hypot(p[0] - before[0], p[1] - before[1]) + Math.hypot(after[0] - p[0], after[1] - p[1])) / 2;
    return [{ at: p, way: (a + b) / 2, radius: step / turn }];
  });
}

/** The tightest hollow a bearing must follow, mm; null where nothing is hollow. */
export function tightestHollow({ outer, holes }: Outline): number | null {
  // a hole runs the same way round as the outside: what bends outward there is hollow in the part
  const hollow = [
    ...bends(outer).filter(({ radius }) => radius < 0),
    ...holes.flatMap((hole) => bends(hole).filter(({ radius }) => radius > 0)),
  ].map(({ radius }) => Math.abs(radius));
  return hollow.length === 0 ? null : Math.min(...hollow);
}

/** A curve that meets the grain more steeply than this rounds an end: nothing splits off along it. Ours, degrees */
const END = 60;

/** How steeply the grain, which runs along x, meets a curved edge at the most, degrees, and where; null where no curve is but at its ends. */
export function runOut({ outer, holes }: Outline): { degrees: number; at: Spot } | null {
  const all = [outer, ...holes]
    .flatMap((loop) => [...arcs(loop), ...drawn(loop)])
    .map((ends) =>
      ends
        .map(({ at, way }) => ({ at, degrees: (Math.abs(Math.atan(Math.tan(way))) * 180) / Math.PI }))
        .reduce((a, b) => (b.degrees > a.degrees + 1e-9 ? b : a)),
    )
    .filter(({ degrees }) => degrees <= END);
  return all.length === 0 ? null : all.reduce((a, b) => (b.degrees > a.degrees + 1e-9 ? b : a));
}

/** How each arc runs where it begins and where it ends. @source derived: an arc's tangent leans from its chord by half its angle, 2 atan(2h/c) */
function arcs(loop: Loop): Pick<Bend, "at" | "way">[][] {
  return loop.flatMap(({ at, rise }, i) => {
    if (Math.abs(rise) < 1e-6) return [];
    const next = loop[(i + 1) % loop.length].at;
    const [dx, dy] = [next[0] - at[0], next[1] - at[1]];
    const half = 2 * Math.atan((2 * rise) / Math.hypot(dx, dy));
    const chord = Math.atan2(dy, dx);
    return [
      [
        { at, way: chord - half },
        { at: next, way: chord + half },
      ],
    ];
  });
}

/** A curve drawn by many corners, as one stretch. */
function drawn(loop: Loop): Pick<Bend, "at" | "way">[][] {
  const all = loop.some(({ rise }) => Math.abs(rise) > 1e-6) ? [] : bends(loop);
  return all.length > 0 ? [all] : [];
}

/** From where to where along it its curves run; null where there is none. */
export function curvedStretch({ outer, holes }: Outline): { from: number; to: number } | null {
  const xs = [outer, ...holes].flatMap(bends).map(({ at: [x] }) => x);
  return xs.length === 0 ? null : { from: Math.min(...xs), to: Math.max(...xs) };
}

/** Where least of it is left across the grain between its ends, and how much. */
export function narrowest({ outer }: Outline, length: number): { wide: number; x: number } {
  const spots = polygonOf(outer, FINE);
  // what an end is rounded or sawn to is no weak place
  const places = Array.from({ length: 2 * SAMPLES }, (_, i) => ((i + 0.5) * length) / (2 * SAMPLES)).filter(
    (x) => x > ENDS * length && x < (1 - ENDS) * length,
  );
  return places.reduce<{ wide: number; x: number }>(
    (least, x) => {
      const met = crossings(spots, x);
      const wide = met.reduce((sum, y, i) => sum + (i % 2 === 1 ? y - met[i - 1] : 0), 0);
      return wide < least.wide - 1e-6 ? { wide, x } : least;
    },
    { wide: Infinity, x: 0 },
  );
}

/** Whether a curve is in it: an arc, or corners so many that they are drawn for one. */
export const isCurved = ({ outer, holes }: Outline): boolean =>
  [outer, ...holes].some((loop) => loop.some(({ rise }) => Math.abs(rise) > 1e-6) || bends(loop).length > 3);
