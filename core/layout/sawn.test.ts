import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freshCutting } from "../piece/cutting-choices";
import { USUAL_SHOP } from "../piece/shop";
import { Board, boardSchema } from "../stock/board";
import { firstFault } from "../piece/fields";
import { sawnFault } from "../stock/sawn";
import { demoBoard, randomRack } from "../testing/boards";
import { at, find, planOf, plainRack, strips, tableWith } from "../testing/plans";
import { withoutSawn, withSawn, withSpoiled } from "./done";
import { matchingGroups } from "./matches";
import { widthAt } from "../stock/board";
import { offcutsOf } from "./offcuts";

const area = (board: Board) => (board.length * (board.width + (board.widthEnd ?? board.width))) / 2;

describe("offcuts", () => {
  it("hold no more than what was not cut, are valid boards, and keep their share of warp (property: 100 random cuts)", () => {
    const cut = fc.record({
      x: fc.integer({ min: 0, max: 3000 }),
      length: fc.integer({ min: 50, max: 1500 }),
      width: fc.integer({ min: 30, max: 260 }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.array(cut, { minLength: 1, maxLength: 4 }), (seed, wanted) => {
        const board = randomRack(seed, 1)[0];
        let from = 0;
        const cuts = wanted
          .sort((a, b) => a.x - b.x)
          .flatMap((each) => {
            const x = Math.max(from, each.x);
            if (x + each.length > board.length) return [];
            from = x + each.length + USUAL_SHOP.kerf;
            return [{ x, y: 0, length: each.length, width: Math.min(each.width, board.width) }];
          });
        const left = offcutsOf(board, cuts, USUAL_SHOP);
        const used = cuts.reduce((sum, each) => sum + each.length * each.width, 0);
        expect(left.reduce((sum, each) => sum + area(each), 0) + used).toBeLessThanOrEqual(area(board) * 1.001);
        for (const offcut of left) {
          const { reservedBy: _, ...plain } = offcut as typeof board;
          expect(firstFault(boardSchema, plain)).toBeNull();
          expect(offcut.cutFrom).toBe(board.id);
          expect(offcut.length).toBeGreaterThanOrEqual(USUAL_SHOP.keepOffcut - 0.5);
          expect(offcut.bow).toBeCloseTo(board.bow * (offcut.length / board.length) ** 2, 0);
        }
        expect(new Set(left.map((each) => each.id)).size).toBe(left.length);
      }),
      { numRuns: 100 },
    );
  });
  it("by hand: a strip from a long board leaves the other end and the side", () => {
    const board = demoBoard({
      id: "B7",
      length: 3000,
      width: 250,
      price: 60,
      bow: 9,
      defects: [{ kind: "knot", x: 2000, y: 40, length: 50, width: 40 }],
    });
    const [side, end] = offcutsOf(board, [{ x: 0, y: 0, length: 1500, width: 150 }], USUAL_SHOP).sort(
      (a, b) => a.width - b.width,
    );
    expect(side).toMatchObject({ length: 1500, width: 97, cutFrom: "B7" });
    expect(end).toMatchObject({ length: 1497, width: 250, price: 29.94, bow: 2.2 });
    expect(end.defects).toEqual([{ kind: "knot", x: 497, y: 40, length: 50, width: 40 }]);
  });
  it("a tapered board leaves a tapered end", () => {
    const board = demoBoard({ length: 2000, width: 200, widthEnd: 100 });
    expect(widthAt(board, 1000)).toBe(150);
    expect(offcutsOf(board, [{ x: 0, y: 0, length: 997, width: 100 }], USUAL_SHOP).at(-1)).toMatchObject({
      length: 1000,
      width: 150,
      widthEnd: 100,
    });
  });
  it("avoid names that are taken", () =>
    expect(
      offcutsOf(demoBoard({ id: "B7", length: 3000 }), [{ x: 0, y: 0, length: 900, width: 160 }], USUAL_SHOP, [
        "B7.1",
      ]).map((each) => each.id),
    ).toEqual(["B7.2"]));
});

describe("what the saw reports", () => {
  const piece = tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7")));
  const rack = [...plainRack(), demoBoard({ id: "R9", thickness: 32, width: 130, length: 2300 })];
  const plan = planOf(piece, rack);
  const rail = plan.cutting.boards.find((cut) =>
    cut.sections.some((section) => section.lanes.some((lane) => lane.pieces.includes("A1"))),
  )!.board.id;

  it("a sawn board stays where it was cut, though it is off the rack; the others don't move", () => {
    const cutting = withSawn(piece.cutting, plan.cutting, rail, "2026-11-24");
    expect(sawnFault(cutting.sawn[0])).toBeNull();
    const after = planOf(
      { ...piece, cutting },
      rack.filter((board) => board.id !== rail),
    );
    expect(after.cutting.missing).toEqual([]);
    const where = (each: typeof plan) =>
      each.cutting.placed.map((one) => `${one.piece.id} ${one.board} ${Math.round(one.x)} ${Math.round(one.y)}`).sort();
    expect(where(after)).toEqual(where(plan));
    expect(after.cutting.boards.find((cut) => cut.board.id === rail)!.sawn).toBe(true);
  });
  it("the whole cutting, board after board, loses no piece; the panel keeps its strips", () => {
    let at = { ...piece };
    let left: typeof rack = rack;
    for (let n = 0; n < 30; n += 1) {
      const now = planOf(at, left);
      const next = now.cutting.boards.find((cut) => !cut.sawn);
      if (!next) break;
      at = { ...at, cutting: withSawn(at.cutting, now.cutting, next.board.id, "2026-11-24") };
      left = [
        ...left.filter((board) => board.id !== next.board.id),
        ...next.offcuts.map((board) => ({ ...board, reservedBy: null })),
      ];
    }
    const done = planOf(at, left);
    expect(done.cutting.boards.every((cut) => cut.sawn)).toBe(true);
    expect(done.cutting.missing).toEqual([]);
    expect(done.cutting.placed).toHaveLength(plan.cutting.placed.length);
    expect(done.panel.laid.map((each) => [each.board.id, each.full])).toEqual(
      plan.panel.laid.map((each) => [each.board.id, each.full]),
    );
    const volume = (boards: readonly Board[]) => boards.reduce((sum, board) => sum + area(board) * board.thickness, 0);
    const finished = done.parts
      .filter((part) => part.role !== "button")
      .reduce(
        (sum, part) => sum + part.count * part.finished.length * part.finished.width * part.finished.thickness,
        0,
      );
    expect(volume(left) + finished).toBeLessThan(volume(rack));
  });
  it("taken back it is as it was planned", () => {
    const cutting = withoutSawn(withSawn(piece.cutting, plan.cutting, rail, "2026-11-24"), rail);
    expect(cutting.sawn).toEqual([]);
    expect(planOf({ ...piece, cutting }, rack).cutting.missing).toEqual([]);
  });
  it("a spoiled piece is planned again, from another board or an offcut, and the others stay", () => {
    const sawn = withSawn(piece.cutting, plan.cutting, rail, "2026-11-24");
    const left = [
      ...rack.filter((board) => board.id !== rail),
      ...sawn.sawn[0].offcuts.map((board) => ({ ...board, reservedBy: null })),
    ];
    const before = planOf({ ...piece, cutting: sawn }, left);
    const spoiled = withSpoiled(sawn, before.cutting, { piece: "A1", on: "2026-11-24", why: "tear-out" });
    const after = planOf({ ...piece, cutting: spoiled }, left);
    const again = after.cutting.placed.filter((each) => each.piece.id === "A1").map((each) => each.board);
    expect(again).toHaveLength(2);
    expect(again[0]).toBe(rail);
    expect(again[1]).not.toBe(rail);
    expect(find(after, "cutting.spoiled").text).toMatch(/A1 must be sawn again/);
    for (const one of before.cutting.placed)
      expect(
        after.cutting.placed.some(
          (each) => each.piece.id === one.piece.id && each.board === one.board && each.x === one.x,
        ),
      ).toBe(true);
  });
  it.each([
    [
      "more than the board holds",
      (sawn: ReturnType<typeof withSawn>["sawn"][number]) => ({
        ...sawn,
        offcuts: [
          { ...sawn.board, id: "X.1", cutFrom: sawn.board.id },
          { ...sawn.board, id: "X.2", cutFrom: sawn.board.id },
        ],
      }),
      /More comes out/,
    ],
    [
      "an offcut of another board",
      (sawn: ReturnType<typeof withSawn>["sawn"][number]) => ({
        ...sawn,
        offcuts: [{ ...sawn.board, id: "X.1", length: 500, cutFrom: "B99" }],
      }),
      /can't be an offcut/,
    ],
    [
      "two offcuts of one name",
      (sawn: ReturnType<typeof withSawn>["sawn"][number]) => ({
        ...sawn,
        offcuts: [1, 2].map(() => ({ ...sawn.board, id: "X.1", length: 20, cutFrom: sawn.board.id })),
      }),
      /same name/,
    ],
  ])("an account that does not add up is refused: %s", (_, change, said) => {
    expect(sawnFault(change(withSawn(piece.cutting, plan.cutting, rail, "2026-11-24").sawn[0]))).toMatch(said);
  });
});

describe("matching rules", () => {
  const marks = ["A1", "A2", "E1", "E2", "L1"];
  it("chain into one group", () => {
    const { groups, circle } = matchingGroups(
      [
        { piece: "E1", as: "A1" },
        { piece: "E2", as: "E1" },
      ],
      marks,
    );
    expect(circle).toEqual([]);
    expect(new Set(["A1", "E1", "E2"].map((mark) => groups[mark])).size).toBe(1);
    expect(groups.A2).toBeUndefined();
  });
  it("a circle is named and still one group, and nothing hangs", () => {
    const { groups, circle } = matchingGroups(
      [
        { piece: "A1", as: "A2" },
        { piece: "A2", as: "E1" },
        { piece: "E1", as: "A1" },
      ],
      marks,
    );
    expect(circle).toEqual([{ piece: "E1", as: "A1" }]);
    expect(groups.A1).toBe(groups.E1);
  });
  it("a rule for a piece that is not there is set aside", () =>
    expect(matchingGroups([{ piece: "Q1", as: "A1" }], marks)).toMatchObject({
      groups: {},
      unknown: [{ piece: "Q1", as: "A1" }],
    }));
  it("matched pieces share a board in the plan", () => {
    const plan = planOf(tableWith(at("cutting", { ...freshCutting(), matches: [{ piece: "E1", as: "E2" }] })));
    const board = (id: string) => plan.cutting.placed.find((each) => each.piece.id === id)!.board;
    expect(board("E1")).toBe(board("E2"));
  });
});
