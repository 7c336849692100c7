import { AMERICAN_HARDWOODS } from "./hardwoods";
import { EUROPEAN, TROPICAL } from "./elsewhere";
import { SOFTWOODS } from "./softwoods";

/** Where a pair of coefficients comes from. */
export type CoefficientSource =
  | "Wood Handbook FPL-GTR-282, Table 13-5, from memory"
  | "shrinkage tables of European timbers, from memory; C = 1/(3000/S − 20)"
  | "own";

export interface Species {
  id: string;
  name: string;
  kind: "hardwood" | "softwood";
  /** dimensional change per percent MC, radial and tangential, 6 to 14 % MC */
  radial: number;
  tangential: number;
  /** kg/m³ at 12 % MC */
  density: number;
  /** modulus of elasticity along the grain, GPa at 12 % MC */
  stiffness: number;
  /** what it is like to work, and what to watch */
  note: string;
  source: CoefficientSource;
  /** colour of the planed face and of its late wood */
  colour: [string, string];
}

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
