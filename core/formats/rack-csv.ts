/** The rack as CSV: one board a line. Ours has lengths in mm and defects as `kind@x,y,length,width` joined by `|`; merchants' lists are read too. */
import Papa from "papaparse";
import { firstFault } from "../piece/fields";
import { Board, boardSchema, Defect } from "../stock/board";
import { formatInches, MM_PER_FOOT, MM_PER_INCH } from "../units/length";
import { boardFeet, M3_PER_BOARD_FOOT, QUARTERS } from "../units/lumber";
import { Column, COLUMNS, fileColumn, FileColumn, readNominal, readSize } from "./rack-columns";

const REQUIRED: Column[] = ["id", "species", "length", "width", "thickness"];
const WORDS: Column[] = ["id", "species", "measured_on", "tree", "shelf", "defects", "cut_from", "nominal"];
const SIZES: Column[] = ["length", "width", "width_end", "thickness", "bow", "crook", "cup", "twist"];
/** Boards one file may bring, so that a mistaken file can't fill the rack. */
export const MOST_BOARDS = 120_000;

export interface ReadRack { boards: Board[]; faults: { line: number; message: string }[] }

/** The rack as CSV with a header, commas and points, lines ended by CR LF as RFC 4180 has it. */
export function writeRack(boards: readonly Board[]): string {
  return `${Papa.unparse({ fields: [...COLUMNS], data: boards.map((board) => [
    board.id, board.species, board.length, board.width, board.widthEnd ?? "", board.thickness, board.ringLeft, board.ringRight, board.bow, board.crook, board.cup, board.twist,
    board.moisture, board.measuredOn, board.tree, board.shelf, board.price,
    board.defects.map((d) => `${d.kind}@${d.x},${d.y},${d.length},${d.width}`).join("|"), board.cutFrom,
  ]) })}\r\n`;
}

