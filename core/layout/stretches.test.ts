import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freshPiece } from "../piece/fresh";
import type { Piece } from "../piece/schema";
import { USUAL_SHOP } from "../piece/shop";
import { heldBy } from "../stock/board";
import { demoBoard } from "../testing/boards";
import { at, planOf, strips, tableWith } from "../testing/plans";
import { panelCandidates, widestWindow } from "./candidates";
import { offcutsOf } from "./offcuts";
import { runsOf } from "./runs";
import { followed, offcutOf, stretchesOf } from "./stretches";

const SEED = Number(process.env.SEED ?? 20261126);
const shop = USUAL_SHOP;
const fresh = { ...freshPiece("Table", "2026-11-23"), commission: "House" };
const withStrip = (slide: number, change: Partial<Piece> = {}): Piece => ({
  ...fresh,
  panels: { top: { ...fresh.panels.top, strips: strips("B1").map((strip) => ({ ...strip, slide })) } },
  ...change,
});

describe("what a piece needs of its boards", () => {
  it("a strip is its panel, the shop's allowance and the saw cut; a section is itself and the saw cut", () => {
    const piece = withStrip(120, {
      cutting: {
        ...fresh.cutting,
        sections: [{ board: "R1", x: 20, y: 0, length: 781, lanes: [{ width: 101, pieces: ["E2"] }] }],
      },
    });
    // 1800, 40 of allowance, 3 of kerf
    expect(stretchesOf(piece, shop)).toEqual([
      { board: "B1", from: 120, to: 120 + 1800 + 40 + 3 },
      { board: "R1", from: 20, to: 804 },
    ]);
  });
  it("is the whole board for a piece of no commission, and where boards are ripped whole", () => {
    expect(stretchesOf(withStrip(120, { commission: " " }), shop)).toEqual([{ board: "B1", from: 0, to: null }]);
    const whole = withStrip(120);
    whole.panels.top.crosscutFirst = false;
    expect(stretchesOf(whole, shop)).toEqual([{ board: "B1", from: 0, to: null }]);
  });
  it("counts each copy's panel, and no board that is sawn", () => {
    const twice = withStrip(0, { times: 2 });
    const panels = { ...twice.panels, "2.top": { ...twice.panels.top, strips: strips("B2") } };
    expect(stretchesOf({ ...twice, panels }, shop).map(({ board, to }) => [board, to])).toEqual([
      ["B1", 1843],
      ["B2", 1843],
    ]);
    const { reservedBy: _, ...board } = demoBoard({ id: "B1" });
    const sawn = [{ board, on: "2026-11-23", strip: null, sections: [], offcuts: [] }];
    expect(
      stretchesOf({ ...twice, panels, cutting: { ...fresh.cutting, sawn } }, shop).map(({ board: id }) => id),
    ).toEqual(["B2"]);
  });
  it("a piece that can't be placed keeps its boards whole", () => {
    const bare = withStrip(0);
    const broken = { ...bare, form: { ...bare.form, top: { ...bare.form.top, length: Number.NaN } } };
    expect(stretchesOf(broken, shop)).toEqual([{ board: "B1", from: 0, to: null }]);
  });
});

