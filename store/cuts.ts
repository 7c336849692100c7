import type { PoolClient } from "pg";
import { mendBoard } from "../core/piece/mend";
import type { Piece, Sawn } from "../core/piece/schema";
import type { Board } from "../core/stock/board";
import { sawnFault } from "../core/stock/sawn";
import { sameBoard } from "./boards";
import { note } from "./history";

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
  const { rows } = await client.query<{ body: Board; left_why: string | null; holder: string | null }>(
    "select b.body, b.left_why, r.piece_id as holder from board b left join board_reservation r on r.workshop_id = b.workshop_id and r.board_id = b.id where b.workshop_id = $1 and b.id = $2 for update of b",
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
  if (now.holder && now.holder !== piece)
    throw new CutRefused(`${board.id} is reserved for another piece. Take another board, or free it there.`);
  if (!sameBoard(mendBoard(now.body) ?? now.body, board))
    throw new CutRefused(
      `${board.id} was changed on the rack since it was laid out. Load the piece again and look at its cuts.`,
    );
  await client.query(
    "update board set left_at = now(), left_why = 'cut', cut_by = $3 where workshop_id = $1 and id = $2",
    [workshop, board.id, piece],
  );
  await client.query("delete from board_reservation where workshop_id = $1 and board_id = $2", [workshop, board.id]);
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
