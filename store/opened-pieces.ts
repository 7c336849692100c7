/** Pieces as they are read: the one that is open, what it was before. */
import { Mended, mendPiece } from "../core/piece/mend";
import type { Piece } from "../core/piece/schema";
import { pool } from "./database";

/** What a screen needs to go on with a piece: its head, and the line of states that undo and redo walk. `mended` are stored values this Taller no longer takes. */
export interface OpenPiece {
  id: string;
  revision: number;
  piece: Piece;
  mended: Mended[];
  head: number;
  line: { n: number; label: string }[];
  newest: number;
  putAway: boolean;
}

export async function openPiece(workshop: string, id: string): Promise<OpenPiece | null> {
  const found = await pool().query<{
    revision: number;
    head: number;
    tip: number;
    newest: number;
    body: Piece;
    put_away: boolean;
  }>(
    `select p.revision, p.head, p.tip, p.put_away, s.body, (select max(n) from piece_state m where m.workshop_id = p.workshop_id and m.piece_id = p.id) as newest
       from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where p.workshop_id = $1 and p.id = $2`,
    [workshop, id],
  );
  const row = found.rows[0];
  if (!row) return null;
  const line = await pool().query<{ n: number; label: string }>(
    `with recursive up as (
       select n, parent, label from piece_state where workshop_id = $1 and piece_id = $2 and n = $3
       union all
       select s.n, s.parent, s.label from piece_state s join up on s.n = up.parent where s.workshop_id = $1 and s.piece_id = $2)
     select n, label from up order by n`,
    [workshop, id, row.tip],
  );
  const { value, mended } = mendPiece(row.body);
  return {
    id,
    revision: row.revision,
    piece: value,
    mended,
    head: row.head,
    line: line.rows,
    newest: row.newest,
    putAway: row.put_away,
  };
}

export async function stateOf(workshop: string, id: string, n: number): Promise<Piece | null> {
  const { rows } = await pool().query<{ body: Piece }>(
    "select body from piece_state where workshop_id = $1 and piece_id = $2 and n = $3",
    [workshop, id, n],
  );
  return rows[0] ? mendPiece(rows[0].body).value : null;
}

/** States that one page of history shows, the newest: of more no one reads the names. Ours. */
const PAST = 5000;

/** Every state of a piece with the day of its saving, oldest first; empty when there is no such piece. */
export async function pastOf(workshop: string, id: string): Promise<{ n: number; label: string; at: string | null }[]> {
  const { rows } = await pool().query<{ n: number; label: string; at: string | null }>(
    `select s.n, s.label, to_char(min(r.saved_at), 'YYYY-MM-DD') as at from piece_state s
       left join piece_revision r on r.workshop_id = s.workshop_id and r.piece_id = s.piece_id and r.state = s.n
      where s.workshop_id = $1 and s.piece_id = $2 group by s.n, s.label order by s.n desc limit ${PAST}`,
    [workshop, id],
  );
  return rows.reverse();
}
