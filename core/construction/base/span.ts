/** How far a top carries itself between what bears it, whatever the base. */
import { grade, mm, Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";

/** A top spans so many of its thicknesses before it sags to the eye. @source common practice */
const SPAN = 55;

interface Spanned {
  at: Pick<PieceGeometry, "top">;
  /** between two that bear it, mm */
  span: number;
  /** kind of what bears it, and how a sentence calls it: "plates" */
  kind: string;
  between: string;
  /** what else is true of it */
  why: string;
  remedies?: Remedy[];
}

export function spanBetween({ at: { top }, span, kind, between, why, remedies = [] }: Spanned): Verdict {
  const most = SPAN * top.thickness;
  const level = grade(span, "at most", most, 1.4 * most);
  const thick = Math.ceil(span / SPAN);
  return verdict({
    id: "form.span",
    stage: "form",
    subject: ["top", kind],
    level,
    text: `The top spans ${mm(span)} between ${between}`,
    why: `No rail helps it: ${mm(top.thickness)} carries about ${mm(most)} before it sags to the eye${why}`,
    limit: most,
    actual: Math.round(span),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [set(`Make the top ${thick} mm thick`, ["form", "top", "thickness"], thick), ...remedies],
  });
}
