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
