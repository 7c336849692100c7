/** Whether the rack has boards for one blank from which several parts come in a row. */
import { rowLength, rowSaid } from "../../panels/row";
import { Level, mm, Remedy, Verdict, verdict } from "../../verdict/verdict";
import type { PanelRow } from "../geometry";

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
