import type { Brief, Form } from "../../piece/schema";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";

/** What rules of leaves that hang are told. */
export interface DropFacts {
  form: Form;
  at: PieceGeometry;
  brief: Brief;
  species: Species;
  /** of the whole piece, kg */
  weight: number;
}
