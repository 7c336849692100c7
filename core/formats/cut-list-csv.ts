import Papa from "papaparse";
import type { Plan } from "../plan";

/** The cut list as CSV, mm, one line a part. A cell never begins with a sign a spreadsheet would take for a formula. */
export function writeCutList(plan: Plan): string {
  const from = (part: string) => [...new Set(plan.cutting.placed.filter((each) => each.piece.part === part).map((each) => each.board))].join(" ");
  return `${Papa.unparse({
    fields: ["marks", "part", "count", "length", "width", "thickness", "milled_length", "milled_width", "milled_thickness", "rough_length", "rough_width", "boards", "note"],
    data: plan.parts.map((part) => [
      part.marks.join(" "), part.name, part.count, ...sizes(part.finished), ...sizes(part.milled), round(part.rough.length), round(part.rough.width),
      part.role === "top" ? plan.panel.laid.map((each) => each.board.id).join(" ") : from(part.id), part.note,
    ]),
  }, { escapeFormulae: true })}\r\n`;
}

const sizes = (size: { length: number; width: number; thickness: number }) => [round(size.length), round(size.width), round(size.thickness)];
const round = (n: number) => Math.round(n * 10) / 10;
