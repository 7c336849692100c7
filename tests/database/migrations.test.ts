/** Shops from before: what a migration makes of what they hold. */
import { cpSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Client } from "pg";
import { afterAll, beforeAll, expect, it } from "vitest";
import { pool } from "../../store/database";
import { migrate } from "../../store/migrate";
import { findDatabase } from "./shop";

beforeAll(findDatabase);
afterAll(() => pool().end());

it("a shop from before: every reservation is of a whole board, and of its piece's commission", async () => {
  const old = new URL(process.env.DATABASE_URL!);
  await pool().query("drop database if exists before_stretches");
  await pool().query("create database before_stretches");
  old.pathname = "/before_stretches";
  const folder = mkdtempSync(join(tmpdir(), "taller-migrations-"));
  for (const file of ["001-first.sql", "002-rack.sql", "003-ground.sql"])
    cpSync(join("store/migrations", file), join(folder, file));
  await migrate(old.href, folder);
  const client = new Client({ connectionString: old.href });
  await client.connect();
  const {
    rows: [{ id: workshop }],
  } = await client.query("insert into workshop (name, shop) values ('Old', '{}') returning id");
  const ids: string[] = [];
  for (const [board, commission] of [
    ["A", " House "],
    ["B", ""],
  ]) {
    const {
      rows: [{ id }],
    } = await client.query("insert into piece (workshop_id) values ($1) returning id", [workshop]);
    ids.push(id);
    await client.query(
      "insert into piece_state (workshop_id, piece_id, n, label, body) values ($1, $2, 1, 'Begun', $3)",
      [workshop, id, JSON.stringify({ commission })],
    );
    await client.query("insert into board (workshop_id, id, body) values ($1, $2, '{}')", [workshop, board]);
    await client.query("insert into board_reservation (workshop_id, board_id, piece_id) values ($1, $2, $3)", [
      workshop,
      board,
      id,
    ]);
  }
  expect(await migrate(old.href)).toEqual(["004-stretches.sql"]);
  expect(
    (await client.query("select board_id, stretch::text, commission from board_reservation order by board_id")).rows,
  ).toEqual([
    { board_id: "A", stretch: "{[0,)}", commission: "house" },
    { board_id: "B", stretch: "{[0,)}", commission: ids[1] },
  ]);
  await client.end();
});
