import type { Problem } from "./problem";

/** A piece without a board weighs this many times its wood. Ours: more than any waste. */
const MISSING = 40;
/** Of a run's sections only so many that can be cut are compared: more in a layout that is made once, fewer in each of thousands. Ours. */
const COMPARED = { once: 60, often: 12 };
/** Fresh boards that one filling looks at on a long rack, about. Ours. */
const FEW_RUNS = 16;
/** How far the choice of a run and of a section is shaken, so that no two fillings are alike. Ours, by the same trial. */
const SHAKE = { run: 0.2, section: 0.15 };

/** Which sections are cut from each run, and what that costs. */
export interface State {
  cut: number[][];
  used: number[];
  demand: number[];
  home: (string | null)[];
  cost: number;
}

/** Kinds of which none is wanted any more, a bit each, see `Problem.low` and `high`. */
type Gone = readonly [low: number, high: number];
const NONE_GONE: Gone = [0, 0];

/** Puts back what is missing, each time where what a section is worth costs least; `random` shakes the choice. */
export function fill(problem: Problem, state: State, random: (() => number) | null): void {
  if (state.home.length === 0) state.home = problem.kinds.map(() => null);
  // on a long rack most fresh boards are left out of one filling: it is quicker, and no two fillings are alike
  if (random && problem.runs.length > FEW_RUNS)
    fillFrom(
      problem,
      state,
      random,
      problem.runs.map((_, run) => state.used[run] > 0 || random() < FEW_RUNS / problem.runs.length),
    );
  if (!random || problem.runs.length <= FEW_RUNS || state.demand.some((count) => count > 0))
    fillFrom(problem, state, random, null);
  state.cost = costOf(problem, state);
}

function fillFrom(
  problem: Problem,
  state: State,
  random: (() => number) | null,
  offered: readonly boolean[] | null,
): void {
  const { runs, kinds, first, needKind, needCount, long, room, suits, ledBy, matched, area, kerf, keep, once } =
    problem;
  // prices for boards without end and for these boards mislead in different places: now one, now the other
  const worth = random && random() < 0.5 ? problem.endless : problem.worth;
  let gone: Gone = spent();
  // only what is still wanted, of all sections few; `wantedAt` says at which step a section last was
  const asked: number[] = [];
  for (let kind = 0; kind < kinds.length; kind += 1) {
    if (state.demand[kind] === 0) continue;
    const led = ledBy[kind];
    for (let i = 0; i < led.length; i += 1) if (wanted(problem, state, led[i], gone)) asked.push(led[i]);
  }
  asked.sort((a, b) => a - b);
  const wantedAt = new Int32Array(problem.sections.length).fill(-1);
  for (const section of asked) wantedAt[section] = 0;
  const offer = new Int32Array(runs.length).fill(STALE);
  const price = new Float64Array(runs.length);
  // mostly a little, now and then hard
  const bold = random ? (random() < 0.5 ? 0.5 : 2 * random() ** 2) : 0;
  const shake = new Float64Array(runs.length).fill(1);
  if (random) for (let run = 0; run < runs.length; run += 1) shake[run] += SHAKE.run * bold * random();
  if (offered) for (let run = 0; run < runs.length; run += 1) if (!offered[run]) offer[run] = NONE;
  for (let step = 0; asked.length > 0; step += 1) {
    let best = -1;
    for (let run = 0; run < runs.length; run += 1) {
      if (
        offer[run] === STALE ||
        (offer[run] >= 0 && (wantedAt[offer[run]] !== step || !atHome(problem, state, offer[run], run)))
      )
        look(run);
      if (offer[run] >= 0 && (best < 0 || price[run] < price[best])) best = run;
    }
    if (best < 0) break;
    const section = offer[best];
    state.cut[best] = [...state.cut[best], section];
    state.used[best] += long[section];
    for (let n = first[section]; n < first[section + 1]; n += 1) state.demand[needKind[n]] -= needCount[n];
    if (matched[section]) state.home = homes(problem, state);
    gone = spent();
    offer[best] = STALE;
    let kept = 0;
    for (let i = 0; i < asked.length; i += 1)
      if (wanted(problem, state, asked[i], gone)) {
        wantedAt[asked[i]] = step + 1;
        asked[kept] = asked[i];
        kept += 1;
      }
    asked.length = kept;
  }

  /** The section that costs least for what it is worth, of those that can be cut from this run now. */
  function look(run: number): void {
    offer[run] = NONE;
    if (once && state.cut[run].length > 0) return;
    const most = random ? COMPARED.often : COMPARED.once;
    const used = state.used[run];
    const left = room[run] - used;
    const whole = runs[run].length + kerf;
    // what the run has cost so far, in lengths
    const before = used <= 0 ? 0 : whole - used >= keep ? used : whole;
    let compared = 0;
    for (let i = 0; i < asked.length && compared < most; i += 1) {
      const section = asked[i];
      if (long[section] > left || suits[section * runs.length + run] === 0 || !atHome(problem, state, section, run))
        continue;
      compared += 1;
      const after = used + long[section];
      const dear =
        ((((whole - after >= keep ? after : whole) - before) * area[run]) / worth[section]) *
        shake[run] *
        (random ? 1 + SHAKE.section * bold * random() : 1);
      if (offer[run] === NONE || dear < price[run]) {
        price[run] = dear;
        offer[run] = section;
      }
    }
  }

  /** Bits of the kinds of which nothing is wanted any more. */
  function spent(): Gone {
    let [a, b] = [0, 0];
    for (let k = 0; k < kinds.length && k < 62; k += 1)
      if (state.demand[k] === 0) {
        if (k < 31) a |= 1 << k;
        else b |= 1 << (k - 31);
      }
    return [a, b];
  }
}

