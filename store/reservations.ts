import type { PoolClient } from "pg";
import { followed, LeftOf, Stretch, stretchesOf } from "../core/layout/stretches";
import { boardsOf } from "../core/piece/copy";
import type { Piece } from "../core/piece/schema";
import type { Shop } from "../core/piece/shop";
import { note } from "./history";

/** A board that another piece holds, all of it or where this one wants it, and that piece. */
export interface Taken {
  board: string;
  piece: string;
  name: string;
}

/*
 * Who has a board. A piece wants stretches of the boards it names. Pieces of one commission may share a board, each with its own stretches; any
 * other board is one piece's. Whoever wanted a stretch longest has it. Whoever frees a board, or brings one onto the rack, hands it over in the same
 * transaction, so that no stretch a piece names ever lies about for no one.
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
 * Holds every board that a save of this piece can touch: those it will name and what is left of them where they were cut, those it has or may be
 * given meanwhile, those it has sawn and their offcuts. The piece's own row must be held.
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
    `with recursive left_of (id) as (
       select id from board where workshop_id = $1 and (id = any($3) or cut_by = $2)
       union select b.id from left_of l join board b on b.workshop_id = $1 and b.cut_from = l.id)
     select id from left_of
     union select board_id from board_reservation where workshop_id = $1 and piece_id = $2
     union select board_id from board_want where workshop_id = $1 and piece_id = $2`,
    [workshop, piece, named],
  );
  const ids = rows.map((row) => row.id);
  await lockBoards(client, workshop, ids);
  return ids;
}

/** What is left of boards that were cut for other pieces than this, by their names: those it names, and offcuts of theirs that were cut again. */
export async function leftOf(
  client: Pick<PoolClient, "query">,
  workshop: string,
  piece: string,
  named: readonly string[],
): Promise<Map<string, LeftOf["offcuts"]>> {
  const { rows } = await client.query<{ board: string; id: string; from: number; length: number }>(
    `with recursive cut (id) as (
       select id from board where workshop_id = $1 and id = any($3) and left_why = 'cut' and cut_by is distinct from $2
       union select b.id from cut c join board b on b.workshop_id = $1 and b.cut_from = c.id
              where b.left_why = 'cut' and b.cut_by is distinct from $2)
     select c.id as board, b.id, (b.body ->> 'cutAt')::float as "from", b.length::float as length
       from cut c join board b on b.workshop_id = $1 and b.cut_from = c.id and b.body ->> 'cutAt' is not null
                                  and b.left_why is distinct from 'taken off'`,
    [workshop, piece, named],
  );
  const found = new Map<string, { id: string; from: number; length: number }[]>(named.map((id) => [id, []]));
  const cut = new Set(rows.map(({ board }) => board));
  for (const { board, ...offcut } of rows) found.set(board, [...(found.get(board) ?? []), offcut]);
  return new Map([...found].filter(([board]) => cut.has(board)));
}

/** What a piece wants of which boards now, as the rows that keep it. */
interface Wish {
  piece: string;
  /** null: it is put away, and wants nothing */
  body: Piece | null;
  /** the boards that `lockPiecesBoards` holds: no one else changes who has them until the transaction ends */
  held: readonly string[];
}

/**
 * Makes what the piece wants exactly what its record names; what it gives up goes to whoever has wanted it longest.
 *
 * @returns the boards it wants that another piece has
 */
export async function reserve(client: PoolClient, workshop: string, { piece, body, held }: Wish): Promise<Taken[]> {
  const wanted = body ? await wantedNow(client, workshop, piece, body) : [];
  const boards = [...new Set(wanted.map(({ board }) => board))];
  const values = [workshop, piece, JSON.stringify(wanted)];
  await client.query("delete from board_want where workshop_id = $1 and piece_id = $2 and not (board_id = any($3))", [
    workshop,
    piece,
    boards,
  ]);
  await client.query(
    `insert into board_want (workshop_id, piece_id, board_id, stretch) select $1, $2, board, stretch from (${WANTED}) w
     on conflict (workshop_id, piece_id, board_id) do update set stretch = excluded.stretch where board_want.stretch <> excluded.stretch`,
    values,
  );
  const before = await boardsHeld(client, workshop, piece);
  // what lies elsewhere now, or belongs to another commission, is asked for anew
  await client.query(
    `delete from board_reservation r where workshop_id = $1 and piece_id = $2
        and not exists (select 1 from board_want w join piece p on p.workshop_id = w.workshop_id and p.id = w.piece_id
                          join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
                         where w.workshop_id = $1 and w.piece_id = $2 and w.board_id = r.board_id and w.stretch = r.stretch
                           and r.commission = commission_of(s.body ->> 'commission', $2))`,
    [workshop, piece],
  );
  if (body)
    await client.query(
      "update board_reservation set piece_name = $3 where workshop_id = $1 and piece_id = $2 and piece_name <> $3",
      [workshop, piece, body.name],
    );
  await handOver(client, workshop, [...new Set([...held, ...boards])], { piece, had: before });
  const now = await boardsHeld(client, workshop, piece);
  await note(
    client,
    workshop,
    [...before].filter((id) => !now.has(id)),
    { kind: "released", body: { piece } },
  );
  const { rows } = await client.query<Taken>(
    `select distinct on (board_id) board_id as board, piece_id as piece, piece_name as name from board_reservation
      where workshop_id = $1 and board_id = any($3) and piece_id <> $2 and not (board_id = any($4)) order by board_id, reserved_at`,
    [workshop, piece, boards, [...now]],
  );
  return rows;
}

