import { upgraded } from "../../core/piece/upgrade";
import type { Piece } from "../../core/piece/schema";
import type { RackBoard } from "../../core/stock/board";

export type Change = { kind: "edit"; n: number; parent: number; label: string; piece: Piece } | { kind: "move"; head: number };

export type SaveResult =
  | { kind: "saved"; revision: number; taken: { board: string; piece: string; name: string }[]; rackChanged: boolean }
  | { kind: "stale"; revision: number; theirs: Piece; head: number; newest: number }
  | { kind: "refused"; message: string }
  | { kind: "unreachable" };

/** Sends changes with the revision they started from. Never throws: a server that does not answer is a result. */
export async function save(id: string, revision: number, changes: readonly Change[]): Promise<SaveResult> {
  let answer: Response;
  try {
    answer = await fetch(`/api/pieces/${id}/save`, { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify({ revision, changes }) });
  } catch {
    return { kind: "unreachable" };
  }
  if (answer.status >= 500) return { kind: "unreachable" };
  const body = await answer.json();
  if (answer.ok) return { kind: "saved", revision: body.revision, taken: body.taken, rackChanged: body.rackChanged };
  if (answer.status === 409) return { kind: "stale", revision: body.revision, theirs: body.theirs, head: body.head, newest: body.newest };
  return { kind: "refused", message: body.message };
}

/** Boards of a species as this piece sees them; null when the server does not answer. */
export async function loadRack(id: string, species: string): Promise<RackBoard[] | null> {
  try {
    const answer = await fetch(`/api/pieces/${id}/rack?species=${encodeURIComponent(species)}`);
    return answer.ok ? ((await answer.json()) as RackBoard[]) : null;
  } catch {
    return null;
  }
}

const key = (id: string) => `taller:unsaved:${id}`;

/** Keeps what is not saved yet in this browser, so that a reload or a lost connection loses nothing. */
export function keep(id: string, revision: number, queue: readonly Change[]): void {
  localStorage.setItem(key(id), JSON.stringify({ revision, queue }));
}

export function forget(id: string): void {
  localStorage.removeItem(key(id));
}

export function kept(id: string): { revision: number; queue: Change[] } | null {
  const text = localStorage.getItem(key(id));
  if (!text) return null;
  const left = JSON.parse(text) as { revision: number; queue: Change[] };
  return { ...left, queue: left.queue.map((change) => (change.kind === "edit" ? { ...change, piece: upgraded(change.piece) as Piece } : change)) };
}
