import { Client } from "pg";
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";
import { withSawn } from "../../core/layout/done";
import { copyOf } from "../../core/piece/copy";
import type { Piece } from "../../core/piece/schema";
import { USUAL_SHOP } from "../../core/piece/shop";
import { planPiece } from "../../core/plan";
import { demoBoard } from "../../core/testing/boards";
import { addBoard, boardOf, changeBoard, putBoards, rack, standingOf } from "../../store/boards";
import { differencesInBooks, mendBooks } from "../../store/books";
import { pool, transaction } from "../../store/database";
import { addPiece, importPiece } from "../../store/new-pieces";
import { openPiece, pastOf, stateOf } from "../../store/opened-pieces";
import { deletePiece, savePiece, setPutAway } from "../../store/pieces";
import { DAY, edit, findDatabase, onlyShop, piece, plain, withBoards } from "./shop";

let shop: string;

beforeAll(findDatabase);
beforeEach(async () => {
  shop = await onlyShop();
});
afterAll(() => pool().end());

/** A piece whose panel is laid and whose first board is sawn. */
async function sawnPiece(): Promise<{ id: string; body: Piece; board: string; offcuts: string[] }> {
  const body = withBoards("B1", "B2", "B3", "B4", "B5", "B6", "B7");
  const id = await addPiece(shop, body);
  const { cutting } = planPiece({
    piece: body,
    shop: USUAL_SHOP,
    rack: await rack(shop, id),
    ownSpecies: [],
    today: DAY,
  });
  const board = cutting.boards.find((each) => each.offcuts.length > 0)!.board.id;
  const next = { ...body, cutting: withSawn(body.cutting, cutting, board, DAY) };
  expect(await savePiece(shop, id, 1, [edit(2, 1, next)])).toMatchObject({ kind: "saved" });
  return { id, body: next, board, offcuts: next.cutting.sawn[0].offcuts.map((each) => each.id) };
}

describe("pieces with sawn boards", () => {
  it("a copy starts unsawn and can be edited; it reserves nothing", async () => {
    const { body } = await sawnPiece();
    const copy = await addPiece(shop, copyOf(body));
    const open = (await openPiece(shop, copy))!;
    expect([open.piece.cutting.sawn, open.piece.panels.top.strips, open.piece.cutting.sections]).toEqual([[], [], []]);
    expect(await savePiece(shop, copy, 1, [edit(2, 1, { ...open.piece, name: "Edited" })])).toMatchObject({
      kind: "saved",
      taken: [],
    });
    expect((await pool().query("select 1 from board_reservation where piece_id = $1", [copy])).rowCount).toBe(0);
  });
  it("an export imported into the same shop is freed of what it can't have, says so, and can be edited", async () => {
    const { body, board } = await sawnPiece();
    const { id, said } = await importPiece(shop, body);
    expect(said.join(" ")).toMatch(new RegExp(`${board} was sawn for the piece in the file`));
    const open = (await openPiece(shop, id))!;
    expect(open.piece.cutting.sawn).toEqual([]);
    expect(await savePiece(shop, id, 1, [edit(2, 1, { ...open.piece, name: "Edited" })])).toMatchObject({
      kind: "saved",
      taken: [],
    });
    expect(await differencesInBooks()).toEqual([]);
  });
  it("an import after the first piece is deleted takes its cuts over", async () => {
    const { id: first, body, board } = await sawnPiece();
    await setPutAway(shop, first, true);
    expect(await deletePiece(shop, first)).toBe("deleted");
    const { id, said } = await importPiece(shop, body);
    expect(said.join(" ")).toMatch(/takes it over/);
    const open = (await openPiece(shop, id))!;
    expect(open.piece.cutting.sawn.map((each) => each.board.id)).toEqual([board]);
    expect(await savePiece(shop, id, 1, [edit(2, 1, { ...open.piece, name: "Edited" })])).toMatchObject({
      kind: "saved",
    });
  });
  it("a list that names a cut board leaves it cut and says so; the piece can be edited on", async () => {
    const { id, body, board } = await sawnPiece();
    const whole = plain((await boardOf(shop, board))!.board);
    expect(await standingOf(shop, [board, "B2"])).toEqual({ there: ["B2"], cut: [board] });
    expect(await putBoards(shop, [whole, plain(demoBoard({ id: "N1" }))])).toEqual({
      added: 1,
      replaced: 0,
      cut: [board],
    });
    expect((await boardOf(shop, board))!.left).toBe("cut");
    expect(await savePiece(shop, id, 2, [edit(3, 2, { ...body, name: "Edited" })])).toMatchObject({ kind: "saved" });
  });
  it("a claim to have sawn a board is checked when it is made: a new piece that claims another's cut is refused", async () => {
    const { body } = await sawnPiece();
    await expect(addPiece(shop, body)).rejects.toThrow(/has been cut already/);
  });
});

