import { mendPiece } from "../../core/piece/mend";
import type { Piece } from "../../core/piece/schema";
import { ask } from "../frame/ask";

export type Change =
  { kind: "edit"; n: number; parent: number; label: string; piece: Piece } | { kind: "move"; head: number };

export type SaveResult =
  | {
      kind: "saved";
      revision: number;
      taken: { board: string; piece: string; name: string }[];
      rackChanged: boolean;
      putAway: boolean;
    }
  | { kind: "stale"; revision: number; theirs: Piece; head: number; newest: number }
  | { kind: "refused"; message: string }
  | { kind: "unreachable" };

/** Sends changes with the revision they started from. Never throws: a server that does not answer, or whose database does not, is a result. */
export async function save(id: string, revision: number, changes: readonly Change[]): Promise<SaveResult> {
  const answer = await ask<Omit<SaveResult & { kind: "saved" }, "kind">>("POST", `/api/pieces/${id}/save`, {
    revision,
    changes,
  });
  if (answer.ok) return { kind: "saved", ...answer.json };
  if (answer.status === 409) return { kind: "stale", ...(answer.json as Omit<SaveResult & { kind: "stale" }, "kind">) };
  return answer.status === 0 || answer.status >= 500
    ? { kind: "unreachable" }
    : { kind: "refused", message: answer.message };
}

const key = (id: string) => `taller:unsaved:${id}`;

/** Keeps what is not saved yet in this browser, so that a reload or a lost connection loses nothing; a browser that has no room for it holds it in the page alone. */
export function keep(id: string, revision: number, queue: readonly Change[]): void {
  try {
    localStorage.setItem(key(id), JSON.stringify({ revision, queue }));
  } catch {
    localStorage.removeItem(key(id));
  }
}

export function forget(id: string): void {
  localStorage.removeItem(key(id));
}

/** What an earlier visit left, as this Taller takes it; what can't be read as that is let go. */
export function kept(id: string): { revision: number; queue: Change[] } | null {
  const text = localStorage.getItem(key(id));
  if (!text) return null;
  try {
    const left = JSON.parse(text) as { revision: number; queue: Change[] };
    return {
      ...left,
      queue: left.queue.map((change) =>
        change.kind === "edit" ? { ...change, piece: mendPiece(change.piece).value } : change,
      ),
    };
  } catch {
    forget(id);
    return null;
  }
}
