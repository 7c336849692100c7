"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { alike } from "../../core/alike";
import { oversize } from "../../core/formats/piece-file";
import { firstFault } from "../../core/piece/fields";
import { applyPatches, Patch } from "../../core/piece/patch";
import { Piece, pieceSchema } from "../../core/piece/schema";
import { ask } from "../frame/ask";
import { inField } from "../frame/unit";
import type { Conflict } from "./ConflictDialog";
import { Change, forget, keep, kept, save, SaveResult } from "./saving";
import { isOurs, lineAfter, lotOf, Opened, sessionOf, Step } from "./session";

export type SaveState = "saved" | "saving" | "unreachable" | "conflict" | "refused";
type Stand = { piece: Piece; head: number; line: Step[] };

/** The states of an open piece and their way to the server; `onSaved` hears what came of each save. */
export function useSession(given: Opened, onSaved: (result: SaveResult & { kind: "saved" }, piece: Piece) => void) {
  const [opened] = useState(() => sessionOf(given));
  const [now, setNow] = useState<Stand>({ piece: opened.piece, head: opened.head, line: opened.line });
  const [revision, setRevision] = useState(opened.revision);
  const [saveState, setSaveState] = useState<SaveState>("saved");
  const [putAway, setPutAway] = useState(opened.putAway);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const at = useRef(opened);
  const heard = useRef(onSaved);
  heard.current = onSaved;
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const flush = useCallback(async () => {
    const me = at.current;
    if (me.busy || me.stopped || me.queue.length === 0) return;
    me.busy = true;
    setSaveState("saving");
    const sent = lotOf(me.queue);
    const result = await save(opened.id, me.revision, sent);
    me.busy = false;
    if (me.stopped) return;
    if (result.kind === "saved") {
      me.queue.splice(0, sent.length);
      Object.assign(me, { revision: result.revision, putAway: result.putAway, mended: [] });
      setRevision(result.revision);
      setPutAway(result.putAway);
      setSaveState(me.queue.length ? "saving" : "saved");
      if (me.queue.length) keep(opened.id, me.revision, me.queue);
      else forget(opened.id);
      heard.current(result, me.piece);
      if (me.queue.length) void flush();
    } else if (result.kind === "stale" && isOurs(result, sent)) {
      // it arrived, and only the answer was lost, as when a page is left while it saves
      me.queue.splice(0, sent.length);
      Object.assign(me, { revision: result.revision, newest: Math.max(me.newest, result.newest), mended: [] });
      setRevision(result.revision);
      setSaveState(me.queue.length ? "saving" : "saved");
      if (me.queue.length) keep(opened.id, me.revision, me.queue);
      else forget(opened.id);
      if (me.queue.length) void flush();
    } else if (result.kind === "stale") {
      me.stopped = true;
      setSaveState("conflict");
      setConflict({ ...result, mine: me.piece });
    } else if (result.kind === "refused") {
      me.stopped = true;
      setSaveState("refused");
      setRefusal(result.message);
    } else {
      setSaveState("unreachable");
      timer.current = setTimeout(() => void flush(), 3000);
    }
  }, [opened.id]);

  const push = useCallback(
    (change: Change) => {
      at.current.queue.push(change);
      keep(opened.id, at.current.revision, at.current.queue);
      setSaveState((state) => (state === "conflict" || state === "unreachable" ? state : "saving"));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void flush(), 350);
    },
    [flush, opened.id],
  );

  const stand = useCallback((next: Stand) => {
    Object.assign(at.current, next);
    at.current.states.set(next.head, next.piece);
    setNow(next);
  }, []);

  /** Stands on a new step that holds `piece`; a sentence instead when that can't be. */
  const put = useCallback(
    (label: string, piece: Piece) => {
      const me = at.current;
      const fault = firstFault(pieceSchema, piece)?.message ?? oversize(piece);
      if (fault) return fault;
      const n = me.newest + 1;
      me.newest = n;
      const parent = me.head;
      stand({ piece, head: n, line: lineAfter(me.line, parent, { n, label }) });
      push({ kind: "edit", n, parent, label: label.slice(0, 300), piece });
      return null;
    },
    [push, stand],
  );
  const edit = useCallback(
    (label: string, patches: Patch[]) => put(label, applyPatches(at.current.piece, patches)),
    [put],
  );

  /** The piece as it was at a step; null when the server does not answer. */
  const stateAt = useCallback(
    async (n: number): Promise<Piece | null> => {
      const known = at.current.states.get(n);
      if (known) return known;
      const answer = await ask<Piece>("GET", `/api/pieces/${opened.id}/states/${n}`);
      if (answer.ok) at.current.states.set(n, answer.json);
      return answer.ok ? answer.json : null;
    },
    [opened.id],
  );

  /** Goes to a step of the line, or brings one that lies beside it back as a new step; false when it can't be had. */
  const to = useCallback(
    async (n: number, label = "An earlier state") => {
      const piece = await stateAt(n);
      if (!piece) {
        setSaveState("unreachable");
        return false;
      }
      const me = at.current;
      if (!me.line.some((each) => each.n === n)) return put(`Back to: ${label}`, piece) === null;
      stand({ piece, head: n, line: me.line });
      push({ kind: "move", head: n });
      return true;
    },
    [push, put, stand, stateAt],
  );
  const beside = useCallback(
    (step: -1 | 1) => {
      const me = at.current;
      const next = me.line[me.line.findIndex((each) => each.n === me.head) + step];
      if (next) void to(next.n);
    },
    [to],
  );
  const undo = useCallback(() => beside(-1), [beside]);
  const redo = useCallback(() => beside(1), [beside]);

  // what an earlier visit could not save is laid over again, or shown beside what stands now
  useEffect(() => {
    const me = at.current;
    if (me.queue.length > 0 || me.busy) {
      setSaveState("saving");
      const wait = setInterval(() => {
        if (me.queue.length === 0) {
          clearInterval(wait);
          setRevision(me.revision);
          setSaveState("saved");
        } else void flush();
      }, 300);
      return () => clearInterval(wait);
    }
    const left = kept(opened.id);
    if (!left) return undefined;
    let { piece, head, line }: Stand = me;
    for (const change of left.queue) {
      if (change.kind === "edit") {
        piece = change.piece;
        head = change.n;
        me.newest = Math.max(me.newest, change.n);
        me.states.set(head, piece);
        line = [...line.filter((each) => each.n <= change.parent), { n: head, label: change.label }];
      }
    }
    if (left.revision === opened.revision) {
      stand({ piece, head, line });
      me.queue = left.queue;
      void flush();
      return undefined;
    }
    forget(opened.id);
    if (!alike(piece, opened.piece)) {
      me.stopped = true;
      setSaveState("conflict");
      setConflict({
        revision: opened.revision,
        theirs: opened.piece,
        head: opened.head,
        newest: opened.newest,
        mine: piece,
      });
    }
    return undefined;
  }, []);

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(event.ctrlKey || event.metaKey) || (key !== "z" && key !== "y") || inField(event)) return;
      event.preventDefault();
      if (event.shiftKey || key === "y") redo();
      else undo();
    };
    const leave = () => void flush();
    window.addEventListener("keydown", press);
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("keydown", press);
      window.removeEventListener("pagehide", leave);
      leave();
    };
  }, [flush, redo, undo]);

  /** Leaves out the step that was refused, saves what came before it, and stands there. */
  const takeRefusedBack = () => {
    const me = at.current;
    const refused = me.queue.pop();
    const back = refused?.kind === "edit" ? refused.parent : me.line.findLast((each) => each.n < me.head)?.n;
    const piece = back === undefined ? undefined : me.states.get(back);
    if (back === undefined || !piece) {
      forget(opened.id);
      location.reload();
      return;
    }
    me.stopped = false;
    setRefusal(null);
    stand({ piece, head: back, line: me.line.filter((each) => each.n <= back) });
    if (me.queue.length > 0) {
      keep(opened.id, me.revision, me.queue);
      void flush();
    } else {
      forget(opened.id);
      setSaveState("saved");
    }
  };

  /** Saves mine as a new state after theirs, which stays in the history, and opens the piece afresh. */
  const goOnWithMine = async (against: Conflict) => {
    const result = await save(opened.id, against.revision, [
      {
        kind: "edit",
        n: against.newest + 1,
        parent: against.head,
        label: "My version over theirs",
        piece: against.mine,
      },
    ]);
    if (result.kind === "stale") {
      setConflict({ ...result, mine: against.mine });
      return;
    }
    if (result.kind !== "saved") {
      setRefusal(result.kind === "refused" ? result.message : "The server does not answer.");
      return;
    }
    forget(opened.id);
    location.reload();
  };

  /** Gets a piece that was put away back on the bench. */
  const getBack = useCallback(async () => {
    const answer = await ask("POST", `/api/pieces/${opened.id}/away`, { away: false });
    if (!answer.ok) {
      setSaveState("unreachable");
      return;
    }
    at.current.putAway = false;
    setPutAway(false);
  }, [opened.id]);

  const mended = at.current.mended;
  return {
    id: opened.id,
    now,
    revision,
    saveState,
    putAway,
    mended,
    refusal,
    conflict,
    edit,
    undo,
    redo,
    to,
    stateAt,
    takeRefusedBack,
    goOnWithMine,
    getBack,
  };
}
