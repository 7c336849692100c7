import type { PoolClient } from "pg";
import { pool } from "./database";

export type BoardEventKind =
  "added" | "bought" | "changed" | "reserved" | "released" | "cut" | "offcut" | "put together again" | "taken off";

/** One thing that happened to a board; `pieceName` is whose it was. */
export interface BoardEvent {
  at: string;
  kind: BoardEventKind;
  body: { piece?: string; from?: string; pieces?: string[]; offcuts?: string[]; merchant?: string; paid?: number };
  pieceName: string | null;
}

/** Writes the same line into the history of several boards. */
export async function note(
  client: PoolClient,
  workshop: string,
  boards: readonly string[],
  { kind, body }: { kind: BoardEventKind; body: object },
): Promise<void> {
  if (boards.length === 0) return;
  await client.query(
    "insert into board_event (workshop_id, board_id, species, kind, body) select $1, b.id, b.species, $3, $4 from board b where b.workshop_id = $1 and b.id = any($2) order by b.id",
    [workshop, boards, kind, body],
  );
}

/** A board's history, oldest first. */
export async function historyOf(workshop: string, board: string): Promise<BoardEvent[]> {
  const { rows } = await pool().query<{
    at: Date;
    kind: BoardEventKind;
    body: BoardEvent["body"];
    name: string | null;
  }>(
    `select e.at, e.kind, e.body, s.body ->> 'name' as name
       from board_event e
       left join piece p on p.workshop_id = e.workshop_id and p.id::text = e.body ->> 'piece'
       left join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where e.workshop_id = $1 and e.board_id = $2 order by e.n`,
    [workshop, board],
  );
  return rows.map(({ at, kind, body, name }) => ({ at: at.toISOString(), kind, body, pieceName: name }));
}
