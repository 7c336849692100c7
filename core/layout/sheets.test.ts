import fc from "fast-check";
import highsLoader from "highs";
import { describe, expect, it } from "vitest";
import { seeded } from "../units/seeded";
import { SHEET_EDGE as EDGE } from "../assembly/material";
import { LaidPiece, layoutOf, SheetPiece, takes } from "./sheets";

const SOLD = { length: 2500, width: 1250 };
const SEED = Number(process.env.SEED ?? 20261126);
const KERF = 3;
const piece = (mark: string, length: number, width: number): SheetPiece => ({ mark, part: "x", length, width });
const laidOf = (made: ReturnType<typeof layoutOf>) =>
  made.sheets.map(({ strips }) => strips.flatMap((strip) => strip.pieces));

describe("sheets by hand", () => {
  it("a back of 860 by 620 and three bottoms of 823 by 353: all on one sheet, grain along it", () => {
    const made = layoutOf([piece("M", 860, 620), ...[1, 2, 3].map((n) => piece(`X${n}`, 823, 353))], SOLD, KERF);
    expect(made.sheets.length).toBe(1);
    expect(made.tooLarge).toEqual([]);
    expect(made.bound).toBe(1);
  });
  it("four drawer bottoms that nobody sees turn, so that they and the back come from one sheet", () => {
    const list = (turns: boolean) => [
      piece("M", 908, 780),
      ...[1, 2, 3, 4].map((n) => ({ ...piece(`X${n}`, 871, 455), turns })),
    ];
    expect(layoutOf(list(false), SOLD, KERF).sheets.length).toBe(2);
    expect(layoutOf(list(true), SOLD, KERF).sheets.length).toBe(1);
  });
  it("what is larger than a sheet is told, and nothing is laid for it", () => {
    const made = layoutOf([piece("M", 2600, 300), piece("X", 500, 500)], SOLD, KERF);
    expect(made.tooLarge.map(({ mark }) => mark)).toEqual(["M"]);
    expect(laidOf(made)).toEqual([[expect.objectContaining({ mark: "X", x: EDGE, y: EDGE })]]);
  });
  it("two halves of a sheet do not fit one: the kerf and the knocked edges are not there twice", () =>
    expect(layoutOf([piece("A", 2490, 620), piece("B", 2490, 620)], SOLD, KERF).sheets.length).toBe(2));
  it("two that leave a kerf between them do", () =>
    expect(layoutOf([piece("A", 2490, 618), piece("B", 2490, 618)], SOLD, KERF).sheets.length).toBe(1));
});

const pieces = fc.array(
  fc.record({ length: fc.integer({ min: 60, max: 2400 }), width: fc.integer({ min: 60, max: 1200 }) }),
  { minLength: 1, maxLength: 14 },
);

describe(`sheets of any pieces (seed ${SEED})`, () => {
  it("every piece lies once, within the sheet, a kerf from every other, and no fewer sheets than the bound", () =>
    fc.assert(
      fc.property(pieces, (sizes) => {
        const made = layoutOf(
          // every other one may lie either way
          sizes.map(({ length, width }, i) => ({
            ...piece(`P${i}`, length, width),
            ...(i % 2 ? { turns: true } : {}),
          })),
          SOLD,
          KERF,
        );
        for (const each of laidOf(made).flat()) if (!each.turns) expect(each.turned).toBe(false);
        const sheets = laidOf(made);
        expect(
          sheets
            .flat()
            .map(({ mark }) => mark)
            .sort(),
        ).toEqual(sizes.map((_, i) => `P${i}`).sort());
        expect(made.sheets.length).toBeGreaterThanOrEqual(made.bound);
        for (const laid of sheets)
          laid.forEach((a, i) => {
            expect(Math.min(a.x, a.y)).toBeGreaterThan(EDGE - 1e-6);
            expect(a.x + takes(a).along).toBeLessThan(SOLD.length - EDGE + 1e-6);
            expect(a.y + takes(a).across).toBeLessThan(SOLD.width - EDGE + 1e-6);
            for (const b of laid.slice(i + 1)) expect(apart(a, b)).toBeGreaterThan(KERF - 1e-6);
          });
      }),
      { numRuns: 120, seed: SEED },
    ));
  it("every strip is one cut: what is in it begins at its edge, and is no wider", () =>
    fc.assert(
      fc.property(pieces, (sizes) => {
        const { sheets } = layoutOf(
          sizes.map(({ length, width }, i) => piece(`P${i}`, length, width)),
          SOLD,
          KERF,
        );
        for (const { way, strips } of sheets)
          for (const { from, width, pieces: laid } of strips)
            for (const each of laid) {
              expect(way === "along" ? each.y : each.x).toBeCloseTo(from, 9);
              expect(way === "along" ? takes(each).across : takes(each).along).toBeLessThan(width + 1e-6);
            }
      }),
      { numRuns: 60, seed: SEED },
    ));
});
const apart = (a: LaidPiece, b: LaidPiece) =>
  Math.max(
    ...[b.x - a.x - takes(a).along, a.x - b.x - takes(b).along],
    ...[b.y - a.y - takes(a).across, a.y - b.y - takes(b).across],
  );

