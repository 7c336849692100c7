/** Pieces as they are saved, put away and deleted. */
import type { PoolClient } from "pg";
import { mendPiece } from "../core/piece/mend";
import type { Piece } from "../core/piece/schema";
import { applyCuts, CutRefused } from "./cuts";
import { transaction } from "./database";
import { lockPiecesBoards, reserve, Taken, touchedBy } from "./reservations";

/** One thing that happened: an edit adds a state after its parent, a move only sets the head. */
export type Change =
  { kind: "edit"; n: number; parent: number; label: string; piece: Piece } | { kind: "move"; head: number };

export type Saved =
  | { kind: "saved"; revision: number; taken: Taken[]; rackChanged: boolean; putAway: boolean }
  | { kind: "refused"; message: string }
  | { kind: "stale"; revision: number; theirs: Piece; head: number; newest: number }
  | { kind: "gone" }
  | { kind: "unknown-state" };

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
