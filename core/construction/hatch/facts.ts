import type { AssemblyPart } from "../../assembly/part";
import type { Form } from "../../piece/schema";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";

/** What the rules of a lid in the top judge. */
export interface HatchFacts {
  form: Form;
  at: PieceGeometry;
  species: Species;
  parts: readonly AssemblyPart[];
}
