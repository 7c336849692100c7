/** Reads the outline of a top from a file: SVG or DXF. The largest closed line in it, as lines and arcs about its own middle. mm */
import type { Spot } from "../assembly/outline";
import { MOST_POINTS } from "../piece/cutting-choices";
import { OutlineFault } from "./outline-loops";
import { dxfLoops } from "./outline-dxf";
import { svgLoops } from "./outline-svg";
import { fittedArcs } from "./fitted-arcs";

export interface OutlinePoint {
  x: number;
  y: number;
  rise: number;
}
export type ReadOutline =
  { ok: true; points: OutlinePoint[]; length: number; width: number; said: string[] } | { ok: false; message: string };

/** An outline is a few kB; more than this is a picture. Ours */
export const MOST_BYTES = 1_000_000;
/** Smaller is no top, mm; nor larger than a top may be. */
const SIZES = { least: 60, length: 6000, width: 2500 };

/**
 * @param long  how long the outline is, for files that don't say; mm
 * @returns its points anticlockwise from above, or a sentence that says what to do
 */
export function readOutline(name: string, text: string, long: number | null): ReadOutline {
  try {
    return taken(text, long);
  } catch (error) {
    if (error instanceof OutlineFault) return { ok: false, message: `${name}: ${error.message}` };
    throw error;
  }
}

function taken(text: string, long: number | null): ReadOutline {
  const { outer, length, width, said } = largestIn(text, long);
  if (length < SIZES.least || width < SIZES.least || length > SIZES.length || width > SIZES.width)
    throw new OutlineFault(
      `its outline would be ${Math.round(length)} by ${Math.round(width)} mm: a top is ${SIZES.least} to ${SIZES.length} long and ${SIZES.least} to ${SIZES.width} wide. Check its scale, or type how long it is.`,
    );
  const fitted = fittedArcs(outer, NEAR);
  if (fitted.length > MOST_POINTS)
    throw new OutlineFault(
      `it takes ${fitted.length} lines and arcs; an outline has ${MOST_POINTS} at most. Draw it with fewer, and choose it again.`,
    );
  return {
    ok: true,
    points: fitted.map(({ at: [x, y], rise }) => ({ x: tenth(x), y: tenth(y), rise: tenth(rise) })),
    ...{ length: tenth(length), width: tenth(width), said },
  };
}

/** Lines and arcs stay so near the drawn line, mm. Ours: a pencil's line is five times as wide */
export const NEAR = 0.1;
export const tenth = (value: number) => Math.round(value * 100) / 100;

/**
 * The largest closed line of a file, anticlockwise about its own middle, y up.
 *
 * @param long  how long it is, whatever the file says; `unscaled` where the file says nothing; mm
 *
 * @throws OutlineFault with what to do, where there is none or it has no scale
 */
export function largestIn(text: string, long: number | null, unscaled: number | null = null) {
  if (text.length > MOST_BYTES)
    throw new OutlineFault(
      `${(text.length / 1e6).toFixed(1)} MB; an outline has a few kB. Save only its lines, without pictures, and choose it again.`,
    );
  const { loops, open, scale, said } = isSvg(text) ? svgLoops(text) : dxfLoops(text);
  const all = loops.map(cleaned).filter((loop) => loop.length > 2);
  if (all.length === 0)
    throw new OutlineFault(
      open > 0
        ? "no line in it is closed. Join the ends of the outline, save it and choose it again."
        : "no lines are in it. Draw the outline as one closed line, save it as SVG or DXF and choose it again.",
    );
  const largest = all.reduce((a, b) => (Math.abs(areaOf(b)) > Math.abs(areaOf(a)) ? b : a));
  const box = boxOf(largest);
  const known = long ?? (scale === null ? unscaled : null);
  const by = known !== null ? known / box.length : scale;
  if (by === null)
    throw new OutlineFault(
      "it doesn’t say how large it is in millimetres. Type how long the outline is beside it, and choose it again.",
    );
  const placed = largest.map(([x, y]): Spot => [(x - box.x) * by, (y - box.y) * by]);
  return {
    outer: areaOf(placed) < 0 ? placed.reverse() : placed,
    ...{ length: box.length * by, width: box.width * by },
    said: [
      ...said,
      ...(all.length > 1 ? [`${all.length - 1} other closed lines are left out: holes are cut-outs here.`] : []),
      ...(open > 0 ? [`${open} lines that are not closed are left out.`] : []),
    ],
  };
}

const isSvg = (text: string) => /<svg[\s>]/i.test(text.slice(0, 20_000));

/** Without spots that lie on the one before. */
function cleaned(loop: readonly Spot[]): Spot[] {
  const far = Math.max(...loop.map(([x, y]) => Math.abs(x) + Math.abs(y)), 1e-9) * 1e-7;
  return loop.filter(([x, y], i) => {
    const [a, b] = loop[(i + loop.length - 1) % loop.length];
    return Math.hypot(x - a, y - b) > far;
  });
}

const areaOf = (loop: readonly Spot[]) =>
  loop.reduce((sum, [x, y], i) => {
    const [a, b] = loop[(i + 1) % loop.length];
    return sum + (x * b - a * y) / 2;
  }, 0);

/** How large a line is, and where its middle lies. */
function boxOf(loop: readonly Spot[]): { x: number; y: number; length: number; width: number } {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of loop) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return { x: (left + right) / 2, y: (low + high) / 2, length: right - left, width: high - low };
}
