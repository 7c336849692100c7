"use client";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { CommissionAnswer, CommissionOrder, givenBack } from "../../core/commission-boards";
import type { Piece } from "../../core/piece/schema";
import type { CommissionReport } from "../../workers/compose-commission";
import { ask } from "../frame/ask";
import { useUnit } from "../frame/unit";
import { save } from "../piece/saving";

type Found = Extract<CommissionReport, { kind: "done" }>;
type Head = CommissionAnswer["heads"][number];
type Search =
  | { kind: "resting" }
  | { kind: "running"; said: string }
  | { kind: "found"; found: Found; order: CommissionOrder; heads: Head[] }
  | { kind: "told"; said: string[] };

/** One search for every panel of every piece of a commission; what it finds is shown before it is taken. */
export function CommissionBoards({ name }: { name: string }) {
  const router = useRouter();
  const { say } = useUnit();
  const worker = useRef<Worker>(undefined);
  const [search, setSearch] = useState<Search>({ kind: "resting" });
  useEffect(() => () => worker.current?.terminate(), []);
  const start = async () => {
    worker.current?.terminate();
    setSearch({ kind: "running", said: "Reading the pieces and the rack" });
    const answer = await ask<CommissionAnswer>("GET", `/api/commissions/${encodeURIComponent(name)}`);
    if (!answer.ok) return setSearch({ kind: "told", said: [answer.message] });
    const { order, heads } = answer.json;
    const mine = new Worker(new URL("../../workers/compose-commission.ts", import.meta.url), { type: "module" });
    worker.current = mine;
    const end = (next: Search) => {
      mine.terminate();
      setSearch(next);
    };
    mine.onmessage = ({ data }: MessageEvent<CommissionReport>) => {
      if (data.kind === "done") end({ kind: "found", found: data, order, heads });
      else if (data.kind === "failed") end({ kind: "told", said: [data.message] });
      else
        setSearch({
          kind: "running",
          said:
            data.found > 0
              ? `${data.found} of ${data.of} panels have their boards`
              : "Comparing which panel chooses first",
        });
    };
    mine.onerror = () =>
      end({
        kind: "told",
        said: ["The search stopped with an error. Reload the page and start it again; nothing was changed."],
      });
    mine.postMessage(order);
  };
  const take = async ({ found, order, heads }: Search & { kind: "found" }) => {
    const said: string[] = [];
    const held = new Map(heads.map((each) => [each.id, each]));
    const failed = new Set<string>();
    const put = async (id: string, piece: Piece, label: string, done: (at: Head) => string | null) => {
      if (failed.has(id)) return;
      const at = held.get(id)!;
      const n = at.newest + 1;
      const result = await save(id, at.revision, [{ kind: "edit", n, parent: at.head, label, piece }]);
      if (result.kind === "saved") {
        held.set(id, { ...at, revision: result.revision, newest: n, head: n });
        const taken = result.taken.map(({ board }) => board).join(", ");
        const told = taken ? `${at.name}: ${taken} went to another piece meanwhile.` : done(at);
        if (told) said.push(told);
        return;
      }
      failed.add(id);
      said.push(
        result.kind === "stale"
          ? `${at.name} was changed meanwhile, and keeps the boards it has. Search once more.`
          : result.kind === "refused"
            ? `${at.name}: ${result.message}`
            : `${at.name}: the server does not answer; it keeps the boards it has.`,
      );
    };
    // what another is to have is let go of first
    for (const { id, piece } of givenBack(order, found.pieces))
      await put(id, piece, `Boards given back to ${name}`, () => null);
    for (const { id, piece } of found.pieces)
      await put(id, piece, `Boards with ${name}`, (at) => `${at.name} has its boards.`);
    setSearch({ kind: "told", said });
    router.refresh();
  };
  return (
    <section data-commission-boards={search.kind}>
      <h2>Boards for all of them</h2>
      <p className="lede">
        One search over every panel of every piece: none takes a board that another needs more. Pieces whose boards are
        sawn keep theirs.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <button className="button" disabled={search.kind === "running"} onClick={() => void start()}>
          Find boards for all panels
        </button>
        {search.kind === "running" && (
          <p role="status" className="text-[13px] text-graphite">
            {search.said}
          </p>
        )}
      </div>
      {search.kind === "found" && (
        <>
          <table className="plain mt-3">
            <thead>
              <tr>
                <th>Panel</th>
                <th>Boards</th>
              </tr>
            </thead>
            <tbody>
              {search.found.best.panels.map(({ id, name: panel, strips }) => (
                <tr key={id}>
                  <td className="first-letter:uppercase">{panel}</td>
                  <td>{strips.map(({ board }) => board).join(", ")}</td>
                </tr>
              ))}
              {search.found.best.without.map(({ id, name: panel, none }) => (
                <tr key={id}>
                  <td className="first-letter:uppercase">{panel}</td>
                  <td className="text-fix">{say(none)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="mt-2 flex flex-wrap items-center gap-3">
            {search.found.pieces.length > 0 ? (
              <button className="button" onClick={() => void take(search)}>
                Take these boards
              </button>
            ) : (
              <p role="status">Every piece has these boards already.</p>
            )}
            {search.found.best.cost > 0 && (
              <p className="text-[13px] text-graphite">
                {((100 * (search.found.best.cost - search.found.best.net)) / search.found.best.cost).toFixed(1)} % of
                the wood used up goes to chips.
              </p>
            )}
          </div>
        </>
      )}
      {search.kind === "told" && (
        <ul role="status" className="mt-2">
          {search.said.map((each) => (
            <li key={each}>{say(each)}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
