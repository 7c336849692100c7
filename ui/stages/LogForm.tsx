"use client";
import { DateField } from "../fields/fields";
import { Radio } from "lucide-react";
import { useState } from "react";
import { panelChoices } from "../../core/piece/panels";
import { speciesUsed } from "../../core/piece/kinds";
import { corrected, METER_RANGE } from "../../core/learning/meter";
import type { LogEntry } from "../../core/piece/schema";
import { parseLength } from "../../core/units/length";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

export const KINDS: Record<LogEntry["kind"], string> = {
  note: "Note",
  moisture: "Moisture reading",
  width: "Width",
  air: "Air",
  mistake: "Mistake",
};
const DEVICE: Partial<Record<LogEntry["kind"], { id: string; name: string }>> = {
  moisture: { id: "meter", name: "the meter" },
  width: { id: "caliper", name: "the caliper" },
  air: { id: "logger", name: "the logger" },
};

const decimal = (typed: string) =>
  typed.trim() === "" ? NaN : Number(typed.trim().replace(",", ".").replace(/\s*%$/, ""));

/** One entry for the log, typed or read from a device on the bench. */
export function LogForm() {
  const { piece, plan, edit, today, rack } = usePiece();
  const { unit } = useUnit();
  const [kind, setKind] = useState<LogEntry["kind"]>("note");
  const [on, setOn] = useState(today);
  const [what, setWhat] = useState("top");
  const [value, setValue] = useState("");
  const [beside, setBeside] = useState("");
  const [raw, setRaw] = useState(false);
  const [warmth, setWarmth] = useState("20");
  const [offset, setOffset] = useState("0");
  const [words, setWords] = useState("");
  const [cost, setCost] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const measured = kind === "moisture" || kind === "width" || kind === "air";
  const boards = [
    ...new Set([
      ...panelChoices(piece).flatMap(({ strips }) => strips.map((strip) => strip.board)),
      ...rack.filter((board) => speciesUsed(piece).includes(board.species)).map((board) => board.id),
    ]),
  ];
  const device = DEVICE[kind];
  const now =
    raw && kind === "moisture" && Number.isFinite(decimal(value))
      ? corrected(decimal(value), decimal(warmth), decimal(offset))
      : null;

  const add = () => {
    const entry = readEntry();
    if (typeof entry === "string") {
      setFault(entry);
      return;
    }
    const refused = edit(`${KINDS[kind]} written down`, [{ path: ["log", piece.log.length], value: entry }]);
    setFault(refused);
    if (!refused) {
      setValue("");
      setWords("");
      setCost("");
      setBeside("");
    }
  };
  const readEntry = (): LogEntry | string => {
    const base = { id: crypto.randomUUID(), on, text: words };
    if (kind === "note") return words.trim() ? { kind, ...base } : "Note: write a few words first.";
    if (kind === "mistake") return words.trim() ? { kind, ...base, cost } : "Mistake: say what went wrong.";
    if (kind === "width") {
      const length = parseLength(value, unit);
      if (!length.ok) return `Width: ${length.message}`;
      const moisture = beside.trim() ? decimal(beside) : null;
      return moisture !== null && !Number.isFinite(moisture)
        ? `Moisture beside it: “${beside}” is not a number. Type percent, such as 8.4, or leave it empty.`
        : { kind, ...base, value: length.mm, what, moisture };
    }
    const number = decimal(value);
    if (!Number.isFinite(number))
      return `${KINDS[kind]}: “${value}” is not a number. Type percent, such as ${kind === "air" ? "45" : "8.4"}.`;
    if (kind === "air")
      return Number.isFinite(decimal(warmth))
        ? { kind, ...base, value: number, temperature: decimal(warmth) }
        : `Temperature: “${warmth}” is not a number.`;
    if (!raw) return { kind, ...base, value: number, what, meter: null };
    if (!Number.isFinite(decimal(warmth)) || !Number.isFinite(decimal(offset)))
      return "Meter reading: type the wood’s temperature and the meter’s species offset as numbers.";
    return {
      kind,
      ...base,
      what,
      value: Math.round(corrected(number, decimal(warmth), decimal(offset)) * 10) / 10,
      meter: { reading: number, temperature: decimal(warmth), offset: decimal(offset) },
    };
  };
  const ask = async () => {
    const near =
      plan.records.find(({ id }) => id === what)?.moved.width ?? rack.find((board) => board.id === what)?.width ?? 150;
    try {
      const answer = await fetch(`/api/devices/${device!.id}?near=${near}`);
      const reading = await answer.json();
      if (!answer.ok) {
        setFault(reading.message);
        return;
      }
      setFault(null);
      setOn(String(reading.at).slice(0, 10) > today ? today : String(reading.at).slice(0, 10));
      setValue(kind === "width" && unit === "inch" ? (reading.value / 25.4).toFixed(3) : String(reading.value));
      if (reading.temperature !== undefined) setWarmth(String(reading.temperature));
      if (kind === "moisture") setRaw(true);
    } catch {
      setFault("The server does not answer. Nothing was read; try again.");
    }
  };
  const field = (label: string, shown: string, take: (typed: string) => void, width = "w-24") => (
    <label className="text-[13px] text-graphite">
      {label}
      <input
        className={`input block ${width} text-ink`}
        value={shown}
        aria-invalid={fault !== null}
        onChange={(event) => {
          take(event.target.value);
          setFault(null);
        }}
      />
    </label>
  );

  return (
    <form
      className="flex flex-wrap items-end gap-3 border border-hairline bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <label className="text-[13px] text-graphite">
        Kind
        <select
          className="input block text-ink"
          value={kind}
          onChange={(event) => {
            setKind(event.target.value as LogEntry["kind"]);
            setFault(null);
          }}
        >
          {Object.entries(KINDS).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <DateField
        label="Date"
        value={on}
        onTake={(day) => {
          if (day === null) return "The log needs a day for what it says.";
          setOn(day);
          return null;
        }}
      />
      {(kind === "moisture" || kind === "width") && (
        <label className="text-[13px] text-graphite">
          Of
          <select className="input block text-ink" value={what} onChange={(event) => setWhat(event.target.value)}>
            {plan.records.map(({ id, name }) => (
              <option key={id} value={id}>
                The whole {name}
              </option>
            ))}
            {boards.map((id) => (
              <option key={id} value={id}>
                {id}
              </option>
            ))}
          </select>
        </label>
      )}
      {kind === "moisture" && field(raw ? "Meter reads" : "Percent", value, setValue)}
      {kind === "width" && (
        <>
          {field(`Width, ${unit === "mm" ? "mm" : "in"}`, value, setValue)}
          {field("Moisture beside it, %", beside, setBeside)}
        </>
      )}
      {kind === "air" && (
        <>
          {field("Relative humidity, %", value, setValue)}
          {field("Temperature, °C", warmth, setWarmth, "w-20")}
        </>
      )}
      {kind === "moisture" && (
        <label className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-layout"
            checked={raw}
            onChange={(event) => setRaw(event.target.checked)}
          />
          As a pin meter reads it
        </label>
      )}
      {kind === "moisture" && raw && (
        <>
          {field("Wood at, °C", warmth, setWarmth, "w-20")}
          {field("Meter’s species offset", offset, setOffset, "w-20")}
          {now !== null && Number.isFinite(now) && (
            <p className="self-center text-[13px]">
              corrected {now.toFixed(1)} %
              {now < METER_RANGE.low || now > METER_RANGE.high
                ? `; a pin meter tells little under ${METER_RANGE.low} or over ${METER_RANGE.high} %`
                : ""}
            </p>
          )}
        </>
      )}
      {measured && device && (
        <button type="button" className="button button-plain" onClick={() => void ask()}>
          <Radio size={14} />
          Read {device.name}
        </button>
      )}
      <label className="min-w-48 flex-1 text-[13px] text-graphite">
        Words
        <textarea
          rows={1}
          className="input block w-full text-ink"
          value={words}
          onChange={(event) => {
            setWords(event.target.value);
            setFault(null);
          }}
        />
      </label>
      {kind === "mistake" && (
        <label className="text-[13px] text-graphite">
          What it cost
          <input
            className="input block w-36 text-ink"
            value={cost}
            onChange={(event) => setCost(event.target.value)}
            placeholder="2 h, one rail"
          />
        </label>
      )}
      <button className="button">Write it down</button>
      {fault && (
        <p role="alert" className="basis-full text-fix">
          {fault}
        </p>
      )}
    </form>
  );
}
