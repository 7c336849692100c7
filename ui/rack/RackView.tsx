"use client";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { FileDown, Plus } from "lucide-react";
import Link from "next/link";
import { useCallback, useEffect, useRef, useState } from "react";
import { M3_PER_BOARD_FOOT } from "../../core/units/lumber";
import { Board, plainBoard, RackBoard } from "../../core/stock/board";
import type { RackPage } from "../../core/stock/rack-query";
import type { Species } from "../../core/wood/species";
import { FileButton } from "../fields/FileButton";
import { FindAnything } from "../find/FindAnything";
import { ask as send } from "../frame/ask";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { RackImport } from "./RackImport";
import { RackSearch } from "./RackSearch";
import { RackRow, ROW } from "./RackRow";
import { useRack } from "./useRack";

/** The rack: every board to one scale, found by name, wood or size; ten thousand as easily as ten. */
export function RackView({ first, ownSpecies, today }: { first: RackPage; ownSpecies: Species[]; today: string }) {
  const { query, sum, ask, boardAt, need, fault } = useRack(first);
  const [message, setMessage] = useState("");
  const [off, setOff] = useState<Board | null>(null);
  const [importing, setImporting] = useState<File | null>(null);
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useEffect(() => {
    setTop(list.current?.offsetTop ?? 0);
  }, [message, importing]);
  const rows = useWindowVirtualizer({
    count: sum.total,
    estimateSize: () => ROW,
    overscan: 3,
    scrollMargin: top,
    initialRect: { width: 1240, height: 700 },
  });
  const shown = rows.getVirtualItems();
  const [from, to] = [shown[0]?.index ?? 0, shown.at(-1)?.index ?? 0];
  useEffect(() => {
    need(from, to);
  }, [from, to, need]);
  const again = useCallback(() => ask({}), [ask]);
  const takeOff = useCallback(
    async (board: RackBoard) => {
      const answer = await send("DELETE", `/api/rack/${encodeURIComponent(board.id)}`);
      if (!answer.ok) {
        setMessage(answer.message);
        return;
      }
      const plain = plainBoard(board);
      setOff(plain);
      setMessage(`${board.id} is off the rack.`);
      again();
    },
    [again],
  );
  const putBack = async () => {
    const answer = await send("POST", "/api/rack", { kind: "put", boards: [off] });
    if (!answer.ok) {
      setMessage(answer.message);
      return;
    }
    setMessage(`${off!.id} is back on the rack.`);
    setOff(null);
    again();
  };
  const all = sum.species.reduce((count, each) => count + each.count, 0);
  return (
    <>
      <TopBar where={<span className="text-white">Rack</span>}>
        <ShopLinks here="rack" />
        <FindAnything />
      </TopBar>
      <main className="mx-auto max-w-[1240px] px-5 py-5">
        <div className="flex flex-wrap items-start justify-between gap-3">
          <div>
            <h1>What is on the rack</h1>
            <p className="lede" role="status" data-total={sum.total}>
              {sum.total === all ? `${all} boards` : `${sum.total} of ${all} boards`}, {sum.volume.toFixed(2)} m³ or{" "}
              {Math.round(sum.volume / M3_PER_BOARD_FOOT)} board feet.
            </p>
          </div>
          <div className="flex flex-wrap gap-2">
            <Link className="button" href="/rack/new">
              <Plus size={15} />
              Add a board
            </Link>
            <FileButton
              label="Import CSV"
              accept=".csv,text/csv"
              name="Rack file"
              onChosen={(chosen) => {
                setMessage("");
                setImporting(chosen);
              }}
            />
            <a className="button button-plain" href="/api/rack">
              <FileDown size={15} />
              Export CSV
            </a>
            <a className="button button-plain" href="/api/rack?as=tally">
              <FileDown size={15} />
              Merchant’s tally
            </a>
          </div>
        </div>
        {(message || fault) && (
          <p role="status" className="mt-3 border border-layout bg-white p-2.5">
            {message || fault}
            {off && (
              <button className="button ml-3" onClick={() => void putBack()}>
                Put {off.id} back
              </button>
            )}
          </p>
        )}
        {importing && (
          <RackImport
            key={importing.name + importing.lastModified}
            file={importing}
            ownSpecies={ownSpecies}
            today={today}
            onDone={(said) => {
              setImporting(null);
              setMessage(said);
              again();
            }}
            onLeave={() => setImporting(null)}
          />
        )}
        <div className="mt-3">
          <RackSearch query={query} sum={sum} ownSpecies={ownSpecies} ask={ask} />
        </div>
        <ul ref={list} className="relative mt-2" style={{ height: rows.getTotalSize() }} aria-label="Boards">
          {shown.map((row) => {
            const board = boardAt(row.index);
            return (
              <li
                key={row.key}
                className="absolute inset-x-0 flex items-center gap-4 border-b border-hairline"
                style={{ height: ROW, transform: `translateY(${row.start - top}px)` }}
                data-board={board?.id}
              >
                {board ? (
                  <RackRow board={board} ownSpecies={ownSpecies} takeOff={takeOff} />
                ) : (
                  <span className="text-graphite">Loading</span>
                )}
              </li>
            );
          })}
        </ul>
        {sum.total === 0 && (
          <p className="lede mt-3">
            {all === 0
              ? "The rack is empty. Add a board, or import a CSV: its first line names the columns; species, length, width and thickness must be there."
              : "No board like this. Change what is asked above."}
          </p>
        )}
      </main>
    </>
  );
}
