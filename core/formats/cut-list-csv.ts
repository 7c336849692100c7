import { SHEETS } from "../assembly/material";
import { laidFor } from "../panels/planned";
import type { Plan } from "../plan/derived";
import { writeTable } from "./csv";

/** The cut list as CSV, mm, one line a part. */
export function writeCutList(plan: Plan): string {
  const from = (part: string) =>
    [...new Set(plan.cutting.placed.filter((each) => each.piece.part === part).map((each) => each.board))].join(" ");
  return writeTable(
    [
      "marks",
      "part",
      "count",
      "length",
      "width",
      "thickness",
      "milled_length",
      "milled_width",
      "milled_thickness",
      "rough_length",
      "rough_width",
      "boards",
      "note",
    ],
    plan.parts.map((part) => [
      part.marks.join(" "),
      part.name,
      part.count,
      ...sizes(part.finished),
      ...sizes(part.milled),
      round(part.rough.length),
      round(part.rough.width),
      part.sheet
        ? SHEETS[part.sheet.material].name.toLowerCase()
        : part.role === "panel"
          ? laidFor(plan, part.id)
              .map((each) => each.board.id)
              .join(" ")
          : from(part.id),
      part.note,
    ]),
  );
}

const sizes = (size: { length: number; width: number; thickness: number }) => [
  round(size.length),
  round(size.width),
  round(size.thickness),
];
const round = (n: number) => Math.round(n * 10) / 10;