/** The stretches of a record, board by board: $1 is the workshop, $2 the piece, $3 its stretches as JSON. */
export const WANTED = `select board, range_agg(numrange("from", "to")) as stretch
   from jsonb_to_recordset($3::jsonb) as each (board text, "from" numeric, "to" numeric) where "to" is null or "to" > "from" group by board`;

/** The stretches a record names, whoever has them, as this workshop crosscuts. */
export async function stretchesIn(client: PoolClient, workshop: string, body: Piece): Promise<Stretch[]> {
  return stretchesOf(body, await shopOf(client, workshop));
}

/** The workshop's tools, as it has them now. */
export async function shopOf(client: PoolClient, workshop: string): Promise<Shop> {
  const { rows } = await client.query<{ shop: Shop }>("select shop from workshop where id = $1", [workshop]);
  return rows[0].shop;
}

/** The same where they lie now. */
async function wantedNow(client: PoolClient, workshop: string, piece: string, body: Piece): Promise<Stretch[]> {
  const shop = await shopOf(client, workshop);
  const stretches = stretchesOf(body, shop);
  const cut = await leftOf(client, workshop, piece, [...new Set(stretches.map(({ board }) => board))]);
  return followed(stretches, cut, shop);
}

async function boardsHeld(client: PoolClient, workshop: string, piece: string): Promise<Set<string>> {
  const { rows } = await client.query<{ id: string }>(
    "select board_id as id from board_reservation where workshop_id = $1 and piece_id = $2 order by board_id",
    [workshop, piece],
  );
  return new Set(rows.map((row) => row.id));
}

/**
 * Gives what is on the rack of these boards, and no one's, to the pieces that have wanted it longest. The boards must be held.
 *
 * @param asked  a piece that has only been asked for its boards anew: those it had are no news
 */
export async function handOver(
  client: PoolClient,
  workshop: string,
  boards: readonly string[],
  asked?: { piece: string; had: ReadonlySet<string> },
): Promise<void> {
  const { rows } = await client.query<{ board: string; piece: string }>(
    `insert into board_reservation (workshop_id, board_id, piece_id, piece_name, stretch, commission)
     select w.workshop_id, w.board_id, w.piece_id, s.body ->> 'name', w.stretch, commission_of(s.body ->> 'commission', w.piece_id)
       from board_want w
       join board b on b.workshop_id = w.workshop_id and b.id = w.board_id and b.left_at is null
       join piece p on p.workshop_id = w.workshop_id and p.id = w.piece_id
       join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where w.workshop_id = $1 and w.board_id = any($2) and not isempty(w.stretch)
        and not exists (select 1 from board_reservation r where r.workshop_id = w.workshop_id and r.board_id = w.board_id and r.piece_id = w.piece_id)
      order by w.board_id, w.since, w.piece_id
     on conflict do nothing returning board_id as board, piece_id as piece`,
    [workshop, boards],
  );
  const news = rows.filter((row) => row.piece !== asked?.piece || !asked.had.has(row.board));
  for (const piece of new Set(news.map((row) => row.piece)))
    await note(
      client,
      workshop,
      news.filter((row) => row.piece === piece).map((row) => row.board),
      { kind: "reserved", body: { piece } },
    );
}

/** Boards a save of this record touches: those it reserves, those it has sawn, and their offcuts. */
export const touchedBy = (piece: Piece): string[] => [
  ...new Set([
    ...boardsOf(piece),
    ...piece.cutting.sawn.flatMap((each) => [each.board.id, ...each.offcuts.map((offcut) => offcut.id)]),
  ]),
];
