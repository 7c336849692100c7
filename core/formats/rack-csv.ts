/** The rack as CSV: one board a line. Ours has lengths in mm and defects as `kind@x,y,length,width` joined by `|`; merchants' lists are read too. */
import { firstFault } from "../piece/fields";
import { Board, boardSchema, Defect } from "../stock/board";
import { M3_PER_BOARD_FOOT } from "../units/lumber";
import { Bounds, quoted, readTable, squeezed, writeTable } from "./csv";
import { Column, COLUMNS, fileColumn, FileColumn, plainNumber, readNominal, readSize, yesOrNo } from "./rack-columns";

const REQUIRED: Column[] = ["id", "species", "length", "width", "thickness"];
const WORDS: Column[] = ["id", "species", "measured_on", "tree", "shelf", "defects", "cut_from", "tears", "nominal"];
const SIZES: Column[] = [
  "length",
  "width",
  "width_end",
  "thickness",
  "bow",
  "crook",
  "cup",
  "twist",
  "rounded",
  "cut_at",
];
/** What a list of boards may hold, and the boards one file may bring, so that a mistaken file can't fill the rack: ten years of a busy shop. Ours. */
const BOUNDS: Bounds = { letters: 30_000_000, rows: 120_000, columns: 120, cell: 4000 };
const MOST_BOARDS = 120_000;
/** Bad lines that are told one by one; a file with more is another file. Ours. */
const MOST_FAULTS = 2000;
/** Rows between two reports of how far the reading is. */
const TELL = 4000;

export interface ReadRack {
  boards: Board[];
  faults: { line: number; message: string }[];
}

/** The rack as CSV. */
export function writeRack(boards: readonly Board[]): string {
  return writeTable(
    COLUMNS,
    boards.map((board) => [
      board.id,
      board.species,
      board.length,
      board.width,
      board.widthEnd ?? "",
      board.thickness,
      board.ringLeft,
      board.ringRight,
      board.bow,
      board.crook,
      board.cup,
      board.twist,
      board.moisture,
      board.measuredOn,
      board.tree,
      board.shelf,
      board.price,
      board.defects.map((d) => `${d.kind}@${d.x},${d.y},${d.length},${d.width}`).join("|"),
      board.cutFrom,
      board.tears ? "yes" : "",
      board.rounded || "",
      board.cutAt ?? "",
    ]),
  );
}

/**
 * Reads a rack from CSV: with or without BOM, split by commas, semicolons or tabs, with decimal points or commas, columns in any
 * order, sizes in mm or as merchants write them. Good rows are offered; each bad one gets a sentence with its line and the fix.
 *
 * @param species  ids that are known; a name is matched too
 * @param today    the day of measuring where the file names none
 * @param told     hears the share that is read, now and then
 */
export function readRack(
  text: string,
  species: readonly { id: string; name: string }[],
  today: string,
  told: (share: number) => void = () => undefined,
): ReadRack {
  const fails = (message: string): ReadRack => ({ boards: [], faults: [{ line: 1, message }] });
  if (text.replace(/^\uFEFF/, "").trim() === "")
    return fails("The file is empty. Its first line should name the columns.");
  const table = readTable(text, BOUNDS);
  if (!table.ok) return { boards: [], faults: [table] };
  const header = headerOf(table.rows[0] ?? []);
  const given: Partial<Record<Column, boolean>> = {
    id: header.has("quantity"),
    length: header.has("board_feet"),
    width: header.has("nominal"),
    thickness: header.has("nominal"),
  };
  const missing = REQUIRED.filter((column) => !header.has(column) && !given[column]);
  if (missing.length > 0)
    return fails(
      `The column${missing.length > 1 ? "s" : ""} ${missing.map((each) => `“${each}”`).join(", ")} ${missing.length > 1 ? "are" : "is"} missing. The first line should name: ${REQUIRED.join(", ")}.`,
    );
  const boards: Board[] = [];
  const faults: ReadRack["faults"] = [];
  const seen = new Map<string, number>();
  const woods = new Map(
    species.flatMap((each) => [
      [each.name.toLowerCase(), each.id],
      [each.id, each.id],
    ]),
  );
  for (let i = 1; i < table.rows.length; i += 1) {
    const [cells, line] = [table.rows[i], i + 1];
    if (i % TELL === 0) told(i / table.rows.length);
    if (cells.every((cell) => cell.trim() === "")) continue;
    if (faults.length >= MOST_FAULTS) {
      faults.push({
        line,
        message: `Over ${MOST_FAULTS} lines can't be read; the rest is not looked at. Choose the right file.`,
      });
      break;
    }
    const row = readRow(cells, header, { woods, today, line });
    if ("message" in row) {
      faults.push({ line, message: row.message });
      continue;
    }
    if (boards.length + row.count > MOST_BOARDS) {
      faults.push({
        line,
        message: `From here on the file brings more than ${MOST_BOARDS} boards, the most at once. Split it.`,
      });
      break;
    }
    for (const board of named(row.board, row.count)) {
      const before = seen.get(board.id);
      if (before !== undefined) {
        faults.push({ line, message: `Board ${board.id} stands on line ${before} already. Give it another id.` });
        break;
      }
      seen.set(board.id, line);
      boards.push(board);
    }
  }
  return { boards, faults };
}

