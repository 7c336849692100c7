import { bundled } from "./bundles";
import type { Cut, Stopped } from "./cut";
import type { LaidSection } from "./sawing";
import { seeded } from "../units/seeded";
import { fill, homes, possible, runCost, State } from "./fill";
import { CuttingNeed, Problem, pricedOnBoards, problemOf } from "./problem";
import type { Section } from "./sections";

export type { Cut, Stopped } from "./cut";

/** Everything the search reads. */
export interface SearchInputs extends CuttingNeed {
  seed: number;
  rounds: number;
}

/** Tries in a round: after each the best so far is given away. Ours. */
const TRIES = 400;
/** So many rounds follow one trail; every other trail begins anew, the rest from the best so far. Ours, by trial on the bench's racks. */
const TRAIL = 5;
/** Besides one run, fewer than so many of its kin are emptied with it. Ours, by the same trial. */
const KIN = 3;
/** Worse by this share of the cost may be taken at a round's start, so that the search leaves valleys. Ours, by trial on the bench's racks. */
const WARMTH = 0.002;

/**
 * Gives every rough piece a place on the boards: sections are crosscut off, ripped into lanes, lanes crosscut into pieces. Least wood is
 * used up; offcuts worth keeping cost nothing. Part of the answer is taken out and put back differently, over and over.
 *
 * @param from  where an earlier search stopped, to go on exactly as it would have
 * @returns yields after every round; the last has `done: true`. The same inputs and seed always give the same answer.
 * @source ruin and recreate (Schrimpf and others 2000), accepted by a falling threshold
 */
export function* searchCuts(inputs: SearchInputs, from: Stopped | null = null): Generator<Cut, void> {
  const { need, out, back } = bundled(inputs, firstOf);
  for (const cut of searched(need, back(from))) yield out(cut);
}

function* searched(inputs: SearchInputs, from: Stopped | null): Generator<Cut, void> {
  const problem = pricedOnBoards(inputs);
  let best = from ? stateFrom(problem, from.sections) : firstState(problem);
  let trail = from?.trail ? stateFrom(problem, from.trail) : best;
  for (let round = from?.round ?? 0; round < inputs.rounds; round += 1) {
    if (round % TRAIL === 0) trail = (round / TRAIL) % 2 === 1 ? firstState(problem) : best;
    trail = roundOf(problem, trail, seeded(inputs.seed * 7919 + round + 1));
    if (trail.cost < best.cost + 1e-6) best = trail;
    yield cutOf(problem, { best, trail, round: round + 1, done: round + 1 === inputs.rounds });
  }
  if ((from?.round ?? 0) >= inputs.rounds) yield cutOf(problem, { best, trail, round: inputs.rounds, done: true });
}

/** The first answer, without any search: each time the section that uses least wood for what it gives. */
export function firstCut(inputs: CuttingNeed): Cut {
  const { need, out } = bundled(inputs, firstOf);
  return out(firstOf(need));
}

function firstOf(inputs: CuttingNeed): Cut {
  const problem = problemOf(inputs);
  const first = firstState(problem);
  return cutOf(problem, { best: first, trail: first, round: 0, done: true });
}

function firstState(problem: Problem): State {
  const state: State = {
    cut: problem.runs.map(() => []),
    used: problem.runs.map(() => 0),
    demand: problem.kinds.map((kind) => kind.pieces.length),
    home: [],
    cost: 0,
  };
  fill(problem, state, null);
  return state;
}

/** One round of tries: the best of them, or the start. */
function roundOf(problem: Problem, start: State, random: () => number): State {
  let best = start;
  let here = start;
  for (let i = 0; i < TRIES; i += 1) {
    const next: State = {
      cut: here.cut.slice(),
      used: here.used.slice(),
      demand: here.demand.slice(),
      home: here.home.slice(),
      cost: 0,
    };
    ruin(problem, next, random);
    fill(problem, next, random);
    if (next.cost < here.cost * (1 + WARMTH * (1 - i / TRIES) * random())) here = next;
    if (next.cost < best.cost - 1e-6) best = next;
  }
  return ordered(problem, best);
}

/** The same answer, written as a search that starts from its sections would write it. */
function ordered(problem: Problem, state: State): State {
  const cut = state.cut.map((each) => bySize(problem, each));
  return {
    ...state,
    cut,
    used: cut.map((each) => each.reduce((sum, id) => sum + problem.sections[id].length + problem.kerf, 0)),
    home: homes(problem, { ...state, cut }),
  };
}

/** Longest section first, so that the saw's stop moves one way. */
const bySize = ({ sections }: Problem, cut: readonly number[]) =>
  cut.slice().sort((a, b) => sections[b].length - sections[a].length || a - b);

