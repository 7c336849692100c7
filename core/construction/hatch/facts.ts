import type { AssemblyPart } from "../../assembly/part";
import type { Form } from "../../piece/schema";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";

/** A lid sawn out of the top. x from its middle to the right, y to the back, mm */
export interface Hatch {
  /** at its back edge or its front one */
  hinged: 1 | -1 | null;
  /** out of the top's right end or its left one */
  slides: 1 | -1 | null;
  x: { from: number; to: number };
  y: { from: number; to: number };
  gap: number;
  ledge: number;
  thickness: number;
}

/** What the rules of a lid in the top judge. */
export interface HatchFacts {
  form: Form;
  at: PieceGeometry;
  species: Species;
  parts: readonly AssemblyPart[];
}
