import type { PoolClient } from "pg";
import type { Board, RackBoard } from "../core/stock/board";
import { pool } from "./database";

/** Every board on the rack, with whoever has reserved it. Boards reserved by `forPiece` itself count as free. */
export async function rack(workshop: string, forPiece: string | null): Promise<RackBoard[]> {
  const { rows } = await pool().query<{ body: Board; piece: string | null; name: string | null }>(
    `select b.body, r.piece_id as piece, s.body ->> 'name' as name
       from board b
       left join board_reservation r on r.workshop_id = b.workshop_id and r.board_id = b.id and r.piece_id is distinct from $2::uuid
       left join piece p on p.workshop_id = r.workshop_id and p.id = r.piece_id
       left join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where b.workshop_id = $1
      order by length(b.id), b.id`, [workshop, forPiece]);
  return rows.map(({ body, piece, name }) => ({ ...body, reservedBy: piece ? { piece, name: name ?? "another piece" } : null }));
}

/** Puts boards on the rack; one whose id is there already is replaced. Returns how many were new. */
export async function putBoards(workshop: string, boards: readonly Board[]): Promise<{ added: number; replaced: number }> {
  const { rows } = await pool().query<{ fresh: boolean }>(
    `insert into board (workshop_id, id, body)
     select $1, item ->> 'id', item from jsonb_array_elements($2::jsonb) as item
     on conflict (workshop_id, id) do update set body = excluded.body
     returning xmax = 0 as fresh`, [workshop, JSON.stringify(boards)]);
  const added = rows.filter((row) => row.fresh).length;
  return { added, replaced: rows.length - added };
}

/** Takes a board off the rack; false when it was not there or a piece has it. */
export async function removeBoard(workshop: string, id: string): Promise<boolean> {
  const { rowCount } = await pool().query(
    "delete from board where workshop_id = $1 and id = $2 and not exists (select 1 from board_reservation where workshop_id = $1 and board_id = $2)", [workshop, id]);
  return rowCount === 1;
}

/**
 * Makes the piece's reservations exactly `wanted`, as far as others have not taken them first.
 *
 * @returns the boards another piece holds
 */
export async function reserve(client: PoolClient, workshop: string, piece: string, wanted: readonly string[]): Promise<Taken[]> {
  await client.query("delete from board_reservation where workshop_id = $1 and piece_id = $2 and not (board_id = any($3))", [workshop, piece, wanted]);
  await client.query(
    `insert into board_reservation (workshop_id, board_id, piece_id)
     select $1, id, $2 from board where workshop_id = $1 and id = any($3) order by id
     on conflict (workshop_id, board_id) do nothing`, [workshop, piece, wanted]);
  const { rows } = await client.query<Taken>(
    `select r.board_id as board, r.piece_id as piece, s.body ->> 'name' as name
       from board_reservation r
       join piece p on p.workshop_id = r.workshop_id and p.id = r.piece_id
       join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where r.workshop_id = $1 and r.board_id = any($3) and r.piece_id <> $2 order by r.board_id`, [workshop, piece, wanted]);
  return rows;
}

/** A board that another piece holds, and that piece. */
export interface Taken { board: string; piece: string; name: string }
