import type { PoolClient } from "pg";
import type { Piece } from "../core/piece/schema";
import { upgraded } from "../core/piece/upgrade";
import { reserve, Taken } from "./boards";
import { applyCuts, CutRefused } from "./cuts";
import { pool, transaction } from "./database";

/** What a screen needs to go on with a piece: its head, and the line of states that undo and redo walk. */
export interface OpenPiece { id: string; revision: number; piece: Piece; head: number; line: { n: number; label: string }[]; newest: number }

/** One thing that happened: an edit adds a state after its parent, a move only sets the head. */
export type Change = { kind: "edit"; n: number; parent: number; label: string; piece: Piece } | { kind: "move"; head: number };

export type Saved =
  | { kind: "saved"; revision: number; taken: Taken[]; rackChanged: boolean }
  | { kind: "refused"; message: string }
  | { kind: "stale"; revision: number; theirs: Piece; head: number; newest: number }
  | { kind: "gone" } | { kind: "unknown-state" };

export interface BenchPiece { id: string; piece: Piece; revision: number; putAway: boolean; savedAt: string }

export async function bench(workshop: string): Promise<BenchPiece[]> {
  const { rows } = await pool().query<{ id: string; body: Piece; revision: number; put_away: boolean; saved_at: Date }>(
    `select p.id, s.body, p.revision, p.put_away, p.saved_at
       from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where p.workshop_id = $1 order by p.put_away, p.created_at, p.id`, [workshop]);
  return rows.map((row) => ({ id: row.id, piece: asPiece(row.body), revision: row.revision, putAway: row.put_away, savedAt: row.saved_at.toISOString() }));
}

export async function openPiece(workshop: string, id: string): Promise<OpenPiece | null> {
  const found = await pool().query<{ revision: number; head: number; tip: number; newest: number; body: Piece }>(
    `select p.revision, p.head, p.tip, s.body, (select max(n) from piece_state m where m.workshop_id = p.workshop_id and m.piece_id = p.id) as newest
       from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where p.workshop_id = $1 and p.id = $2`, [workshop, id]);
  const row = found.rows[0];
  if (!row) return null;
  const line = await pool().query<{ n: number; label: string }>(
    `with recursive up as (
       select n, parent, label from piece_state where workshop_id = $1 and piece_id = $2 and n = $3
       union all
       select s.n, s.parent, s.label from piece_state s join up on s.n = up.parent where s.workshop_id = $1 and s.piece_id = $2)
     select n, label from up order by n`, [workshop, id, row.tip]);
  return { id, revision: row.revision, piece: asPiece(row.body), head: row.head, line: line.rows, newest: row.newest };
}

export async function stateOf(workshop: string, id: string, n: number): Promise<Piece | null> {
  const { rows } = await pool().query<{ body: Piece }>("select body from piece_state where workshop_id = $1 and piece_id = $2 and n = $3", [workshop, id, n]);
  return rows[0] ? asPiece(rows[0].body) : null;
}

export async function addPiece(workshop: string, piece: Piece): Promise<string> {
  return transaction(async (client) => {
    const { rows } = await client.query<{ id: string }>("insert into piece (workshop_id) values ($1) returning id", [workshop]);
    const id = rows[0].id;
    await client.query("insert into piece_state (workshop_id, piece_id, n, parent, label, body) values ($1, $2, 1, null, 'Begun', $3)", [workshop, id, piece]);
    await client.query("insert into piece_revision (workshop_id, piece_id, revision, state) values ($1, $2, 1, 1)", [workshop, id]);
    await reserve(client, workshop, id, piece.name, boardsOf(piece));
    return id;
  });
}

/**
 * Saves changes that started from `revision`. A stale start is refused with the version that stands; nothing is written then.
 * Boards are reserved to match; those another piece holds are named.
 */
export async function savePiece(workshop: string, id: string, revision: number, changes: readonly Change[]): Promise<Saved> {
  return transaction(async (client): Promise<Saved> => {
    const { rows } = await client.query<{ revision: number; head: number; tip: number }>("select revision, head, tip from piece where workshop_id = $1 and id = $2 for update", [workshop, id]);
    const now = rows[0];
    if (!now) return { kind: "gone" };
    if (now.revision !== revision) {
      const { rows: [{ newest }] } = await client.query<{ newest: number }>("select max(n) as newest from piece_state where workshop_id = $1 and piece_id = $2", [workshop, id]);
      return { kind: "stale", revision: now.revision, theirs: (await bodyOf(client, workshop, id, now.head))!, head: now.head, newest };
    }
    let { head, tip } = now;
    for (const change of changes) {
      if (change.kind === "move") head = change.head;
      else {
        const known = await bodyOf(client, workshop, id, change.parent);
        if (!known || (await bodyOf(client, workshop, id, change.n))) throw new UnknownState();
        await client.query("insert into piece_state (workshop_id, piece_id, n, parent, label, body) values ($1, $2, $3, $4, $5, $6)", [workshop, id, change.n, change.parent, change.label, change.piece]);
        head = change.n;
        tip = change.n;
      }
    }
    const body = await bodyOf(client, workshop, id, head);
    if (!body) throw new UnknownState();
    await client.query("update piece set revision = $3, head = $4, tip = $5, saved_at = now() where workshop_id = $1 and id = $2", [workshop, id, revision + 1, head, tip]);
    await client.query("insert into piece_revision (workshop_id, piece_id, revision, state) values ($1, $2, $3, $4)", [workshop, id, revision + 1, head]);
    const rackChanged = await applyCuts(client, workshop, id, body.cutting.sawn);
    return { kind: "saved", revision: revision + 1, taken: await reserve(client, workshop, id, body.name, boardsOf(body)), rackChanged };
  }).catch((error) => {
    if (error instanceof CutRefused) return { kind: "refused", message: error.message } as const;
    if (error instanceof UnknownState) return { kind: "unknown-state" } as const;
    throw error;
  });
}

/** Puts a piece away, which frees its boards, or gets it back, which reserves those that are still free. */
export async function setPutAway(workshop: string, id: string, away: boolean): Promise<boolean> {
  return transaction(async (client) => {
    const { rows } = await client.query<{ head: number }>("update piece set put_away = $3 where workshop_id = $1 and id = $2 returning head", [workshop, id, away]);
    if (!rows[0]) return false;
    const body = (await bodyOf(client, workshop, id, rows[0].head))!;
    await reserve(client, workshop, id, body.name, away ? [] : boardsOf(body));
    return true;
  });
}

class UnknownState extends Error {}

async function bodyOf(client: PoolClient, workshop: string, id: string, n: number): Promise<Piece | null> {
  const { rows } = await client.query<{ body: Piece }>("select body from piece_state where workshop_id = $1 and piece_id = $2 and n = $3", [workshop, id, n]);
  return rows[0] ? asPiece(rows[0].body) : null;
}

/** A state saved by an earlier Taller reads as this one would have written it. */
const asPiece = (body: Piece) => upgraded(body) as Piece;

/** Boards a piece needs whole: those of its panel and of its cutting plan, but not what it has sawn. */
function boardsOf(piece: Piece): string[] {
  const sawn = new Set(piece.cutting.sawn.map((each) => each.board.id));
  return [...new Set([...piece.panel.strips.map((strip) => strip.board), ...piece.cutting.sections.map((section) => section.board)])].filter((id) => !sawn.has(id));
}
