import { followed, Stretch, stretchesOf } from "../core/layout/stretches";
import { boardsOf } from "../core/piece/copy";
import { mendPiece } from "../core/piece/mend";
import type { Piece } from "../core/piece/schema";
import type { Shop } from "../core/piece/shop";
import { pool, transaction } from "./database";
import { leftOf, lockPiecesBoards, reserve } from "./reservations";

/** A board whose reservation and whose piece disagree. */
export interface Difference {
  workshop: string;
  piece: string;
  board: string;
  what: "reserved, though the piece does not name it" | "named by the piece and free, though not reserved";
}

/** What is reserved of a board for a piece. */
interface Held {
  workshop: string;
  board: string;
  piece: string;
  commission: string;
  stretches: { from: number; to: number | null }[];
}

/** Whether what is reserved is what the pieces name: every difference, none when the books are true. */
export async function differencesInBooks(): Promise<Difference[]> {
  const { rows: pieces } = await pool().query<{
    workshop: string;
    id: string;
    body: unknown;
    away: boolean;
    shop: Shop;
    commission: string;
  }>(
    `select p.workshop_id as workshop, p.id, s.body, p.put_away as away, w.shop, commission_of(s.body ->> 'commission', p.id) as commission
       from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head join workshop w on w.id = p.workshop_id`,
  );
  const { rows: boards } = await pool().query<{ workshop: string; id: string }>(
    "select workshop_id as workshop, id from board where left_at is null",
  );
  const { rows: held } = await pool().query<Held>(
    `select workshop_id as workshop, board_id as board, piece_id as piece, commission,
            (select jsonb_agg(jsonb_build_object('from', lower(each), 'to', upper(each)) order by lower(each)) from unnest(stretch) each) as stretches
       from board_reservation`,
  );
  const there = new Set(boards.map((board) => `${board.workshop} ${board.id}`));
  const onBoard = grouped(held, (each) => `${each.workshop} ${each.board}`);
  const found: Difference[] = [];
  for (const { workshop, id, body, away, shop, commission } of pieces) {
    const wanted = away ? [] : await wantedBy(workshop, id, mendPiece(body).value, shop);
    for (const [board, stretches] of grouped(wanted, (each) => each.board)) {
      const key = `${workshop} ${board}`;
      const rows = onBoard.get(key) ?? [];
      const mine = rows.find((row) => row.piece === id);
      const apart = rows.every((row) => row.commission === commission && !overlap(row.stretches, stretches));
      if (there.has(key) && (mine ? !covers(mine.stretches, stretches) : apart))
        found.push({ workshop, piece: id, board, what: "named by the piece and free, though not reserved" });
    }
    for (const row of held)
      if (
        row.piece === id &&
        !(there.has(`${workshop} ${row.board}`) && wanted.some(({ board }) => board === row.board))
      )
        found.push({ workshop, piece: id, board: row.board, what: "reserved, though the piece does not name it" });
  }
  return found;
}

async function wantedBy(workshop: string, piece: string, body: Piece, shop: Shop): Promise<Stretch[]> {
  const stretches = stretchesOf(body, shop).filter(({ from, to }) => to === null || to > from);
  return followed(stretches, await leftOf(pool(), workshop, piece, boardsOf(body)), shop);
}

function grouped<T>(all: readonly T[], key: (each: T) => string): Map<string, T[]> {
  const by = new Map<string, T[]>();
  for (const each of all) by.set(key(each), [...(by.get(key(each)) ?? []), each]);
  return by;
}

type Range = Pick<Stretch, "from" | "to">;
const overlap = (a: readonly Range[], b: readonly Range[]) =>
  a.some((p) => b.some((q) => p.from < (q.to ?? Infinity) && q.from < (p.to ?? Infinity)));
/** Whether each of these lies in one of those. */
const covers = (kept: readonly Range[], wanted: readonly Range[]) =>
  wanted.every((q) => kept.some((p) => p.from <= q.from + 1e-6 && (p.to ?? Infinity) >= (q.to ?? Infinity) - 1e-6));

/** Looks through the books at start-up and makes reservations what the pieces say; returns what was wrong. */
export async function mendBooks(): Promise<Difference[]> {
  const found = await differencesInBooks();
  for (const { workshop, piece } of new Map(found.map((each) => [each.piece, each])).values()) {
    await transaction(async (client) => {
      const { rows } = await client.query<{ body: unknown; away: boolean }>(
        "select s.body, p.put_away as away from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head where p.workshop_id = $1 and p.id = $2 for no key update of p",
        [workshop, piece],
      );
      if (!rows[0]) return;
      const body = mendPiece(rows[0].body).value;
      const named = rows[0].away ? [] : boardsOf(body);
      const held = await lockPiecesBoards(client, workshop, piece, named);
      await reserve(client, workshop, { piece, body: rows[0].away ? null : body, held });
    });
  }
  return found;
}
