/** A bowed front: its edges sawn by one template while the case is in parts, its drawers faired to it when they are in. */
import { Step, stepOf as step } from "../../../steps/step";
import { mm } from "../../../verdict/verdict";
import type { Case } from "./case";

/** Before anything is joined: every edge in front by the same template. @param parts  kinds that end at the front */
export const bowSteps = ({ bow }: Case, parts: string[], after: string[]): Step[] =>
  bow
    ? [
        step({
          id: "bow",
          title: "Saw the front edges to the bow",
          detail: `A template as long as the front is between the sides, ${mm(Math.round(bow.to - bow.from))}: an arc of ${mm(Math.round(bow.radius))}, ${mm(bow.rise)} in its middle, the middle and every divider marked on it. Bottom, rails and shelves are marked from it with their middles on its own, dividers where they stand; sawn a millimetre outside, then planed to the line. Housings are measured from the back.`,
          parts,
          after,
          hours: 1 + 0.3 * parts.length,
          check: "Stacked with their middles in line all front edges are one.",
        }),
      ]
    : [];

/** Once they run and stop where they should. */
export const fairedStep = ({ bow, drawers }: Case, fronts: string[]): Step[] =>
  bow && drawers.length > 0
    ? [
        step({
          id: "drawers-bow",
          title: "Fair the curved fronts to the case",
          detail:
            "The fronts stay flat, in stock as thick as the list says, until their drawers run and stand against their stops: then the arc is marked on every upper and lower edge from the case itself, sawn a millimetre outside and faired with a spokeshave across all of them, drawers in.",
          parts: fronts,
          after: ["drawers-stops"],
          hours: 0.75 * drawers.length,
          check: "A straight batten bent over the whole front touches rails and fronts alike.",
        }),
      ]
    : [];
