/** Limits of what holds a top flat, and what its rules share. */

/** @source common practice, save where said */
export const FLAT_LIMITS = {
  clearance: 0.5,
  proud: 4,
  shy: 0.2,
  endGap: 10,
  drawOffset: { low: 0.8, high: 1.6 },
  tongue: { low: 25, high: 40 },
  glued: 100,
  slatGap: { least: 3, good: 4, most: 12 },
  mitre: 0.3,
};

export const TRAVEL = "Wood Handbook FPL-GTR-282, ch. 13, for the travel";

export const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;
