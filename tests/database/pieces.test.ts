import { readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { Client } from "pg";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { freshPiece } from "../../core/piece/fresh";
import { firstFault } from "../../core/piece/fields";
import { pieceSchema } from "../../core/piece/schema";
import { USUAL_SHOP } from "../../core/piece/shop";
import { demoBoard } from "../../core/testing/boards";
import { strips } from "../../core/testing/plans";
import { putBoards, rack, removeBoard } from "../../store/boards";
import { pool } from "../../store/database";
import { migrate } from "../../store/migrate";
import { addPiece } from "../../store/new-pieces";
import { openPiece, stateOf } from "../../store/opened-pieces";
import { savePiece, setPutAway } from "../../store/pieces";
import { benchPage } from "../../store/summaries";
import { addSpecies, addWorkshop } from "../../store/workshops";
import { SPECIES } from "../../core/wood/species";

const url = inject("databaseUrl");
const piece = freshPiece("Table", "2026-11-23");
const withBoards = (...ids: string[]) => ({
  ...piece,
  panels: { top: { ...piece.panels.top, strips: strips(...ids) } },
});
const edit = (n: number, parent: number, body = piece, label = "Edit") => ({
  kind: "edit" as const,
  n,
  parent,
  label,
  piece: body,
});
let shop: string;

beforeAll(async () => {
  process.env.DATABASE_URL = url;
  await migrate(url);
  shop = await addWorkshop("Test shop", USUAL_SHOP);
  const boards = Array.from({ length: 24 }, (_, i) => {
    const { reservedBy: _r, ...board } = demoBoard({ id: `B${i + 1}` });
    return board;
  });
  await putBoards(shop, boards);
});
afterAll(() => pool().end());

describe("migrations", () => {
  it("are applied once, in order, however often and by however many", async () => {
    expect(await Promise.all([migrate(url), migrate(url), migrate(url)])).toEqual([[], [], []]);
    const { rows } = await pool().query("select name from migration order by applied_at");
    expect(rows.map((row) => row.name)).toEqual([
      "001-first.sql",
      "002-rack.sql",
      "003-ground.sql",
      "004-stretches.sql",
    ]);
  });
  it("a failing one leaves nothing behind and names itself", async () => {
    const { mkdtemp, writeFile } = await import("node:fs/promises");
    const folder = await mkdtemp(`${tmpdir()}/taller-migrations-`);
    await writeFile(`${folder}/900-bad.sql`, "create table half (id int); select nothing_here();");
    await expect(migrate(url, folder)).rejects.toThrow(/900-bad.sql failed/);
    expect((await pool().query("select to_regclass('half') as half")).rows[0].half).toBeNull();
  });
});

describe("saving", () => {
  it("raises the revision, keeps every state and every revision", async () => {
    const id = await addPiece(shop, piece);
    expect(await savePiece(shop, id, 1, [edit(2, 1, { ...piece, name: "Second" })])).toMatchObject({
      kind: "saved",
      revision: 2,
    });
    expect(
      await savePiece(shop, id, 2, [edit(3, 2, { ...piece, name: "Third" }), { kind: "move", head: 2 }]),
    ).toMatchObject({ kind: "saved", revision: 3 });
    const open = (await openPiece(shop, id))!;
    expect(open).toMatchObject({ revision: 3, head: 2, newest: 3 });
    expect(open.piece.name).toBe("Second");
    expect(open.line.map((each) => each.n)).toEqual([1, 2, 3]);
    expect((await stateOf(shop, id, 3))!.name).toBe("Third");
    expect(
      (await pool().query("select revision, state from piece_revision where piece_id = $1 order by revision", [id]))
        .rows,
    ).toEqual([
      { revision: 1, state: 1 },
      { revision: 2, state: 2 },
      { revision: 3, state: 2 },
    ]);
  });
  it("a new edit after undo leaves the old branch kept, off the line", async () => {
    const id = await addPiece(shop, piece);
    await savePiece(shop, id, 1, [edit(2, 1), edit(3, 2), { kind: "move", head: 1 }, edit(4, 1)]);
    const open = (await openPiece(shop, id))!;
    expect(open.line.map((each) => each.n)).toEqual([1, 4]);
    expect(await stateOf(shop, id, 3)).not.toBeNull();
  });
  it("refuses a stale revision with both versions at hand and writes nothing", async () => {
    const id = await addPiece(shop, piece);
    await savePiece(shop, id, 1, [edit(2, 1, { ...piece, name: "Theirs" })]);
    const result = await savePiece(shop, id, 1, [edit(2, 1, { ...piece, name: "Mine" })]);
    expect(result).toMatchObject({ kind: "stale", revision: 2, head: 2, newest: 2 });
    expect(result.kind === "stale" && result.theirs.name).toBe("Theirs");
    expect((await openPiece(shop, id))!.piece.name).toBe("Theirs");
  });
  it("of twenty that save at once from one revision, one is saved and nineteen are told", async () => {
    const id = await addPiece(shop, piece);
    const results = await Promise.all(
      Array.from({ length: 20 }, (_, i) => savePiece(shop, id, 1, [edit(2, 1, { ...piece, name: `Window ${i}` })])),
    );
    expect(results.filter((each) => each.kind === "saved")).toHaveLength(1);
    expect(results.filter((each) => each.kind === "stale")).toHaveLength(19);
    expect((await pool().query("select count(*)::int as n from piece_state where piece_id = $1", [id])).rows[0].n).toBe(
      2,
    );
  });
  it("a step that starts nowhere is refused whole", async () => {
    const id = await addPiece(shop, piece);
    expect(await savePiece(shop, id, 1, [edit(2, 1), edit(9, 7)])).toEqual({ kind: "unknown-state" });
    expect(await savePiece(shop, id, 1, [{ kind: "move", head: 5 }])).toEqual({ kind: "unknown-state" });
    expect((await openPiece(shop, id))!.revision).toBe(1);
  });
  it("puts away and gets back", async () => {
    const id = await addPiece(shop, piece);
    expect(await setPutAway(shop, id, true)).toBe(true);
    expect((await benchPage(shop, true, 0)).map((each) => each.id)).toEqual([id]);
    expect((await benchPage(shop, false, 0)).map((each) => each.id)).not.toContain(id);
    expect(await setPutAway(shop, id, false)).toBe(true);
    expect((await benchPage(shop, false, 0)).map((each) => each.id)).toContain(id);
  });
});

describe("one reservation a board", () => {
  it("two pieces that name one board: the second is told who has it", async () => {
    const first = await addPiece(shop, withBoards("B1", "B2"));
    const second = await addPiece(shop, piece);
    const result = await savePiece(shop, second, 1, [edit(2, 1, withBoards("B2", "B3"))]);
    expect(result.kind === "saved" && result.taken).toEqual([{ board: "B2", piece: first, name: "Table" }]);
    const boards = await rack(shop, second);
    expect(boards.find((each) => each.id === "B2")!.reservedBy?.piece).toBe(first);
    expect(boards.find((each) => each.id === "B3")!.reservedBy).toBeNull();
    expect((await rack(shop, first)).find((each) => each.id === "B3")!.reservedBy?.piece).toBe(second);
  });
  it("fifty pieces fight for twenty boards: no board twice, and every board somewhere", async () => {
    await pool().query("delete from board_reservation");
    const ids = Array.from({ length: 20 }, (_, i) => `B${i + 1}`);
    const pieces = await Promise.all(Array.from({ length: 50 }, () => addPiece(shop, piece)));
    const results = await Promise.all(
      pieces.map((id, i) =>
        savePiece(shop, id, 1, [edit(2, 1, withBoards(...ids.slice(i % 5), ...ids.slice(0, i % 5)))]),
      ),
    );
    const { rows } = await pool().query<{ board_id: string; piece_id: string }>(
      "select board_id, piece_id from board_reservation",
    );
    expect(rows).toHaveLength(20);
    results.forEach((result, i) => {
      if (result.kind !== "saved") throw new Error(result.kind);
      const mine = rows.filter((row) => row.piece_id === pieces[i]).map((row) => row.board_id);
      expect(new Set([...mine, ...result.taken.map((each) => each.board)])).toEqual(new Set(ids));
    });
  });
  it("the constraint itself says no, whatever the code does", async () => {
    const {
      rows: [one],
    } = await pool().query("select workshop_id, board_id, piece_id from board_reservation limit 1");
    await expect(
      pool().query(
        "insert into board_reservation (workshop_id, board_id, piece_id, commission) values ($1, $2, $3, '')",
        [one.workshop_id, one.board_id, one.piece_id],
      ),
    ).rejects.toThrow(/duplicate key/);
  });
  it("putting a piece away frees its boards, getting it back takes those still free", async () => {
    await pool().query("delete from piece");
    const first = await addPiece(shop, withBoards("B1", "B2"));
    await setPutAway(shop, first, true);
    const second = await addPiece(shop, withBoards("B2"));
    await setPutAway(shop, first, false);
    const { rows } = await pool().query("select board_id, piece_id from board_reservation order by board_id");
    expect(rows).toEqual([
      { board_id: "B1", piece_id: first },
      { board_id: "B2", piece_id: second },
    ]);
  });
  it("a reserved board can't be taken off the rack", async () => {
    expect(await removeBoard(shop, "B2")).toBe(false);
    expect(await removeBoard(shop, "B24")).toBe(true);
  });
});

describe("every row belongs to a workshop", () => {
  it("another workshop sees nothing of this one", async () => {
    const other = await addWorkshop("Next door", USUAL_SHOP);
    const id = await addPiece(shop, piece);
    expect(await rack(other, null)).toEqual([]);
    expect(await benchPage(other, false, 0)).toEqual([]);
    expect(await openPiece(other, id)).toBeNull();
    expect(await stateOf(other, id, 1)).toBeNull();
    expect(await savePiece(other, id, 1, [edit(2, 1)])).toEqual({ kind: "gone" });
    expect(await setPutAway(other, id, true)).toBe(false);
  });
  it("has a workshop on every table", async () => {
    const client = new Client({ connectionString: url });
    await client.connect();
    const { rows } = await client.query(
      "select table_name from information_schema.tables t where table_schema = 'public' and table_type = 'BASE TABLE' and table_name not in ('migration', 'workshop') and not exists (select 1 from information_schema.columns c where c.table_name = t.table_name and c.column_name = 'workshop_id')",
    );
    await client.end();
    expect(rows).toEqual([]);
  });
  it("goes with its workshop, whole", async () => {
    const other = await addWorkshop("To be closed", USUAL_SHOP);
    const id = await addPiece(other, piece);
    await savePiece(other, id, 1, [edit(2, 1)]);
    await pool().query("delete from workshop where id = $1", [other]);
    expect((await pool().query("select 1 from piece_state where workshop_id = $1", [other])).rowCount).toBe(0);
  });
  it("an own species is added once", async () => {
    const own = { ...SPECIES[0], id: "own-plum", source: "own" as const };
    expect(await addSpecies(shop, own)).toBe(true);
    expect(await addSpecies(shop, own)).toBe(false);
  });
  it("a board imported again is replaced, not doubled", async () => {
    const { reservedBy: _r, ...board } = demoBoard({ id: "B1", width: 99 });
    expect(await putBoards(shop, [board, { ...board, id: "N1" }])).toEqual({ added: 1, replaced: 1, cut: [] });
    expect((await rack(shop, null)).find((each) => each.id === "B1")!.width).toBe(99);
  });
});

describe("a state saved by the Taller before this one", () => {
  it("opens as it was meant, undoes to it, and is saved on in the new form", async () => {
    const id = await addPiece(shop, piece);
    const old = JSON.parse(readFileSync("core/testing/piece-version-1.json", "utf8"));
    await pool().query("update piece_state set body = $3 where workshop_id = $1 and piece_id = $2 and n = 1", [
      shop,
      id,
      old,
    ]);
    const opened = await openPiece(shop, id);
    expect(firstFault(pieceSchema, opened!.piece)).toBeNull();
    expect([opened!.piece.version, opened!.piece.name, opened!.piece.form.field]).toEqual([4, old.name, "solid"]);
    expect(opened!.piece.joints.fastening).toBe("button");
    const saved = await savePiece(shop, id, opened!.revision, [edit(2, 1, { ...opened!.piece, name: "Changed" })]);
    expect(saved.kind).toBe("saved");
    expect((await stateOf(shop, id, 1))!.version).toBe(4);
  });
});
