import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { CaseRow } from "../../../piece/case-choices";
import { bayAdded, growing, LEAST, moved, split, without } from "./divide";
import { shared } from "./place";

const sizes = fc.array(fc.option(fc.integer({ min: 60, max: 200 }), { nil: null }), { minLength: 2, maxLength: 6 });
const SEED = Number(process.env.SEED ?? 20261126);

describe(`a division moved by hand (seed ${SEED})`, () => {
  it("only its two neighbours change, together they stay what they were, and the rest is kept to the half millimetre", () =>
    fc.assert(
      fc.property(sizes, fc.nat(), fc.integer({ min: -50, max: 500 }), (asked, n, to) => {
        const room = 1200;
        const before = shared(room, asked);
        const i = n % (asked.length - 1);
        fc.pre(before.every((each) => each > 2 * LEAST));
        const after = shared(room, moved(asked, before, i, to));
        after.forEach((each, k) => {
          if (k !== i && k !== i + 1) expect(Math.abs(each - before[k])).toBeLessThan(0.26 * asked.length);
          else expect(each).toBeGreaterThan(LEAST - 0.26 * asked.length);
        });
        expect(after.reduce((sum, each) => sum + each, 0)).toBeCloseTo(room, 6);
        expect(Math.abs(after[i] + after[i + 1] - before[i] - before[i + 1])).toBeLessThan(0.26 * asked.length);
      }),
      { numRuns: 300, seed: SEED },
    ));
  it("what was open stays open somewhere: the whole can still grow", () =>
    expect(moved([null, null, null], [100, 100, 100], 0, 140)).toEqual([140, 60, null]));
  it("what was all typed stays typed", () => expect(moved([100, 100], [100, 100], 0, 140)).toEqual([140, 60]));
});

const row = (height: number | null, holds: CaseRow["holds"] = "drawer"): CaseRow => ({ height, holds, shelves: 0 });
describe("openings split, taken out, grown", () => {
  it("two halves and what divides them are what one was", () => {
    const two = split([row(220), row(null)], 0, 220, 20);
    expect(two).toEqual([row(100), row(100), row(null)]);
    expect(split([row(null)], 0, 400, 20)).toEqual([row(null), row(null)]);
  });
  it("one taken out leaves its room to its neighbour", () => {
    expect(without([row(100), row(200), row(300)], 1)).toEqual([row(100), row(null)]);
    expect(without([row(100), row(200)], 1)).toEqual([row(null)]);
  });
  it("heights grow by one ratio and fill their room: a geometric series", () => {
    const rows = growing([row(null), row(null), row(null)], 364, 1.2);
    // 100, 120, 144
    expect(rows.map(({ height }) => height)).toEqual([100, 120, null]);
    expect(
      shared(
        364,
        rows.map(({ height }) => height),
      )[2],
    ).toBe(144);
  });
  it("a bay beside another is empty and shares the width", () =>
    expect(bayAdded([{ width: 300, rows: [row(null)] }], 0)).toEqual([
      { width: null, rows: [row(null)] },
      { width: null, rows: [row(null, "nothing")] },
    ]));
});
