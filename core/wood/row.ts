import type { CoefficientSource, Species } from "./kind";

export type SpeciesRow = [
  id: string,
  name: string,
  radial: number,
  tangential: number,
  density: number,
  stiffness: number,
  note: string,
  colour: [string, string],
];

/** One line of a species table as a record. */
export function fromRow(kind: Species["kind"], source: CoefficientSource) {
  return ([id, name, radial, tangential, density, stiffness, note, colour]: SpeciesRow): Species => ({
    id,
    name,
    kind,
    radial,
    tangential,
    density,
    stiffness,
    note,
    source,
    colour,
  });
}
