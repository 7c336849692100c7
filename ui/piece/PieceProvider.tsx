"use client";
import { createContext, ReactNode, useCallback, useContext, useMemo, useRef } from "react";
import type { Patch } from "../../core/piece/patch";
import type { Mended } from "../../core/piece/mend";
import type { Piece } from "../../core/piece/schema";
import type { Shop } from "../../core/piece/shop";
import type { Plan } from "../../core/plan";
import type { RackBoard } from "../../core/stock/board";
import type { Species } from "../../core/wood/species";
import { ConflictDialog } from "./ConflictDialog";
import { forget, SaveResult } from "./saving";
import type { Opened, Step } from "./session";
import { Offered, useOffered } from "./useOffered";
import { Fault, usePlan } from "./usePlan";
import { SaveState, useSession } from "./useSession";

/** An open piece whether or not it can be planned. */
export interface OpenPiece {
  id: string;
  piece: Piece;
  plan: Plan | null;
  fault: Fault | null;
  shop: Shop;
  ownSpecies: readonly Species[];
  today: string;
  /** boards the piece looks through, how many of its wood there are on the rack, and the way to bring in one by name */
  rack: readonly RackBoard[];
  rackTotal: number;
  alsoLookAt: (board: string) => string | null;
  revision: number;
  saveState: SaveState;
  putAway: boolean;
  mended: readonly Mended[];
  head: number;
  line: readonly Step[];
  undoLabel: string | null;
  redoLabel: string | null;
  /** Applies patches as one step that can be undone; returns a sentence instead when they make no sense. */
  edit: (label: string, patches: Patch[]) => string | null;
  undo: () => void;
  redo: () => void;
  /** Goes to a step of the line, or brings one beside it back as a new step. */
  to: (n: number, label?: string) => Promise<boolean>;
  getBack: () => void;
  /** asks the server for the rack again, after boards have come or gone */
  reloadRack: () => void;
}
export const PieceContext = createContext<OpenPiece | null>(null);

/** The open piece, planned or not. */
export function useOpenPiece(): OpenPiece {
  const context = useContext(PieceContext);
  if (!context) throw new Error("useOpenPiece needs a PieceProvider above it.");
  return context;
}

/** The open piece with its plan: for whatever lies under `Planned`. */
export function usePiece(): OpenPiece & { plan: Plan } {
  const open = useOpenPiece();
  if (!open.plan) throw new Error("usePiece needs a piece that is planned.");
  return open as OpenPiece & { plan: Plan };
}

interface Given {
  opened: Opened;
  shop: Shop;
  rack: Offered;
  ownSpecies: readonly Species[];
  today: string;
  children: ReactNode;
}

/** Holds the piece that is open: its states, what is not saved yet, and the plan derived from where it stands. */
export function PieceProvider({ opened, shop, rack: first, ownSpecies, today, children }: Given) {
  const heard = useRef<(result: SaveResult & { kind: "saved" }) => void>(() => undefined);
  const session = useSession(
    opened,
    useCallback((result) => heard.current(result), []),
  );
  const { id, now, revision, saveState, putAway, mended, edit, undo, redo, to, stateAt, getBack } = session;
  const { boards: rack, total, reload, onSaved, alsoLookAt } = useOffered(id, first, now.piece);
  heard.current = onSaved;
  const { plan, fault } = usePlan({ piece: now.piece, shop, rack, ownSpecies, today }, now.line, now.head, stateAt);
  const index = now.line.findIndex((each) => each.n === now.head);
  const value = useMemo<OpenPiece>(
    () => ({
      id,
      piece: now.piece,
      plan,
      fault,
      shop,
      ownSpecies,
      today,
      rack,
      rackTotal: total,
      alsoLookAt,
      revision,
      saveState,
      putAway,
      mended,
      head: now.head,
      line: now.line,
      edit,
      undo,
      redo,
      to,
      getBack: () => void getBack().then(reload),
      reloadRack: () => void reload(),
      undoLabel: index > 0 ? now.line[index].label : null,
      redoLabel: now.line[index + 1]?.label ?? null,
    }),
    [
      id,
      now,
      plan,
      fault,
      shop,
      ownSpecies,
      today,
      rack,
      total,
      alsoLookAt,
      revision,
      saveState,
      putAway,
      mended,
      edit,
      undo,
      redo,
      to,
      getBack,
      reload,
      index,
    ],
  );
  const { refusal, conflict, takeRefusedBack, goOnWithMine } = session;
  return (
    <PieceContext value={value}>
      {children}
      {refusal && (
        <p role="alert" className="fixed right-4 bottom-4 left-4 z-50 border border-fix bg-white p-3">
          This step could not be saved: {refusal} Everything before it is kept.{" "}
          <button
            className="button ml-2"
            onClick={() => {
              takeRefusedBack();
              void reload();
            }}
          >
            Take this step back
          </button>
        </p>
      )}
      {conflict && (
        <ConflictDialog
          id={id}
          conflict={conflict}
          onMine={() => void goOnWithMine(conflict)}
          onTheirs={() => {
            forget(id);
            location.reload();
          }}
        />
      )}
    </PieceContext>
  );
}
