import { AMERICAN_HARDWOODS } from "./hardwoods";
import { EUROPEAN, TROPICAL } from "./elsewhere";
import type { Species } from "./kind";
import { SOFTWOODS } from "./softwoods";

export type { CoefficientSource, Species } from "./kind";

export const SPECIES: Species[] = [...EUROPEAN, ...AMERICAN_HARDWOODS, ...SOFTWOODS, ...TROPICAL];

/** The species of that id among the maker's own and the library's, or null. */
export function findSpecies(id: string, own: readonly Species[] = []): Species | null {
  return own.find((each) => each.id === id) ?? SPECIES.find((each) => each.id === id) ?? null;
}

/**
 * Coefficient from the total shrinkage green to oven dry.
 *
 * @param shrinkage  percent, radial or tangential
 * @returns per percent MC; the two forms of the handbook's formula meet here, at 10 % MC
 * @source Wood Handbook FPL-GTR-282, ch. 13
 */
export function coefficientFromShrinkage(shrinkage: number): number {
  return 1 / (3000 / shrinkage - 20);
}
