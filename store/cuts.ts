import type { PoolClient } from "pg";
import { offcutOf } from "../core/layout/stretches";
import { mendBoard } from "../core/piece/mend";
import type { Piece, Sawn } from "../core/piece/schema";
import type { Board } from "../core/stock/board";
import { sawnFault } from "../core/stock/sawn";
import { sameBoard } from "./boards";
import { note } from "./history";
import { handOver, shopOf } from "./reservations";

/** A cut that can't stand, as a sentence; nothing of the save it came with is kept. */
export class CutRefused extends Error {}

/**
 * Makes the rack agree with what a piece says it has sawn: boards newly sawn leave it and their offcuts come on; a cut that was undone puts the
 * board together again while its offcuts are still whole.
 *
 * @returns whether the rack changed
 * @throws CutRefused when a board was cut or changed by someone else, or its account does not add up
 */
export async function applyCuts(
  client: PoolClient,
  workshop: string,
  piece: string,
  sawn: Piece["cutting"]["sawn"],
): Promise<boolean> {
  const { rows } = await client.query<{ id: string }>(
    "select id from board where workshop_id = $1 and cut_by = $2 order by id for update",
    [workshop, piece],
  );
  const before = new Set(rows.map((row) => row.id));
  const wanted = new Set(sawn.map((each) => each.board.id));
  if (wanted.size < sawn.length) throw new CutRefused("A board is sawn twice in this piece. Undo the second cut.");
  const undone = [...before].filter((id) => !wanted.has(id));
  const fresh = sawn.filter((each) => !before.has(each.board.id));
  for (const id of undone) await restore(client, workshop, piece, id);
  for (const each of fresh) await cut(client, workshop, piece, each);
  return undone.length + fresh.length > 0;
}

async function cut(client: PoolClient, workshop: string, piece: string, sawn: Sawn): Promise<void> {
  const { board, offcuts } = sawn;
  const fault = sawnFault(sawn);
  if (fault) throw new CutRefused(fault);
  const { rows } = await client.query<{ body: Board; left_why: string | null }>(
    "select body, left_why from board where workshop_id = $1 and id = $2 for update",
    [workshop, board.id],
  );
  const now = rows[0];
  if (!now) throw new CutRefused(`${board.id} is not on the rack. Take another board for what it should give.`);
  if (now.left_why === "cut")
    throw new CutRefused(
      `${board.id} has been cut already, from another screen. Load what is saved and look at what is left of it.`,
    );
  if (now.left_why)
    throw new CutRefused(`${board.id} has been taken off the rack. Take another board for what it should give.`);
  const others = await heldByOthers(client, workshop, piece, board.id);
  if (others.some(({ ours }) => !ours))
    throw new CutRefused(`${board.id} is reserved for another piece. Take another board, or free it there.`);
  const kept = await keptOn(client, workshop, others, { board, offcuts });
  if (!sameBoard(mendBoard(now.body) ?? now.body, board))
    throw new CutRefused(
      `${board.id} was changed on the rack since it was laid out. Load the piece again and look at its cuts.`,
    );
  await client.query(
    "update board set left_at = now(), left_why = 'cut', cut_by = $3 where workshop_id = $1 and id = $2",
    [workshop, board.id, piece],
  );
  await client.query("delete from board_reservation where workshop_id = $1 and board_id = $2", [workshop, board.id]);
  await client.query("delete from board_want where workshop_id = $1 and board_id = $2 and piece_id <> $3", [
    workshop,
    board.id,
    piece,
  ]);
  const { rows: put } = await client.query<{ id: string }>(
    `insert into board (workshop_id, id, checked, body) select $1, item ->> 'id', true, item from jsonb_array_elements($2::jsonb) as item order by item ->> 'id'
     on conflict (workshop_id, id) do update set body = excluded.body, checked = true, left_at = null, left_why = null, cut_by = null where board.left_why = 'taken off' and board.cut_from = $3 returning id`,
    [workshop, JSON.stringify(offcuts), board.id],
  );
  if (put.length < offcuts.length)
    throw new CutRefused(
      `An offcut of ${board.id} has the name of a board that is on the rack. Load the piece again; it will get another.`,
    );
  await note(client, workshop, [board.id], {
    kind: "cut",
    body: {
      piece,
      pieces: sawn.sections.flatMap((section) => section.lanes.flatMap((lane) => lane.pieces)),
      offcuts: offcuts.map((each) => each.id),
    },
  });
  await note(
    client,
    workshop,
    offcuts.map((each) => each.id),
    { kind: "offcut", body: { piece, from: board.id } },
  );
  for (const each of kept)
    await client.query(
      `insert into board_want (workshop_id, piece_id, board_id, since, stretch) values ($1, $2, $3, $4, nummultirange(numrange($5, $6)))
       on conflict (workshop_id, piece_id, board_id) do update set stretch = board_want.stretch + excluded.stretch`,
      [workshop, each.piece, each.offcut, each.since, each.from, each.to],
    );
  if (kept.length > 0) await handOver(client, workshop, [...new Set(kept.map((each) => each.offcut))]);
}

