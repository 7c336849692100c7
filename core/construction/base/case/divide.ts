/** How a case is divided by hand: a division moved, an opening split or taken out, heights that grow. What need not change keeps what it says. */
import type { CaseBay, CaseRow } from "../../../piece/case-choices";

/** Sizes are set to half a millimetre: a rule reads no finer. */
const half = (size: number) => Math.round(size * 2) / 2;
/** The least a division leaves on either side, mm. Ours: what is smaller is no opening. */
export const LEAST = 40;

type Sizes = readonly (number | null)[];

/**
 * The sizes after the division behind the one at `i` was moved so that this one measures `to`: its neighbour gives or takes, all others stay
 * what they are. One is left open where one was, so that the whole can still change.
 *
 * @param actual  what each measures now, mm
 */
export function moved(asked: Sizes, actual: readonly number[], i: number, to: number): (number | null)[] {
  if (i < 0 || i + 1 >= asked.length) return [...asked];
  const both = actual[i] + actual[i + 1];
  const size = Math.min(Math.max(half(to), LEAST), both - LEAST);
  if (both < 2 * LEAST) return [...asked];
  const next = asked.map((each, n) => (n === i ? size : n === i + 1 ? half(both - size) : each));
  const open = asked.filter((each) => each === null).length;
  // those that share evenly would no longer, if only these two said what they measure
  const shared = next.filter((each) => each === null).length;
  const settled = open > 0 && shared > 0 ? next.map((each, n) => each ?? half(actual[n])) : next;
  if (open === 0) return settled;
  const last = settled.length - 1;
  return settled.map((each, n) => (n === last ? null : each));
}

/** An opening in two of the same kind: together they are what it was. */
export function split(rows: readonly CaseRow[], i: number, actual: number, inner: number): CaseRow[] {
  const one = rows[i];
  const each = one.height === null ? null : half((actual - inner) / 2);
  const lower = {
    ...one,
    height: rows.some(({ height }, n) => n !== i && height === null) || each === null ? each : null,
  };
  return [...rows.slice(0, i), { ...one, height: each }, lower, ...rows.slice(i + 1)];
}

/** One opening less: the one below it, or the one above the last, takes its place. */
export function without<T extends { height: number | null } | { width: number | null }>(
  all: readonly T[],
  i: number,
): T[] {
  const left = all.filter((_, n) => n !== i);
  const takes = Math.min(i, left.length - 1);
  const freed = (one: T): T => ("height" in one ? { ...one, height: null } : { ...one, width: null });
  return left.map((one, n) => (n === takes ? freed(one) : one));
}

/**
 * Heights that grow downward, each so many times the one above it; the last takes what rounding leaves.
 *
 * @param room  for all of them without what divides them, mm
 */
export function growing(rows: readonly CaseRow[], room: number, times: number): CaseRow[] {
  const shares = rows.map((_, i) => times ** i);
  const whole = shares.reduce((sum, each) => sum + each, 0);
  return rows.map((row, i) => ({ ...row, height: i === rows.length - 1 ? null : half((room * shares[i]) / whole) }));
}

/** A bay beside the one at `i`, half as wide each where it says how wide it is. */
export function bayAdded(bays: readonly CaseBay[], i: number): CaseBay[] {
  const one = bays[i];
  const fresh: CaseBay = { width: null, rows: [{ height: null, holds: "nothing", shelves: 0 }] };
  return [...bays.slice(0, i), { ...one, width: null }, fresh, ...bays.slice(i + 1)];
}
