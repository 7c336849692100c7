import { boardsOf } from "../core/piece/copy";
import { mendPiece } from "../core/piece/mend";
import { pool, transaction } from "./database";
import { lockPiecesBoards, reserve } from "./reservations";

/** A board whose reservation and whose piece disagree. */
export interface Difference {
  workshop: string;
  piece: string;
  board: string;
  what: "reserved, though the piece does not name it" | "named by the piece and free, though not reserved";
}

/** Whether what is reserved is what the pieces name: every difference, none when the books are true. */
export async function differencesInBooks(): Promise<Difference[]> {
  const { rows: pieces } = await pool().query<{ workshop: string; id: string; body: unknown; away: boolean }>(
    "select p.workshop_id as workshop, p.id, s.body, p.put_away as away from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head",
  );
  const { rows: boards } = await pool().query<{ workshop: string; id: string; piece: string | null }>(
    "select b.workshop_id as workshop, b.id, r.piece_id as piece from board b left join board_reservation r on r.workshop_id = b.workshop_id and r.board_id = b.id where b.left_at is null or r.piece_id is not null",
  );
  const held = new Map(boards.map((board) => [`${board.workshop} ${board.id}`, board.piece]));
  const wanted = new Map(
    pieces.map((piece) => [piece.id, new Set(piece.away ? [] : boardsOf(mendPiece(piece.body).value))]),
  );
  const free = pieces.flatMap(({ workshop, id }) =>
    [...wanted.get(id)!]
      .filter((board) => held.get(`${workshop} ${board}`) === null)
      .map((board): Difference => ({
        workshop,
        piece: id,
        board,
        what: "named by the piece and free, though not reserved",
      })),
  );
  const idle = boards.flatMap(({ workshop, id, piece }) =>
    piece !== null && !wanted.get(piece)?.has(id)
      ? [{ workshop, piece, board: id, what: "reserved, though the piece does not name it" } as const]
      : [],
  );
  return [...free, ...idle];
}

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
      await reserve(client, workshop, { piece, name: body.name, wanted: named, held });
    });
  }
  return found;
}