/**
 * The fewest sheets that any strips along them could need, as a whole-number program: each piece begins a strip or lies in that of a wider one;
 * each strip begins a sheet or lies on that of another.
 *
 * @source two-stage guillotine packing (Lodi, Martello and Vigo 2004), from memory
 */
async function fewest(sizes: readonly SheetPiece[]): Promise<number> {
  const [long, wide] = [SOLD.length - 2 * EDGE + KERF, SOLD.width - 2 * EDGE + KERF];
  const all = [...sizes].sort((a, b) => b.width - a.width);
  const n = all.length;
  const x = (i: number, j: number) => `x_${i}_${j}`;
  const z = (i: number, j: number) => `z_${i}_${j}`;
  const rows: string[] = [];
  const names: string[] = [];
  for (let j = 0; j < n; j += 1) {
    const strips = Array.from({ length: j + 1 }, (_, i) => x(i, j));
    rows.push(`${strips.join(" + ")} = 1`);
    names.push(...strips);
    const sheets = Array.from({ length: j + 1 }, (_, i) => z(i, j));
    rows.push(`${sheets.join(" + ")} - ${x(j, j)} = 0`);
    names.push(...sheets);
  }
  for (let i = 0; i < n; i += 1) {
    const inStrip = all.slice(i + 1).map(({ length }, k) => `${length + KERF} ${x(i, i + 1 + k)}`);
    if (inStrip.length > 0) rows.push(`${inStrip.join(" + ")} - ${long - all[i].length - KERF} ${x(i, i)} <= 0`);
    const onSheet = all.slice(i + 1).map(({ width }, k) => `${width + KERF} ${z(i, i + 1 + k)}`);
    if (onSheet.length > 0) rows.push(`${onSheet.join(" + ")} - ${wide - all[i].width - KERF} ${z(i, i)} <= 0`);
  }
  const model = `Minimize\n obj: ${Array.from({ length: n }, (_, i) => z(i, i)).join(" + ")}\nSubject To\n${rows.map((row, i) => ` r${i}: ${row}`).join("\n")}\nBinary\n ${names.join(" ")}\nEnd`;
  const highs = await highsLoader();
  const solved = highs.solve(model);
  if (solved.Status !== "Optimal") throw new Error(solved.Status);
  return Math.round(solved.ObjectiveValue);
}

describe("against the highs solver: strips along the sheet", () => {
  it("on 20 seeded lists no plan needs a sheet more than the fewest there are", async () => {
    let over = 0;
    for (let seed = 1; seed <= 20; seed += 1) {
      const random = seeded(seed);
      const list = Array.from({ length: 9 }, (_, i) =>
        piece(`P${i}`, Math.round(300 + 1400 * random()), Math.round(150 + 550 * random())),
      );
      const ours = layoutOf(list, SOLD, KERF).sheets.length;
      over += Math.max(0, ours - (await fewest(list)));
    }
    expect(over).toBe(0);
  }, 60_000);
});
