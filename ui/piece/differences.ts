/** The fields in which two records differ, by path, each side as text. */
export function differences(
  theirs: unknown,
  mine: unknown,
  path = "",
): { field: string; theirs: string; mine: string }[] {
  if (Object.is(theirs, mine)) return [];
  const plain = (value: unknown) => value === null || typeof value !== "object";
  if (plain(theirs) || plain(mine) || Array.isArray(theirs) || Array.isArray(mine)) {
    return JSON.stringify(theirs) === JSON.stringify(mine)
      ? []
      : [{ field: path || "the whole", theirs: brief(theirs), mine: brief(mine) }];
  }
  const keys = new Set([...Object.keys(theirs as object), ...Object.keys(mine as object)]);
  return [...keys].flatMap((key) =>
    differences(
      (theirs as Record<string, unknown>)[key],
      (mine as Record<string, unknown>)[key],
      path ? `${path}, ${key}` : key,
    ),
  );
}

function brief(value: unknown): string {
  if (Array.isArray(value)) return `${value.length} entries`;
  return typeof value === "string" ? value : (JSON.stringify(value) ?? "none");
}
