import type { PoolClient } from "pg";
import { note } from "./history";

/** A board that another piece holds, and that piece. */
export interface Taken {
  board: string;
  piece: string;
  name: string;
}

/*
 * Who has a board. A piece wants the boards it names; of those on the rack each belongs to the piece that has wanted it longest. Whoever frees a
 * board, or brings one onto the rack, hands it over in the same transaction, so that no board a piece names ever lies about for no one.
 * Locks come in one order: the rack, then boards by their names; a piece's own row before both.
 */

/** Holds the rack against pieces that save, for whoever brings boards onto it: a name that is not there yet can be locked in no other way. */
export async function lockRack(client: PoolClient, workshop: string): Promise<void> {
  await client.query("select pg_advisory_xact_lock(hashtextextended($1, 0))", [workshop]);
}

/** Holds these boards until the transaction ends, in the order of their names. */
export async function lockBoards(client: PoolClient, workshop: string, ids: readonly string[]): Promise<void> {
  await client.query("select 1 from board where workshop_id = $1 and id = any($2) order by id for update", [
    workshop,
    ids,
  ]);
}

/**
 * Holds every board that a save of this piece can touch: those it will name, those it has or may be given meanwhile, those it has sawn and
 * their offcuts. The piece's own row must be held.
 *
 * @returns their names, for `reserve`
 */
export async function lockPiecesBoards(
  client: PoolClient,
  workshop: string,
  piece: string,
  named: readonly string[],
): Promise<string[]> {
  await client.query("select pg_advisory_xact_lock_shared(hashtextextended($1, 0))", [workshop]);
  const { rows } = await client.query<{ id: string }>(
    `select id from board where workshop_id = $1 and (id = any($3) or cut_by = $2 or cut_from in (select id from board where workshop_id = $1 and cut_by = $2))
     union select board_id from board_reservation where workshop_id = $1 and piece_id = $2
     union select board_id from board_want where workshop_id = $1 and piece_id = $2`,
    [workshop, piece, named],
  );
  const ids = rows.map((row) => row.id);
  await lockBoards(client, workshop, ids);
  return ids;
}

/**
 * Makes what the piece wants exactly `wanted`; boards it gives up go to whoever has wanted them longest.
 *
 * @param name  what the piece is called, which the rack shows
 * @param held  the boards that `lockPiecesBoards` holds: no one else changes who has them until the transaction ends
 * @returns the boards of `wanted` that another piece has
 */
export async function reserve(
  client: PoolClient,
  workshop: string,
  { piece, name, wanted, held }: { piece: string; name: string; wanted: readonly string[]; held: readonly string[] },
): Promise<Taken[]> {
  const values = [workshop, piece, wanted];
  await client.query(
    "delete from board_want where workshop_id = $1 and piece_id = $2 and not (board_id = any($3))",
    values,
  );
  await client.query(
    "insert into board_want (workshop_id, piece_id, board_id) select $1, $2, unnest($3::text[]) on conflict do nothing",
    values,
  );
  const { rows: freed } = await client.query<{ id: string }>(
    "delete from board_reservation where workshop_id = $1 and piece_id = $2 and not (board_id = any($3)) returning board_id as id",
    values,
  );
  await note(
    client,
    workshop,
    freed.map((row) => row.id),
    { kind: "released", body: { piece } },
  );
  await client.query(
    "update board_reservation set piece_name = $3 where workshop_id = $1 and piece_id = $2 and piece_name <> $3",
    [workshop, piece, name],
  );
  await handOver(client, workshop, [...new Set([...held, ...wanted])]);
  const { rows } = await client.query<Taken>(
    "select board_id as board, piece_id as piece, piece_name as name from board_reservation where workshop_id = $1 and board_id = any($3) and piece_id <> $2 order by board_id",
    values,
  );
  return rows;
}

/** Gives those of these boards that are on the rack and no one's to the pieces that have wanted them longest. The boards must be held. */
export async function handOver(client: PoolClient, workshop: string, boards: readonly string[]): Promise<void> {
  const { rows } = await client.query<{ board: string; piece: string }>(
    `insert into board_reservation (workshop_id, board_id, piece_id, piece_name)
     select distinct on (w.board_id) w.workshop_id, w.board_id, w.piece_id, s.body ->> 'name'
       from board_want w
       join board b on b.workshop_id = w.workshop_id and b.id = w.board_id and b.left_at is null
       join piece p on p.workshop_id = w.workshop_id and p.id = w.piece_id
       join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where w.workshop_id = $1 and w.board_id = any($2)
        and not exists (select 1 from board_reservation r where r.workshop_id = w.workshop_id and r.board_id = w.board_id)
      order by w.board_id, w.since, w.piece_id
     on conflict (workshop_id, board_id) do nothing returning board_id as board, piece_id as piece`,
    [workshop, boards],
  );
  for (const piece of new Set(rows.map((row) => row.piece)))
    await note(
      client,
      workshop,
      rows.filter((row) => row.piece === piece).map((row) => row.board),
      { kind: "reserved", body: { piece } },
    );
}