describe("where a stretch lies once the rest of its board is cut", () => {
  it("on the offcut that holds it, however often that was cut again", () => {
    const cut = new Map([
      [
        "B1",
        [
          { id: "B1.1", from: 20, length: 600 },
          { id: "B1.2", from: 1000, length: 1400 },
        ],
      ],
      ["B1.2", [{ id: "B1.2.1", from: 300, length: 900 }]],
    ]);
    expect(followed([{ board: "B1", from: 1400, to: 2100 }], cut, shop)).toEqual([
      { board: "B1.2.1", from: 100, to: 800 },
    ]);
    expect(followed([{ board: "B1", from: 500, to: 900 }], cut, shop)).toEqual([]);
    expect(
      followed(
        [
          { board: "B1", from: 0, to: null },
          { board: "R1", from: 5, to: 9 },
        ],
        cut,
        shop,
      ),
    ).toEqual([{ board: "R1", from: 5, to: 9 }]);
  });
  it("the saw cut that was kept beyond it may be made already: that is no wood of it", () => {
    const [left] = [[{ id: "B1.1", from: 800, length: 700 }]];
    expect(offcutOf({ from: 900, to: 1500 + shop.kerf }, left, shop)?.id).toBe("B1.1");
    expect(offcutOf({ from: 900, to: 1502 + shop.kerf }, left, shop)).toBeUndefined();
    expect(offcutOf({ from: 798, to: 1400 }, left, shop)).toBeUndefined();
  });
  it("any stretch beside the cuts that is long enough to keep lies whole on one of the board's offcuts", () => {
    const random = fc.record({
      x: fc.integer({ min: 20, max: 1200 }),
      length: fc.integer({ min: 100, max: 900 }),
      from: fc.integer({ min: 20, max: 2300 }),
      long: fc.integer({ min: 500, max: 1500 }),
    });
    fc.assert(
      fc.property(random, ({ x, length, from, long }) => {
        const board = demoBoard({ id: "B1", length: 2600 });
        const to = Math.min(from + long + shop.kerf, 2600);
        const beside = to <= x || from >= x + length + shop.kerf;
        const left = offcutsOf(board, [{ x, y: 0, length, width: 150 }], shop).map((each) => ({
          id: each.id,
          from: each.cutAt!,
          length: each.length,
        }));
        const on = offcutOf({ from, to }, left, shop);
        if (!beside) expect(on).toBeUndefined();
        else if (to - from >= shop.keepOffcut + shop.kerf) expect(on).toBeDefined();
        if (on) expect(from - on.from + (to - from) - shop.kerf).toBeLessThanOrEqual(on.length + 1);
      }),
      { seed: SEED, numRuns: 300 },
    );
  });
});

describe("a board that keeps a stretch for another piece", () => {
  const board = demoBoard({ id: "B1", held: [{ piece: "x", name: "Stool", from: 900, to: 1500 }] });
  it("gives the layout what is left of it", () => {
    expect(runsOf(board, [], shop).map(({ x, length }) => [x, length])).toEqual([
      [20, 900 - shop.kerf - 20],
      [1500, 2380 - 1500],
    ]);
    expect(heldBy(board, 1499, 1600)).toBe("Stool");
    expect(heldBy(board, 1500, 1600)).toBeNull();
    expect(heldBy({ held: [{ piece: "x", name: "Stool", from: 10, to: null }] }, 5000, 5001)).toBe("Stool");
  });
  it("gives a panel a strip beside it, and says so where none fits", () => {
    expect(widestWindow(board, 850, shop.kerf)).toEqual({ slide: 0, width: 160, from: 0 });
    expect(widestWindow({ ...board, held: [{ piece: "x", name: "Stool", from: 200, to: 700 }] }, 850)).toMatchObject({
      slide: 700,
      width: 160,
    });
    const need = { length: 1800, width: 800, thickness: 28 };
    const choice = { banned: [], crosscutFirst: true, sawnFace: null };
    const reasons = (crosscutFirst: boolean) =>
      panelCandidates([board], board.species, need, { shop, choice: { ...choice, crosscutFirst } }).unfit.map(
        ({ reason }) => reason,
      );
    expect(reasons(true)).toEqual(["in part reserved for Stool"]);
    expect(reasons(false)).toEqual(["in part reserved for Stool"]);
  });
  it("a strip laid over it is told, and a plan lays nothing there", () => {
    const rack = [
      ...["B2", "B3", "B4", "B5", "B6", "B7", "B8"].map((id) => demoBoard({ id, width: 150 })),
      { ...board, held: [{ piece: "x", name: "Stool", from: 1000, to: 2000 }] },
    ];
    const plan = planOf(tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6"))), rack);
    const told = plan.verdicts.find(({ id }) => id === "boards.taken")!;
    expect(told.text).toBe("B1 is reserved for Stool where this piece would cut it");
    for (const cut of plan.cutting.boards.filter(({ board: { id } }) => id === "B1"))
      for (const section of cut.sections) expect(section.x + section.length <= 1000 || section.x >= 2000).toBe(true);
  });
});
