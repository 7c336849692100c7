import * as v from "valibot";
import { between, name, text } from "../piece/fields";
import type { Species } from "./kind";

/** What a maker types to add a species; coefficients are per percent MC. */
export const ownSpeciesSchema = v.pipe(
  v.object({
    name: name("name"),
    kind: v.picklist(["hardwood", "softwood"], "Kind is hardwood or softwood."),
    radial: between("radial coefficient", 0.0003, 0.006),
    tangential: between("tangential coefficient", 0.0003, 0.006),
    density: between("density", 100, 1400, " kg/m³"),
    stiffness: between("stiffness", 1, 40, " GPa"),
    note: text("note", 300),
  }),
  v.check(
    (given) => given.tangential >= given.radial,
    "The tangential coefficient can't be under the radial one: wood moves more along its rings than across them.",
  ),
);

/** A maker's own species as a record of the library. @throws when `given` was not checked against the schema */
export function toSpecies(given: unknown): Species {
  const read = v.parse(ownSpeciesSchema, given);
  return {
    ...read,
    id: `own-${read.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "")}`,
    source: "own",
    colour: ["#dcc8a2", "#b39868"],
  };
}
