/** Where everything of a piece on bought legs stands, as its own files are told. mm */
import type { BoughtChoices } from "../../../piece/bought-choices";
import type { PieceGeometry } from "../../geometry";
import type { Welded } from "./welded";

/** One bought leg or frame: the middle of its plate under the top, and which way its foot spreads. mm */
export interface Stand {
  x: number;
  z: number;
  /** along the top and across it, by how much of the spread */
  out: { x: number; z: number };
  /** which way its plate's width points along the top and across it, where that is not across */
  turned?: { x: number; z: number };
}

/** Where everything of a piece on bought legs stands, mm. */
export interface Bought extends PieceGeometry {
  kind: "bought";
  stands: Stand[];
  /** under the plate */
  height: number;
  choices: BoughtChoices;
  /** one frame welded whole; null where each stands by itself */
  welded: Welded | null;
  /** a shelf lies on brackets between them */
  shelved: boolean;
}