describe("boards and those who want them", () => {
  it("a board from before a bound is read mended, and can be changed and sawn as it is read", async () => {
    await pool().query(
      "update board set body = jsonb_set(body::jsonb, '{moisture}', '400')::json, checked = false where id = 'B1'",
    );
    const { reservedBy: _, ...board } = (await boardOf(shop, "B1"))!.board;
    expect(board.moisture).toBe(60);
    expect(await changeBoard(shop, board, { ...board, shelf: "Z" })).toBe(true);
    expect(
      (await pool().query("select body ->> 'moisture' as moisture, checked from board where id = 'B1'")).rows,
    ).toEqual([{ moisture: "60", checked: true }]);
  });
  it("of ten that add board NEW9 at once one is told yes", async () => {
    const told = await Promise.all(Array.from({ length: 10 }, () => addBoard(shop, plain(demoBoard({ id: "NEW9" })))));
    expect(told.filter(Boolean)).toHaveLength(1);
  });
  it("eight pieces on eight boards, freeing and taking: every answer is true and the books agree", async () => {
    await putBoards(
      shop,
      Array.from({ length: 8 }, (_, i) => plain(demoBoard({ id: `E${i}` }))),
    );
    const pieces = await Promise.all(Array.from({ length: 8 }, () => addPiece(shop, piece)));
    const revision = new Map(pieces.map((id) => [id, 1]));
    let wrong = 0;
    await Promise.all(
      pieces.map(async (id, p) => {
        for (let n = 0; n < 20; n += 1) {
          const wanted = Array.from({ length: 8 }, (_, i) => `E${i}`).filter(
            (_, i) => (i * 7 + n * 3 + p * 5) % 4 === 0,
          );
          const saved = await savePiece(shop, id, revision.get(id)!, [
            edit(revision.get(id)! + 1, revision.get(id)!, withBoards(...wanted)),
          ]);
          if (saved.kind !== "saved") throw new Error(saved.kind);
          revision.set(id, saved.revision);
          const { rows } = await pool().query<{ board_id: string }>(
            "select board_id from board_reservation where piece_id = $1",
            [id],
          );
          const held = new Set([...rows.map((row) => row.board_id), ...saved.taken.map((each) => each.board)]);
          wrong += wanted.filter((board) => !held.has(board)).length;
        }
      }),
    );
    expect(wrong).toBe(0);
    expect(await differencesInBooks()).toEqual([]);
  });
  it("a board that is freed, or comes onto the rack, goes to the piece that has wanted it longest", async () => {
    const [first, second, third] = [
      await addPiece(shop, withBoards("B1", "X1")),
      await addPiece(shop, withBoards("B1", "X1")),
      await addPiece(shop, withBoards("B1")),
    ];
    const holder = async (board: string) =>
      (await pool().query<{ piece_id: string }>("select piece_id from board_reservation where board_id = $1", [board]))
        .rows[0]?.piece_id ?? null;
    expect(await holder("B1")).toBe(first);
    await savePiece(shop, first, 1, [edit(2, 1, piece)]);
    expect(await holder("B1")).toBe(second);
    await setPutAway(shop, second, true);
    expect(await holder("B1")).toBe(third);
    expect(await holder("X1")).toBeNull();
    await setPutAway(shop, second, false);
    expect(await holder("B1")).toBe(third);
    await addBoard(shop, plain(demoBoard({ id: "X1" })));
    expect(await holder("X1")).toBe(second);
    expect(await differencesInBooks()).toEqual([]);
  });
  it("lists put in opposite order, and pieces that save in between, are all answered", async () => {
    const boards = Array.from({ length: 60 }, (_, i) => plain(demoBoard({ id: `L${i}` })));
    const id = await addPiece(shop, piece);
    const all = await Promise.all([
      ...Array.from({ length: 6 }, (_, n) => putBoards(shop, n % 2 ? boards : boards.slice().reverse())),
      savePiece(shop, id, 1, [edit(2, 1, withBoards("L40", "L3", "L17"))]),
    ]);
    expect(all).toHaveLength(7);
    expect((await rack(shop, null)).filter((board) => board.id.startsWith("L"))).toHaveLength(60);
  });
  it("a deadlock is run again, in one place", async () => {
    let meet = 0;
    const both = () =>
      new Promise<void>((resolve) => {
        meet += 1;
        const wait = setInterval(() => {
          if (meet >= 2) {
            clearInterval(wait);
            resolve();
          }
        }, 5);
      });
    const locks = (first: string, second: string) =>
      transaction(async (client) => {
        await client.query("select 1 from board where workshop_id = $1 and id = $2 for update", [shop, first]);
        await both();
        await client.query("select 1 from board where workshop_id = $1 and id = $2 for update", [shop, second]);
        return first;
      });
    expect(await Promise.all([locks("B1", "B2"), locks("B2", "B1")])).toEqual(["B1", "B2"]);
  });
  it("what a bug left in the books is found and mended at start-up", async () => {
    const id = await addPiece(shop, withBoards("B1"));
    await pool().query("delete from board_reservation where board_id = 'B1'");
    await pool().query(
      "insert into board_reservation (workshop_id, board_id, piece_id, piece_name, commission) values ($1, 'B2', $2::uuid, 'Table', $2::uuid::text)",
      [shop, id],
    );
    await pool().query("delete from board_want");
    expect((await mendBooks()).map((each) => `${each.board} ${each.what}`).sort()).toEqual([
      "B1 named by the piece and free, though not reserved",
      "B2 reserved, though the piece does not name it",
    ]);
    expect(await differencesInBooks()).toEqual([]);
  });
});

