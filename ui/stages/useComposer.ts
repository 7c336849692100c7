"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Composed, ComposeInputs } from "../../core/layout/compose";
import type { ComposeOrder, ComposeReport } from "../../workers/compose-panel";

export interface Search {
  running: boolean;
  best: Composed | null;
  none: string | null;
}

/** The panel search in its worker: start, stop, and the best so far. */
export function useComposer(onFound: (best: Composed) => void) {
  const worker = useRef<Worker>(undefined);
  const found = useRef(onFound);
  found.current = onFound;
  const [search, setSearch] = useState<Search>({ running: false, best: null, none: null });
  useEffect(() => () => worker.current?.terminate(), []);
  const start = useCallback((inputs: ComposeInputs) => {
    worker.current ??= new Worker(new URL("../../workers/compose-panel.ts", import.meta.url), { type: "module" });
    worker.current.onmessage = ({ data }: MessageEvent<ComposeReport>) => {
      if (data.kind === "none") {
        setSearch({ running: false, best: null, none: data.none });
        return;
      }
      setSearch({ running: data.kind === "so-far", best: data.best, none: null });
      if (data.kind === "done") found.current(data.best);
    };
    worker.current.onerror = () =>
      setSearch({
        running: false,
        best: null,
        none: "The search stopped with an error. Reload the page and start it again; nothing was changed.",
      });
    setSearch({ running: true, best: null, none: null });
    worker.current.postMessage({ kind: "one", inputs } satisfies ComposeOrder);
  }, []);
  const stop = useCallback(() => worker.current?.postMessage("stop" satisfies ComposeOrder), []);
  return { search, start, stop };
}
