/** The rack as CSV: one board a line, lengths in mm, defects as `kind@x,y,length,width` joined by `|`. */
import Papa from "papaparse";
import { firstFault } from "../piece/fields";
import { Board, boardSchema, Defect } from "../stock/board";

const COLUMNS = ["id", "species", "length", "width", "width_end", "thickness", "ring_left", "ring_right", "bow", "crook", "cup", "twist", "moisture", "measured_on", "tree", "shelf", "price", "defects"] as const;
type Column = (typeof COLUMNS)[number];
const REQUIRED: Column[] = ["id", "species", "length", "width", "thickness"];
/** Boards one file may bring, so that a mistaken file can't fill the rack. */
export const MOST_BOARDS = 20000;

export interface ReadRack { boards: Board[]; faults: { line: number; message: string }[] }

/** The rack as CSV with a header, commas and points, lines ended by CR LF as RFC 4180 has it. */
export function writeRack(boards: readonly Board[]): string {
  return `${Papa.unparse({ fields: [...COLUMNS], data: boards.map((board) => [
    board.id, board.species, board.length, board.width, board.widthEnd ?? "", board.thickness, board.ringLeft, board.ringRight, board.bow, board.crook, board.cup, board.twist,
    board.moisture, board.measuredOn, board.tree, board.shelf, board.price,
    board.defects.map((d) => `${d.kind}@${d.x},${d.y},${d.length},${d.width}`).join("|"),
  ]) })}\r\n`;
}

/**
 * Reads a rack from CSV: with or without BOM, split by commas, semicolons or tabs, with decimal points or commas, columns in any
 * order. Good rows are offered; each bad one gets a sentence with its line and the fix.
 *
 * @param species  ids that are known; a name is matched too
 * @param today    the day of measuring where the file names none
 */
export function readRack(text: string, species: readonly { id: string; name: string }[], today: string): ReadRack {
  const clean = text.replace(/^\uFEFF/, "");
  if (clean.trim() === "") return { boards: [], faults: [{ line: 1, message: "The file is empty. Its first line should name the columns." }] };
  const parsed = Papa.parse<string[]>(clean, { skipEmptyLines: false, delimitersToGuess: [";", "\t", ","] });
  const header = (parsed.data[0] ?? []).map((cell) => cell.trim().toLowerCase().replace(/[\s-]+/g, "_"));
  const missing = REQUIRED.filter((column) => !header.includes(column));
  if (missing.length > 0) return { boards: [], faults: [{ line: 1, message: `The column${missing.length > 1 ? "s" : ""} ${missing.map((each) => `“${each}”`).join(", ")} ${missing.length > 1 ? "are" : "is"} missing. The first line should name: ${REQUIRED.join(", ")}.` }] };
  const boards: Board[] = [];
  const faults: ReadRack["faults"] = [];
  const seen = new Map<string, number>();
  parsed.data.slice(1).forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === "")) return;
    if (boards.length >= MOST_BOARDS) return;
    const cell = (column: Column) => (cells[header.indexOf(column)] ?? "").trim();
    const row = readRow(cell, species, today);
    if ("message" in row) { faults.push({ line, message: row.message }); return; }
    const before = seen.get(row.board.id);
    if (before !== undefined) { faults.push({ line, message: `Board ${row.board.id} stands on line ${before} already. Give it another id.` }); return; }
    seen.set(row.board.id, line);
    boards.push(row.board);
  });
  return { boards, faults };
}

function readRow(cell: (column: Column) => string, species: readonly { id: string; name: string }[], today: string): { board: Board } | { message: string } {
  const wood = species.find((each) => each.id === cell("species") || each.name.toLowerCase() === cell("species").toLowerCase());
  if (!wood) return { message: `“${cell("species")}” in the column species is no species Taller knows. Use its id, such as european-ash, or add it on the species page.` };
  const numbers: Partial<Record<Column, number | null>> = {};
  for (const column of COLUMNS) {
    if (["id", "species", "measured_on", "tree", "shelf", "defects"].includes(column)) continue;
    const typed = cell(column);
    if (typed === "" && REQUIRED.includes(column)) return { message: `The column ${column} is empty. Type its size in mm.` };
    const value = typed === "" ? null : Number(typed.replace(/\s/g, "").replace(",", "."));
    if (value !== null && !Number.isFinite(value)) return { message: `“${typed}” in the column ${column} is not a number.` };
    numbers[column] = value;
  }
  const defects = readDefects(cell("defects"));
  if (typeof defects === "string") return { message: defects };
  const board: Board = {
    id: cell("id"), species: wood.id, length: numbers.length!, width: numbers.width!, widthEnd: numbers.width_end ?? null, thickness: numbers.thickness!,
    ringLeft: numbers.ring_left ?? -20, ringRight: numbers.ring_right ?? 20, bow: numbers.bow ?? 0, crook: numbers.crook ?? 0, cup: numbers.cup ?? 0, twist: numbers.twist ?? 0,
    moisture: numbers.moisture ?? 9, measuredOn: cell("measured_on") || today, tree: cell("tree"), shelf: cell("shelf"), price: numbers.price ?? 0, defects, cutFrom: "",
  };
  const fault = firstFault(boardSchema, board);
  if (fault) return { message: `${fault.message} (${fault.field})` };
  return { board };
}

function readDefects(text: string): Defect[] | string {
  if (text === "") return [];
  const defects: Defect[] = [];
  for (const part of text.split("|")) {
    const match = part.trim().match(/^(\w+)@([\d.]+),([\d.]+),([\d.]+),([\d.]+)$/);
    if (!match) return `“${part.trim()}” in the column defects should read like knot@620,40,55,45: kind, then place and size in mm.`;
    defects.push({ kind: match[1] as Defect["kind"], x: Number(match[2]), y: Number(match[3]), length: Number(match[4]), width: Number(match[5]) });
  }
  return defects;
}