describe("saving", () => {
  it("a piece that is put away takes no boards back, and the tab is told", async () => {
    const id = await addPiece(shop, withBoards("B1"));
    await setPutAway(shop, id, true);
    expect(await savePiece(shop, id, 1, [edit(2, 1, withBoards("B1", "B2"))])).toMatchObject({
      kind: "saved",
      putAway: true,
    });
    expect((await pool().query("select 1 from board_reservation where piece_id = $1", [id])).rowCount).toBe(0);
  });
  it("a state number far out is refused and blocks nothing", async () => {
    const id = await addPiece(shop, piece);
    expect(await savePiece(shop, id, 1, [edit(2_000_000_000, 1, piece)])).toEqual({ kind: "unknown-state" });
    expect(await savePiece(shop, id, 1, [edit(2, 1, piece)])).toMatchObject({ kind: "saved", revision: 2 });
  });
  it("the same save sent again, because its answer was lost, is told that it is saved; another is stale", async () => {
    const id = await addPiece(shop, piece);
    const changes = [edit(2, 1, { ...piece, name: "Once" })];
    expect(await savePiece(shop, id, 1, changes)).toMatchObject({ kind: "saved", revision: 2 });
    expect(await savePiece(shop, id, 1, changes)).toMatchObject({ kind: "saved", revision: 2 });
    expect(await savePiece(shop, id, 1, [edit(2, 1, { ...piece, name: "Other" })])).toMatchObject({ kind: "stale" });
    expect((await pastOf(shop, id)).map((each) => each.n)).toEqual([1, 2]);
  });
  it("only what is put away is deleted, and then whole", async () => {
    const id = await addPiece(shop, piece);
    expect(await deletePiece(shop, id)).toBe("on the bench");
    await setPutAway(shop, id, true);
    expect(await deletePiece(shop, id)).toBe("deleted");
    expect(await deletePiece(shop, id)).toBe("gone");
    expect((await pool().query("select 1 from piece_state where piece_id = $1", [id])).rowCount).toBe(0);
  });
  it("a row from before a bound opens mended and says so; nothing is written until someone saves", async () => {
    const id = await addPiece(shop, piece);
    await pool().query(
      `update piece_state set body = jsonb_set(jsonb_set(body, '{joints,buttons,spacing}', '0.02'), '{brief,deadline}', '"9999-12-31"') where piece_id = $1`,
      [id],
    );
    const open = (await openPiece(shop, id))!;
    expect(open.mended.map((each) => [each.field, each.was])).toEqual(
      expect.arrayContaining([
        ["joints.buttons.spacing", "0.02"],
        ["brief.deadline", "9999-12-31"],
      ]),
    );
    expect(open.piece.joints.buttons.spacing).toBeGreaterThan(1);
    expect(
      (await pool().query("select body #> '{joints,buttons,spacing}' as n from piece_state where piece_id = $1", [id]))
        .rows[0].n,
    ).toBe(0.02);
    expect((await stateOf(shop, id, 1))!.joints.buttons.spacing).toBe(open.piece.joints.buttons.spacing);
  });
});

describe("while the database rests", () => {
  it("connections that are cut off end no process, and the next question is answered", async () => {
    const said = vi.spyOn(console, "error").mockImplementation(() => undefined);
    await Promise.all(Array.from({ length: 5 }, () => pool().query("select pg_sleep(0.02)")));
    const killer = new Client({ connectionString: process.env.DATABASE_URL });
    await killer.connect();
    await killer.query(
      "select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and backend_type = 'client backend'",
    );
    await killer.end();
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect((await pool().query("select 1 as n")).rows).toEqual([{ n: 1 }]);
    expect(said.mock.calls.flat().join(" ")).toMatch(/connection to the database was lost/);
    said.mockRestore();
  });
  it("a transaction whose connection is lost before its commit is run again, once whole", async () => {
    let runs = 0;
    const id = await transaction(async (client) => {
      runs += 1;
      const { rows } = await client.query<{ id: string }>("insert into piece (workshop_id) values ($1) returning id", [
        shop,
      ]);
      if (runs === 1)
        await pool().query("select pg_terminate_backend($1)", [
          (await client.query("select pg_backend_pid() as pid")).rows[0].pid,
        ]);
      await client.query(
        "insert into piece_state (workshop_id, piece_id, n, parent, label, body) values ($1, $2, 1, null, 'Begun', $3)",
        [shop, rows[0].id, piece],
      );
      return rows[0].id;
    });
    expect(runs).toBe(2);
    expect((await pool().query("select id from piece where workshop_id = $1", [shop])).rows).toEqual([{ id }]);
  });
});
