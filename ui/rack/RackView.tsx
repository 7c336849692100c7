"use client";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { FileDown, FileUp, Plus } from "lucide-react";
import Link from "next/link";
import { memo, useCallback, useEffect, useRef, useState } from "react";
import { boardScene } from "../../core/drawing/boards";
import { M3_PER_BOARD_FOOT } from "../../core/units/lumber";
import { Board, holdersSaid, isShared, plainBoard, RackBoard } from "../../core/stock/board";
import { ANY_BOARD, RackPage } from "../../core/stock/rack-query";
import { findSpecies, Species } from "../../core/wood/species";
import { SceneView } from "../drawing/SceneView";
import { Choice, FieldRow, LengthField, TextField, Tick } from "../fields/fields";
import { FindAnything } from "../find/FindAnything";
import { ask as send } from "../frame/ask";
import { fractions } from "../frame/fractions";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { dayName } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { RackImport } from "./RackImport";
import { useRack } from "./useRack";

/** Height of a board's row, and the length that its picture's width stands for; one scale for the whole rack. */
const ROW = 64;
const PICTURE = { width: 420, length: 4200 };

/** The rack: every board to one scale, found by name, wood or size; ten thousand as easily as ten. */
export function RackView({ first, ownSpecies, today }: { first: RackPage; ownSpecies: Species[]; today: string }) {
  const { query, sum, ask, boardAt, need, fault } = useRack(first);
  const [message, setMessage] = useState("");
  const [off, setOff] = useState<Board | null>(null);
  const [importing, setImporting] = useState<File | null>(null);
  const file = useRef<HTMLInputElement>(null);
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
            <button className="button" onClick={() => file.current?.click()}>
              <FileUp size={15} />
              Import CSV
            </button>
            <a className="button button-plain" href="/api/rack">
              <FileDown size={15} />
              Export CSV
            </a>
            <a className="button button-plain" href="/api/rack?as=tally">
              <FileDown size={15} />
              Merchant’s tally
            </a>
          </div>
          <input
            ref={file}
            type="file"
            accept=".csv,text/csv"
            className="hidden"
            aria-label="Rack file"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = "";
              setMessage("");
              if (chosen) setImporting(chosen);
            }}
          />
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
          <FieldRow>
            <TextField
              label="Name, tree or shelf"
              value={query.text}
              onTake={(text) => {
                ask({ text });
                return null;
              }}
            />
            <Choice
              label="Wood"
              value={query.species ?? "all"}
              options={[
                { value: "all", name: `All, ${all}` },
                ...sum.species.map((each) => ({
                  value: each.id,
                  name: `${findSpecies(each.id, ownSpecies)?.name ?? each.id}, ${each.count}`,
                })),
              ]}
              onTake={(id) => ask({ species: id === "all" ? null : id })}
            />
            <LengthField
              label="At least long"
              value={query.longest}
              onTake={(longest) => {
                ask({ longest });
                return null;
              }}
            />
            <LengthField
              label="At least wide"
              value={query.widest}
              onTake={(widest) => {
                ask({ widest });
                return null;
              }}
            />
            <LengthField
              label="At least thick"
              value={query.thickest}
              onTake={(thickest) => {
                ask({ thickest });
                return null;
              }}
            />
            <Tick label="Not reserved" checked={query.free} onTake={(free) => ask({ free })} />
            <Choice
              label="In order of"
              value={query.sort}
              options={[
                { value: "name", name: "Name" },
                { value: "length", name: "Length, longest first" },
                { value: "width", name: "Width, widest first" },
              ]}
              onTake={(sort) => ask({ sort })}
            />
            {JSON.stringify(query) !== JSON.stringify(ANY_BOARD) && (
              <button className="button button-plain self-end" onClick={() => ask(ANY_BOARD)}>
                Show all
              </button>
            )}
          </FieldRow>
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
                  <Row board={board} ownSpecies={ownSpecies} takeOff={takeOff} />
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

const Row = memo(function Row({
  board,
  ownSpecies,
  takeOff,
}: {
  board: RackBoard;
  ownSpecies: readonly Species[];
  takeOff: (board: RackBoard) => Promise<void>;
}) {
  const { length, say, withUnit } = useUnit();
  const wood = findSpecies(board.species, ownSpecies);
  return (
    <>
      <Link
        prefetch={false}
        href={`/rack/${encodeURIComponent(board.id)}`}
        className="block shrink-0 overflow-hidden max-md:hidden"
        style={{ width: PICTURE.width, maxHeight: ROW - 8 }}
        tabIndex={-1}
        aria-hidden
      >
        <SceneView
          scene={boardScene(board, wood?.colour ?? ["#dcc8a2", "#b39868"], {
            longest: Math.max(PICTURE.length, board.length),
            widest: Math.max(board.width, board.widthEnd ?? 0),
            pale: board.reservedBy !== null && !isShared(board),
            kept: isShared(board) ? board.held : [],
          })}
          height="to-width"
          width={PICTURE.width}
        />
      </Link>
      <Link
        prefetch={false}
        href={`/rack/${encodeURIComponent(board.id)}`}
        className="w-24 shrink-0 truncate font-semibold text-layout underline-offset-2 hover:underline"
      >
        {board.id}
      </Link>
      <span className="w-52 shrink-0 text-[13.5px]">
        {fractions(
          `${length(board.length)} by ${length(board.width)}${board.widthEnd === null ? "" : ` to ${length(board.widthEnd)}`} by ${withUnit(board.thickness)}`,
        )}
        <span className="block text-[13px] text-graphite">{wood?.name ?? board.species}</span>
      </span>
      <span className="min-w-0 flex-1 text-[13px] text-graphite">
        {board.moisture} % on {dayName(board.measuredOn)}
        {board.shelf && `, shelf ${board.shelf}`}
        {board.tree && `, tree ${board.tree}`}
        <span className="block truncate">
          {[
            board.cutFrom && `offcut of ${board.cutFrom}`,
            board.defects.map((each) => each.kind).join(", "),
            holdersSaid(board) && `reserved for ${say(holdersSaid(board)!)}`,
          ]
            .filter(Boolean)
            .join("; ")}
        </span>
      </span>
      {!board.reservedBy && (
        <button className="button px-2" aria-label={`Take off ${board.id}`} onClick={() => void takeOff(board)}>
          Take off
        </button>
      )}
    </>
  );
});
