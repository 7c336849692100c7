/** Whether what is cut from sheets comes out of them as they are sold. */
import { SHEETS } from "../assembly/material";
import { fine, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { CuttingFacts } from "./cutting-facts";

export function fromSheets({ sheets, piece: { form } }: CuttingFacts): Verdict | null {
  if (sheets.length === 0) return null;
  const large = sheets.flatMap((plan) => plan.tooLarge.map((piece) => ({ piece, plan })));
  const [first] = large;
  const laidKinds = [
    ...new Set(
      sheets.flatMap((plan) =>
        plan.sheets.flatMap(({ strips }) => strips.flatMap(({ pieces }) => pieces.map(({ part }) => part))),
      ),
    ),
  ];
  const count = sheets.reduce((sum, each) => sum + each.sheets.length, 0);
  const said = sheets
    .filter((each) => each.sheets.length > 0)
    .map(
      ({ material, thickness, sheets: all }) =>
        `${all.length} of ${SHEETS[material].name.toLowerCase()} ${fine(thickness)} thick`,
    )
    .join(", ");
  return verdict({
    id: "cutting.sheets",
    stage: "cutting",
    subject: first ? [first.piece.part] : laidKinds,
    level: first ? "fix" : "holds",
    text: first
      ? `${first.piece.mark} is larger than a sheet: ${mm(Math.round(first.piece.length))} by ${mm(Math.round(first.piece.width))}`
      : `${count === 1 ? "One sheet holds" : `${count} sheets hold`} all that is cut from sheets`,
    why: first
      ? `A sheet is sold ${mm(first.plan.sold.length)} by ${mm(first.plan.sold.width)}, and its knocked edges come off. ${first.piece.part.startsWith("case-back") ? "Where a divider stands two halves of a back meet on it." : "Make it smaller, or buy larger sheets."}`
      : `To buy: ${said}. The face’s grain runs along each part.`,
    source: "sizes as sheets are sold",
    remedies: first?.piece.part.startsWith("case-back")
      ? [set("Give it a framed back", ["form", "case", "back"], "framed")]
      : first && form.sheetSold
        ? [set("Buy sheets as they are usually sold", ["form", "sheetSold"], null)]
        : [],
  });
}
