/** Limits of what lets a top move, and what its rules share. */

/** @source common practice, save where said */
export const HOLD_LIMITS = {
  clearance: 0.5,
  bow: 2,
  overlap: 6,
  pullIn: 1.5,
  jump: 1.5,
};

export const TRAVEL = "Wood Handbook FPL-GTR-282, ch. 13, for the travel";

export const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;
