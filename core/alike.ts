/** Whether two pieces of plain data hold the same, in whatever order their fields were written. */
export function alike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(one);
  return keys.length === Object.keys(other).length && keys.every((key) => key in other && alike(one[key], other[key]));
}