/** The rack as a merchant's tally: quarters where the thickness is one, inches and feet, board feet. */
export function writeTally(boards: readonly Board[]): string {
  const quarters = (mm: number) => Object.keys(QUARTERS).find((name) => Math.abs(QUARTERS[name].rough - mm) < 0.5) ?? `${formatInches(mm / MM_PER_INCH, 32)}"`;
  return `${Papa.unparse({ fields: ["Tag", "Species", "Thickness", "Width in", "Length", "BF", "MC %", "Place", "Price"], data: boards.map((board) => {
    const feet = Math.floor(board.length / MM_PER_FOOT + 1e-9);
    return [board.id, board.species, quarters(board.thickness), formatInches(board.width / MM_PER_INCH, 32), `${feet}' ${formatInches((board.length - feet * MM_PER_FOOT) / MM_PER_INCH, 16)}"`, boardFeet(board.length, board.width, board.thickness).toFixed(2), board.moisture, board.shelf, board.price];
  }) })}\r\n`;
}

/**
 * Reads a rack from CSV: with or without BOM, split by commas, semicolons or tabs, with decimal points or commas, columns in any
 * order, sizes in mm or as merchants write them. Good rows are offered; each bad one gets a sentence with its line and the fix.
 *
 * @param species  ids that are known; a name is matched too
 * @param today    the day of measuring where the file names none
 */
export function readRack(text: string, species: readonly { id: string; name: string }[], today: string): ReadRack {
  const clean = text.replace(/^\uFEFF/, "");
  const fails = (message: string): ReadRack => ({ boards: [], faults: [{ line: 1, message }] });
  if (clean.trim() === "") return fails("The file is empty. Its first line should name the columns.");
  const parsed = Papa.parse<string[]>(clean, { skipEmptyLines: false, delimitersToGuess: [";", "\t", ","] });
  const header = (parsed.data[0] ?? []).map(fileColumn);
  const has = (column: Column) => header.some((each) => each?.column === column);
  const given: Partial<Record<Column, boolean>> = { id: has("quantity"), length: has("board_feet"), width: has("nominal"), thickness: has("nominal") };
  const missing = REQUIRED.filter((column) => !has(column) && !given[column]);
  if (missing.length > 0) return fails(`The column${missing.length > 1 ? "s" : ""} ${missing.map((each) => `“${each}”`).join(", ")} ${missing.length > 1 ? "are" : "is"} missing. The first line should name: ${REQUIRED.join(", ")}.`);
  if (parsed.data.length - 1 > MOST_BOARDS) return fails(`The file has ${parsed.data.length - 1} lines; a rack takes ${MOST_BOARDS} boards at once. Split it.`);
  const boards: Board[] = [];
  const faults: ReadRack["faults"] = [];
  const seen = new Map<string, number>();
  const woods = new Map(species.flatMap((each) => [[each.name.toLowerCase(), each.id], [each.id, each.id]]));
  parsed.data.slice(1).forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === "")) return;
    const row = readRow(cells, header, woods, today, line);
    if ("message" in row) { faults.push({ line, message: row.message }); return; }
    for (const board of row.boards) {
      const before = seen.get(board.id);
      if (before !== undefined) { faults.push({ line, message: `Board ${board.id} stands on line ${before} already. Give it another id.` }); continue; }
      seen.set(board.id, line);
      boards.push(board);
    }
  });
  return { boards, faults };
}

function readRow(cells: readonly string[], header: readonly (FileColumn | null)[], woods: ReadonlyMap<string, string>, today: string, line: number): { boards: Board[] } | { message: string } {
  const at = (column: Column) => header.findIndex((each) => each?.column === column);
  const cell = (column: Column) => (cells[at(column)] ?? "").trim();
  const wood = woods.get(cell("species")) ?? woods.get(cell("species").toLowerCase());
  if (!wood) return { message: `“${cell("species")}” in the column species is no species Taller knows. Use its id, such as european-ash, or add it on the species page.` };
  const n: Partial<Record<Column, number | null>> = {};
  for (const column of [...COLUMNS, "board_feet", "quantity"] as Column[]) {
    if (WORDS.includes(column)) continue;
    const typed = cell(column);
    if (typed === "") { n[column] = null; continue; }
    const read = SIZES.includes(column) ? readSize(typed, header[at(column)]!) : plainNumber(typed, column);
    if (!read.ok) return { message: read.message };
    n[column] = read.mm;
  }
  if (cell("nominal") !== "") {
    const size = readNominal(cell("nominal"));
    if (!size) return { message: `“${cell("nominal")}” is no nominal size Taller knows. Write it like 2x6, or give width and thickness.` };
    n.width ??= size.width;
    n.thickness ??= size.thickness;
  }
  if (n.board_feet && !n.length && n.width && n.thickness) n.length = Math.round((n.board_feet * M3_PER_BOARD_FOOT * 1e9) / (n.width * n.thickness));
  for (const column of ["length", "width", "thickness"] as const) if (n[column] === null || n[column] === undefined) return { message: `The column ${column} is empty. Type its size in mm.` };
  const defects = readDefects(cell("defects"));
  if (typeof defects === "string") return { message: defects };
  const board: Board = {
    id: cell("id") || `row${line}`, species: wood, length: tenth(n.length!), width: tenth(n.width!), widthEnd: n.width_end === null || n.width_end === undefined ? null : tenth(n.width_end), thickness: tenth(n.thickness!),
    ringLeft: n.ring_left ?? -20, ringRight: n.ring_right ?? 20, bow: n.bow ?? 0, crook: n.crook ?? 0, cup: n.cup ?? 0, twist: n.twist ?? 0,
    moisture: n.moisture ?? 9, measuredOn: cell("measured_on") || today, tree: cell("tree"), shelf: cell("shelf"), price: n.price ?? 0, defects, cutFrom: cell("cut_from"),
  };
  const fault = firstFault(boardSchema, board);
  if (fault) return { message: `${fault.message} (${fault.field})` };
  const count = n.quantity ?? 1;
  if (!Number.isInteger(count) || count < 1 || count > 500) return { message: `“${cell("quantity")}” in the column quantity should be a whole number from 1 to 500.` };
  return { boards: count === 1 ? [board] : Array.from({ length: count }, (_, i) => ({ ...board, id: `${board.id}-${i + 1}` })) };
}

/** Sizes that came from inches are kept to a twentieth of a mm: nearer than any rule. */
const tenth = (mm: number) => Math.round(mm * 20) / 20;

function plainNumber(typed: string, column: Column): { ok: true; mm: number } | { ok: false; message: string } {
  const value = Number(typed.replace(/[\s%°]/g, "").replace(",", "."));
  return Number.isFinite(value) ? { ok: true, mm: value } : { ok: false, message: `“${typed}” in the column ${column} is not a number.` };
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
