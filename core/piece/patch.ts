/** One change to the inputs: the value that stands at a path. An index one past a list's end adds to it. */
export interface Patch {
  path: (string | number)[];
  value: unknown;
}

/**
 * Applies patches in order; what they don't touch keeps its identity, so that memoised stages stay valid.
 *
 * @throws Error when a path leads through something that is not there: a programmer's mistake
 */
export function applyPatches<T>(target: T, patches: readonly Patch[]): T {
  return patches.reduce<T>((whole, { path, value }) => setAt(whole, path, value) as T, target);
}

function setAt(target: unknown, path: readonly (string | number)[], value: unknown): unknown {
  if (path.length === 0) return value;
  const [key, ...rest] = path;
  if (Array.isArray(target)) {
    const copy = target.slice();
    copy[key as number] = setAt(target[key as number], rest, value);
    return copy;
  }
  if (target === null || typeof target !== "object") throw new Error(`No ${String(key)} to set here.`);
  const record = target as Record<string, unknown>;
  return { ...record, [key]: setAt(record[key], rest, value) };
}
