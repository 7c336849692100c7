/** Pieces that begin: as they are given, or from a file. */
import type { PoolClient } from "pg";
import { arriving, Standing } from "../core/piece/arrival";
import type { Piece } from "../core/piece/schema";
import type { Board } from "../core/stock/board";
import { sameBoard } from "./boards";
import { applyCuts } from "./cuts";
import { transaction } from "./database";
import { lockPiecesBoards, reserve, stretchesIn, touchedBy, WANTED } from "./reservations";

/**
 * A new piece as it is given; what it says it has sawn is checked now.
 *
 * @throws CutRefused when a cut can't stand
 */
export async function addPiece(workshop: string, piece: Piece): Promise<string> {
  return transaction(async (client) => {
    const id = await begin(client, workshop, piece);
    const held = await lockPiecesBoards(client, workshop, id, touchedBy(piece));
    await applyCuts(client, workshop, id, piece.cutting.sawn);
    await reserve(client, workshop, { piece: id, body: piece, held });
    return id;
  });
}

/** A piece from a file, fitted to the boards that are here; `said` is what a maker must be told of that. */
export async function importPiece(workshop: string, given: Piece): Promise<{ id: string; said: string[] }> {
  return transaction(async (client) => {
    const {
      rows: [{ id }],
    } = await client.query<{ id: string }>("insert into piece (workshop_id) values ($1) returning id", [workshop]);
    const named = touchedBy(given);
    const held = await lockPiecesBoards(client, workshop, id, named);
    const { rows } = await client.query<{
      id: string;
      body: Board;
      left_why: string | null;
      holder: string | null;
      orphan: boolean;
    }>(
      `select b.id, b.body, b.left_why, not exists (select 1 from piece p where p.workshop_id = b.workshop_id and p.id = b.cut_by) as orphan,
              (select r.piece_name from board_reservation r left join (${WANTED}) w on w.board = r.board_id
                where r.workshop_id = b.workshop_id and r.board_id = b.id and (r.commission <> commission_of($4, $2) or r.stretch && w.stretch)
                order by r.reserved_at limit 1) as holder
         from board b where b.workshop_id = $1 and b.id = any($5)`,
      [workshop, id, JSON.stringify(await stretchesIn(client, workshop, given)), given.commission, named],
    );
    const standing = rows.map((row): Standing => ({
      id: row.id,
      body: row.body,
      holder: row.holder,
      orphan: row.orphan,
      state: row.left_why === "cut" ? "cut" : row.left_why ? "taken off" : row.holder !== null ? "reserved" : "free",
    }));
    const { piece, adopted, said } = arriving(given, standing, sameBoard);
    await client.query("update board set cut_by = $3 where workshop_id = $1 and id = any($2)", [workshop, adopted, id]);
    await firstState(client, workshop, id, piece);
    await reserve(client, workshop, { piece: id, body: piece, held });
    return { id, said };
  });
}

async function begin(client: PoolClient, workshop: string, piece: Piece): Promise<string> {
  const { rows } = await client.query<{ id: string }>("insert into piece (workshop_id) values ($1) returning id", [
    workshop,
  ]);
  await firstState(client, workshop, rows[0].id, piece);
  return rows[0].id;
}

async function firstState(client: PoolClient, workshop: string, id: string, piece: Piece): Promise<void> {
  await client.query(
    "insert into piece_state (workshop_id, piece_id, n, parent, label, body) values ($1, $2, 1, null, 'Begun', $3)",
    [workshop, id, piece],
  );
  await client.query("insert into piece_revision (workshop_id, piece_id, revision, state) values ($1, $2, 1, 1)", [
    workshop,
    id,
  ]);
}