/** Takes out a few sections: from a few runs, or every one that holds a kind. */
function ruin(problem: Problem, state: State, random: () => number): void {
  const used = state.cut.flatMap((cut, run) => (cut.length > 0 ? [run] : []));
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)];
  const way = random();
  if (used.length === 0) return;
  if (way < 0.3) {
    // runs that could hold one another's pieces: a section of the one must suit the other
    const first = pick(used);
    const kin = used.filter(
      (run) =>
        run !== first && state.cut[first].some((section) => problem.suits[section * problem.runs.length + run] === 1),
    );
    for (let n = Math.floor(random() * KIN); n > 0 && kin.length > 0; n -= 1) {
      const run = kin.splice(Math.floor(random() * kin.length), 1)[0];
      while (state.cut[run].length > 0) take(problem, state, run, 0);
    }
    while (state.cut[first].length > 0) take(problem, state, first, 0);
  } else if (way < 0.85) {
    // the dearest of a few is likelier to go than a good one
    const laid = used.flatMap((run) =>
      state.cut[run].map((section) => ({ run, section, price: dearness(problem, run, section) * (0.5 + random()) })),
    );
    laid.sort((a, b) => b.price - a.price);
    for (const { run, section } of laid.slice(0, 2 + Math.floor(random() * 5)))
      take(problem, state, run, state.cut[run].indexOf(section));
  } else {
    const kind = Math.floor(random() * problem.kinds.length);
    const group = problem.kinds[kind].group;
    const out = (section: Section) =>
      section.need.some(([each]) => each === kind || (group !== null && problem.kinds[each].group === group));
    for (const run of used)
      for (let i = state.cut[run].length - 1; i >= 0; i -= 1)
        if (out(problem.sections[state.cut[run][i]]) && (group !== null || random() < 0.7))
          take(problem, state, run, i);
  }
  state.home = homes(problem, state);
}

/** Wood a section uses for each unit it is worth. */
const dearness = ({ runs, long, worth }: Problem, run: number, section: number) =>
  (runs[run].board.width * runs[run].board.thickness * long[section]) / worth[section];

function take(problem: Problem, state: State, run: number, at: number): void {
  const id = state.cut[run][at];
  // tries share the runs they leave alone
  state.cut[run] = state.cut[run].toSpliced(at, 1);
  const section = problem.sections[id];
  state.used[run] -= section.length + problem.kerf;
  for (const [kind, count] of section.need) state.demand[kind] += count;
}

/** The state that earlier sections stand for; those that no longer fit are left out. */
function stateFrom(problem: Problem, laid: readonly LaidSection[]): State {
  const kindOf = new Map(
    problem.kinds.flatMap((kind, k) => kind.pieces.map((piece): [string, number] => [piece.id, k])),
  );
  const name = (lanes: number[][]) =>
    lanes
      .map((lane) =>
        lane
          .slice()
          .sort((a, b) => a - b)
          .join(","),
      )
      .sort()
      .join("|");
  const ids = new Map(problem.sections.map((section, id) => [name(section.lanes.map((lane) => lane.kinds)), id]));
  const state: State = {
    cut: problem.runs.map(() => []),
    used: problem.runs.map(() => 0),
    demand: problem.kinds.map((kind) => kind.pieces.length),
    home: problem.kinds.map(() => null),
    cost: 0,
  };
  for (const section of laid) {
    const run = problem.runs.findIndex(
      (each) => each.board.id === section.board && section.x >= each.x - 1e-6 && section.x < each.x + each.length,
    );
    const id = ids.get(name(section.lanes.map((lane) => lane.pieces.map((piece) => kindOf.get(piece) ?? -1))));
    if (run < 0 || id === undefined || !possible(problem, state, run, id)) continue;
    state.cut[run].push(id);
    state.used[run] += problem.sections[id].length + problem.kerf;
    for (const [kind, count] of problem.sections[id].need) state.demand[kind] -= count;
    state.home = homes(problem, state);
  }
  fill(problem, state, null);
  return state;
}

/** Numbers become pieces again. */
function cutOf(
  problem: Problem,
  { best, trail, round, done }: { best: State; trail: State; round: number; done: boolean },
): Cut {
  let [net, cost] = [0, 0];
  best.cut.forEach((cut, run) => {
    cost += runCost(problem, run, best.used[run]);
    for (const id of cut) net += problem.sections[id].net;
  });
  const { sections, missing } = laidOut(problem, best);
  return {
    sections,
    missing,
    cost,
    net,
    tried: Math.max(1, round * TRIES),
    round,
    trail: trail === best ? null : laidOut(problem, trail).sections,
    done,
  };
}

function laidOut(problem: Problem, state: State): { sections: LaidSection[]; missing: string[] } {
  const left = problem.kinds.map((kind) => kind.pieces.map((piece) => piece.id));
  const sections: LaidSection[] = [];
  state.cut.forEach((cut, r) => {
    const run = problem.runs[r];
    let x = run.x;
    for (const id of bySize(problem, cut)) {
      const section = problem.sections[id];
      sections.push({
        board: run.board.id,
        x,
        y: run.y,
        length: section.length,
        lanes: section.lanes.map((lane) => ({
          width: lane.width,
          pieces: lane.kinds.map((kind) => left[kind].shift()!),
        })),
      });
      x += section.length + problem.kerf;
    }
  });
  return { sections, missing: left.flat() };
}
