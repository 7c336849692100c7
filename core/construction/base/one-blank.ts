/** Whether the rack has boards for one blank from which several parts come in a row. */
import { rowLength, rowSaid } from "../../panels/row";
import type { KindChoice } from "../../piece/kinds";
import { Level, mm, Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import type { PanelRow, PieceGeometry } from "../geometry";

/** How its remedy is called. */
export const APART = "Compose each from its own boards";

/** @param longest  board of its wood on the rack, mm, 0 where there is none; `allowance`: what a strip is left over its length */
export function longEnough(
  row: PanelRow,
  { longest, allowance }: { longest: number; allowance: number },
  apart: Remedy,
): Verdict | null {
  if (longest === 0) return null;
  const whole = rowLength(row) + allowance;
  const level: Level = whole > longest ? "fix" : "holds";
  return verdict({
    id: "form.one-blank",
    stage: "form",
    subject: [...new Set(row.pieces.map(({ kind }) => kind))],
    level,
    text:
      level === "fix"
        ? `One blank for all is ${mm(Math.ceil(whole))} long, longer than any board`
        : `The grain runs on: one blank ${mm(Math.ceil(rowLength(row)))} long`,
    why: `From it come ${rowSaid(row)}, ${mm(row.lost)} lost at each cut. The longest board of this wood on the rack is ${mm(longest)}.`,
    limit: Math.floor(longest),
    actual: Math.ceil(whole),
    sense: "at most",
    unit: "mm",
    source: "the rack",
    remedies: level === "fix" ? [apart] : [],
  });
}

export interface RowFacts {
  at: Pick<PieceGeometry, "row" | "panels">;
  species: string;
  kinds: Record<string, KindChoice>;
}

/** What comes off one blank is of one wood. */
export function oneWood({ at, species, kinds }: RowFacts): Verdict | null {
  const rows = [at.row, ...(at.panels ?? []).map(({ row }) => row)].filter((row) => row !== undefined);
  if (rows.length === 0) return null;
  const other = rows.flatMap(({ pieces }) => pieces).find(({ kind }) => (kinds[kind]?.species ?? species) !== species);
  return verdict({
    id: "form.one-wood",
    stage: "form",
    subject: other ? [other.kind] : [...new Set(rows.flatMap(({ pieces }) => pieces.map(({ kind }) => kind)))],
    level: other ? "fix" : "holds",
    text: other
      ? `The ${other.name} is of another wood than the blank it comes from`
      : "All that comes off one blank is of one wood",
    why: "In a row from one blank the grain runs on from part to part; another wood wants boards of its own.",
    remedies: other ? [set(`Make the ${other.name} of the blank’s own`, ["kinds", other.kind, "species"], null)] : [],
  });
}
