/** Backs of a case that are of wood: boards that lap one another, a frame with panels. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { bulkOf } from "../../../assembly/solid";
import { applyPatches, Patch } from "../../../piece/patch";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { backBoards, backPanels } from "./back";
import type { Case } from "./case";

const SEED = Number(process.env.SEED ?? 20261126);
const backs = (path: string, value: unknown) => at(`form.case.backs.${path}`, value);
/** 1000 by 400 and 800 high, sides of 20 from 60 above the floor, one open bay. */
const BOOKS: Patch[] = [
  ...[at("form.kind", "case"), at("form.use", "case"), at("form.height", 800), at("form.top.length", 1000)],
  ...[at("form.top.width", 420), at("form.top.thickness", 20), at("form.overhang", { end: 0, side: 20 })],
  ...[at("joints.fastening", "oversized"), at("form.case.thickness", 20), at("form.case.inner", 20)],
  at("form.case.bays", [{ width: null, rows: [{ height: null, holds: "nothing", shelves: 0 }] }]),
];
const bookcase = (...patches: Patch[]) => planOf(tableWith(...BOOKS, ...patches));

describe("a back of boards, worked by hand", () => {
  const plan = bookcase(at("form.case.back", "boards"));
  const boards = plan.assembly.parts.filter(({ kind }) => kind === "back-board");

  it("fills the rebates with boards of one width: nine of 115.33, each 6 behind the next", () => {
    // 960 between the sides and 10 of rebate in each; 110 asked, 8 of lap less 2 left in it: (980 − 6)/(110 − 6) is 9.4
    expect(boards).toHaveLength(9);
    for (const { shape } of boards) {
      expect(shape.width).toBeCloseTo((980 + 8 * 6) / 9, 9);
      expect([shape.length, shape.thickness]).toEqual([720, 14]);
    }
    const row = plan.parts.find(({ id }) => id === "back-board")!;
    expect([row.count, row.marks.length]).toEqual([9, 9]);
  });

  it("is halved where it laps: a lap less two halves of 7, and nothing fills another", () => {
    const wide = (980 + 48) / 9;
    const [first, second] = boards.map((part) => bulkOf(bodyOf(part)).volume);
    // 13.8 of the 14: two tenths stay free between the halves
    const cheek = 8 * 7.1;
    const holes = (n: number) => n;
    expect(first).toBeLessThan((wide * 14 - cheek) * 720);
    expect(first).toBeGreaterThan((wide * 14 - cheek) * 720 - 3 * 700);
    expect(holes(first - second)).toBeCloseTo(cheek * 720, -3);
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.touching");
  });

  it("holds each board by one screw below and one above, and lets it move", () => {
    const screwed = plan.meetings.filter(({ enters }) => /^M\d/.test(enters));
    expect(screwed).toHaveLength(18);
    const card = plan.cards.find(({ joint }) => joint === "case-bottom+back-board")!;
    expect(card.lines.find(({ what }) => what === "Where")!.setting).toBe(
      "in the middle of each board, over the middle of the bottom’s edge",
    );
    expect(card.lines.map(({ what }) => what)).not.toContain("From the part’s edge");
    // along its grain it is held at both ends, as the sides are long: nothing across it
    const held = plan.stopped.filter(({ members }) => members.some(({ kind }) => kind === "back-board"));
    expect(Math.max(0, ...held.map(({ load }) => load))).toBe(0);
    const move = plan.partMoves.find(({ id }) => id === "back-board")!;
    expect(find(plan, "movement.back-boards")).toMatchObject({
      level: "holds",
      actual: Math.round((2 - move.wet.width) * 10) / 10,
    });
    expect(find(plan, "form.racking").level).toBe("tight");
  });
});

