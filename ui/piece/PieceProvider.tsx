"use client";
import { createContext, ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import { applyPatches, Patch } from "../../core/piece/patch";
import { firstFault } from "../../core/piece/fields";
import type { Shop } from "../../core/piece/shop";
import { Piece, pieceSchema } from "../../core/piece/schema";
import { createPlanner, Plan } from "../../core/plan";
import type { RackBoard } from "../../core/stock/board";
import type { Species } from "../../core/wood/species";
import { Conflict, ConflictDialog } from "./ConflictDialog";
import { inField } from "../frame/unit";
import { Change, forget, keep, kept, loadRack, save } from "./saving";

export interface Opened { id: string; revision: number; piece: Piece; head: number; line: { n: number; label: string }[]; newest: number }
export type SaveState = "saved" | "saving" | "unreachable" | "conflict" | "refused";

interface PieceContext {
  id: string; piece: Piece; plan: Plan; shop: Shop; rack: readonly RackBoard[]; ownSpecies: readonly Species[]; today: string;
  revision: number; saveState: SaveState; undoLabel: string | null; redoLabel: string | null;
  /** Applies patches as one step that can be undone; returns a sentence instead when they make no sense. */
  edit: (label: string, patches: Patch[]) => string | null;
  undo: () => void; redo: () => void;
  /** asks the server for the rack again, after boards have come or gone */
  reloadRack: () => void;
}
const Context = createContext<PieceContext | null>(null);

export function usePiece(): PieceContext {
  const context = useContext(Context);
  if (!context) throw new Error("usePiece needs a PieceProvider above it.");
  return context;
}

/** An open piece of this tab: where it stands, and what is still on its way to the server. */
interface Session extends Opened { states: Map<number, Piece>; queue: Change[]; busy: boolean; stopped: boolean }
const sessions = new Map<string, Session>();

/** This tab's own session where it is ahead of what the page was rendered from, as it is after going back; else a fresh one. */
function sessionOf(given: Opened): Session {
  const known = sessions.get(given.id);
  if (known && !known.stopped && known.revision >= given.revision) return known;
  const session: Session = { ...given, states: new Map([[given.head, given.piece]]), queue: [], busy: false, stopped: false };
  if (typeof window !== "undefined") sessions.set(given.id, session);
  return session;
}

interface Given { opened: Opened; shop: Shop; rack: readonly RackBoard[]; ownSpecies: readonly Species[]; today: string; children: ReactNode }

/** Holds the piece that is open: its states, what is not saved yet, and the plan derived from where it stands. */
export function PieceProvider({ opened: given, shop, rack: firstRack, ownSpecies, today, children }: Given) {
  const [opened] = useState(() => sessionOf(given));
  const [now, setNow] = useState({ piece: opened.piece, head: opened.head, line: opened.line });
  const [revision, setRevision] = useState(opened.revision);
  const [saveState, setSaveState] = useState<SaveState>("saved");
  const [refusal, setRefusal] = useState<string | null>(null);
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const [rack, setRack] = useState(firstRack);
  const at = useRef(opened);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const planner = useRef<ReturnType<typeof createPlanner>>(undefined);
  planner.current ??= createPlanner();

  const flush = useCallback(async () => {
    const me = at.current;
    if (me.busy || me.stopped || me.queue.length === 0) return;
    me.busy = true;
    setSaveState("saving");
    const sent = me.queue.slice();
    const result = await save(opened.id, me.revision, sent);
    me.busy = false;
    if (me.stopped) return;
    if (result.kind === "saved") {
      me.queue.splice(0, sent.length);
      me.revision = result.revision;
      setRevision(result.revision);
      setSaveState(me.queue.length ? "saving" : "saved");
      if (me.queue.length) keep(opened.id, me.revision, me.queue); else forget(opened.id);
      if (result.taken.length) setRack((boards) => boards.map((board) => { const by = result.taken.find((each) => each.board === board.id); return by ? { ...board, reservedBy: { piece: by.piece, name: by.name } } : board; }));
      if (result.rackChanged) void loadRack(opened.id, me.piece.species).then((boards) => { if (boards) setRack(boards); });
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

  const push = useCallback((change: Change) => {
    at.current.queue.push(change);
    keep(opened.id, at.current.revision, at.current.queue);
    setSaveState((state) => (state === "conflict" || state === "unreachable" ? state : "saving"));
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void flush(), 350);
  }, [flush, opened.id]);

  const stand = useCallback((next: { piece: Piece; head: number; line: { n: number; label: string }[] }) => {
    Object.assign(at.current, next);
    at.current.states.set(next.head, next.piece);
    setNow(next);
  }, []);

  const edit = useCallback((label: string, patches: Patch[]) => {
    const me = at.current;
    const piece = applyPatches(me.piece, patches);
    const fault = firstFault(pieceSchema, piece);
    if (fault) return fault.message;
    const n = me.newest + 1;
    me.newest = n;
    const parent = me.head;
    const line = [...me.line.slice(0, me.line.findIndex((each) => each.n === parent) + 1), { n, label }];
    stand({ piece, head: n, line });
    push({ kind: "edit", n, parent, label, piece });
    return null;
  }, [push, stand]);

  const go = useCallback(async (step: -1 | 1) => {
    const me = at.current;
    const to = me.line[me.line.findIndex((each) => each.n === me.head) + step];
    if (!to) return;
    let piece = at.current.states.get(to.n);
    if (!piece) {
      const answer = await fetch(`/api/pieces/${opened.id}/states/${to.n}`);
      if (!answer.ok) { setSaveState("unreachable"); return; }
      piece = (await answer.json()) as Piece;
    }
    stand({ piece, head: to.n, line: me.line });
    push({ kind: "move", head: to.n });
  }, [opened.id, push, stand]);
  const undo = useCallback(() => void go(-1), [go]);
  const redo = useCallback(() => void go(1), [go]);

  // what an earlier visit could not save is laid over again, or shown beside what stands now
  useEffect(() => {
    const me = at.current;
    if (me.queue.length > 0 || me.busy) { setSaveState("saving"); const wait = setInterval(() => { if (me.queue.length === 0) { clearInterval(wait); setRevision(me.revision); setSaveState("saved"); } else void flush(); }, 300); return () => clearInterval(wait); }
    const left = kept(opened.id);
    if (!left) return undefined;
    let piece = me.piece;
    let head = me.head;
    let line = me.line;
    for (const change of left.queue) {
      if (change.kind === "edit") { piece = change.piece; head = change.n; me.newest = Math.max(me.newest, change.n); at.current.states.set(head, piece); line = [...line.filter((each) => each.n <= change.parent), { n: head, label: change.label }]; }
    }
    if (left.revision === opened.revision) { stand({ piece, head, line }); me.queue = left.queue; void flush(); return undefined; }
    forget(opened.id);
    if (JSON.stringify(piece) !== JSON.stringify(opened.piece)) { me.stopped = true; setSaveState("conflict"); setConflict({ revision: opened.revision, theirs: opened.piece, head: opened.head, newest: opened.newest, mine: piece }); }
    return undefined;
  }, []);

  // only boards of the piece's own wood are loaded
  const species = useRef(given.piece.species);
  useEffect(() => {
    if (species.current === now.piece.species) return;
    species.current = now.piece.species;
    void loadRack(opened.id, now.piece.species).then((boards) => { if (boards) setRack(boards); });
  }, [now.piece.species, opened.id]);

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(event.ctrlKey || event.metaKey) || (key !== "z" && key !== "y") || inField(event)) return;
      event.preventDefault();
      if (event.shiftKey || key === "y") redo(); else undo();
    };
    const leave = () => void flush();
    window.addEventListener("keydown", press);
    window.addEventListener("pagehide", leave);
    return () => { window.removeEventListener("keydown", press); window.removeEventListener("pagehide", leave); leave(); };
  }, [flush, redo, undo]);

  const plan = useMemo(() => planner.current!({ piece: now.piece, shop, rack, ownSpecies, today }), [now.piece, shop, rack, ownSpecies, today]);
  const reloadRack = useCallback(() => void loadRack(opened.id, at.current.piece.species).then((boards) => { if (boards) setRack(boards); }), [opened.id]);
  const index = now.line.findIndex((each) => each.n === now.head);
  const value = useMemo<PieceContext>(() => ({
    id: opened.id, piece: now.piece, plan, shop, rack, ownSpecies, today, revision, saveState, edit, undo, redo, reloadRack,
    undoLabel: index > 0 ? now.line[index].label : null, redoLabel: now.line[index + 1]?.label ?? null,
  }), [opened.id, now, plan, shop, rack, ownSpecies, today, revision, saveState, edit, undo, redo, reloadRack, index]);

  /** Leaves out the step that was refused, saves what came before it, and stands there. */
  const takeBack = () => {
    const me = at.current;
    const refused = me.queue.pop();
    const back = refused?.kind === "edit" ? refused.parent : me.line.find((each) => each.n < me.head)?.n;
    const piece = back === undefined ? undefined : me.states.get(back);
    if (back === undefined || !piece) { forget(opened.id); location.reload(); return; }
    me.stopped = false;
    setRefusal(null);
    stand({ piece, head: back, line: me.line.filter((each) => each.n <= back) });
    if (me.queue.length > 0) { keep(opened.id, me.revision, me.queue); void flush(); } else { forget(opened.id); setSaveState("saved"); }
    void loadRack(opened.id, piece.species).then((boards) => { if (boards) setRack(boards); });
  };

  /** Saves mine as a new state after theirs, which stays in the history, and opens the piece afresh. */
  const goOnWithMine = async (given: Conflict) => {
    const result = await save(opened.id, given.revision, [{ kind: "edit", n: given.newest + 1, parent: given.head, label: "My version over theirs", piece: given.mine }]);
    if (result.kind === "stale") { setConflict({ ...result, mine: given.mine }); return; }
    if (result.kind !== "saved") { setRefusal(result.kind === "refused" ? result.message : "The server does not answer."); return; }
    forget(opened.id);
    location.reload();
  };

  return (
    <Context value={value}>
      {children}
      {refusal && <p role="alert" className="fixed right-4 bottom-4 left-4 z-50 border border-fix bg-white p-3">This step could not be saved: {refusal} Everything before it is kept. <button className="button ml-2" onClick={takeBack}>Take this step back</button></p>}
      {conflict && <ConflictDialog id={opened.id} conflict={conflict} onMine={() => void goOnWithMine(conflict)} onTheirs={() => { forget(opened.id); location.reload(); }} />}
    </Context>
  );
}
