import type { Run } from "./runs";
import type { Section } from "./sections";

/** Lengths are counted in steps of so many mm, rounded up: prices, not places, hang on it. Ours. */
const STEP = 5;
/** How often the prices are corrected. Ours: past it the bench's racks gain nothing. */
const CORRECTIONS = 20;
/** The correction shrinks by this when so many in a row gave nothing. Ours, after Held, Wolfe and Crowder (1974). */
const PATIENCE = { turns: 4, shrink: 0.7 };

/**
 * What one more piece of each kind is worth, on these boards: each board is filled as well as it can be at the prices of the day; kinds that are
 * then cut too seldom become dearer, the others cheaper.
 *
 * @param start   prices were there boards without end, mm³
 * @param demand  pieces of each kind
 * @param target  cost of an answer there is, mm³; sets how far a correction goes
 * @returns the prices under which the boards promise most, what they promise and what the first ones did, mm³: no answer costs less, but for the rounding up to steps
 * @source Lagrangian relaxation of the demand (Geoffrion 1974), its dual by subgradients (Held, Wolfe and Crowder 1974); a board's filling is an unbounded knapsack
 */
export function boardPrices(
  runs: readonly Run[],
  sections: readonly Section[],
  fits: readonly ArrayLike<number>[],
  {
    demand,
    start,
    kerf,
    keep,
    target,
  }: { demand: readonly number[]; start: readonly number[]; kerf: number; keep: number; target: number },
): { prices: number[]; promise: number; begun: number } {
  const steps = sections.map((each) => Math.ceil((each.length + kerf) / STEP - 1e-9));
  let best = start.slice();
  let [most, begun, share, idle] = [-Infinity, -Infinity, 1, 0];
  let prices = start.slice();
  for (let turn = 0; turn <= CORRECTIONS; turn += 1) {
    const worth = sections.map((each) => each.need.reduce((sum, [kind, count]) => sum + count * prices[kind], 0));
    const cut = new Float64Array(demand.length);
    let promise = prices.reduce((sum, each, kind) => sum + each * demand[kind], 0);
    runs.forEach((run, r) => {
      const filled = fillRun(run, fits[r], { steps, worth, kerf, keep });
      promise += filled.cost;
      for (const section of filled.sections) for (const [kind, count] of sections[section].need) cut[kind] += count;
    });
    if (turn === 0) begun = promise;
    if (promise > most) {
      most = promise;
      idle = 0;
      best = prices;
    } else if ((idle += 1) >= PATIENCE.turns) {
      share *= PATIENCE.shrink;
      idle = 0;
    }
    const lack = demand.map((need, kind) => need - cut[kind]);
    const size = lack.reduce((sum, each) => sum + each * each, 0);
    if (size === 0) break;
    const by = (share * Math.max(target * 1e-4, target - promise)) / size;
    prices = prices.map((each, kind) => Math.max(0, each + by * lack[kind]));
  }
  return { prices: best, promise: most, begun };
}

/** The best filling of one run at these prices: its sections, and their cost less their worth, mm³; nothing when no filling is worth it. */
function fillRun(
  run: Run,
  fits: ArrayLike<number>,
  { steps, worth, kerf, keep }: { steps: readonly number[]; worth: readonly number[]; kerf: number; keep: number },
): { cost: number; sections: number[] } {
  const room = Math.floor((run.length + kerf) / STEP + 1e-9);
  const area = run.board.width * run.board.thickness;
  const section = new Int32Array(room + 1).fill(-1);
  for (let i = 0; i < fits.length; i += 1) {
    const s = fits[i];
    const u = steps[s];
    if (u <= room && (section[u] < 0 || worth[s] > worth[section[u]])) section[u] = s;
  }
  // a longer section that is worth no more is never better
  const offered: number[] = [];
  let dearest = 0;
  for (let u = 1; u <= room; u += 1)
    if (section[u] >= 0 && worth[section[u]] > dearest) {
      dearest = worth[section[u]];
      offered.push(u);
    }
  const value = new Float64Array(room + 1);
  const last = new Int32Array(room + 1);
  for (let u = 1; u <= room; u += 1) {
    let [most, by] = [value[u - 1], 0];
    for (let i = 0; i < offered.length && offered[i] <= u; i += 1) {
      const held = value[u - offered[i]] + worth[section[offered[i]]];
      if (held > most) {
        most = held;
        by = offered[i];
      }
    }
    value[u] = most;
    last[u] = by;
  }
  let [cost, at] = [0, 0];
  for (let u = 1; u <= room; u += 1) {
    const used = u * STEP;
    const here = area * (run.length + kerf - used >= keep ? used : run.length + kerf) - value[u];
    if (here < cost) {
      cost = here;
      at = u;
    }
  }
  const sections: number[] = [];
  for (let u = at; u > 0; u -= Math.max(1, last[u])) if (last[u] > 0) sections.push(section[last[u]]);
  return { cost, sections };
}