/** Where each column stands; the first of a name counts. */
type Header = ReadonlyMap<Column, FileColumn & { at: number }>;
function headerOf(cells: readonly string[]): Header {
  const header = new Map<Column, FileColumn & { at: number }>();
  cells.forEach((cell, at) => {
    const found = fileColumn(cell);
    if (found && !header.has(found.column)) header.set(found.column, { ...found, at });
  });
  return header;
}

/** So many boards alike, each with a name of its own. */
const named = (board: Board, count: number): Board[] =>
  count === 1 ? [board] : Array.from({ length: count }, (_, i) => ({ ...board, id: `${board.id}-${i + 1}` }));

const NUMBERS = ([...COLUMNS, "board_feet", "quantity"] as Column[]).filter((column) => !WORDS.includes(column));

function readRow(
  cells: readonly string[],
  header: Header,
  { woods, today, line }: { woods: ReadonlyMap<string, string>; today: string; line: number },
): { board: Board; count: number } | { message: string } {
  const cell = (column: Column) => {
    const found = header.get(column);
    return found ? (cells[found.at] ?? "").trim() : "";
  };
  const wood = woods.get(cell("species")) ?? woods.get(cell("species").toLowerCase());
  if (!wood)
    return {
      message: `${quoted(cell("species"))} in the column species is no species Taller knows. Use its id, such as european-ash, or add it on the species page.`,
    };
  const n: Partial<Record<Column, number | null>> = {};
  for (const column of NUMBERS) {
    const typed = cell(column);
    if (typed === "") {
      n[column] = null;
      continue;
    }
    const read = SIZES.includes(column) ? readSize(typed, header.get(column)!) : plainNumber(typed, column);
    if (!read.ok) return { message: read.message };
    n[column] = read.mm;
  }
  if (cell("nominal") !== "") {
    const size = readNominal(squeezed(cell("nominal")));
    if (!size)
      return {
        message: `${quoted(cell("nominal"))} is no nominal size Taller knows. Write it like 2x6, or give width and thickness.`,
      };
    n.width ??= size.width;
    n.thickness ??= size.thickness;
  }
  if (n.board_feet && !n.length && n.width && n.thickness)
    n.length = Math.round((n.board_feet * M3_PER_BOARD_FOOT * 1e9) / (n.width * n.thickness));
  for (const column of ["length", "width", "thickness"] as const)
    if (n[column] === null || n[column] === undefined)
      return { message: `The column ${column} is empty. Type its size in mm.` };
  const defects = readDefects(cell("defects"));
  if (typeof defects === "string") return { message: defects };
  const tears = yesOrNo(cell("tears"));
  if (tears === null) return { message: `${quoted(cell("tears"))} in the column tears should be yes, no or empty.` };
  const count = n.quantity ?? 1;
  if (!Number.isInteger(count) || count < 1 || count > 500)
    return { message: `${quoted(cell("quantity"))} in the column quantity should be a whole number from 1 to 500.` };
  const board: Board = {
    id: cell("id") || `row${line}`,
    species: wood,
    length: n.length!,
    width: n.width!,
    widthEnd: n.width_end ?? null,
    thickness: n.thickness!,
    ringLeft: n.ring_left ?? -20,
    ringRight: n.ring_right ?? 20,
    bow: n.bow ?? 0,
    crook: n.crook ?? 0,
    cup: n.cup ?? 0,
    twist: n.twist ?? 0,
    moisture: n.moisture ?? 9,
    measuredOn: cell("measured_on") || today,
    tree: cell("tree"),
    shelf: cell("shelf"),
    price: n.price ?? 0,
    defects,
    cutFrom: cell("cut_from"),
    tears,
    rounded: n.rounded ?? (cell("nominal") === "" ? 0 : DRESSED_ROUND),
    ...(typeof n.cut_at === "number" ? { cutAt: n.cut_at } : {}),
  };
  // of several alike the last has the longest name
  const fault = firstFault(boardSchema, named(board, count).at(-1));
  return fault ? { message: `${fault.message} (${fault.field})` } : { board, count };
}

/** What dressed construction timber loses of each corner, mm, where its list does not say. @source common practice: 3 to 6 */
const DRESSED_ROUND = 4;

const SIZE = String.raw`(\d+(?:\.\d+)?(?:e[-+]?\d+)?)`;
const DEFECT = new RegExp(`^(\\w+)@${SIZE},${SIZE},${SIZE},${SIZE}$`);
function readDefects(text: string): Defect[] | string {
  if (text === "") return [];
  const defects: Defect[] = [];
  for (const part of text.split("|")) {
    const match = part.trim().match(DEFECT);
    if (!match)
      return `${quoted(part.trim())} in the column defects should read like knot@620,40,55,45: kind, then place and size in mm.`;
    defects.push({
      kind: match[1] as Defect["kind"],
      x: Number(match[2]),
      y: Number(match[3]),
      length: Number(match[4]),
      width: Number(match[5]),
    });
  }
  return defects;
}
