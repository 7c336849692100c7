"use client";
import { startTransition, useCallback, useEffect, useRef, useState } from "react";
import type { RackBoard } from "../../core/stock/board";
import { ANY_BOARD, RACK_PAGE, RackPage, RackQuery } from "../../core/stock/rack-query";

/** The rack a page at a time: what the query matches, and whichever boards have been scrolled to. */
export function useRack(first: RackPage) {
  const [query, setQuery] = useState(ANY_BOARD);
  const [sum, setSum] = useState(first.sum);
  const [pages, setPages] = useState<ReadonlyMap<number, RackBoard[]>>(new Map([[0, first.boards]]));
  const [fault, setFault] = useState<string | null>(null);
  const asking = useRef({ query: ANY_BOARD, open: new Set<number>() });

  const load = useCallback(async (asked: RackQuery, page: number, fresh: boolean) => {
    if (fresh) asking.current = { query: asked, open: new Set() };
    if (asking.current.query !== asked || asking.current.open.has(page)) return;
    asking.current.open.add(page);
    const params = new URLSearchParams({
      text: asked.text,
      longest: String(asked.longest),
      widest: String(asked.widest),
      thickest: String(asked.thickest),
      sort: asked.sort,
      from: String(page * RACK_PAGE),
    });
    if (asked.species) params.set("species", asked.species);
    if (asked.free) params.set("free", "1");
    if (fresh) params.set("sum", "1");
    try {
      const answer = await fetch(`/api/rack/page?${params}`);
      const json = await answer.json();
      if (asking.current.query !== asked) return;
      if (!answer.ok) {
        setFault(json.message);
        return;
      }
      setFault(null);
      if (json.sum) setSum(json.sum);
      // drawn in slices between frames, so that scrolling never waits for boards that come in
      startTransition(() =>
        setPages((before) => new Map(fresh ? [[page, json.boards]] : [...before, [page, json.boards]])),
      );
    } catch {
      asking.current.open.delete(page);
      setFault("The server does not answer. What is shown may be old; scroll or search to try again.");
    }
  }, []);

  const ask = useCallback(
    (change: Partial<RackQuery>) => {
      const next = { ...asking.current.query, ...change };
      setQuery(next);
      void load(next, 0, true);
    },
    [load],
  );
  const boardAt = (i: number): RackBoard | undefined => pages.get(Math.floor(i / RACK_PAGE))?.[i % RACK_PAGE];
  /** Loads what is missing of the rows in view. */
  const need = useCallback(
    (from: number, to: number) => {
      for (let page = Math.floor(from / RACK_PAGE); page <= Math.floor(to / RACK_PAGE); page += 1)
        void load(asking.current.query, page, false);
    },
    [load],
  );
  useEffect(() => {
    asking.current.open.add(0);
  }, []);
  return { query, sum, ask, boardAt, need, fault };
}
