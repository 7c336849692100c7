/** Long rails where they run: one a side from leg to leg, or two that meet in the middle of a table that opens. */
/** One of them: which side of the top it is on, from where to where along it, the legs it is joined to. mm */
export interface LongRail {
  id: string;
  side: 1 | -1;
  from: number;
  to: number;
  legs: readonly (1 | -1)[];
}

/** Two halves of a rail stay so far from the middle each: the top closes before they do, mm. @source common practice */
const APART = 0.5;
const SIDES = [-1, 1] as const;

interface Run {
  longRail: { shoulder: number; split: boolean };
}

export function longRailsOf({ longRail: { shoulder, split } }: Run): LongRail[] {
  const half = shoulder / 2;
  return SIDES.flatMap((side, i): LongRail[] =>
    split
      ? SIDES.map((x, j) => ({
          ...{ id: `A${2 * i + j + 1}`, side, legs: [x] },
          ...(x < 0 ? { from: -half, to: -APART } : { from: APART, to: half }),
        }))
      : [{ id: `A${i + 1}`, side, from: -half, to: half, legs: SIDES }],
  );
}

/** The one beside a leg: x and z its corner. */
export const longRailAt = (at: Run, x: number, z: number): string =>
  longRailsOf(at).find(({ side, legs }) => side === Math.sign(z) && legs.some((leg) => leg === Math.sign(x)))!.id;
