/** A template over sheets of paper at full size: which stretch of it lies on which. mm */

/** What printers print on of the sheets that are sold: of A4 and letter, of A3 and tabloid, the lesser each way. */
export const PAPERS = {
  small: { name: "A4 or letter", short: 180, long: 250 },
  large: { name: "A3 or tabloid", short: 250, long: 390 },
} as const;
export type Paper = keyof typeof PAPERS;
/** More are not printed but sent as a file. Ours */
export const MOST_PAGES = 12;

export interface Page {
  /** counted from the lower left, along its length and across it */
  column: number;
  row: number;
  x: number;
  y: number;
  length: number;
  width: number;
}

export interface Paging {
  columns: number;
  rows: number;
  upright: boolean;
  pages: Page[];
}

/** So that fewest sheets are used; room around it for a line that is sawn outside. */
export function pagesOf(size: { length: number; width: number }, around: number, paper: Paper = "small"): Paging {
  const [long, wide] = [size.length + 2 * around, size.width + 2 * around];
  const laid = (length: number, width: number) => ({
    ...{ length, width },
    columns: Math.max(1, Math.ceil(long / length - 1e-9)),
    rows: Math.max(1, Math.ceil(wide / width - 1e-9)),
  });
  const { short, long: high } = PAPERS[paper];
  const [upright, level] = [laid(short, high), laid(high, short)];
  const best = upright.columns * upright.rows < level.columns * level.rows ? upright : level;
  return {
    columns: best.columns,
    rows: best.rows,
    upright: best === upright,
    pages: Array.from({ length: best.rows }, (_, row) =>
      Array.from({ length: best.columns }, (_, column): Page => ({
        ...{ column: column + 1, row: row + 1 },
        x: column * best.length - around,
        y: row * best.width - around,
        // the last ones end where it does
        length: Math.min(best.length, long - column * best.length),
        width: Math.min(best.width, wide - row * best.width),
      })),
    ).flat(),
  };
}
