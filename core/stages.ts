/**
 * A list of named stages and how it is run. Each stage names what it reads of the inputs and of earlier stages, and computes from exactly
 * those. What it read last time is remembered, so that only what depends on a change runs again. A stage that throws is kept as a
 * failure; stages that would have read it wait, and all others stand.
 */
import { STAGES, Stage as Mark } from "./verdict/verdict";

/** A stage that threw: a fault in Taller. `mark` is where on the story stick it belongs. */
export interface Failure {
  stage: string;
  mark: Mark;
  message: string;
  stack: string;
}

/** What a run left: the values there are, what failed, and which stages wait for which failed one. */
export interface Stood<K> {
  values: Partial<K>;
  failures: Failure[];
  waiting: { stage: string; mark: Mark; for: string }[];
}

export interface StageList<I, K> {
  /**
   * Adds a stage.
   *
   * @param mark     where its failure is told
   * @param reads    picks what it reads; the same by identity means it need not run again
   * @param compute  a pure function of exactly those
   * @param otherwise  what later stages go on with when this one can't be computed; without it they wait
   */
  stage: <N extends string, A extends readonly unknown[], R>(
    name: N,
    mark: Mark,
    reads: (at: I & K) => readonly [...A],
    compute: (...read: A) => R,
    otherwise?: R,
  ) => StageList<I, K & Record<N, R>>;
  /** The same for a list of things of which most stay as they were: one that is alike keeps its identity, so that what reads it need not run again. */
  items: <N extends string, A extends readonly unknown[], R extends { id: string }>(
    name: N,
    mark: Mark,
    reads: (at: I & K) => readonly [...A],
    compute: (...read: A) => R[],
  ) => StageList<I, K & Record<N, R[]>>;
  /** A stage over many items, each remembered by itself for as long as what they share stays the same. */
  each: <N extends string, T, A extends readonly unknown[], R>(
    name: N,
    mark: Mark,
    reads: (at: I & K) => readonly [items: readonly T[], ...shared: A],
    compute: (item: T, ...shared: A) => R,
  ) => StageList<I, K & Record<N, Map<T, R>>>;
  /** Runs the list for one lot of inputs after another, remembering stage by stage. */
  runner: () => (inputs: I) => Stood<K>;
}

interface Entry {
  name: string;
  mark: Mark;
  reads: (at: never) => readonly unknown[];
  /** a fresh function for each runner, since it may remember */
  computing: () => (...read: unknown[]) => unknown;
  otherwise?: unknown;
}

/** An empty list over these inputs. @example stageList<{ a: number }>().stage("double", "form", ({ a }) => [a], (a) => 2 * a).runner()({ a: 2 }) */
export function stageList<I extends object>(): StageList<I, object> {
  return listOf<I, object>([]);
}

function listOf<I extends object, K>(entries: readonly Entry[]): StageList<I, K> {
  const with_ = (name: string, mark: Mark, reads: unknown, computing: Entry["computing"], otherwise?: unknown) => [
    ...entries,
    { name, mark, reads: reads as Entry["reads"], computing, otherwise },
  ];
  return {
    stage: (name, mark, reads, compute, otherwise) =>
      listOf(with_(name, mark, reads, () => compute as unknown as (...read: unknown[]) => unknown, otherwise)),
    items: (name, mark, reads, compute) =>
      listOf(with_(name, mark, reads, () => keeping(compute as unknown as (...read: unknown[]) => { id: string }[]))),
    each: (name, mark, reads, compute) =>
      listOf(with_(name, mark, reads, () => itemwise(compute as unknown as (...read: unknown[]) => unknown))),
    runner: () => {
      const remembered = entries.map(remembering);
      return (inputs) => {
        const at: Record<string, unknown> = { ...(inputs as Record<string, unknown>) };
        const stood: Stood<Record<string, unknown>> = { values: {}, failures: [], waiting: [] };
        entries.forEach((entry, i) => runOne(entry, remembered[i], at, stood));
        return stood as Stood<K>;
      };
    },
  };
}

/** Raised when a stage reads one that failed. */
class Missing extends Error {
  constructor(readonly of: string) {
    super(`${of} could not be computed`);
  }
}

function runOne(
  { name, mark, reads, otherwise }: Entry,
  compute: (read: readonly unknown[]) => unknown,
  at: Record<string, unknown>,
  stood: Stood<Record<string, unknown>>,
): void {
  try {
    const value = compute(reads(at as never));
    at[name] = value;
    stood.values[name] = value;
  } catch (error) {
    const missing = error instanceof Missing ? error.of : null;
    if (otherwise !== undefined) at[name] = stood.values[name] = otherwise;
    if (otherwise !== undefined && missing) return;
    if (missing) stood.waiting.push({ stage: name, mark, for: missing });
    else stood.failures.push({ stage: name, mark, ...told(error) });
    if (otherwise === undefined)
      Object.defineProperty(at, name, {
        get: () => {
          throw new Missing(missing ?? name);
        },
      });
  }
}

/** What a thrown thing says of itself. */
export function told(error: unknown): { message: string; stack: string } {
  return error instanceof Error
    ? { message: error.message, stack: error.stack ?? "" }
    : { message: String(error), stack: "" };
}

function remembering({ computing }: Entry): (read: readonly unknown[]) => unknown {
  const compute = computing();
  let last: readonly unknown[] | null = null;
  let value: unknown;
  return (read) => {
    if (last === null || !same(read, last)) {
      last = null;
      value = compute(...read);
      last = read;
    }
    return value;
  };
}

const same = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((each, i) => each === b[i]);

/** Items that are alike the ones of the same id last time stay those. */
function keeping(compute: (...read: unknown[]) => { id: string }[]): (...read: unknown[]) => { id: string }[] {
  let before = new Map<string, { id: string }>();
  return (...read) => {
    const now = compute(...read).map((item) => {
      const was = before.get(item.id);
      return was && alike(was, item) ? was : item;
    });
    before = new Map(now.map((item) => [item.id, item]));
    return now;
  };
}

/** One answer an item, remembered while the item and what all share are the same. */
function itemwise(
  compute: (item: unknown, ...shared: unknown[]) => unknown,
): (...read: unknown[]) => Map<unknown, unknown> {
  let shared: readonly unknown[] = [];
  let before = new Map<unknown, unknown>();
  return (items, ...now) => {
    const known = same(now, shared) ? before : new Map<unknown, unknown>();
    const after = new Map<unknown, unknown>();
    for (const item of items as readonly unknown[])
      if (!after.has(item)) after.set(item, known.has(item) ? known.get(item) : compute(item, ...now));
    [shared, before] = [now, after];
    return after;
  };
}

/** Whether two pieces of plain data hold the same. */
function alike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(one);
  return keys.length === Object.keys(other).length && keys.every((key) => key in other && alike(one[key], other[key]));
}

/** Where on the story stick something waits or failed, in its order. */
export const marksOf = (list: readonly { mark: Mark }[]): Mark[] =>
  STAGES.filter((mark) => list.some((each) => each.mark === mark));
