/**
 * Parts that are cut from sheets: strips ripped off a sheet's length or crosscut off it, parts cut from the strips, a saw's kerf between any
 * two, the face's grain along each part. mm
 */
import { SHEET_EDGE as EDGE, SheetName, SheetSize, soldAs, usable } from "../assembly/material";
import { seeded } from "../units/seeded";
import type { Part } from "./cut-list";

export interface SheetPiece {
  mark: string;
  part: string;
  /** along the face's grain, and across it; laid the other way where nobody sees it */
  length: number;
  width: number;
  turns?: boolean;
}

/** A piece where it lies: from the sheet's corner, so far along it and across it; turned, its length lies across the sheet. */
export interface LaidPiece extends SheetPiece {
  x: number;
  y: number;
  turned: boolean;
}

/** What a laid piece takes along the sheet and across it. */
export const takes = ({ length, width, turned }: Pick<LaidPiece, "length" | "width" | "turned">) =>
  turned ? { along: width, across: length } : { along: length, across: width };

/** One strip of a sheet: where it begins, how wide it is, what is cut from it one after another. */
export interface SheetStrip {
  from: number;
  width: number;
  pieces: LaidPiece[];
}

export interface LaidSheet {
  /** strips run along the sheet, each as wide as its widest piece, or across it */
  way: "along" | "across";
  strips: SheetStrip[];
}

/** All that is cut from one kind of sheet. */
export interface SheetPlan {
  material: SheetName;
  thickness: number;
  sold: { length: number; width: number };
  sheets: LaidSheet[];
  /** what no sheet is large enough for */
  tooLarge: SheetPiece[];
  /** sheets that nothing could do without: by area, and by pieces of which no two fit one */
  bound: number;
}

/** Orders of the pieces that are tried. Ours: a piece has a handful. */
const TRIES = 120;

type Size = { length: number; width: number };

/** What is cut from sheets, kind by kind of sheet. @param facts  the saw’s kerf, mm; the sheets that are bought, where they are not as usually sold */
export function sheetPlans(
  parts: readonly Part[],
  { kerf, bought }: { kerf: number; bought: SheetSize | null },
): SheetPlan[] {
  const kinds = new Map<string, { material: SheetName; thickness: number; pieces: SheetPiece[] }>();
  for (const { id, sheet, finished, marks } of parts) {
    if (!sheet) continue;
    const key = `${sheet.material} ${sheet.thickness}`;
    const kind = kinds.get(key) ?? { material: sheet.material, thickness: sheet.thickness, pieces: [] };
    const { length, width } = finished;
    kind.pieces.push(
      ...marks.map((mark) => ({ mark, part: id, length, width, ...(sheet.turns ? { turns: true } : {}) })),
    );
    kinds.set(key, kind);
  }
  return [...kinds.values()].map(({ material, thickness, pieces }) => ({
    ...{ material, thickness },
    ...layoutOf(pieces, soldAs(material, bought), kerf),
  }));
}

/** Lays pieces out on as few sheets as it finds, with the longest rest in one on the last of them. */
export function layoutOf(
  pieces: readonly SheetPiece[],
  sold: Size,
  kerf: number,
): Pick<SheetPlan, "sold" | "sheets" | "tooLarge" | "bound"> {
  const room = usable(sold);
  const within = (length: number, width: number) => length <= room.length + 1e-9 && width <= room.width + 1e-9;
  const fits = ({ length, width, turns }: SheetPiece) => within(length, width) || (turns && within(width, length));
  const sized = pieces.filter(({ length, width }) => length > 0 && width > 0);
  const fitting = sized.filter(fits);
  const ways = (["along", "across"] as const).map((way) => {
    // each piece as the strip sees it: along it, and across it
    const turned = way === "along" ? room : { length: room.width, width: room.length };
    const seen = (piece: SheetPiece, turn: boolean): Seen => {
      const { along, across } = takes({ ...piece, turned: turn });
      return {
        piece,
        turned: turn,
        ...(way === "along" ? { length: along, width: across } : { length: across, width: along }),
      };
    };
    const choices = fitting.map((piece) => ({
      // each way it may lie in this sheet at all
      ways: [false, ...(piece.turns ? [true] : [])]
        .filter((turn) => (turn ? within(piece.width, piece.length) : within(piece.length, piece.width)))
        .map((turn) => seen(piece, turn)),
    }));
    return ordersOf(choices).map((order) => ({ way, packed: packed(order, turned, kerf) }));
  });
  const best = ways.flat().reduce((a, b) => (better(b.packed, a.packed) ? b : a), ways[0][0]);
  return {
    sold,
    sheets: best.packed.map((strips): LaidSheet => ({
      way: best.way,
      strips: strips.map(({ from, width, pieces: laid }) => ({
        ...{ from: EDGE + from, width },
        pieces: laid.map(({ piece, at, turned }) => ({
          ...piece,
          turned,
          ...(best.way === "along" ? { x: EDGE + at, y: EDGE + from } : { x: EDGE + from, y: EDGE + at }),
        })),
      })),
    })),
    tooLarge: sized.filter((piece) => !fits(piece)),
    bound: boundOf(fitting, room),
  };
}

