import type { Candidate } from "./candidates";

/** Widths are counted in half millimetres: finer than a maker marks. */
const STEPS_PER_MM = 2;

/** The cheapest way to cover the panel's width, and a table that bounds every other. */
export interface Cover {
  /** least cost of any set that covers the width, mm³; Infinity when none does */
  best: number;
  /** least further cost when the first `from` candidates are decided, `left` more may be taken and `width` half-mm are open */
  bound: (from: number, left: number, width: number) => number;
  needed: number;
  most: number;
}

/**
 * Least rough wood that covers a width: an exact knapsack over half millimetres.
 *
 * @param candidates  in a fixed order; those that must be in are charged beforehand by the caller
 * @param width       mm still to be covered
 * @param limit       strips at most
 * @source Bellman's recursion for the covering knapsack with a cardinality limit
 */
export function cheapestCover(candidates: readonly Candidate[], width: number, limit: number): Cover {
  const most = Math.min(limit, mostUseful(candidates, width));
  const needed = Math.max(0, Math.ceil(width * STEPS_PER_MM - 1e-9));
  const n = candidates.length;
  const row = needed + 1;
  const layer = row * (most + 1);
  const table = new Float64Array(layer * (n + 1)).fill(Infinity);
  for (let k = 0; k <= most; k += 1) table[layer * n + k * row] = 0;
  for (let i = n - 1; i >= 0; i -= 1) {
    const w = steps(candidates[i].width);
    const cost = candidates[i].cost;
    const here = layer * i;
    const next = layer * (i + 1);
    table.copyWithin(here, next, next + layer);
    for (let k = 1; k <= most; k += 1) {
      const to = here + k * row;
      const from = next + (k - 1) * row;
      const flat = Math.min(w, needed);
      const alone = table[from] + cost;
      for (let open = 0; open <= flat; open += 1) if (alone < table[to + open]) table[to + open] = alone;
      for (let open = flat + 1; open <= needed; open += 1) {
        const taken = table[from + open - w] + cost;
        if (taken < table[to + open]) table[to + open] = taken;
      }
    }
  }
  return {
    best: table[most * row + needed],
    needed,
    most,
    bound: (from, left, open) => table[layer * from + left * row + Math.max(0, open)],
  };
}

/** All sets that cost at most `budget`, cheapest branches first, until `limit` are found. */
export function* setsWithin(
  candidates: readonly Candidate[],
  cover: Cover,
  budget: number,
  limit: number,
): Generator<Candidate[]> {
  let found = 0;
  const chosen: Candidate[] = [];
  function* walk(i: number, left: number, open: number, spent: number): Generator<Candidate[]> {
    if (found >= limit) return;
    if (open <= 0) {
      found += 1;
      yield chosen.slice();
      return;
    }
    if (i === candidates.length || left === 0) return;
    const w = steps(candidates[i].width);
    const take = spent + candidates[i].cost + cover.bound(i + 1, left - 1, open - w);
    const skip = spent + cover.bound(i + 1, left, open);
    const branches: [number, boolean][] =
      take <= skip
        ? [
            [take, true],
            [skip, false],
          ]
        : [
            [skip, false],
            [take, true],
          ];
    for (const [least, taking] of branches) {
      if (least > budget + 1e-6) continue;
      if (taking) {
        chosen.push(candidates[i]);
        yield* walk(i + 1, left - 1, open - w, spent + candidates[i].cost);
        chosen.pop();
      } else yield* walk(i + 1, left, open, spent);
    }
  }
  yield* walk(0, cover.most, cover.needed, 0);
}

/** No cover without a needless strip has more strips than it takes of the narrowest. */
function mostUseful(candidates: readonly Candidate[], width: number): number {
  let covered = 0;
  const narrowestFirst = candidates.map((each) => each.width).sort((a, b) => a - b);
  const enough = narrowestFirst.findIndex((each) => (covered += each) >= width);
  return enough < 0 ? candidates.length : enough + 1;
}

const steps = (mm: number) => Math.floor(mm * STEPS_PER_MM + 1e-9);
