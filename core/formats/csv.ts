/** CSV in and out, one way for all lists: reading is linear and bounded before it begins, writing leaves a spreadsheet nothing to run. */
import Papa from "papaparse";

/** How much a file may hold: letters, lines, columns of a line, letters of a cell. */
export interface Bounds {
  letters: number;
  rows: number;
  columns: number;
  cell: number;
}

/** Rows of cells, all of text; or why the file is not read, as a sentence. */
export type Table = { ok: true; rows: string[][] } | { ok: false; line: number; message: string };

/** Letters on one line of a file, and quotation marks for each line: far more than a list has, and few enough to be read quickly. Ours. */
const LINE = 40_000;
const QUOTES = 200;

/**
 * Splits a CSV: with or without BOM, by commas, semicolons or tabs, quoted as RFC 4180 has it.
 *
 * @param delimiter  where the format says; else what the first lines show
 */
export function readTable(text: string, most: Bounds, delimiter?: string): Table {
  const clean = text.replace(/^\uFEFF/, "");
  const shape = shapeOf(clean, most);
  if (shape) return { ok: false, ...shape };
  const rows: string[][] = [];
  let wrong: { line: number; message: string } | null = null;
  Papa.parse<string[]>(clean, {
    skipEmptyLines: false,
    ...(delimiter ? { delimiter } : { delimitersToGuess: [";", "\t", ","] }),
    step: ({ data }, parser) => {
      wrong =
        data.length > most.columns
          ? {
              line: rows.length + 1,
              message: `Line ${rows.length + 1} has ${data.length} columns; a list has ${most.columns} at most. Choose the right file.`,
            }
          : data.some((cell) => cell.length > most.cell)
            ? {
                line: rows.length + 1,
                message: `Line ${rows.length + 1} has a cell of over ${most.cell} letters. Choose the right file, or look for a quotation mark that is not closed.`,
              }
            : null;
      if (wrong) parser.abort();
      else rows.push(data.map(unescaped));
    },
  });
  return wrong ? { ok: false, ...(wrong as { line: number; message: string }) } : { ok: true, rows };
}

/** What the file's outline tells before it is split: in one pass over its letters. */
function shapeOf(text: string, { letters, rows }: Bounds): { line: number; message: string } | null {
  if (text.length > letters)
    return {
      line: 1,
      message: `The file holds ${(text.length / 1e6).toFixed(1)} million letters; ${(letters / 1e6).toFixed(1)} million are read at most. Split it.`,
    };
  let [lines, from, quotes] = [1, 0, 0];
  for (let i = 0; i <= text.length; i += 1) {
    const code = i < text.length ? text.charCodeAt(i) : 10;
    if (code === 34) quotes += 1;
    if (code !== 10 && (code !== 13 || text.charCodeAt(i + 1) === 10)) continue;
    if (i - from > LINE)
      return {
        line: lines,
        message: `Line ${lines} is ${i - from} letters long; a list's lines are far shorter. Choose the right file.`,
      };
    from = i + 1;
    if (i < text.length) lines += 1;
  }
  // the header is a line too, and so is the nothing after the last end of line
  if (lines > rows + 2)
    return { line: rows + 1, message: `The file has ${lines - 1} lines; ${rows} are read at most. Split it.` };
  return quotes > QUOTES * lines
    ? { line: 1, message: "The file has more quotation marks than a list can have. Choose the right file." }
    : null;
}

/** Signs that make a spreadsheet run a cell as a formula. @source OWASP, CSV injection */
const RUNS = /^'*[=+\-@\t\r]/;
/** An apostrophe before such a sign, and before one that is there already, so that reading takes back exactly one. */
const escaped = (cell: string) => (RUNS.test(cell) ? `'${cell}` : cell);
const unescaped = (cell: string) => (cell.startsWith("'") && RUNS.test(cell) ? cell.slice(1) : cell);

/** CSV with a header, commas and points, lines ended by CR LF as RFC 4180 has it. Numbers stand as they are; no text begins as a formula. */
export function writeTable(fields: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return `${Papa.unparse({ fields: [...fields], data: rows.map((cells) => cells.map((cell) => (typeof cell === "string" ? escaped(cell) : cell))) })}\r\n`;
}

/** The longest cell that can be a number or a size, letters. */
const NUMBER = 40;

/** A cell as a number or size is read from it: runs of blanks are one, and what is too long to be one is nothing. */
export function squeezed(cell: string | undefined): string {
  const text = (cell ?? "").trim();
  return text.length > NUMBER ? `${text.slice(0, NUMBER)}…` : text.replace(/\s+/g, " ");
}

/** A cell to be quoted in a sentence. */
export const quoted = (cell: string) => `“${cell.length > NUMBER ? `${cell.slice(0, NUMBER)}…` : cell}”`;
