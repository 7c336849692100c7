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
  /** Runs the list for one lot of inputs after another, remembering stage by stage. */
  runner: () => (inputs: I) => Stood<K>;
}

interface Entry {
  name: string;
  mark: Mark;
  reads: (at: never) => readonly unknown[];
  compute: (...read: never[]) => unknown;
  otherwise?: unknown;
}

/** An empty list over these inputs. @example stageList<{ a: number }>().stage("double", "form", ({ a }) => [a], (a) => 2 * a).runner()({ a: 2 }) */
export function stageList<I extends object>(): StageList<I, object> {
  return listOf<I, object>([]);
}

function listOf<I extends object, K>(entries: readonly Entry[]): StageList<I, K> {
  return {
    stage: (name, mark, reads, compute, otherwise) =>
      listOf([
        ...entries,
        { name, mark, reads: reads as Entry["reads"], compute: compute as unknown as Entry["compute"], otherwise },
      ]),
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

function remembering({ compute }: Entry): (read: readonly unknown[]) => unknown {
  let last: readonly unknown[] | null = null;
  let value: unknown;
  return (read) => {
    if (last === null || read.length !== last.length || read.some((each, i) => each !== last![i])) {
      last = null;
      value = (compute as (...read: unknown[]) => unknown)(...read);
      last = read;
    }
    return value;
  };
}

/** Where on the story stick something waits or failed, in its order. */
export const marksOf = (list: readonly { mark: Mark }[]): Mark[] =>
  STAGES.filter((mark) => list.some((each) => each.mark === mark));
