"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { BenchPiece, BenchSum } from "../../core/summary";

export interface BenchPage {
  pieces: BenchPiece[];
  sum: BenchSum;
}

/** How often the bench is looked at again while the runner plans what it shows, ms. */
const LOOK_AGAIN = 1500;

/** The pieces of the bench page by page; while any of them is being planned it looks again by itself. */
export function useBench(first: BenchPage, away: boolean) {
  const [shown, setShown] = useState(first);
  const [silent, setSilent] = useState(false);
  const many = useRef(first.pieces.length);
  const load = useCallback(
    async (wanted: number) => {
      const pieces = new Map<string, BenchPiece>();
      try {
        for (;;) {
          const answer = await fetch(`/api/pieces/page?from=${pieces.size}${away ? "&away" : ""}`);
          if (!answer.ok) {
            setSilent(true);
            return;
          }
          const page = (await answer.json()) as BenchPage;
          const before = pieces.size;
          for (const each of page.pieces) pieces.set(each.id, each);
          if (pieces.size >= wanted || pieces.size === before) {
            many.current = pieces.size;
            setShown({ pieces: [...pieces.values()], sum: page.sum });
            setSilent(false);
            return;
          }
        }
      } catch {
        setSilent(true);
      }
    },
    [away],
  );
  const reload = useCallback(() => load(many.current), [load]);
  const waiting = shown.pieces.some((each) => each.pending);
  useEffect(() => {
    if (!waiting && !silent) return undefined;
    const timer = setInterval(() => void reload(), LOOK_AGAIN);
    return () => clearInterval(timer);
  }, [waiting, silent, reload]);
  const total = away ? shown.sum.away : shown.sum.onBench;
  return { ...shown, total, silent, reload, more: () => load(many.current + 1) };
}
