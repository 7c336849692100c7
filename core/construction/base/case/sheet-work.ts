/** A case of sheet: cut, lipped, planed flush, before anything is cut into it. */
import { SHEETS } from "../../../assembly/material";
import { Step, stepOf as step, TIME } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { Case } from "./case";
import { lipKind } from "./sheet";

/** @param boards  kinds of what is of sheet; `lipped` those with an edge in front */
export function carcassSteps(
  { sheet, lip, side, inner }: Case,
  { boards, lipped, milled, clampHours }: { boards: string[]; lipped: string[]; milled: string[]; clampHours: number },
): Step[] {
  if (!sheet) return [];
  const name = SHEETS[sheet].name.toLowerCase();
  const lips = lipped.map(lipKind);
  return [
    step({
      id: "cut-carcass",
      title: `Cut the case from ${name}`,
      detail: `Measured first: planned are ${fine(side)} for the sides and ${fine(inner)} for what lies between, and every housing follows that. By the sheets’ diagrams, strips first, parts that are alike against one stop; a knife line under the saw’s teeth on the face that is seen.`,
      parts: boards,
      hours: 0.5 + 0.15 * boards.length,
      check: "Both sides laid on one another show no step, diagonals alike.",
      caution: "A whole sheet is more than one person holds level: cut it down on battens on the floor first.",
    }),
    step({
      id: "lippings",
      title: "Glue the lippings on",
      detail: `${mm(lip)} thick, a millimetre proud of both faces, long at both ends; glue on the edge and none in the corner, a batten over each, tape between clamps. Planed flush with the face covered by tape but for the strip itself, a scraper last.`,
      parts: [...lipped, ...lips],
      after: ["cut-carcass", ...milled],
      hours: TIME.glueFrame + 0.15 * lips.length,
      wait: clampHours,
      waitFor: "the lippings to set",
      clamps: 6,
      clampHours,
      check: "No line of glue is felt, no veneer is through.",
    }),
  ];
}

/** Thin sheets: backs, bottoms of drawers, panels of doors. */
export const cutSheets = (sheets: string[]): Step[] =>
  sheets.length > 0
    ? [
        step({
          id: "cut-sheets",
          title: "Cut what is of sheet",
          detail:
            "By the sheets’ diagrams, strips first; a knife line under the saw’s teeth on the face that is seen. A millimetre over: each is fitted to its own grooves and rebates.",
          parts: sheets,
          after: ["glue-base"],
          hours: 0.5 + 0.15 * sheets.length,
        }),
      ]
    : [];
