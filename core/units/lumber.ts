/** How boards are sold: quarters, nominal softwood sizes, sawn metric, board feet and cubic metres. */

/** m³ in a board foot: 12 × 12 × 1 in. @source definition, NIST Handbook 44 appendix C */
export const M3_PER_BOARD_FOOT = 0.3048 * 0.3048 * 0.0254;

/** Rough and surfaced thickness of the quarter sizes, mm. @source hardwood lumber grading practice (S2S), from memory */
export const QUARTERS: Record<string, { rough: number; surfaced: number }> = {
  "4/4": { rough: 25.4, surfaced: 20.6 },
  "5/4": { rough: 31.75, surfaced: 27 },
  "6/4": { rough: 38.1, surfaced: 33.3 },
  "8/4": { rough: 50.8, surfaced: 44.5 },
  "10/4": { rough: 63.5, surfaced: 57.2 },
  "12/4": { rough: 76.2, surfaced: 69.9 },
  "16/4": { rough: 101.6, surfaced: 95.3 },
};

/** Sawn metric thicknesses usually stocked, mm. @source common practice */
export const SAWN_METRIC = [20, 27, 32, 41, 52, 65, 80, 100];

const NOMINAL_THICKNESS: Record<number, number> = { 1: 19, 2: 38, 4: 89 };
const NOMINAL_WIDTH: Record<number, number> = { 2: 38, 3: 64, 4: 89, 6: 140, 8: 184, 10: 235, 12: 286 };

/**
 * Dry dressed size of a nominal softwood size.
 *
 * @param name  such as `2x4` or `1×12`
 * @returns thickness and width in mm, or null when the standard has no such size
 * @source American Softwood Lumber Standard PS 20, from memory
 */
export function nominalSize(name: string): { thickness: number; width: number } | null {
  const match = name.match(/^(\d+)\s*[x×]\s*(\d+)$/i);
  if (!match) return null;
  const thickness = NOMINAL_THICKNESS[Number(match[1])];
  const width = NOMINAL_WIDTH[Number(match[2])];
  return thickness && width ? { thickness, width } : null;
}

/** Board feet in a piece, from mm. */
export function boardFeet(length: number, width: number, thickness: number): number {
  return cubicMetres(length, width, thickness) / M3_PER_BOARD_FOOT;
}

/** Cubic metres in a piece, from mm. */
export function cubicMetres(length: number, width: number, thickness: number): number {
  return (length * width * thickness) / 1e9;
}

/** The next thickness a merchant saws at or above `thickness` mm, or null when none is stocked. */
export function nextSawnThickness(thickness: number): number | null {
  return SAWN_METRIC.find((sawn) => sawn >= thickness - 1e-6) ?? null;
}