describe("a framed back, worked by hand", () => {
  const plan = bookcase(at("form.case.back", "framed"));
  const size = (id: string) => {
    const { shape } = plan.assembly.parts.find((part) => part.id === id)!;
    return [shape.length, shape.width, shape.thickness];
  };

  it("has a muntin behind the middle of its wide bay, panels that are free beside and short above", () => {
    expect(size("BS1")).toEqual([720, 60, 14]);
    // 980 less two stiles
    expect(size("BR1")).toEqual([860, 60, 14]);
    expect(size("BM")).toEqual([600, 60, 14]);
    // 860 less the muntin in two, and 10 of groove less 3 free on both sides; 9.5 of groove above and below
    expect(size("BP1")).toEqual([619, 414, 7]);
    expect(plan.panels.map(({ place }) => place.id)).toEqual(expect.arrayContaining(["back-panel-1", "back-panel-2"]));
    expect(plan.joints.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["back-stile+back-rail", "back-rail+back-muntin"]),
    );
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.touching");
    expect(find(plan, "form.racking").level).toBe("holds");
  });

  it("is glued with its panels finished, and goes on when drawers and doors were fitted through it", () => {
    const order = plan.steps.map(({ id }) => id);
    for (const [a, b] of [
      ["back-frame", "back-panels"],
      ["back-panels", "back-glue"],
      ["back-glue", "back"],
      ["glue-base", "back"],
    ])
      expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b));
  });
});

describe("what the year does to it is told, with a way out", () => {
  const cases: [string, string, Patch[]][] = [
    ["movement.back-boards", "no room in the laps", [at("form.case.back", "boards"), backs("gap", 0)]],
    ["movement.back-boards", "laps that open", [at("form.case.back", "boards"), backs("lap", 3)]],
    ["movement.back-panels", "no room in the grooves", [at("form.case.back", "framed"), backs("free", 0)]],
    ["movement.back-panels", "shallow grooves", [at("form.case.back", "framed"), backs("groove", 5)]],
    ["form.racking", "boards that slide", [at("form.case.back", "boards")]],
  ];
  it.each(cases)("%s: %s", (id, _, patches) => {
    const piece = tableWith(...BOOKS, ...patches);
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    expect(verdict.remedies.length).toBeGreaterThan(0);
    for (const remedy of verdict.remedies)
      expect(find(planOf(applyPatches(piece, remedy.patches)), id).level, remedy.label).toBe("holds");
  });
});

describe("any back of wood", () => {
  const some = fc.record({
    back: fc.constantFrom("boards", "framed"),
    length: fc.integer({ min: 500, max: 2200 }),
    board: fc.integer({ min: 60, max: 200 }),
    lap: fc.integer({ min: 4, max: 15 }),
    stile: fc.integer({ min: 40, max: 90 }),
    bays: fc.integer({ min: 1, max: 3 }),
    shelves: fc.integer({ min: 0, max: 2 }),
  });
  it("fills its rebates to the last tenth, stands in nothing, and is held wherever it touches", () => {
    fc.assert(
      fc.property(some, ({ back, length, board, lap, stile, bays, shelves }) => {
        const rows = Array.from({ length: shelves + 1 }, () => ({ height: null, holds: "nothing", shelves: 0 }));
        const piece = tableWith(
          ...BOOKS,
          ...[at("form.case.back", back), at("form.top.length", length), backs("board", board), backs("lap", lap)],
          ...[backs("stile", stile), backs("gap", 1)],
          at(
            "form.case.bays",
            Array.from({ length: bays }, () => ({ width: null, rows })),
          ),
        );
        const plan = planOf(piece);
        const place = plan.geometry as Case;
        expect(plan.failures).toEqual([]);
        expect(find(plan, "form.fit").level).toBe("holds");
        const boards = backBoards(place, piece.form);
        const panels = backPanels(place, piece.form);
        const room = place.inside.to - place.inside.from + 20;
        if (back === "boards") expect(boards.at(-1)!.x.to - boards[0].x.from).toBeCloseTo(room, 6);
        else
          for (const { between } of panels.slice(1, -1))
            expect(between.x.to - between.x.from).toBeGreaterThan(-2 * stile);
        const held = plan.verdicts.find(({ id }) => id === "form.touching");
        expect(held?.text ?? "").not.toMatch(/back/);
      }),
      { seed: SEED, numRuns: 25 },
    );
  });
});