const STALE = -2;
const NONE = -1;

/** Whether a section can still be cut from a run. */
export function possible(problem: Problem, state: State, run: number, section: number): boolean {
  if (problem.once && state.cut[run].length > 0) return false;
  return (
    state.used[run] + problem.long[section] <= problem.room[run] &&
    wanted(problem, state, section, NONE_GONE) &&
    atHome(problem, state, section, run)
  );
}

/** Whether every matched piece of a section would lie on the board its group lies on already. */
function atHome({ matched, first, needKind, runs }: Problem, { home }: State, section: number, run: number): boolean {
  if (matched[section] === 0) return true;
  for (let n = first[section]; n < first[section + 1]; n += 1) {
    const board = home[needKind[n]];
    if (board !== null && board !== runs[run].board.id) return false;
  }
  return true;
}

function wanted(
  { low, high, first, needKind, needCount }: Problem,
  { demand }: State,
  section: number,
  [noLow, noHigh]: Gone,
): boolean {
  if ((low[section] & noLow) !== 0 || (high[section] & noHigh) !== 0) return false;
  for (let n = first[section]; n < first[section + 1]; n += 1) if (demand[needKind[n]] < needCount[n]) return false;
  return true;
}

/** The board each matching group lies on, by kind; null while it is free. */
export function homes(problem: Problem, state: State): (string | null)[] {
  const home = new Map<string, string>();
  state.cut.forEach((cut, run) => {
    for (const id of cut)
      if (problem.matched[id])
        for (const [kind] of problem.sections[id].need) {
          const { group } = problem.kinds[kind];
          if (group !== null) home.set(group, problem.runs[run].board.id);
        }
  });
  return problem.kinds.map(({ group }) => (group === null ? null : (home.get(group) ?? null)));
}

/** Wood that a run loses when `used` of it is cut off, kerfs and all: the rest is kept when it is long enough. */
export function runCost({ runs, area, kerf, keep }: Problem, run: number, used: number): number {
  if (used <= 0) return 0;
  const whole = runs[run].length + kerf;
  return (whole - used >= keep ? used : whole) * area[run];
}

function costOf(problem: Problem, state: State): number {
  let cost = 0;
  for (let run = 0; run < problem.runs.length; run += 1) cost += runCost(problem, run, state.used[run]);
  state.demand.forEach((count, kind) => {
    cost += MISSING * count * problem.kinds[kind].net;
  });
  return cost;
}
