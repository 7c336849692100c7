import { differing, familyOf, KindChoice } from "../piece/kinds";
import { findSpecies, Species } from "./species";

/** Wood by kind of part, where it is not the piece's. */
export type Woods = Record<string, Species>;

/** A piece of one wood, always the same, so that nothing is worked out again for it. */
const NONE: Woods = {};

/** The woods of the kinds that have their own; one that no library knows stays the piece's. */
export function woodsOf(kinds: Record<string, KindChoice>, own: readonly Species[]): Woods {
  const others = differing({ kinds });
  if (others.length === 0) return NONE;
  return Object.fromEntries(
    others.flatMap(([kind, { species }]) => {
      const wood = species === null ? undefined : findSpecies(species, own);
      return wood ? [[kind, wood]] : [];
    }),
  );
}

/** What a kind of part is made from: its own, or that of the first of its family. @param usual  the piece's own */
export const woodOf = (woods: Woods, kind: string, usual: Species): Species =>
  woods[kind] ?? woods[familyOf(kind)] ?? usual;

/** Every wood of a piece once, its own first. */
export const usedWoods = (woods: Woods, usual: Species): Species[] => [
  ...new Map([usual, ...Object.values(woods)].map((wood) => [wood.id, wood])).values(),
];
