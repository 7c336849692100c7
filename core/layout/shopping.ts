import type { RoughPiece } from "./sawing";
import { boardFeet, cubicMetres, nextSawnThickness } from "../units/lumber";

/** Bought over what is used, for checks, knots and matching. @source common practice */
export const WASTE_FACTOR = 1.3;
/** Rough stock over the finished thickness, mm. @source common practice */
export const THICKNESS_ALLOWANCE = 5;

export interface ShoppingLine {
  species: string;
  sawn: number | null;
  thickness: number;
  longest: number;
  widest: number;
  pieces: number;
  cubicMetres: number;
  boardFeet: number;
}

/** What the rack lacks, by the sawn thickness to ask for; `sawn` is null when no merchant saws it so thick: laminate. */
export function shoppingList(missing: readonly RoughPiece[], usual: string): ShoppingLine[] {
  const lines = new Map<string, ShoppingLine>();
  for (const piece of missing) {
    const rough = piece.thickness + THICKNESS_ALLOWANCE;
    const sawn = nextSawnThickness(rough);
    const species = piece.species ?? usual;
    const key = `${species} ${sawn ?? rough}`;
    const line = lines.get(key) ?? {
      species,
      sawn,
      thickness: sawn ?? rough,
      longest: 0,
      widest: 0,
      pieces: 0,
      cubicMetres: 0,
      boardFeet: 0,
    };
    line.pieces += 1;
    line.longest = Math.max(line.longest, piece.length);
    line.widest = Math.max(line.widest, piece.width);
    line.cubicMetres += cubicMetres(piece.length, piece.width, line.thickness) * WASTE_FACTOR;
    line.boardFeet += boardFeet(piece.length, piece.width, line.thickness) * WASTE_FACTOR;
    lines.set(key, line);
  }
  return [...lines.values()].sort(
    (a, b) => Number(a.species !== usual) - Number(b.species !== usual) || a.thickness - b.thickness,
  );
}
