/** Range of MC in which the linear coefficient holds, percent. @source Wood Handbook FPL-GTR-282, ch. 13 */
export const LINEAR_RANGE = { from: 6, to: 14 };
/** Fibre saturation as the handbook's shrinkage form takes it, percent. @source Wood Handbook FPL-GTR-282, ch. 13 */
export const SATURATION = 30;

/**
 * Change of a board's width when its moisture content goes from `from` to `to`.
 *
 * @param width        mm, across the grain, at moisture content `from`
 * @param coefficient  per percent MC, from `coefficientAt(species, ringAngle)`
 * @param from, to     percent MC, held to 30 at most; linear between 6 and 14, by total shrinkage outside
 * @returns mm, positive when it swells
 * @source Wood Handbook FPL-GTR-282, ch. 13
 */
export function widthChange(width: number, coefficient: number, from: number, to: number): number {
  const m1 = Math.min(SATURATION, from);
  const m2 = Math.min(SATURATION, to);
  if (inRange(m1) && inRange(m2)) return width * coefficient * (m2 - m1);
  return shrinkageChange(width, 3000 / (1 / coefficient + 20), m1, m2);
}

/**
 * The handbook's form for moisture outside 6 to 14 %.
 *
 * @param shrinkage  total, green to oven dry, percent, in the direction of the width
 * @returns mm, positive when it swells
 * @source Wood Handbook FPL-GTR-282, ch. 13
 */
export function shrinkageChange(width: number, shrinkage: number, from: number, to: number): number {
  return (width * (to - from)) / (3000 / shrinkage - SATURATION + from);
}

const inRange = (moisture: number) => moisture >= LINEAR_RANGE.from && moisture <= LINEAR_RANGE.to;
