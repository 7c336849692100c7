/** A column of a covering problem: what it costs and how much of each row it covers. */
export interface Column {
  cost: number;
  covers: readonly (readonly [row: number, count: number])[];
}

/** Reduced costs above this count as none. */
const NOTHING = 1e-9;
/** Share by which the demand is nudged in the first row, twice in the second, and so on. */
const NUDGE = 1e-7;

/**
 * What one more of each row is worth, and the least that any cover can cost: the linear covering problem
 * `min Σ cost x, Σ covers x = demand, x ≥ 0`, by the revised simplex method.
 *
 * @param single  for each row, the index of a column that covers that row alone: the first basis
 * @returns prices a unit of each row, under which no column is worth more than it costs, and their sum over the demand: a bound below every cover
 * @source Dantzig's rule; the demand is nudged a little, row by row, so that no step stands still (Charnes)
 */
export function coverPrices(
  columns: readonly Column[],
  demand: readonly number[],
  single: readonly number[],
): { prices: number[]; bound: number } {
  const m = demand.length;
  const basis = single.slice();
  const inverse = Array.from({ length: m }, (_, i) =>
    Float64Array.from({ length: m }, (_each, j) => (i === j ? 1 / columns[single[i]].covers[0][1] : 0)),
  );
  const level = demand.map((need, i) => need * (1 + NUDGE * (i + 1)) * inverse[i][i]);
  const prices = new Array<number>(m).fill(0);
  const price = () => {
    for (let j = 0; j < m; j += 1) {
      let sum = 0;
      for (let i = 0; i < m; i += 1) sum += columns[basis[i]].cost * inverse[i][j];
      prices[j] = sum;
    }
  };
  const scale = Math.max(1, ...columns.map((each) => each.cost));
  for (let step = 0; step < 100 * m + 500; step += 1) {
    price();
    let entering = -1;
    let most = NOTHING * scale;
    for (let c = 0; c < columns.length; c += 1) {
      let gain = -columns[c].cost;
      for (const [row, count] of columns[c].covers) gain += prices[row] * count;
      if (gain > most) {
        most = gain;
        entering = c;
      }
    }
    if (entering < 0) break;
    const direction = inverse.map((row) => {
      let sum = 0;
      for (const [k, count] of columns[entering].covers) sum += row[k] * count;
      return sum;
    });
    let leaving = -1;
    let least = Infinity;
    for (let i = 0; i < m; i += 1)
      if (direction[i] > 1e-9 && level[i] / direction[i] < least - 1e-12) {
        least = level[i] / direction[i];
        leaving = i;
      }
    if (leaving < 0) break;
    for (let i = 0; i < m; i += 1) {
      if (i === leaving) continue;
      level[i] -= direction[i] * least;
      const share = direction[i] / direction[leaving];
      if (share !== 0) for (let j = 0; j < m; j += 1) inverse[i][j] -= share * inverse[leaving][j];
    }
    for (let j = 0; j < m; j += 1) inverse[leaving][j] /= direction[leaving];
    level[leaving] = least;
    basis[leaving] = entering;
  }
  price();
  // rounding may leave a column a hair over its cost: shrink until none is, so that the bound is one
  let worst = 1;
  for (const column of columns) {
    let worth = 0;
    for (const [row, count] of column.covers) worth += prices[row] * count;
    if (worth > column.cost) worst = Math.max(worst, worth / column.cost);
  }
  const fair = prices.map((each) => each / worst);
  return { prices: fair, bound: fair.reduce((sum, each, i) => sum + each * demand[i], 0) };
}
