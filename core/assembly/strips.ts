/** A part that is glued from strips of different woods, strip by strip: for whatever shows it, or weighs it. */
import type { AssemblyPart } from "./part";

const known = new WeakMap<AssemblyPart, AssemblyPart[]>();

/** The part as bodies of one wood each, under its own id; itself where it is of one. What its joints add at its ends is the first strip's. */
export function asStrips(part: AssemblyPart): AssemblyPart[] {
  if (!part.strips) return [part];
  const before = known.get(part);
  if (before) return before;
  const { strips, shape } = part;
  const bodies = strips.map(({ kind, from, width }, i): AssemblyPart => ({
    ...part,
    kind,
    adds: i === 0 ? part.adds : [],
    shape: {
      ...shape,
      planes: [
        ...(shape.planes ?? []),
        ...(i > 0 ? [{ through: [0, from, 0] as const, waste: [0, -1, 0] as const }] : []),
        ...(i < strips.length - 1 ? [{ through: [0, from + width, 0] as const, waste: [0, 1, 0] as const }] : []),
      ],
    },
  }));
  known.set(part, bodies);
  return bodies;
}

/** Density of a part, kg/m³: of one glued from strips the mean over its width. */
export function densityIn(
  { kind, strips }: Pick<AssemblyPart, "kind" | "strips">,
  of: (kind: string) => number,
): number {
  if (!strips) return of(kind);
  const width = strips.reduce((sum, each) => sum + each.width, 0);
  return strips.reduce((sum, each) => sum + of(each.kind) * each.width, 0) / width;
}
