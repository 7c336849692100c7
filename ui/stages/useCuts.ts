"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { usedWoods } from "../../core/wood/woods";
import { searchFor } from "../../core/layout/cutting";
import { withoutSawn, withSawn, withSpoiled } from "../../core/layout/done";
import type { Cut } from "../../core/layout/search";
import { usePiece } from "../piece/PieceProvider";
import type { CutsOrder } from "../../workers/search-cuts";

/** Rounds of one search in the browser; going on adds as many. */
const ROUNDS = 15;

export interface CutsSearch {
  running: boolean;
  best: Cut | null;
  of: number;
  fault: string | null;
}

/** What a maker does at the saw: tick a board as sawn, put it together again, report a piece that went wrong. */
export function useSaw() {
  const { piece, plan, today, edit } = usePiece();
  const cutting = (
    label: string,
    value: typeof piece.cutting,
    also: { path: (string | number)[]; value: unknown }[] = [],
  ) => edit(label, [{ path: ["cutting"], value }, ...also]);
  return {
    saw: (board: string) => cutting(`${board} sawn`, withSawn(piece.cutting, plan.cutting, board, today)),
    whole: (board: string) => cutting(`${board} put together again`, withoutSawn(piece.cutting, board)),
    spoil: (mark: string, why: string) =>
      cutting(`${mark} spoiled`, withSpoiled(piece.cutting, plan.cutting, { piece: mark, on: today, why }), [
        {
          path: ["log", piece.log.length],
          value: {
            kind: "mistake",
            id: `spoiled-${mark}-${piece.cutting.spoiled.length + 1}`,
            on: today,
            text: `${mark} spoiled: ${why || "no reason given"}. Planned again from what is left.`,
            cost: "",
          },
        },
      ]),
    tick: (card: string) =>
      cutting(`Card ticked`, {
        ...piece.cutting,
        ticked: piece.cutting.ticked.includes(card)
          ? piece.cutting.ticked.filter((each) => each !== card)
          : [...piece.cutting.ticked, card],
      }),
  };
}

/** The search for cuts in its worker: start, stop, go on, and the best so far; what it finds is laid out when it stops. */
export function useCuts() {
  const { piece, plan, rack, shop, edit } = usePiece();
  const worker = useRef<Worker>(undefined);
  const [search, setSearch] = useState<CutsSearch>({ running: false, best: null, of: ROUNDS, fault: null });
  const best = useRef<Cut | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const inputs = useCallback(
    (rounds: number) =>
      searchFor(plan.cutting.pieces, piece.cutting, {
        rack: rack.filter((board) => usedWoods(plan.woods, plan.species).some((wood) => wood.id === board.species)),
        strips: plan.cutting.strips,
        shop,
        rounds,
        seed: 1,
      }),
    [piece.cutting, plan, rack, shop],
  );
  const take = useRef<(cut: Cut) => void>(() => undefined);
  take.current = (cut) =>
    edit(`Cuts laid out: ${Math.round((100 * (cut.cost - cut.net)) / cut.cost)} % waste`, [
      { path: ["cutting", "sections"], value: cut.sections },
    ]);
  const start = useCallback(
    (goOn: boolean) => {
      worker.current ??= new Worker(new URL("../../workers/search-cuts.ts", import.meta.url), { type: "module" });
      const from = goOn ? best.current : null;
      const of = (from?.round ?? 0) + ROUNDS;
      worker.current.onmessage = ({ data }: MessageEvent<Cut>) => {
        best.current = data;
        setSearch({ running: !data.done, best: data, of, fault: null });
        if (data.done) take.current(data);
      };
      worker.current.onerror = () =>
        setSearch({
          running: false,
          best: null,
          of,
          fault: "The search stopped with an error. Reload the page and start it again; nothing was changed.",
        });
      setSearch((before) => ({ running: true, best: goOn ? before.best : null, of, fault: null }));
      worker.current.postMessage({ kind: "start", inputs: inputs(of), from } satisfies CutsOrder);
    },
    [inputs],
  );
  const stop = useCallback(() => {
    worker.current?.postMessage({ kind: "stop" } satisfies CutsOrder);
    setSearch((before) => ({ ...before, running: false }));
    if (best.current) take.current(best.current);
  }, []);
  return { search, start, stop, inputs };
}
