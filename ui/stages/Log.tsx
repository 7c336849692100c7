"use client";
import { useState } from "react";
import { parseLength } from "../../core/units/length";
import type { LogEntry } from "../../core/piece/schema";
import { dayName, shortDay } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { StageHead } from "./StageHead";

const KINDS: Record<LogEntry["kind"], string> = { note: "Note", moisture: "Moisture reading", width: "Width of the top", mistake: "Mistake" };

/** What was measured, what went wrong. A moisture reading moves the whole year. */
export function LogStage() {
  const { piece, plan, edit, today } = usePiece();
  const { unit, withUnit } = useUnit();
  const [kind, setKind] = useState<LogEntry["kind"]>("note");
  const [on, setOn] = useState(today);
  const [value, setValue] = useState("");
  const [words, setWords] = useState("");
  const [cost, setCost] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const measured = kind === "moisture" || kind === "width";
  const entries = piece.log.map((entry, i) => ({ entry, i })).sort((a, b) => (a.entry.on < b.entry.on ? 1 : a.entry.on > b.entry.on ? -1 : b.i - a.i));

  const add = () => {
    const entry = readEntry();
    if (typeof entry === "string") { setFault(entry); return; }
    const refused = edit(`${KINDS[kind]} written down`, [{ path: ["log", piece.log.length], value: entry }]);
    setFault(refused);
    if (!refused) { setValue(""); setWords(""); setCost(""); }
  };
  const readEntry = (): LogEntry | string => {
    const base = { id: crypto.randomUUID(), on, text: words };
    if (kind === "note") return words.trim() ? { kind, ...base } : "Note: write a few words first.";
    if (kind === "mistake") return words.trim() ? { kind, ...base, cost } : "Mistake: say what went wrong.";
    if (kind === "moisture") {
      const number = Number(value.trim().replace(",", ".").replace("%", ""));
      return value.trim() && Number.isFinite(number) ? { kind, ...base, value: number } : `Moisture reading: “${value}” is not a number. Type percent, such as 8.4.`;
    }
    const length = parseLength(value, unit);
    return length.ok ? { kind, ...base, value: length.mm } : `Width of the top: ${length.message}`;
  };

  return (
    <>
      <StageHead title="What was measured, and what went wrong">Movement now starts from {plan.top.start.value} % on {dayName(plan.top.start.on)}, {plan.top.start.from === "log" ? "the latest reading here" : "set in Movement"}.</StageHead>
      <form className="flex flex-wrap items-end gap-3 border border-hairline bg-sheet p-3" onSubmit={(event) => { event.preventDefault(); add(); }}>
        <label className="text-[13px] text-graphite">Kind<select className="input block text-ink" value={kind} onChange={(event) => { setKind(event.target.value as LogEntry["kind"]); setFault(null); }}>{Object.entries(KINDS).map(([id, name]) => <option key={id} value={id}>{name}</option>)}</select></label>
        <label className="text-[13px] text-graphite">Date<input type="date" className="input block text-ink" value={on} onChange={(event) => setOn(event.target.value)} /></label>
        {measured && <label className="text-[13px] text-graphite">{kind === "moisture" ? "Percent" : `Width, ${unit === "mm" ? "mm" : "in"}`}<input className="input block w-28 text-ink" value={value} aria-invalid={fault !== null} onChange={(event) => { setValue(event.target.value); setFault(null); }} /></label>}
        <label className="min-w-48 flex-1 text-[13px] text-graphite">Words<textarea rows={1} className="input block w-full text-ink" value={words} onChange={(event) => { setWords(event.target.value); setFault(null); }} /></label>
        {kind === "mistake" && <label className="text-[13px] text-graphite">What it cost<input className="input block w-36 text-ink" value={cost} onChange={(event) => setCost(event.target.value)} placeholder="2 h, one rail" /></label>}
        <button className="button">Write it down</button>
        {fault && <p role="alert" className="basis-full text-fix">{fault}</p>}
      </form>
      <div className="overflow-x-auto"><table className="plain"><caption className="sr-only">Log</caption><thead><tr><th>Date</th><th>Kind</th><th>Value</th><th>Words</th><th /></tr></thead>
        <tbody>{entries.map(({ entry, i }) => {
          const predicted = entry.kind === "width" ? plan.predicted.find((each) => each.on === entry.on)?.width : undefined;
          return (
            <tr key={entry.id} data-log={entry.kind}><td className="whitespace-nowrap">{shortDay(entry.on)}</td><td>{KINDS[entry.kind]}</td>
              <td className="whitespace-nowrap">{entry.kind === "moisture" ? `${entry.value} %` : entry.kind === "width" ? <>{withUnit(entry.value, true)}{predicted !== undefined && <span className="text-graphite">, expected {withUnit(predicted, true)}</span>}</> : entry.kind === "mistake" ? entry.cost : ""}</td>
              <td>{entry.text}</td><td className="number"><button className="button button-plain" onClick={() => edit("Entry taken out", [{ path: ["log"], value: piece.log.filter((_, j) => j !== i) }])}>Take out</button></td></tr>
          );
        })}</tbody></table></div>
      {entries.length === 0 && <p className="lede">Nothing is written down yet. Begin with a moisture reading of the boards: every travel in Movement starts from it.</p>}
    </>
  );
}
