import type { RoughPiece } from "./sawing";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { at, find, planOf, plainRack, strips, tableWith } from "../testing/plans";
import { demoBoard, randomRack } from "../testing/boards";
import { millingYield } from "../stock/milling";
import { cuttingPlan } from "./cutting";
import { END_TRIM } from "./runs";
import { freshCutting } from "../piece/cutting-choices";
import { shoppingList, WASTE_FACTOR } from "./shopping";

const pieces = fc
  .array(
    fc.record({
      length: fc.integer({ min: 120, max: 1900 }),
      width: fc.integer({ min: 30, max: 150 }),
      thickness: fc.integer({ min: 18, max: 34 }),
    }),
    { minLength: 1, maxLength: 25 },
  )
  .map((list): RoughPiece[] => list.map((each, i) => ({ ...each, id: `P${i}`, part: "p", label: `P${i}` })));

describe("pieces on boards (property: 100 random lists on random racks)", () => {
  it("lie inside their board, clear of its ends, its defects, each other and the panel's strip, a kerf apart", () => {
    fc.assert(
      fc.property(pieces, fc.integer({ min: 1, max: 500 }), (list, seed) => {
        const rack = randomRack(seed, 12).map((board, i) =>
          i % 3 ? board : { ...board, defects: [{ kind: "knot" as const, x: 700, y: 20, length: 50, width: 40 }] },
        );
        const used = [{ board: rack[1].id, x: 0, y: 0, length: 900, width: rack[1].width }];
        const { placed, missing } = cuttingPlan(list, freshCutting(), { rack, strips: used, shop: USUAL_SHOP });
        expect(placed.length + missing.length).toBe(list.length);
        for (const one of placed) {
          const board = rack.find((each) => each.id === one.board)!;
          expect(one.x).toBeGreaterThanOrEqual(END_TRIM);
          expect(one.x + one.piece.length).toBeLessThanOrEqual(board.length - END_TRIM + 1e-9);
          expect(one.y + one.piece.width).toBeLessThanOrEqual(board.width + 1e-9);
          expect(millingYield(board, USUAL_SHOP, one.piece.length, one.piece.width).thickness).toBeGreaterThanOrEqual(
            one.piece.thickness,
          );
          for (const d of board.defects) expect(one.x + one.piece.length <= d.x || one.x >= d.x + d.length).toBe(true);
          if (board.id === used[0].board) expect(one.x).toBeGreaterThanOrEqual(900 + USUAL_SHOP.kerf);
          for (const other of placed) {
            if (other === one || other.board !== one.board) continue;
            const apart =
              one.x + one.piece.length + USUAL_SHOP.kerf <= other.x + 1e-9 ||
              other.x + other.piece.length + USUAL_SHOP.kerf <= one.x + 1e-9 ||
              one.y + one.piece.width + USUAL_SHOP.kerf <= other.y + 1e-9 ||
              other.y + other.piece.width + USUAL_SHOP.kerf <= one.y + 1e-9;
            expect(apart).toBe(true);
          }
        }
      }),
      { numRuns: 100 },
    );
  });
  it("a reserved board gives nothing", () => {
    const rack = [demoBoard({ reservedBy: { piece: "x", name: "Desk" } })];
    expect(
      cuttingPlan([{ id: "P", part: "p", label: "P", length: 500, width: 60, thickness: 25 }], freshCutting(), {
        rack,
        strips: [],
        shop: USUAL_SHOP,
      }).missing,
    ).toHaveLength(1);
  });
});

describe("what is missing becomes a shopping list", () => {
  it("asks for the sawn thickness above, with the usual waste", () => {
    const [line] = shoppingList(
      [{ id: "A1", part: "rail", label: "A1", length: 1000, width: 100, thickness: 25 }],
      "european-ash",
    );
    expect(line).toMatchObject({ sawn: 32, pieces: 1, longest: 1000, widest: 100 });
    expect(line.cubicMetres).toBeCloseTo(1 * 0.1 * 0.032 * WASTE_FACTOR, 12);
    expect(line.boardFeet).toBeCloseTo(line.cubicMetres * 423.776, 4);
  });
  it("says so when no merchant saws it so thick", () => {
    expect(
      shoppingList([{ id: "L1", part: "leg", label: "L1", length: 750, width: 126, thickness: 120 }], "european-ash")[0]
        .sawn,
    ).toBeNull();
  });
  it("an empty rack lists everything but the top", () => {
    const plan = planOf(tableWith(), []);
    expect(plan.cutting.placed).toEqual([]);
    expect(plan.cutting.shopping.reduce((sum, line) => sum + line.pieces, 0)).toBe(plan.cutting.missing.length);
    expect(find(plan, "cutting.placed").level).toBe("fix");
  });
});

describe("the cut list", () => {
  const plan = planOf(tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"))));
  const part = (id: string) => plan.parts.find((each) => each.id === id)!;

  it("keeps finished below milled below rough", () => {
    for (const each of plan.parts) {
      expect(each.milled.length).toBeGreaterThan(each.finished.length);
      expect(each.rough.width).toBeGreaterThan(each.milled.width);
    }
  });
  it("leaves a leg 30 long: 720 at 750 (common practice)", () =>
    expect(part("leg").milled.length - part("leg").finished.length).toBe(30));
  it("marks every piece once", () => {
    const marks = plan.parts.flatMap((each) => each.marks);
    expect(new Set(marks).size).toBe(marks.length);
    expect(part("leg").marks).toEqual(["L1", "L2", "L3", "L4"]);
  });
  it("has as many buttons as Movement placed", () => expect(part("button").count).toBe(plan.fasteners.length));
  it("sets each machine once to each size", () => {
    for (const machine of ["planer", "table saw", "crosscut stop"] as const) {
      const settings = plan.cutting.settings.filter((each) => each.machine === machine);
      expect(new Set(settings.map((each) => each.setting)).size).toBe(settings.length);
      expect(settings.flatMap((each) => each.parts).length).toBe(plan.parts.length - 1);
    }
  });
  it("saws two leaves for each laminated leg, each a little over half its thickness", () => {
    const laminated = planOf(tableWith(at("form.leg.make", "laminated")));
    const leg = laminated.parts.find((each) => each.id === "leg")!;
    expect(leg.leaves).toBe(2);
    expect(2 * leg.milled.thickness).toBeGreaterThan(leg.finished.thickness);
    expect(
      [...laminated.cutting.placed.map((each) => each.piece), ...laminated.cutting.missing].filter(
        (each) => each.part === "leg",
      ),
    ).toHaveLength(8);
  });
  it("uses every board of the rack at most where it is free", () => {
    const rack = plainRack();
    expect(plan.cutting.placed.every((each) => rack.some((board) => board.id === each.board))).toBe(true);
    expect(plan.cutting.missing).toEqual([]);
  });
});
