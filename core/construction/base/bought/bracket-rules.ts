import { coefficientAt } from "../../../movement/coefficient";
import { fine, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import type { Bought } from "./stand";

/** A shelf on brackets is held in front; behind, a slot lets it go. */
export function bracketSlots({ at, form, species }: BaseRuleFacts<Bought>): Verdict | null {
  const [seat] = at.seats;
  if (!seat || form.shelf.kind !== "solid") return null;
  const { slot, screw } = at.choices.bracket;
  const wide = seat.front - seat.back - 2 * form.shelf.gap;
  // between its driest and its wettest, as an unfinished panel of any month goes: its tight screw in front, its slots behind
  const need = Math.max(0, wide) * coefficientAt(species, 0) * BRACKET.swing;
  const has = slot - screw;
  const long = Math.ceil(need + screw + 1);
  return verdict({
    id: "form.shelf-brackets",
    stage: "form",
    subject: ["shelf", "bought-leg"],
    level: has >= need ? "holds" : has >= 0.6 * need ? "tight" : "fix",
    text:
      has >= need
        ? `Slots of ${mm(slot)} let the shelf go ${fine(need)}`
        : `Slots of ${mm(slot)} hold the shelf: it goes ${fine(need)}`,
    why: `It is ${mm(Math.max(0, wide))} wide and flat-sawn; over ${BRACKET.swing} percent, whichever way, its back edge goes this far from the screws in front, which are tight.`,
    limit: Math.round((need + screw) * 10) / 10,
    actual: slot,
    sense: "at least",
    unit: "mm",
    source: "derived: tangential coefficient over the swing",
    remedies:
      has >= need || long > 60
        ? []
        : [set(`Order brackets with slots of ${long} mm`, ["form", "bought", "bracket", "slot"], long)],
  });
}
/** Percent of moisture a shelf indoors goes through in a year at most. @source most interiors, 6 to 10 %, Wood Handbook ch. 13 */
const BRACKET = { swing: 4 };
