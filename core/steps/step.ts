/** One step of the work. `after` names the steps it waits for; hours at the bench, then hours of waiting. */
export interface Step {
  id: string;
  title: string;
  detail: string;
  parts: string[];
  after: string[];
  hours: number;
  wait: number;
  waitFor: string;
  /** clamps it takes, and for how long after the work at the bench they stay on, hours */
  clamps: number;
  clampHours: number;
  caution: string;
  check: string;
  /** done once for all copies of the piece, or told panel by panel */
  once?: true;
}

export interface DatedStep extends Step {
  starts: string;
  ready: string;
  done: boolean;
}

/** A step from what is said of it; the rest is empty. */
export const stepOf = (given: Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">): Step => ({
  parts: [],
  after: [],
  wait: 0,
  waitFor: "",
  clamps: 0,
  clampHours: 0,
  caution: "",
  check: "",
  ...given,
});

/** Clamps round a frame: two ends at once, then the whole base. @source common practice */
export const FRAME_CLAMPS = 4;

/** Hours a job takes, and waits. @source common practice; the maker's own record will replace them */
export const TIME = {
  mill: 0.35,
  mortise: 0.25,
  tenon: 0.3,
  dowelHole: 0.05,
  pocket: 0.05,
  dryFit: 1.5,
  shape: 0.4,
  edge: 0.1,
  glueFrame: 1,
  flatten: 2.5,
  sand: 3,
  coat: 0.75,
  attach: 1,
  release: 24,
  seam: 24,
  fill: 24,
};
