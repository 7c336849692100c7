"use client";
import { FileButton } from "../fields/FileButton";
import { Radio } from "lucide-react";
import { useState } from "react";
import { readLogger } from "../../core/formats/logger-csv";
import type { ReadReadings } from "../../core/formats/readings-csv";
import { panelChoices } from "../../core/piece/panels";
import { readList } from "../frame/readList";
import { usePiece } from "../piece/PieceProvider";

/** Readings from a CSV, and the room's year from the logger on the bench. */
export function LogImport() {
  const { piece, plan, edit, rack } = usePiece();
  const [found, setFound] = useState<{ name: string; read: ReadReadings } | null>(null);
  const [message, setMessage] = useState<string | null>(null);
  // whatever the list may name: panels, and boards
  const boards = [
    ...new Set([
      ...plan.records.map(({ id }) => id),
      ...rack.map((board) => board.id),
      ...panelChoices(piece).flatMap(({ strips }) => strips.map((strip) => strip.board)),
      ...piece.cutting.sawn.map((each) => each.board.id),
    ]),
  ];
  const take = () => {
    if (!found) return;
    const refused = edit(`${found.read.entries.length} readings from ${found.name}`, [
      { path: ["log"], value: [...piece.log, ...found.read.entries] },
    ]);
    if (refused) setMessage(refused);
    else setFound(null);
  };
  const fetchLog = async () => {
    try {
      const answer = await fetch("/api/devices/log");
      const text = await answer.text();
      if (!answer.ok) {
        setMessage(JSON.parse(text).message);
        return;
      }
      const read = readLogger(text);
      if (!read.ok) {
        setMessage(read.message);
        return;
      }
      const { from, to, months, readings } = read;
      const refused = edit("Climate from the bench’s logger", [
        {
          path: ["brief", "climate"],
          value: {
            kind: "log",
            name: "the bench’s logger",
            from,
            to,
            readings: readings.length,
            months,
            fill: piece.brief.climate.kind === "typical" ? piece.brief.climate.id : "heated-temperate",
          },
        },
      ]);
      setMessage(
        refused ??
          `The room’s year now comes from ${readings.length.toLocaleString("en")} readings, ${from} to ${to}. ${read.notes.join(" ")}`,
      );
    } catch {
      setMessage("The server does not answer. Nothing was read; try again.");
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <FileButton
        label="Readings from a CSV"
        accept=".csv,.txt,text/csv"
        name="Readings file"
        onChosen={(chosen) =>
          void readList(chosen.name, { kind: "readings", file: chosen, boards }).then(
            (read) => setFound({ name: chosen.name, read }),
            (error: Error) => setMessage(error.message),
          )
        }
      />
      <button className="button button-plain" onClick={() => void fetchLog()}>
        <Radio size={14} />
        The room’s year from the logger
      </button>
      {message && (
        <p role="status" className="basis-full text-[13px]">
          {message}
        </p>
      )}
      {found && (
        <div role="alert" className="basis-full border border-hairline bg-white p-3">
          <p className="font-semibold">
            {found.name}: {found.read.entries.length} readings
            {found.read.faults.length ? `, ${found.read.faults.length} lines that can’t be read` : ""}.
          </p>
          {found.read.faults.length > 0 && (
            <ul className="max-h-32 overflow-y-auto text-[13px] text-fix">
              {found.read.faults.slice(0, 100).map((fault) => (
                <li key={fault.line}>
                  Line {fault.line}: {fault.message}
                </li>
              ))}
            </ul>
          )}
          <p className="mt-2 flex gap-2">
            {found.read.entries.length > 0 && (
              <button className="button" onClick={take}>
                Write {found.read.entries.length} down
              </button>
            )}
            <button className="button button-plain" onClick={() => setFound(null)}>
              Leave them
            </button>
          </p>
        </div>
      )}
    </div>
  );
}
