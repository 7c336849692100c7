/**
 * A list of named stages and how it is run. Each stage names what it reads of the inputs and of earlier stages, and computes from exactly
 * those. What it read last time is remembered, so that only what depends on a change runs again. A stage that throws is kept as a
 * failure; stages that would have read it wait, and all others stand.
 */
import { alike } from "./alike";
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

/** A list whose last stage may be given what later ones go on with when it can't be computed; without it they wait. */
export interface Staged<I, K, R> extends StageList<I, K> {
  otherwise: (value: R) => StageList<I, K>;
}

export interface StageList<I, K> {
  /**
   * Adds a stage.
   *
   * @param mark     where its failure is told
   * @param reads    picks what it reads, by name; each the same by identity means it need not run again
   * @param compute  a pure function of exactly those
   */
  stage: <N extends string, A extends object, R>(
    name: N,
    mark: Mark,
    reads: (at: I & K) => A,
    compute: (read: A) => R,
  ) => Staged<I, K & Record<N, R>, R>;
  /** The same for a list of things of which most stay as they were: one that is alike keeps its identity, so that what reads it need not run again. */
  items: <N extends string, A extends object, R extends { id: string }>(
    name: N,
    mark: Mark,
    reads: (at: I & K) => A,
    compute: (read: A) => R[],
  ) => Staged<I, K & Record<N, R[]>, R[]>;
  /** A stage over many items, each remembered by itself for as long as what they share stays the same. */
  each: <N extends string, T, A extends object, R>(
    name: N,
    mark: Mark,
    reads: (at: I & K) => readonly [items: readonly T[], shared: A],
    compute: (item: T, shared: A) => R,
  ) => Staged<I, K & Record<N, Map<T, R>>, Map<T, R>>;
  /** Runs the list for one lot of inputs after another, remembering stage by stage. */
  runner: () => (inputs: I) => Stood<K>;
}

interface Entry {
  name: string;
  mark: Mark;
  /** a fresh function for each runner, since it remembers */
  computing: () => (at: never) => unknown;
  otherwise?: unknown;
}

/** An empty list over these inputs. @example stageList<{ a: number }>().stage("double", "form", ({ a }) => ({ a }), ({ a }) => 2 * a).runner()({ a: 2 }) */
export function stageList<I extends object>(): StageList<I, object> {
  return listOf<I, object>([]);
}

function listOf<I extends object, K>(entries: readonly Entry[]): StageList<I, K> {
  const staged = <N extends string, R>(entry: Omit<Entry, "name"> & { name: N }) => ({
    ...listOf<I, K & Record<N, R>>([...entries, entry]),
    otherwise: (value: R) => listOf<I, K & Record<N, R>>([...entries, { ...entry, otherwise: value }]),
  });
  return {
    stage: (name, mark, reads, compute) => staged({ name, mark, computing: () => remembering(reads, compute) }),
    items: (name, mark, reads, compute) =>
      staged({ name, mark, computing: () => remembering(reads, keeping(compute)) }),
    each: (name, mark, reads, compute) => staged({ name, mark, computing: () => itemwise(reads, compute) }),
    runner: () => {
      const computed = entries.map(({ computing }) => computing());
      return (inputs) => {
        const at: Record<string, unknown> = { ...(inputs as Record<string, unknown>) };
        const stood: Stood<Record<string, unknown>> = { values: {}, failures: [], waiting: [] };
        entries.forEach((entry, i) => runOne(entry, computed[i], at, stood));
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
  { name, mark, otherwise }: Entry,
  compute: (at: never) => unknown,
  at: Record<string, unknown>,
  stood: Stood<Record<string, unknown>>,
): void {
  try {
    const value = compute(at as never);
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

function remembering<I, A extends object, R>(reads: (at: I) => A, compute: (read: A) => R): (at: I) => R {
  let last: { read: A; value: R } | null = null;
  return (at) => {
    const read = reads(at);
    if (last && same(read, last.read)) return last.value;
    last = null;
    const value = compute(read);
    last = { read, value };
    return value;
  };
}

/** The same things by identity under the same names. */
function same<A extends object>(a: A, b: A): boolean {
  const names = Object.keys(a) as (keyof A)[];
  return names.length === Object.keys(b).length && names.every((name) => name in b && a[name] === b[name]);
}

/** Items that are alike the ones of the same id last time stay those. */
function keeping<A, R extends { id: string }>(compute: (read: A) => R[]): (read: A) => R[] {
  let before = new Map<string, R>();
  return (read) => {
    const now = compute(read).map((item) => {
      const was = before.get(item.id);
      return was && alike(was, item) ? was : item;
    });
    before = new Map(now.map((item) => [item.id, item]));
    return now;
  };
}

/** One answer an item, remembered while the item and what all share are the same; the same answers are the same map. */
function itemwise<I, T, A extends object, R>(
  reads: (at: I) => readonly [items: readonly T[], shared: A],
  compute: (item: T, shared: A) => R,
): (at: I) => Map<T, R> {
  let last: { items: readonly T[]; shared: A; after: Map<T, R> } | null = null;
  return (at) => {
    const [items, shared] = reads(at);
    const sharing = last !== null && same(shared, last.shared);
    if (last && sharing && items === last.items) return last.after;
    const known = last && sharing ? last.after : new Map<T, R>();
    last = null;
    const after = new Map<T, R>();
    for (const item of items)
      if (!after.has(item)) after.set(item, known.has(item) ? known.get(item)! : compute(item, shared));
    last = { items, shared, after };
    return after;
  };
}

/** Where on the story stick something waits or failed, in its order. */
export const marksOf = (list: readonly { mark: Mark }[]): Mark[] =>
  STAGES.filter((mark) => list.some((each) => each.mark === mark));
