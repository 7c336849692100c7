/** A board that serves two pieces of one commission: each has its own stretch of it, and keeps it while the other is sawn. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { withoutSawn, withSawn } from "../../core/layout/done";
import type { Piece } from "../../core/piece/schema";
import { applyPatches } from "../../core/piece/patch";
import { USUAL_SHOP } from "../../core/piece/shop";
import { planPiece } from "../../core/plan";
import { ANY_BOARD } from "../../core/stock/rack-query";
import { differencesInBooks } from "../../store/books";
import { boardOf, rack, rackPage } from "../../store/boards";
import { pool } from "../../store/database";
import { historyOf } from "../../store/history";
import { addPiece, importPiece } from "../../store/new-pieces";
import { openPiece } from "../../store/opened-pieces";
import { savePiece, setPutAway } from "../../store/pieces";
import { findDatabase, onlyShop, piece } from "./shop";

const DAY = "2026-11-23";
let shop: string;
beforeAll(findDatabase);
beforeEach(async () => {
  shop = await onlyShop();
});
afterAll(() => pool().end());

/** A piece of a commission whose cutting plan takes a stretch of a board. */
const taking = (board: string, x: number, length: number, commission = "House by the weir"): Piece => ({
  ...piece,
  name: `From ${x}`,
  commission,
  cutting: { ...piece.cutting, sections: [{ board, x, y: 0, length, lanes: [{ width: 60, pieces: ["L1"] }] }] },
});
const save = async (id: string, body: Piece) => {
  const now = (await openPiece(shop, id))!;
  return savePiece(shop, id, now.revision, [
    { kind: "edit", n: now.newest + 1, parent: now.head, label: "Edit", piece: body },
  ]);
};
/** Who has what of the boards: piece, board, from and to. */
const kept = async () =>
  (
    await pool().query<{ piece: string; board: string; stretch: string }>(
      "select piece_id as piece, board_id as board, stretch::text from board_reservation where workshop_id = $1 order by board_id, lower(stretch)",
      [shop],
    )
  ).rows.map(({ piece: id, board, stretch }) => `${id} ${board} ${stretch}`);
const plan = async (id: string) =>
  planPiece({
    piece: (await openPiece(shop, id))!.piece,
    ...{ shop: USUAL_SHOP, rack: await rack(shop, id), ownSpecies: [], today: DAY },
  });

