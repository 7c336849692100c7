import type { CuttingStage } from "../layout/stage";

/** What stands where cutting, and what holds a top flat, could not be computed. */
export const NOTHING_CUT: CuttingStage = {
  boards: [],
  placed: [],
  missing: [],
  stale: [],
  chosen: false,
  circle: [],
  unknown: [],
  pieces: [],
  strips: [],
  settings: [],
  shopping: [],
  milled: [],
  cards: [],
  yieldShare: 0,
  lines: [],
  lacking: [],
};
export const NOTHING_HELD = { breadboards: null, stiffeners: null, slats: null, framed: null };
