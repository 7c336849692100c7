import { alike } from "../../core/alike";
import type { Mended } from "../../core/piece/mend";
import type { Piece } from "../../core/piece/schema";
import type { Change } from "./saving";

/** A step on the line that undo and redo walk. */
export interface Step {
  n: number;
  label: string;
}
/** A piece as the server opens it. `mended` are stored values that Taller no longer takes, and reads otherwise. */
export interface Opened {
  id: string;
  revision: number;
  piece: Piece;
  mended: Mended[];
  head: number;
  line: Step[];
  newest: number;
  putAway: boolean;
}

/** An open piece of this tab: where it stands, and what is still on its way to the server. */
export interface Session extends Opened {
  states: Map<number, Piece>;
  queue: Change[];
  busy: boolean;
  stopped: boolean;
}
const sessions = new Map<string, Session>();

/** This tab's own session where it is ahead of what the page was rendered from, as it is after going back; else a fresh one. */
export function sessionOf(given: Opened): Session {
  const known = sessions.get(given.id);
  if (known && !known.stopped && known.revision >= given.revision)
    return Object.assign(known, { putAway: given.putAway });
  const session: Session = {
    ...given,
    states: new Map([[given.head, given.piece]]),
    queue: [],
    busy: false,
    stopped: false,
  };
  if (typeof window !== "undefined") sessions.set(given.id, session);
  return session;
}

/** Changes sent at once, and how much of them, characters of JSON: well within what a save takes. */
const [MOST, LONGEST] = [100, 2_000_000];

/** The first changes of the queue that go together in one save; at least one. */
export function lotOf(queue: readonly Change[]): Change[] {
  let length = 0;
  const fits = queue.findIndex((change, i) => {
    length += change.kind === "edit" ? JSON.stringify(change).length : 40;
    return i > 0 && (i >= MOST || length > LONGEST);
  });
  return fits < 0 ? queue.slice() : queue.slice(0, fits);
}

/** The line after a new step from `parent`: what had been undone is off it. */
export const lineAfter = (line: readonly Step[], parent: number, step: Step): Step[] => [
  ...line.slice(0, line.findIndex((each) => each.n === parent) + 1),
  step,
];

/** Whether what stands on the server is what these changes made: their last step is its head, and holds the same. */
export function isOurs({ head, theirs }: { head: number; theirs: Piece }, sent: readonly Change[]): boolean {
  const last = sent.at(-1);
  if (!last) return false;
  if (last.kind === "move") return last.head === head;
  return last.n === head && alike(last.piece, theirs);
}