describe("pieces of one commission on one board", () => {
  it("each keeps its own stretch and the saw cut beyond it; both see the other's, and what is left", async () => {
    const first = await addPiece(shop, taking("B1", 0, 900));
    const second = await addPiece(shop, taking("B1", 903, 600));
    expect(await kept()).toEqual([`${first} B1 {[0,903)}`, `${second} B1 {[903,1506)}`]);
    const seen = (await rack(shop, second)).find(({ id }) => id === "B1")!;
    expect(seen.reservedBy).toBeNull();
    expect(seen.held).toEqual([{ piece: first, name: "From 0", from: 0, to: 903 }]);
    // anyone else sees a board that is taken
    const other = await addPiece(shop, { ...piece, commission: "Mill" });
    expect((await rack(shop, other)).find(({ id }) => id === "B1")!.reservedBy).toEqual({
      piece: first,
      name: "From 0 and From 903",
    });
    // and the rack shows it once, with both
    const { board } = (await boardOf(shop, "B1"))!;
    expect(board.held!.map(({ name, from, to }) => [name, from, to])).toEqual([
      ["From 0", 0, 903],
      ["From 903", 903, 1506],
    ]);
    const shown = (await rackPage(shop, { ...ANY_BOARD, text: "B1" }, 0)).filter(({ id }) => id === "B1");
    expect(shown.map(({ reservedBy }) => reservedBy!.name)).toEqual(["From 0 and From 903"]);
    expect(await differencesInBooks()).toEqual([]);
  });

  it("where they meet, the one that came first has it; the second is told, and gets it when it is freed", async () => {
    const first = await addPiece(shop, taking("B1", 0, 900));
    const second = await addPiece(shop, piece);
    expect(await save(second, taking("B1", 800, 600))).toMatchObject({
      taken: [{ board: "B1", piece: first, name: "From 0" }],
    });
    expect(await kept()).toEqual([`${first} B1 {[0,903)}`]);
    expect(await differencesInBooks()).toEqual([]);
    await save(first, taking("B1", 0, 700));
    expect(await kept()).toEqual([`${first} B1 {[0,703)}`, `${second} B1 {[800,1403)}`]);
    expect((await historyOf(shop, "B1")).filter(({ kind }) => kind === "released")).toEqual([]);
  });

  it("a piece of another commission, or of none, shares nothing", async () => {
    const first = await addPiece(shop, taking("B1", 0, 900));
    for (const commission of ["Mill", "", "  "]) {
      const other = await addPiece(shop, piece);
      expect(await save(other, taking("B1", 1200, 600, commission))).toMatchObject({ taken: [{ piece: first }] });
      await setPutAway(shop, other, true);
    }
    // nor do two of none
    const alone = await addPiece(shop, taking("B2", 0, 400, ""));
    const too = await addPiece(shop, piece);
    expect(await save(too, taking("B2", 1200, 400, ""))).toMatchObject({ taken: [{ piece: alone }] });
    expect((await kept()).at(-1)).toBe(`${alone} B2 {[0,)}`);
  });

  it("a piece that goes to another commission leaves the shared board to those that stay", async () => {
    const first = await addPiece(shop, taking("B1", 0, 900));
    const second = await addPiece(shop, taking("B1", 1000, 600));
    expect(await save(second, taking("B1", 1000, 600, "Mill"))).toMatchObject({ taken: [{ piece: first }] });
    expect(await kept()).toEqual([`${first} B1 {[0,903)}`]);
    await save(second, taking("B1", 1000, 600, " house BY the weir "));
    expect(await kept()).toHaveLength(2);
    expect(await differencesInBooks()).toEqual([]);
  });

  it("the database itself lets no two stretches overlap, and no two commissions on a board", async () => {
    const first = await addPiece(shop, taking("B1", 0, 900));
    const second = await addPiece(shop, { ...piece, commission: "House by the weir" });
    const put = (stretch: string, commission: string) =>
      pool().query(
        "insert into board_reservation (workshop_id, board_id, piece_id, stretch, commission) values ($1, 'B1', $2, $3, $4)",
        [shop, second, stretch, commission],
      );
    await expect(put("{[902,1000)}", "house by the weir")).rejects.toThrow(/board_reservation_apart/);
    await expect(put("{[1200,1300)}", "mill")).rejects.toThrow(/board_reservation_one_commission/);
    expect((await put("{[1200,1300)}", "house by the weir")).rowCount).toBe(1);
    expect(first).toBeTruthy();
  });

  it("thirty that save at once: no two overlap, whoever is left out is told, and the books are true", async () => {
    const ids = await Promise.all(Array.from({ length: 30 }, () => addPiece(shop, piece)));
    const told = await Promise.all(
      ids.map((id, i) => save(id, taking(`B${1 + (i % 3)}`, 150 * (i % 13), 280, i % 2 ? "Mill" : "House"))),
    );
    const rows = await kept();
    const without = ids.filter((id) => !rows.some((row) => row.startsWith(id)));
    expect(told.flatMap((each, i) => (each.kind === "saved" && each.taken.length > 0 ? [ids[i]] : [])).sort()).toEqual(
      without.sort(),
    );
    expect(rows.length).toBeGreaterThan(3);
    expect(await differencesInBooks()).toEqual([]);
  });

  it("a file that arrives keeps its stretch where nobody has it, and gives it up where somebody does", async () => {
    await addPiece(shop, taking("B1", 0, 900));
    const beside = await importPiece(shop, taking("B1", 1000, 300));
    expect(beside.said).toEqual([]);
    const over = await importPiece(shop, taking("B1", 600, 300));
    expect(over.said).toEqual(["B1 is reserved for From 0, and is free of this piece."]);
  });
});

/** A top 800 long from the right end of a board: 840 with the shop's allowance, from 1400 on. */
const small = (slide: number): Piece => ({
  ...piece,
  name: "Stool",
  commission: "House by the weir",
  form: { ...piece.form, top: { ...piece.form.top, length: 800, width: 300 } },
  panels: {
    top: {
      ...piece.panels.top,
      strips: [{ board: "B1", face: "bark-up", turned: false, slide, width: null }],
    },
  },
});

