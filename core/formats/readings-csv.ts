/** Measurements for the log as CSV: a line a reading, with a date and any of moisture, width, humidity and temperature. */
import { corrected } from "../learning/meter";
import { firstFault } from "../piece/fields";
import { LogEntry, pieceSchema } from "../piece/schema";
import { Bounds, quoted, readTable, squeezed } from "./csv";
import { dayOrderOf, isoDay, readStamp } from "./stamp";

export interface ReadReadings {
  entries: LogEntry[];
  faults: { line: number; message: string }[];
}

const NAMES = {
  on: /date|day|datum|fecha|time|stamp/i,
  what: /what|board|part|piece|where/i,
  moisture: /^(mc|moisture|wood moisture|moisture content).*/i,
  width: /width|breite|caliper/i,
  humidity: /humid|^rh|r\.h/i,
  temperature: /temp|°c/i,
  text: /note|text|words|remark/i,
  reading: /reading|meter|raw/i,
  offset: /offset|species corr/i,
};
/** What a file of readings may hold: more than a log takes. Ours. */
const BOUNDS: Bounds = { letters: 1_000_000, rows: 5000, columns: 60, cell: 4000 };
const entriesSchema = pieceSchema.entries.log;

/**
 * @param ids     gives each entry its id
 * @param boards  names that a reading may be of, beside “top”
 */
export function readReadings(text: string, ids: () => string, boards: readonly string[]): ReadReadings {
  const clean = text.replace(/^\uFEFF/, "").trim();
  if (clean === "")
    return {
      entries: [],
      faults: [{ line: 1, message: "The file is empty. Its first line should name the columns." }],
    };
  const table = readTable(clean, BOUNDS);
  if (!table.ok) return { entries: [], faults: [table] };
  const { rows } = table;
  const header = rows[0].map((cell) => squeezed(cell));
  const at = Object.fromEntries(
    Object.entries(NAMES).map(([name, called]) => [name, header.findIndex((cell) => called.test(cell))]),
  ) as Record<keyof typeof NAMES, number>;
  const column = (name: keyof typeof NAMES) => at[name];
  if (column("on") < 0)
    return {
      entries: [],
      faults: [
        {
          line: 1,
          message:
            "No column is named date. The first line should name: date, what, moisture, width, humidity, temperature.",
        },
      ],
    };
  if (["moisture", "width", "humidity", "reading"].every((name) => column(name as keyof typeof NAMES) < 0))
    return { entries: [], faults: [{ line: 1, message: "No column is named moisture, reading, width or humidity." }] };
  const order = dayOrderOf(rows.slice(1).map((cells) => cells[column("on")] ?? ""));
  const entries: LogEntry[] = [];
  const faults: ReadReadings["faults"] = [];
  rows.slice(1).forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === "")) return;
    const cell = (name: keyof typeof NAMES) => (column(name) < 0 ? "" : (cells[column(name)] ?? "").trim());
    const found = entriesOf(cell, order, ids, boards);
    if (typeof found === "string") {
      faults.push({ line, message: found });
      return;
    }
    const fault = firstFault(entriesSchema, found);
    if (fault) faults.push({ line, message: fault.message });
    else entries.push(...found);
  });
  return { entries, faults };
}

function entriesOf(
  cell: (name: keyof typeof NAMES) => string,
  order: ReturnType<typeof dayOrderOf>,
  ids: () => string,
  boards: readonly string[],
): LogEntry[] | string {
  const at = readStamp(squeezed(cell("on")), order);
  if (at === null) return `${quoted(cell("on"))} is not a date Taller can read. Write it such as 2027-03-31.`;
  const what = cell("what") || "top";
  if (what !== "top" && !boards.includes(what))
    return `${quoted(what)} is neither a panel of this piece, such as “top”, nor a board on the rack.`;
  const numbers: Partial<Record<keyof typeof NAMES, number>> = {};
  for (const name of ["moisture", "reading", "offset", "width", "humidity", "temperature"] as const) {
    const typed = squeezed(cell(name))
      .replace(/\s*(%|mm|°c)\s*$/i, "")
      .replace(",", ".");
    if (typed === "") continue;
    if (!Number.isFinite(Number(typed))) return `${quoted(cell(name))} in the column ${name} is not a number.`;
    numbers[name] = Number(typed);
  }
  const base = { on: isoDay(at), text: cell("text") };
  const { moisture, reading, width, humidity, temperature, offset = 0 } = numbers;
  const meter = reading === undefined ? null : { reading, temperature: temperature ?? 20, offset };
  const value = meter ? Math.round(corrected(meter.reading, meter.temperature, meter.offset) * 10) / 10 : moisture;
  const out: LogEntry[] = [];
  if (width !== undefined) out.push({ kind: "width", id: ids(), ...base, value: width, what, moisture: value ?? null });
  if (value !== undefined) out.push({ kind: "moisture", id: ids(), ...base, value, what, meter });
  if (humidity !== undefined)
    out.push({ kind: "air", id: ids(), ...base, value: humidity, temperature: temperature ?? 20 });
  return out.length > 0 ? out : "Nothing is measured on this line: give a moisture, a width or a humidity.";
}
