import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { DAY } from "../../bin/harness.mjs";
import { readPiece } from "../../core/formats/piece-file";
import { readRack } from "../../core/formats/rack-csv";
import { checkShop } from "../../core/formats/shop-file";
import { allLaid } from "../../core/panels/planned";
import { planPiece } from "../../core/plan";
import { legs } from "../../core/testing/plans";
import { SPECIES } from "../../core/wood/species";

const rack = readRack(readFileSync("demo/rack.csv", "utf8"), SPECIES, DAY).boards.map((board) => ({
  ...board,
  reservedBy: null,
}));
const shop = checkShop(readFileSync("demo/shop.json", "utf8"));
const plan = (file: string) => {
  const piece = readPiece(readFileSync(`demo/pieces/${file}.json`, "utf8"));
  if (!piece.ok || !shop.ok) throw new Error(file);
  return planPiece({ piece: piece.piece, shop: shop.shop, rack, ownSpecies: [], today: DAY });
};

describe("the demo tells true stories", () => {
  it("the dining table is ready but for one thing: its end buttons bind in August", () => {
    const table = plan("1-dining-table");
    expect(table.verdicts.filter((each) => each.level === "fix").map((each) => each.text)).toEqual([
      "End-rail buttons will bind in August",
    ]);
    expect(table.cutting.missing).toEqual([]);
    expect(legs(table).longRail.shoulder).toBe(1860);
  });
  it("the writing desk can be cut as it is", () => {
    const desk = plan("2-writing-desk");
    expect(desk.verdicts.filter((each) => each.level === "fix")).toEqual([]);
    expect(desk.joints[0]).toMatchObject({ kind: "rail-tenon", made: "loose-tenon" });
  });
  it("the porch table still needs its boards, its glue and its gaps", () => {
    const stages = new Set(
      plan("3-porch-table")
        .verdicts.filter((each) => each.level === "fix")
        .map((each) => each.stage),
    );
    expect([...stages]).toEqual(expect.arrayContaining(["movement", "boards", "glue-up", "cutting"]));
  });
  it("the reading table's pegs bind both ways in slots cut by habit, its faces differ, and its other joints let it move", () => {
    const table = plan("4-reading-table");
    const movement = table.verdicts
      .filter((each) => each.stage === "movement" && each.level !== "holds")
      .map((each) => each.id);
    expect(movement).toEqual(expect.arrayContaining(["movement.pegs", "movement.bow", "movement.breadboard-length"]));
    expect(
      table.verdicts.filter((each) => each.stage === "movement" && each.level === "fix").map((each) => each.text),
    ).toEqual(["Outer pegs will bind in August"]);
    expect(table.panel.laid.length).toBeGreaterThan(3);
    expect(table.cutting.missing).toEqual([]);
  });
  it("the porch bench follows the air outside: its gaps close in the damp months and each slat goes its own way", () => {
    const bench = plan("5-porch-bench");
    expect(bench.verdicts.find((each) => each.id === "movement.slat-gaps")!.text).toMatch(
      /Gaps close to \d\.\d mm in (November|December|January)/,
    );
    expect(bench.year.outdoors).toBe(true);
    expect(bench.parts.find((each) => each.id === "slat")!.count).toBe(5);
    expect(bench.verdicts.some((each) => each.stage === "boards" && each.level === "fix")).toBe(false);
  });
  it("a round table on splayed legs, a bench whose grain runs over its corners and a table on steel are ready to cut", () => {
    for (const [file, kind] of [
      ["8-breakfast-table", "splayed"],
      ["9-hall-bench", "plank"],
      ["10-map-table", "bought"],
    ]) {
      const made = plan(file);
      expect(made.geometry.kind).toBe(kind);
      expect(
        made.verdicts.filter((each) => each.level === "fix").map((each) => each.text),
        file,
      ).toEqual([]);
      expect(made.cutting.missing).toEqual([]);
      expect(made.stopped.filter(({ excess }) => Math.abs(excess) > 2)).toEqual([]);
    }
    // its ends are panels of their own boards
    expect(plan("9-hall-bench").panels.map(({ laid }) => laid.length)).toEqual([2, 2]);
  });
  it("a chest of four drawers has all its boards and one sheet: only its drawers, left too little above, bind", () => {
    const chest = plan("11-linen-chest");
    expect(chest.verdicts.filter((each) => each.level === "fix").map((each) => each.text)).toEqual([
      "Drawer 4 binds in its opening in the wettest month",
    ]);
    expect(chest.cutting.missing).toEqual([]);
    expect(chest.panels.map(({ place, laid }) => [place.name, laid.length])).toEqual([
      ["left side", 3],
      ["right side", 3],
      ["bottom", 2],
    ]);
    expect(chest.sheets.map(({ sheets }) => sheets.length)).toEqual([1]);
  });
  it("a sideboard with doors, drawers and shelves is ready to cut: eleven panels, one sheet", () => {
    const sideboard = plan("12-sideboard");
    expect(sideboard.verdicts.filter((each) => each.level === "fix").map((each) => each.text)).toEqual([]);
    expect(sideboard.cutting.missing).toEqual([]);
    expect(1 + sideboard.panels.length).toBe(11);
    expect(sideboard.assembly.poses!.map(({ id }) => id)).toEqual(["drawers", "drawer-1", "drawer-2", "doors"]);
    expect(sideboard.stopped.filter(({ load }) => load > 0.5)).toEqual([]);
  });
  it("a long bench of dressed timber, screwed from pockets, is ready to cut from boards with rounded corners", () => {
    const bench = plan("15-boot-room-bench");
    expect(bench.verdicts.filter((each) => each.level === "fix").map((each) => each.text)).toEqual([]);
    expect(bench.cutting.missing).toEqual([]);
    expect(bench.joints.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["pocket-screwed", "screwed"]));
    for (const { board, full } of bench.panel.laid) expect([board.rounded, full <= 140 - 8]).toEqual([4, true]);
    expect(bench.parts.find(({ id }) => id === "middle-leg")!.count).toBe(2);
  });
  it("two cube stools, each from one blank whose grain runs round, and a striped side table are ready to cut", () => {
    const cubes = plan("16-cube-stools");
    const striped = plan("17-striped-side-table");
    for (const made of [cubes, striped]) {
      expect(made.verdicts.filter((each) => each.level === "fix").map((each) => each.text)).toEqual([]);
      expect(made.cutting.missing).toEqual([]);
    }
    expect(cubes.panels.map(({ place, laid }) => [place.name, laid.length])).toEqual([["top of the second", 3]]);
    expect(cubes.parts.map(({ id, count }) => [id, count])).toEqual([
      ["top", 2],
      ["plank-end", 4],
      ["bottom-board", 2],
    ]);
    const strips = striped.cutting.placed.filter(({ piece }) => piece.part.startsWith("stripe"));
    expect(strips).toHaveLength(9);
  });
  it("a window table on splayed legs under rails is ready to cut, for the house the dining table goes to", () => {
    const table = plan("20-window-table");
    expect(table.verdicts.filter((each) => each.level === "fix").map((each) => each.text)).toEqual([]);
    expect(table.cutting.missing).toEqual([]);
    expect(table.cards[0].lines[0]).toEqual({
      what: "Rail, both ends",
      // tan 9° cos 7°, and sin 9° sin 7°
      setting: "8.9° off square, the blade 1.1° over",
    });
    const commissions = ["1-dining-table", "20-window-table"].map((file) => {
      const piece = readPiece(readFileSync(`demo/pieces/${file}.json`, "utf8"));
      return piece.ok && piece.piece.commission;
    });
    expect(commissions).toEqual(["House by the weir", "House by the weir"]);
  });
  it("stools with legs in their seats, gates under leaves, a top that turns, a case of sheet, a lid in a top, a chest that bows: each is ready to cut", () => {
    for (const [file, kinds, tables] of [
      ["21-kitchen-stools", ["staked-leg"], 3],
      ["22-landing-table", ["drop-leaf", "gate-leg", "gate-arm"], 3],
      ["23-card-table", ["fold-leaf", "pivot-rail"], 2],
      ["24-record-shelf", ["case-side-lip", "divider-lip"], 1],
      ["25-sewing-desk", ["hatch", "hatch-ledge"], 1],
      ["26-bowed-chest", ["drawer-front-4", "drawer-rail"], 4],
    ] as const) {
      const made = plan(file);
      expect(
        made.verdicts.filter((each) => each.level === "fix").map((each) => each.text),
        file,
      ).toEqual([]);
      expect(made.parts.map(({ id }) => id)).toEqual(expect.arrayContaining([...kinds]));
      expect(made.cutting.missing).toEqual([]);
      const laid = [made.panel.laid, ...made.panels.map((each) => each.laid)].filter((each) => each.length > 0);
      expect(laid, file).toHaveLength(tables);
    }
    // 20 of bow before fronts of 20
    expect(plan("26-bowed-chest").parts.find(({ id }) => id === "drawer-front")!.finished.thickness).toBeCloseTo(40, 1);
    // one sheet holds sides, bottom, divider and shelves, a thin one the back
    expect(plan("24-record-shelf").sheets.map(({ sheets }) => sheets.length)).toEqual([1, 1]);
  });
  it("no board stands in two pieces", () => {
    const boards = readdirSync("demo/pieces").flatMap((file) => {
      const made = plan(file.replace(".json", ""));
      return allLaid(made).map((each) => each.board.id);
    });
    expect(new Set(boards).size).toBe(boards.length);
  });
});
