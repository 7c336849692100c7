"use client";
import { Redo2, Undo2 } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useState } from "react";
import { MARK_NAMES } from "../../core/verdict/faults";
import { STAGES, Verdict, worstFirst } from "../../core/verdict/verdict";
import { FindAnything, Findable } from "../find/FindAnything";
import { Key, TopBar } from "../frame/TopBar";
import { isTyping } from "../frame/unit";
import { useTried } from "../twice/useTried";
import { useOpenPiece } from "./PieceProvider";
import type { SaveState } from "./useSession";

const NO_VERDICTS: readonly Verdict[] = [];
const SAVE_WORDS: Record<SaveState, string> = {
  saved: "saved",
  saving: "saving",
  unreachable: "not saved, the server does not answer; kept here",
  conflict: "changed elsewhere",
  refused: "not saved",
};

/** The bar above a piece: where you are, whether it is saved, undo, redo, find, shop sheets. Keys 1 to 9 go to the marks. */
export function PieceBar() {
  const { id, piece, plan, rack, revision, saveState, undo, redo, undoLabel, redoLabel, edit } = useOpenPiece();
  const router = useRouter();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (isTyping(event)) return;
      if (/^[1-9]$/.test(event.key)) router.push(`/pieces/${id}/${STAGES[Number(event.key) - 1]}`);
      if (event.key.toLowerCase() === "p") router.push(`/pieces/${id}/sheets`);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [id, router]);
  const more = useMemo<Findable[]>(
    () => [
      ...STAGES.map((stage) => ({ name: MARK_NAMES[stage], kind: "stage", go: `/pieces/${id}/${stage}` })),
      { name: "Shop sheets", kind: "stage", go: `/pieces/${id}/sheets` },
      { name: "Earlier states of this piece", kind: "place", go: `/pieces/${id}/history` },
      ...(plan?.parts ?? []).map((part) => ({
        name: `${part.name} ${part.marks.join(" ")}`,
        kind: "part",
        go: `/pieces/${id}/cutting`,
      })),
      ...rack.map((board) => ({ name: board.id, kind: "board", go: `/pieces/${id}/boards` })),
    ],
    [id, plan, rack],
  );
  // remedies are tried while the list is open: one that mends nothing is not offered
  const [looking, setLooking] = useState(false);
  const tried = useTried(looking && plan ? worstFirst(plan.verdicts) : NO_VERDICTS);
  const remedies = useMemo<Findable[]>(
    () =>
      [...tried.values()].flat().map(({ label, patches }) => ({
        name: label,
        kind: "remedy",
        go: () => void edit(label, patches),
      })),
    [tried, edit],
  );
  return (
    <TopBar
      where={
        <>
          <Link
            href={piece.commission.trim() ? `/commissions/${encodeURIComponent(piece.commission.trim())}` : "/"}
            className="hover:text-white max-lg:hidden"
          >
            {piece.commission || "Bench"}
          </Link>{" "}
          <span className="px-1 max-lg:hidden">/</span> <b className="font-semibold text-white">{piece.name}</b>
        </>
      }
    >
      <span
        role="status"
        data-save={saveState}
        className={saveState === "saved" || saveState === "saving" ? "" : "text-white underline decoration-2"}
      >
        <Link href={`/pieces/${id}/history`} className="hover:text-white max-md:sr-only" title="Earlier states">
          Revision {revision}
        </Link>
        <span className="max-md:sr-only">, </span>
        {SAVE_WORDS[saveState]}
      </span>
      <span className="flex">
        <button
          className="flex h-8 items-center gap-1 px-1.5 hover:text-white disabled:opacity-45"
          onClick={undo}
          disabled={!undoLabel}
          title={undoLabel ? `Undo: ${undoLabel}` : "Nothing to undo"}
        >
          <Undo2 size={15} />
          <span className="max-md:sr-only">Undo</span>
        </button>
        <button
          className="flex h-8 items-center gap-1 px-1.5 hover:text-white disabled:opacity-45"
          onClick={redo}
          disabled={!redoLabel}
          title={redoLabel ? `Redo: ${redoLabel}` : "Nothing to redo"}
        >
          <Redo2 size={15} />
          <span className="max-md:sr-only">Redo</span>
        </button>
      </span>
      <FindAnything more={more} later={remedies} onOpen={setLooking} />
      <Link href={`/pieces/${id}/sheets`} className="flex h-8 items-center hover:text-white">
        <Key>P</Key>
        <span className="max-sm:sr-only">Shop sheets</span>
      </Link>
    </TopBar>
  );
}
