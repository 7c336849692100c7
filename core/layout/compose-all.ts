/** All panels of a piece from one rack: no board is asked for twice, and what is over is least for all of them together. */
import type { Strip } from "../piece/schema";
import { Candidate, panelCandidates } from "./candidates";
import { ComposeInputs, Composed, composePanel } from "./compose";

export interface PanelToCompose {
  id: string;
  name: string;
  inputs: ComposeInputs;
}

export interface AllComposed {
  /** panels that found their boards */
  panels: { id: string; name: string; strips: Strip[] }[];
  /** panels that did not, and why */
  without: { id: string; name: string; none: string }[];
  /** mm³ of rough wood used up by all, what the panels hold of it, and the least that each alone could use, added up */
  cost: number;
  net: number;
  bound: number;
  tried: number;
  done: boolean;
}

/** Who chooses first is tried in so many orders at most: all there are of three panels. Ours. */
const ORDERS = 6;
/** Sets of boards that are arranged while orders are compared: enough to know that one can be. Ours. */
const SCOUTED = 40;

/** Boards that a panel leaves to another, a step at a time, are tried so often at most. Ours. */
const STEPS = 12;

/** Who chooses after whom, and what each leaves to the others. */
interface Division {
  order: readonly PanelToCompose[];
  left: Readonly<Record<string, readonly string[]>>;
}
interface Outcome extends Division {
  /** panels without boards */
  lost: number;
  /** width they lack, mm */
  short: number;
  cost: number;
  boards: Record<string, string[]>;
}

/**
 * Composes every panel, each from the boards that those before it left. Orders of choosing are compared by the wood they use up; in the best of
 * them a panel leaves one board after another to the others while that uses up less. Each is then composed in full.
 *
 * @returns yields after every panel; the last has `done: true`. The same inputs always give the same panels
 */
export function* composeAll(panels: readonly PanelToCompose[]): Generator<AllComposed, void> {
  const pinned = Object.fromEntries(panels.map(({ id }) => [id, othersPinned(panels, id)]));
  let tried = 0;
  const divided = ({ order, left }: Division): Outcome => {
    const out: Outcome = { order, left, lost: 0, short: 0, cost: 0, boards: {} };
    const taken: string[] = [];
    for (const panel of order) {
      const others = [...taken, ...pinned[panel.id], ...(left[panel.id] ?? [])];
      const found = scouted(panel, others);
      out.boards[panel.id] = (found?.strips ?? []).map((strip) => strip.board);
      taken.push(...out.boards[panel.id]);
      out.cost += found?.cost ?? 0;
      out.lost += found ? 0 : 1;
      out.short += found ? 0 : shortOf(panel, others);
      tried += found?.tried ?? 0;
    }
    return out;
  };
  const alone = panels.map((panel) => scouted(panel, pinned[panel.id]));
  const bound = alone.reduce((sum, each) => sum + (each?.bound ?? 0), 0);
  const least = (all: readonly Outcome[]) => all.reduce((a, b) => (better(b, a) ? b : a));
  let best = least(ordersOf(panels, alone).map((order) => divided({ order, left: {} })));
  for (let step = 0; step < STEPS && best.cost > bound + 1e-6; step += 1) {
    const next = least([best, ...yielding(best).map(divided)]);
    if (next === best) break;
    best = next;
  }
  if (best.lost > 0) best = least([best, ...roomiest(best).map(divided)]);
  const all: AllComposed = { panels: [], without: [], cost: 0, net: 0, bound, tried, done: false };
  const taken: string[] = [];
  for (const [i, { id, name, inputs }] of best.order.entries()) {
    let last: Composed | null = null;
    // a better looking panel is not made of what a later one was promised
    const promised = best.order.slice(i + 1).flatMap((later) => best.boards[later.id]);
    const others = [...taken, ...promised, ...pinned[id], ...(best.left[id] ?? [])];
    for (const found of composePanel(without(inputs, others)))
      if ("none" in found) all.without.push({ id, name, none: found.none });
      else last = found;
    if (last) {
      all.panels.push({ id, name, strips: last.strips });
      taken.push(...last.strips.map((strip) => strip.board));
      all.cost += last.cost;
      all.net += last.net;
      all.tried += last.tried;
    }
    yield { ...all, panels: [...all.panels], without: [...all.without] };
  }
  yield { ...all, done: true };
}

/** Fewer panels without boards, else nearer to having them, else less wood. */
function better(a: Outcome, b: Outcome): boolean {
  if (a.lost !== b.lost) return a.lost < b.lost;
  return Math.abs(a.short - b.short) > 1e-6 ? a.short < b.short : a.cost < b.cost - 1e-6;
}

