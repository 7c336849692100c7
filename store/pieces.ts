import type { PoolClient } from "pg";
import { arriving, Standing } from "../core/piece/arrival";
import { boardsOf } from "../core/piece/copy";
import { Mended, mendPiece } from "../core/piece/mend";
import type { Piece } from "../core/piece/schema";
import type { Board } from "../core/stock/board";
import { sameBoard } from "./boards";
import { applyCuts, CutRefused } from "./cuts";
import { pool, transaction } from "./database";
import { lockPiecesBoards, reserve, stretchesIn, Taken, WANTED } from "./reservations";

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

/** One thing that happened: an edit adds a state after its parent, a move only sets the head. */
export type Change =
  { kind: "edit"; n: number; parent: number; label: string; piece: Piece } | { kind: "move"; head: number };

export type Saved =
  | { kind: "saved"; revision: number; taken: Taken[]; rackChanged: boolean; putAway: boolean }
  | { kind: "refused"; message: string }
  | { kind: "stale"; revision: number; theirs: Piece; head: number; newest: number }
  | { kind: "gone" }
  | { kind: "unknown-state" };

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

/**
 * Saves changes that started from `revision`. A stale start is refused with the version that stands; nothing is written then. The same
 * changes sent again, because their answer was lost, are told that they are saved.
 * Boards are reserved to match, unless the piece is put away; those another piece holds are named.
 */
export async function savePiece(
  workshop: string,
  id: string,
  revision: number,
  changes: readonly Change[],
): Promise<Saved> {
  return transaction(async (client): Promise<Saved> => {
    const { rows } = await client.query<{
      revision: number;
      head: number;
      tip: number;
      put_away: boolean;
      newest: number;
    }>(
      `select revision, head, tip, put_away, (select max(n) from piece_state m where m.workshop_id = p.workshop_id and m.piece_id = p.id) as newest
         from piece p where workshop_id = $1 and id = $2 for no key update`,
      [workshop, id],
    );
    const now = rows[0];
    if (!now) return { kind: "gone" };
    if (now.revision !== revision) {
      if (now.revision === revision + 1 && (await stands(client, workshop, { id, head: now.head, changes })))
        return { kind: "saved", revision: now.revision, taken: [], rackChanged: true, putAway: now.put_away };
      const {
        rows: [{ newest }],
      } = await client.query<{ newest: number }>(
        "select max(n) as newest from piece_state where workshop_id = $1 and piece_id = $2",
        [workshop, id],
      );
      return {
        kind: "stale",
        revision: now.revision,
        theirs: (await bodyOf(client, workshop, id, now.head))!,
        head: now.head,
        newest,
      };
    }
    let { head, tip, newest } = now;
    for (const change of changes) {
      if (change.kind === "move") {
        head = change.head;
        continue;
      }
      // states are counted one after the other, so that none can stand in the way of all that follow
      if (change.n !== newest + 1 || !(await has(client, workshop, id, change.parent))) throw new UnknownState();
      await client.query(
        "insert into piece_state (workshop_id, piece_id, n, parent, label, body) values ($1, $2, $3, $4, $5, $6)",
        [workshop, id, change.n, change.parent, change.label, change.piece],
      );
      [head, tip, newest] = [change.n, change.n, change.n];
    }
    const body = await bodyOf(client, workshop, id, head);
    if (!body) throw new UnknownState();
    const held = await lockPiecesBoards(client, workshop, id, touchedBy(body));
    await client.query(
      "update piece set revision = $3, head = $4, tip = $5, saved_at = now() where workshop_id = $1 and id = $2",
      [workshop, id, revision + 1, head, tip],
    );
    await client.query("insert into piece_revision (workshop_id, piece_id, revision, state) values ($1, $2, $3, $4)", [
      workshop,
      id,
      revision + 1,
      head,
    ]);
    const rackChanged = await applyCuts(client, workshop, id, body.cutting.sawn);
    return {
      kind: "saved",
      revision: revision + 1,
      taken: await reserve(client, workshop, { piece: id, body: now.put_away ? null : body, held }),
      rackChanged,
      putAway: now.put_away,
    };
  }).catch((error) => {
    if (error instanceof CutRefused) return { kind: "refused", message: error.message } as const;
    if (error instanceof UnknownState) return { kind: "unknown-state" } as const;
    throw error;
  });
}

/** Puts a piece away, which frees its boards, or gets it back, which reserves those that are still free. */
export async function setPutAway(workshop: string, id: string, away: boolean): Promise<boolean> {
  return transaction(async (client) => {
    const { rows } = await client.query<{ head: number }>(
      "update piece set put_away = $3 where workshop_id = $1 and id = $2 returning head",
      [workshop, id, away],
    );
    if (!rows[0]) return false;
    const body = (await bodyOf(client, workshop, id, rows[0].head))!;
    const held = await lockPiecesBoards(client, workshop, id, touchedBy(body));
    await reserve(client, workshop, { piece: id, body: away ? null : body, held });
    return true;
  });
}

/** Deletes a piece that is put away, with all its states; boards it has sawn stay sawn. */
export async function deletePiece(workshop: string, id: string): Promise<"deleted" | "on the bench" | "gone"> {
  return transaction(async (client) => {
    const { rows } = await client.query<{ put_away: boolean }>(
      "select put_away from piece where workshop_id = $1 and id = $2 for update",
      [workshop, id],
    );
    if (!rows[0]) return "gone";
    if (!rows[0].put_away) return "on the bench";
    await client.query("delete from piece where workshop_id = $1 and id = $2", [workshop, id]);
    return "deleted";
  });
}

class UnknownState extends Error {}

/** Boards a save of this record touches: those it reserves, those it has sawn, and their offcuts. */
const touchedBy = (piece: Piece): string[] => [
  ...new Set([
    ...boardsOf(piece),
    ...piece.cutting.sawn.flatMap((each) => [each.board.id, ...each.offcuts.map((offcut) => offcut.id)]),
  ]),
];

async function bodyOf(client: PoolClient, workshop: string, id: string, n: number): Promise<Piece | null> {
  const { rows } = await client.query<{ body: Piece }>(
    "select body from piece_state where workshop_id = $1 and piece_id = $2 and n = $3",
    [workshop, id, n],
  );
  return rows[0] ? mendPiece(rows[0].body).value : null;
}

const has = async (client: PoolClient, workshop: string, id: string, n: number) =>
  ((
    await client.query("select 1 from piece_state where workshop_id = $1 and piece_id = $2 and n = $3", [
      workshop,
      id,
      n,
    ])
  ).rowCount ?? 0) > 0;

/** Whether exactly these changes are what was saved last. */
async function stands(
  client: PoolClient,
  workshop: string,
  { id, head, changes }: { id: string; head: number; changes: readonly Change[] },
): Promise<boolean> {
  const last = changes.at(-1);
  if (!last || head !== (last.kind === "edit" ? last.n : last.head)) return false;
  for (const change of changes) {
    if (change.kind === "move") continue;
    const { rowCount } = await client.query(
      "select 1 from piece_state where workshop_id = $1 and piece_id = $2 and n = $3 and parent = $4 and label = $5 and body = $6::jsonb",
      [workshop, id, change.n, change.parent, change.label, JSON.stringify(change.piece)],
    );
    if (!rowCount) return false;
  }
  return changes.some((change) => change.kind === "edit");
}