describe("sawing a board that keeps a stretch for another piece", () => {
  /** A table with one section of its plan laid out, as the plan takes it: what comes from boards of 32. */
  async function rails(): Promise<Piece> {
    const alone = planPiece({ piece, shop: USUAL_SHOP, rack: await rack(shop, null), ownSpecies: [], today: DAY });
    const part = alone.cutting.boards
      .flatMap(({ sections }) => sections)
      .find(({ board, length }) => board.startsWith("R") && length < 1100)!;
    return {
      ...piece,
      name: "Table",
      commission: "House by the weir",
      cutting: { ...piece.cutting, sections: [part] },
    };
  }

  it("its offcut goes to that piece, which takes it by one remedy: the same wood at the same place", async () => {
    const start = await rails();
    const [section] = start.cutting.sections;
    const on = { ...section, board: "R1", x: 20 };
    const table = await addPiece(shop, { ...start, cutting: { ...start.cutting, sections: [on] } });
    const from = Math.ceil(on.x + on.length) + 20;
    const stool = await addPiece(shop, {
      ...small(from),
      panels: {
        top: {
          ...piece.panels.top,
          strips: [{ board: "R1", face: "bark-up", turned: false, slide: from, width: null }],
        },
      },
    });
    const now = await plan(table);
    const body = (await openPiece(shop, table))!.piece;
    const cut = now.cutting.boards.find(({ board }) => board.id === "R1")!;
    // its rest is laid out beside what is kept
    for (const each of cut.sections) expect(each.x + each.length <= from || each.x >= from + 843).toBe(true);
    expect(await save(table, { ...body, cutting: withSawn(body.cutting, now.cutting, "R1", DAY) })).toMatchObject({
      kind: "saved",
    });
    const [offcut] = (await rack(shop, stool)).filter(({ cutFrom }) => cutFrom === "R1");
    expect(await kept()).toContain(
      `${stool} ${offcut.id} {[${from - offcut.cutAt!},${from - offcut.cutAt! + 840 + USUAL_SHOP.kerf})}`,
    );
    expect(await differencesInBooks()).toEqual([]);
    // the stool is saved again before its maker has looked: it keeps what is kept for it
    await save(stool, { ...(await openPiece(shop, stool))!.piece, name: "Stool for the hall" });
    expect((await kept()).some((row) => row.startsWith(`${stool} ${offcut.id}`))).toBe(true);
    const told = (await plan(stool)).verdicts.find(({ id }) => id === "boards.gone")!;
    expect(told.why).toBe(`The rest was sawn for another piece; what was kept for this one is on ${offcut.id}.`);
    const [remedy] = told.remedies;
    expect(remedy.label).toBe(`Take ${offcut.id} in its place`);
    const mended = applyPatches((await openPiece(shop, stool))!.piece, remedy.patches);
    await save(stool, mended as Piece);
    expect((mended as Piece).panels.top.strips.map(({ board, slide }) => [board, slide])).toEqual([
      [offcut.id, from - offcut.cutAt!],
    ]);
    const still = (await plan(stool)).verdicts.map(({ id }) => id);
    expect(still).not.toContain("boards.gone");
    expect(still).not.toContain("boards.taken");
    expect(await differencesInBooks()).toEqual([]);
    // and the table's board can't be put together again while the stool has its offcut
    const cutNow = (await openPiece(shop, table))!.piece;
    expect(await save(table, { ...cutNow, cutting: withoutSawn(cutNow.cutting, "R1") })).toMatchObject({
      kind: "refused",
      message: expect.stringMatching(/can't be put together again: its offcut .* has been reserved/),
    });
  });

  it("a saw cut that would leave a kept stretch in pieces is refused, with the place", async () => {
    // the plan itself lays nothing over it: only a record that was written by hand does
    const stool = await addPiece(shop, { ...small(1200), name: "Second stool" });
    const table = await addPiece(shop, { ...piece, name: "Table", commission: "House by the weir" });
    const board = (await rack(shop, null)).find(({ id }) => id === "B2")!;
    await save(stool, taking("B2", 1000, 700));
    const { reservedBy: _by, held: _held, ...plain } = board;
    const by = (await openPiece(shop, table))!.piece;
    const over = {
      ...by,
      cutting: {
        ...by.cutting,
        sawn: [
          {
            ...{ board: plain, on: DAY, strip: null, offcuts: [] },
            sections: [{ board: "B2", x: 20, y: 0, length: 1200, lanes: [{ width: 60, pieces: ["L1"] }] }],
          },
        ],
      },
    };
    expect(await save(table, over)).toMatchObject({
      kind: "refused",
      message:
        "B2 keeps 1000 to 1703 mm for From 1000, and that stretch would not be left whole. Lay this piece out beside it, or saw it for From 1000 first.",
    });
    expect(await differencesInBooks()).toEqual([]);
  });
});
