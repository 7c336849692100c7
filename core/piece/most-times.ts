/** A piece is made so many times at most. Ours: more is a series, with jigs and a plan of its own */
export const MOST_TIMES = 12;