interface Seen extends Size {
  piece: SheetPiece;
  turned: boolean;
}
interface Strip {
  from: number;
  width: number;
  used: number;
  pieces: { piece: SheetPiece; at: number; turned: boolean }[];
}

/** Widest first, then longest first, then by chance: always the same chance. */
function ordersOf(choices: readonly { ways: readonly Seen[] }[]): Seen[][] {
  const random = seeded(1);
  const seen = choices.map(({ ways }) => ways[0]);
  const byWidth = [...seen].sort((a, b) => b.width - a.width || b.length - a.length);
  const byLength = [...seen].sort((a, b) => b.length - a.length || b.width - a.width);
  const shuffled = Array.from({ length: seen.length > 2 ? TRIES : 0 }, () =>
    // near to widest first: a piece wider than its strip begins another
    choices
      .map(({ ways }) => ways[Math.floor(random() * ways.length)])
      .map((each) => ({ each, key: each.width * (1 + 0.6 * random()) }))
      .sort((a, b) => b.key - a.key)
      .map(({ each }) => each),
  );
  return [byWidth, byLength, ...shuffled];
}

/** Each piece into the strip where the least is left beside it; else a strip of its own; else another sheet. */
function packed(order: readonly Seen[], room: Size, kerf: number): Strip[][] {
  const sheets: Strip[][] = [];
  for (const { piece, turned, length, width } of order) {
    const all = sheets.flat();
    const fitting = all.filter(
      (strip) => width <= strip.width + 1e-9 && strip.used + (strip.used > 0 ? kerf : 0) + length <= room.length + 1e-9,
    );
    const into = fitting.reduce<Strip | null>(
      (a, b) => (a === null || b.width - width < a.width - width ? b : a),
      null,
    );
    const put = (strip: Strip) => {
      const at = strip.used + (strip.used > 0 ? kerf : 0);
      strip.pieces.push({ piece, at, turned });
      strip.used = at + length;
    };
    if (into) {
      put(into);
      continue;
    }
    const ends = sheets.map((strips) => strips.reduce((end, each) => Math.max(end, each.from + each.width + kerf), 0));
    const n = ends.findIndex((end) => end + width <= room.width + 1e-9);
    const strip: Strip = { from: n < 0 ? 0 : ends[n], width, used: 0, pieces: [] };
    put(strip);
    if (n < 0) sheets.push([strip]);
    else sheets[n].push(strip);
  }
  return sheets;
}

/** Fewer sheets; of as many, the one that leaves more of its last in one piece. */
function better(a: readonly Strip[][], b: readonly Strip[][]): boolean {
  if (a.length !== b.length) return a.length < b.length;
  const end = (sheets: readonly Strip[][]) =>
    Math.max(0, ...(sheets.at(-1) ?? []).map(({ from, width }) => from + width));
  return end(a) < end(b) - 1e-9;
}

/** @source derived: area, and pieces longer or wider than half a sheet both ways, of which no two lie on one */
function boundOf(pieces: readonly Size[], room: Size): number {
  const area = pieces.reduce((sum, { length, width }) => sum + length * width, 0) / (room.length * room.width);
  const alone = pieces.filter(({ length, width }) => length > room.length / 2 && width > room.width / 2).length;
  return Math.max(Math.ceil(area - 1e-9), alone);
}
