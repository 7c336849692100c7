"use client";
import { useVirtualizer } from "@tanstack/react-virtual";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useMemo, useRef, useState } from "react";
import { dayName } from "../frame/sentences";
import { useOpenPiece } from "./PieceProvider";

/** A state of the piece as the server keeps it; `at` null: before that was written down. */
export interface PastState {
  n: number;
  label: string;
  at: string | null;
}

/** Every state, newest first: those on the line can be gone to, those a later change left beside it be brought back. */
export function HistoryView({ past }: { past: readonly PastState[] }) {
  const { id, line, head, to, piece } = useOpenPiece();
  const router = useRouter();
  const [message, setMessage] = useState("");
  const states = useMemo(() => {
    const kept = new Map(past.map((each) => [each.n, each]));
    const on = new Set(line.map((each) => each.n));
    const unsaved = line.filter((each) => !kept.has(each.n)).map((each): PastState => ({ ...each, at: null }));
    return [...past, ...unsaved].map((each) => ({ ...each, on: on.has(each.n) })).sort((a, b) => b.n - a.n);
  }, [past, line]);
  const frame = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: states.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 45,
    overscan: 12,
    initialRect: { width: 800, height: 600 },
  });
  const go = async (n: number, label: string) => {
    if (await to(n, label)) router.push(`/pieces/${id}/form`);
    else
      setMessage(
        "This state can’t be had just now: the server does not answer, or Taller no longer takes it. Try again, or choose another.",
      );
  };
  return (
    <main className="mx-auto max-w-[880px] px-5 py-5">
      <div className="flex items-start justify-between gap-4">
        <div>
          <h1>Earlier states of {piece.name}</h1>
          <p className="lede">
            Each change is a state of its own. Going back loses nothing: what lies after it stays here.
          </p>
        </div>
        <Link className="button button-plain" href={`/pieces/${id}/form`}>
          Back to the piece
        </Link>
      </div>
      {message && (
        <p role="alert" className="mt-3 border border-fix bg-white p-2.5 text-fix">
          {message}
        </p>
      )}
      <div ref={frame} className="mt-4 max-h-[calc(100vh-190px)] overflow-auto border-y border-hairline bg-sheet">
        <ol className="relative" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const { n, label, at, on } = states[index];
            return (
              <li
                key={n}
                data-state={n}
                className={`absolute inset-x-0 grid h-[45px] grid-cols-[52px_minmax(0,1fr)_130px_150px] items-center gap-3 border-b border-hairline px-3 ${n === head ? "bg-wash" : ""}`}
                style={{ transform: `translateY(${start}px)` }}
              >
                <span className="text-graphite">{n}</span>
                <span className={`truncate ${n === head ? "font-[560]" : ""}`} title={label}>
                  {label}
                </span>
                <span className="text-[13px] text-graphite">{at ? dayName(at) : ""}</span>
                <span className="justify-self-end">
                  {n === head ? (
                    <b className="font-[560]">It stands here</b>
                  ) : (
                    <button className="button button-plain" onClick={() => void go(n, label)}>
                      {!on ? "Bring this back" : n > head ? "Go on to this" : "Go back to this"}
                    </button>
                  )}
                </span>
              </li>
            );
          })}
        </ol>
      </div>
    </main>
  );
}