/** The same division with one more board left to the others by a panel that chooses before one of them. */
const yielding = ({ order, left, boards }: Outcome): Division[] =>
  order
    .slice(0, -1)
    .flatMap(({ id }) => boards[id].map((board) => ({ order, left: { ...left, [id]: [...(left[id] ?? []), board] } })));

const without = (inputs: ComposeInputs, boards: readonly string[]): ComposeInputs => ({
  ...inputs,
  choice: { ...inputs.choice, banned: [...inputs.choice.banned, ...boards] },
});

/** A panel quickly, from the boards that are left; null where they don't make it. */
function scouted({ inputs }: PanelToCompose, taken: readonly string[]): Composed | null {
  let last: Composed | null = null;
  for (const found of composePanel({ ...without(inputs, taken), sets: SCOUTED })) last = "none" in found ? null : found;
  return last;
}

/**
 * Divisions in which a panel that has its boards covers its width and leaves as much width as can be to one that has not: what uses up least
 * wood may leave too little.
 *
 * @source Bellman's recursion: for each width of the one, the most that is left for the other, board by board
 */
function roomiest({ order, left, boards }: Outcome): Division[] {
  const lost = order.filter(({ id }) => boards[id].length === 0);
  return lost.flatMap((poor) =>
    order
      .filter(({ id }) => boards[id].length > 0)
      .map((rich) => {
        const others = order.flatMap(({ id }) => (id === rich.id || id === poor.id ? [] : boards[id]));
        const pinned = othersPinned(order, rich.id);
        const of = ({ inputs }: PanelToCompose) => candidatesOf(inputs, others);
        const given = sharedOut(of(rich), of(poor), rich.inputs.need.width, pinned);
        return {
          order: [rich, poor, ...order.filter((each) => each !== rich && each !== poor)],
          left: { ...left, [rich.id]: given },
        };
      }),
  );
}

/** Boards the one leaves to the other so that it covers `needed` mm and the other has most. Widths by the half millimetre. */
function sharedOut(
  one: readonly Candidate[],
  other: readonly Candidate[],
  needed: number,
  pinned: readonly string[],
): string[] {
  type Shared = { left: number; given: string[] };
  const full = Math.ceil(needed * 2);
  let states = new Map<number, Shared>([[0, { left: 0, given: [] }]]);
  for (const { board, width } of one) {
    const there = other.find((each) => each.board.id === board.id)?.width ?? 0;
    const next = new Map<number, Shared>();
    const keep = (covered: number, shared: Shared) => {
      if (shared.left > (next.get(covered)?.left ?? -1)) next.set(covered, shared);
    };
    for (const [covered, { left, given }] of states) {
      if (!pinned.includes(board.id)) keep(Math.min(full, covered + Math.floor(width * 2)), { left, given });
      keep(covered, { left: left + there, given: [...given, board.id] });
    }
    states = next;
  }
  return states.get(full)?.given ?? [];
}

/** Width that the boards which are left lack for a panel, mm. */
const shortOf = ({ inputs }: PanelToCompose, taken: readonly string[]): number =>
  Math.max(0, inputs.need.width - candidatesOf(inputs, taken).reduce((sum, { width }) => sum + width, 0));

function candidatesOf({ rack, species, need, shop, choice }: ComposeInputs, taken: readonly string[]): Candidate[] {
  return panelCandidates(rack, species, need, { shop, choice: { ...choice, banned: [...choice.banned, ...taken] } })
    .candidates;
}

/** Boards that a maker wants in another panel. */
const othersPinned = (panels: readonly PanelToCompose[], id: string): string[] =>
  panels.flatMap((other) => (other.id === id ? [] : other.inputs.choice.pinned));

/** Orders worth comparing: all of few panels; of many, the largest first, then each of the others before it. */
function ordersOf(panels: readonly PanelToCompose[], alone: readonly (Composed | null)[]): PanelToCompose[][] {
  const least = new Map(panels.map(({ id }, i) => [id, alone[i]?.cost ?? Infinity]));
  const largest = panels.slice().sort((a, b) => least.get(b.id)! - least.get(a.id)!);
  if (panels.length <= 3) return orderings(largest);
  return largest.map((first) => [first, ...largest.filter((each) => each !== first)]).slice(0, ORDERS);
}

const orderings = <T>(list: readonly T[]): T[][] =>
  list.length < 2
    ? [[...list]]
    : list.flatMap((first, i) => orderings(list.filter((_, j) => j !== i)).map((rest) => [first, ...rest]));
