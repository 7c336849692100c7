/** What rules of a facing judge. */
import type { Form } from "../../piece/schema";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";

export interface FacingFacts {
  form: Form;
  at: PieceGeometry;
  /** of what it is glued to */
  species: Species;
}
