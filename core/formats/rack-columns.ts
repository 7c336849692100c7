/** How merchants and spreadsheets name the columns of a list of boards, and in which unit they write a size. */
import { MM_PER_FOOT, MM_PER_INCH, parseLength } from "../units/length";
import { nominalSize, QUARTERS } from "../units/lumber";
import { quoted, squeezed } from "./csv";

export const COLUMNS = [
  "id",
  "species",
  "length",
  "width",
  "width_end",
  "thickness",
  "ring_left",
  "ring_right",
  "bow",
  "crook",
  "cup",
  "twist",
  "moisture",
  "measured_on",
  "tree",
  "shelf",
  "price",
  "defects",
  "cut_from",
  "tears",
  "rounded",
  "cut_at",
] as const;
/** Our columns, and those of other people's lists that stand for one or several of them. */
export type Column = (typeof COLUMNS)[number] | "nominal" | "board_feet" | "quantity";

/** A column of the file: what it holds, and the unit its header names. */
export interface FileColumn {
  column: Column;
  unit: number | null;
}

const UNITS: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  ft: MM_PER_FOOT,
  feet: MM_PER_FOOT,
  foot: MM_PER_FOOT,
};
const NAMES: Record<Column, string[]> = {
  id: ["id", "board", "tag", "no", "number", "board_no", "label"],
  species: ["species", "wood", "timber"],
  length: ["length", "len", "l", "long"],
  width: ["width", "w", "wide"],
  width_end: ["width_end", "other_width", "width_2", "width2", "narrow_end"],
  thickness: ["thickness", "thick", "t", "quarters"],
  ring_left: ["ring_left"],
  ring_right: ["ring_right"],
  bow: ["bow"],
  crook: ["crook"],
  cup: ["cup"],
  twist: ["twist", "wind"],
  moisture: ["moisture", "mc", "moisture_content"],
  measured_on: ["measured_on", "measured", "date"],
  tree: ["tree", "log", "bundle", "pack", "flitch"],
  shelf: ["shelf", "place", "location", "bay"],
  price: ["price", "cost", "paid"],
  defects: ["defects"],
  cut_from: ["cut_from"],
  cut_at: ["cut_at"],
  tears: ["tears", "tear_out"],
  rounded: ["rounded", "eased", "round_corners"],
  nominal: ["nominal", "section", "size"],
  board_feet: ["board_feet", "bf", "bd_ft", "bdft"],
  quantity: ["quantity", "qty", "pieces", "pcs", "count"],
};

const COLUMN_OF = new Map(
  (Object.keys(NAMES) as Column[]).flatMap((column) => NAMES[column].map((name) => [name, column] as const)),
);
/** Words in the longest of these names. */
const LONGEST = Math.max(...[...COLUMN_OF.keys()].map((name) => name.split("_").length));
/** Letters of a header that are looked at: names and units are short. */
const HEADER = 60;

/** What a header cell such as `Width (in)`, `Length_ft` or `MC %` stands for; null when it is nothing Taller knows. */
export function fileColumn(header: string): FileColumn | null {
  const words = header
    .trim()
    .slice(0, HEADER)
    .toLowerCase()
    .replace(/[“”"]$/, " in")
    .replace(/['′]$/, " ft")
    .replace(/[^a-z0-9]+/g, "_")
    .replace(/^_|_$/g, "")
    .split("_");
  for (let cut = Math.min(words.length, LONGEST); cut > 0; cut -= 1) {
    const column = COLUMN_OF.get(words.slice(0, cut).join("_"));
    const unit = words.slice(cut).find((word) => Object.hasOwn(UNITS, word));
    if (column) return { column, unit: unit ? UNITS[unit] : null };
  }
  return null;
}

/** Either a size in mm, or a sentence. */
export type ReadSize = { ok: true; mm: number } | { ok: false; message: string };

/**
 * Reads a size as lists write it: `2400`, `2,4 m`, `8/4` as a thickness in quarters of an inch, `7' 6"`, `5 1/2`.
 *
 * @param unit  mm in one of the header's unit, or null when it names none: then a bare number is mm
 */
export function readSize(cell: string, { column, unit }: FileColumn): ReadSize {
  const typed = squeezed(cell);
  const quarters = typed.replace(/\s/g, "");
  if (column === "thickness" && /^\d+\/4$/.test(quarters)) {
    const found = QUARTERS[quarters];
    return found
      ? { ok: true, mm: found.rough }
      : {
          ok: false,
          message: `“${typed}” in the column thickness is no quarter size that is sawn; they run from 4/4 to 16/4.`,
        };
  }
  const plain = typed.replace(/\s/g, "").replace(",", ".");
  if (/^[-−]?\d*\.?\d+(e[-+]?\d+)?$/i.test(plain)) {
    const number = Number(plain.replace("−", "-"));
    return { ok: true, mm: (unit ?? 1) === 1 ? number : twentieth(number * unit!) };
  }
  const read = parseLength(typed, "inch");
  return read.ok
    ? { ok: true, mm: twentieth(read.mm) }
    : { ok: false, message: `“${typed}” in the column ${column} is not a number.` };
}

/** Sizes that came from another unit are kept to a twentieth of a mm: nearer than any rule. */
const twentieth = (mm: number) => Math.round(mm * 20) / 20;

/** Thickness and width of a nominal size such as `2x6`; null when there is no such size. */
export const readNominal = (typed: string) => nominalSize(typed.replace(/\s/g, ""));

/** Yes, no, or null for another word. */
export function yesOrNo(typed: string): boolean | null {
  const word = squeezed(typed).toLowerCase();
  if (["yes", "y", "true", "1", "x"].includes(word)) return true;
  return ["", "no", "n", "false", "0"].includes(word) ? false : null;
}

/** A cell that holds a number without a unit, or a sentence. */
export function plainNumber(typed: string, column: Column): { ok: true; mm: number } | { ok: false; message: string } {
  const value = Number(
    squeezed(typed)
      .replace(/[\s%°]/g, "")
      .replace(",", "."),
  );
  return Number.isFinite(value)
    ? { ok: true, mm: value }
    : { ok: false, message: `${quoted(typed)} in the column ${column} is not a number.` };
}