/** A stretch of a board that is kept for another piece. */
interface Kept {
  piece: string;
  name: string;
  since: Date;
  from: number;
  to: number | null;
  ours: boolean;
}

/** What of a board is kept for other pieces than this, and whether they are of its commission. */
async function heldByOthers(client: PoolClient, workshop: string, piece: string, board: string): Promise<Kept[]> {
  const { rows } = await client.query<Kept>(
    `select r.piece_id as piece, r.piece_name as name, coalesce(w.since, r.reserved_at) as since, lower(each)::float as "from", upper(each)::float as "to",
            r.commission = (select commission_of(s.body ->> 'commission', p.id) from piece p
                              join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
                             where p.workshop_id = $1 and p.id = $3) as ours
       from board_reservation r cross join unnest(r.stretch) each
       left join board_want w on w.workshop_id = r.workshop_id and w.piece_id = r.piece_id and w.board_id = r.board_id
      where r.workshop_id = $1 and r.board_id = $2 and r.piece_id <> $3 order by lower(each)`,
    [workshop, board, piece],
  );
  return rows;
}

/**
 * On which offcut each stretch lies that is kept for another piece, and where on it.
 *
 * @throws CutRefused when one would not be left whole
 */
async function keptOn(
  client: PoolClient,
  workshop: string,
  others: readonly Kept[],
  { board, offcuts }: Pick<Sawn, "board" | "offcuts">,
): Promise<(Kept & { offcut: string })[]> {
  if (others.length === 0) return [];
  const shop = await shopOf(client, workshop);
  const left = offcuts.flatMap(({ id, cutAt, length }) => (cutAt === undefined ? [] : [{ id, from: cutAt, length }]));
  return others.map((each) => {
    const on = offcutOf(each, left, shop);
    if (!on || each.to === null)
      throw new CutRefused(
        `${board.id} keeps ${Math.round(each.from)} to ${Math.round(each.to ?? board.length)} mm for ${each.name}, and that stretch would not be left whole. Lay this piece out beside it, or saw it for ${each.name} first.`,
      );
    return { ...each, offcut: on.id, from: each.from - on.from, to: each.to - on.from };
  });
}

async function restore(client: PoolClient, workshop: string, piece: string, id: string): Promise<void> {
  const { rows } = await client.query<{ id: string; left_why: string | null; reserved: boolean }>(
    `select b.id, b.left_why, exists (select 1 from board_reservation r where r.workshop_id = b.workshop_id and r.board_id = b.id and r.piece_id <> $3) as reserved
       from board b where b.workshop_id = $1 and b.cut_from = $2 for update`,
    [workshop, id, piece],
  );
  const used = rows.find((row) => row.left_why === "cut" || row.reserved);
  if (used)
    throw new CutRefused(
      `${id} can't be put together again: its offcut ${used.id} has been ${used.reserved ? "reserved for another piece" : "cut"}. Redo the step, or undo that first.`,
    );
  // an offcut stays in the books as taken off, so that its history can be told
  await client.query("delete from board_reservation where workshop_id = $1 and board_id = any($2)", [
    workshop,
    rows.map((row) => row.id),
  ]);
  await client.query(
    "update board set left_at = now(), left_why = 'taken off' where workshop_id = $1 and cut_from = $2 and left_at is null",
    [workshop, id],
  );
  await client.query(
    "update board set left_at = null, left_why = null, cut_by = null where workshop_id = $1 and id = $2",
    [workshop, id],
  );
  await note(client, workshop, [id], { kind: "put together again", body: { piece } });
}
