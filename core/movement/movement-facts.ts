/** What the rules of movement judge. */
import type { MoistureYear } from "../climate/year";
import type { PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import type { Species } from "../wood/species";
import type { Woods } from "../wood/woods";
import type { Acclimatising } from "./acclimatise";
import type { Breadboards } from "./breadboard";
import type { Fastener } from "./buttons";
import type { FramedTop, Slats, Stiffeners } from "./flat";
import type { InsetMovement } from "./insets";
import type { Stop } from "./restraint";
import type { TopMovement } from "./year";

/** Days, percent, mm. @source common practice, save where said */
export const MOVEMENT_LIMITS = { readingAge: 30, awayFromRoom: 2, cup: 0.5, square: 1, edgeLeft: 5 };

/** A piece’s movement as its rules see it. */
export interface MovementFacts {
  piece: Piece;
  at: PieceGeometry;
  species: Species;
  /** of kinds that are of another wood */
  woods: Woods;
  year: MoistureYear;
  top: TopMovement;
  fasteners: readonly Fastener[];
  today: string;
  delivered: string;
  breadboards: Breadboards | null;
  stiffeners: Stiffeners | null;
  slats: Slats | null;
  framed: FramedTop | null;
  insets: readonly InsetMovement[];
  stopped: readonly Stop[];
  acclimatising: Acclimatising | null;
}
