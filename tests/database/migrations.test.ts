/** Shops from before: what a migration makes of what they hold. */
import { cpSync, mkdtempSync, readdirSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Client } from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { pool } from "../../store/database";
import { migrate } from "../../store/migrate";
import { findDatabase } from "./shop";

const FOLDER = "store/migrations";
beforeAll(findDatabase);
afterAll(() => pool().end());

/** A database as it was before a migration, with a workshop; `on` migrates it to today and says which files that took. */
async function before(migration: string) {
  const name = `before_${migration.slice(0, 3)}`;
  await pool().query(`drop database if exists ${name}`);
  await pool().query(`create database ${name}`);
  const url = new URL(process.env.DATABASE_URL!);
  url.pathname = `/${name}`;
  const folder = mkdtempSync(join(tmpdir(), "taller-migrations-"));
  const [old, later] = [true, false].map((earlier) =>
    readdirSync(FOLDER)
      .sort()
      .filter((file) => file < migration === earlier),
  );
  for (const file of old) cpSync(join(FOLDER, file), join(folder, file));
  await migrate(url.href, folder);
  const client = new Client({ connectionString: url.href });
  await client.connect();
  const {
    rows: [{ id: workshop }],
  } = await client.query<{ id: string }>("insert into workshop (name, shop) values ('Old', '{}') returning id");
  /** A piece with its first state. */
  const piece = async (body: unknown): Promise<string> => {
    const {
      rows: [{ id }],
    } = await client.query<{ id: string }>("insert into piece (workshop_id) values ($1) returning id", [workshop]);
    await client.query(
      "insert into piece_state (workshop_id, piece_id, n, label, body) values ($1, $2, 1, 'Begun', $3)",
      [workshop, id, JSON.stringify(body)],
    );
    return id;
  };
  return {
    ...{ client, workshop, piece },
    on: async () => expect(await migrate(url.href)).toEqual(later),
  };
}

describe("a shop from before", () => {
  it("what its pieces want is read out of them, whatever state they are in", async () => {
    const { client, piece, on } = await before("003-ground.sql");
    await piece({
      panel: { strips: [{ board: "A" }, { board: "B" }] },
      cutting: { sections: [{ board: "C" }, { board: "B" }], sawn: [{ board: { id: "B" } }] },
    });
    await piece({ name: "of the first version" });
    await piece({ panel: { strips: 7 }, cutting: null });
    await on();
    expect((await client.query("select board_id from board_want order by board_id")).rows).toEqual([
      { board_id: "A" },
      { board_id: "C" },
    ]);
    await client.end();
  });

  it("every reservation is of a whole board, and of its piece's commission", async () => {
    const { client, workshop, piece, on } = await before("004-stretches.sql");
    const ids: string[] = [];
    for (const [board, commission] of [
      ["A", " House "],
      ["B", ""],
    ]) {
      const id = await piece({ commission });
      ids.push(id);
      await client.query("insert into board (workshop_id, id, body) values ($1, $2, '{}')", [workshop, board]);
      await client.query("insert into board_reservation (workshop_id, board_id, piece_id) values ($1, $2, $3)", [
        workshop,
        board,
        id,
      ]);
    }
    await on();
    expect(
      (await client.query("select board_id, stretch::text, commission from board_reservation order by board_id")).rows,
    ).toEqual([
      { board_id: "A", stretch: "{[0,)}", commission: "house" },
      { board_id: "B", stretch: "{[0,)}", commission: ids[1] },
    ]);
    await client.end();
  });
});
