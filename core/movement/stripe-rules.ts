/** Stripes of unlike woods: what each seam shows through the year. */
import { stripesOf } from "../construction/top/stripes";
import type { Form } from "../piece/schema";
import { grade, mm, round1, set, Verdict, verdict } from "../verdict/verdict";
import type { Species } from "../wood/species";
import { coefficientAt } from "./coefficient";
import type { TopMovement } from "./year";
import { SATURATION } from "./width";

/** Stripes of a top, mm. @source common practice; a ridge is felt from about 0.1 mm, from memory */
const STRIPE = { wide: 15, least: 8, felt: 0.1, ridge: 0.3 };
/** Strips that are planed together are so far from one another, mm. @source common practice */
const EACH_OFF = 0.1;
const SUM = { good: 2, least: 6 };

export interface StripeFacts {
  form: Pick<Form, "field" | "stripes" | "top">;
  stripes: readonly { kind: string; from: number; width: number; species: Species }[];
  top: TopMovement;
}

export const STRIPE_RULES: readonly ((facts: StripeFacts) => Verdict | null)[] = [wideEnough, widthsAddUp, ridges];

function wideEnough({ stripes, form }: StripeFacts): Verdict | null {
  if (stripes.length === 0) return null;
  const narrow = stripes.reduce((a, b) => (b.width < a.width ? b : a));
  const level = grade(narrow.width, "at least", STRIPE.wide, STRIPE.least);
  const whole = stripes.reduce((sum, { width }) => sum + width, 0);
  const narrowest = (times: number) =>
    Math.min(...stripesOf({ stripes: { ...form.stripes, repeats: times } }, whole).map(({ width }) => width));
  let repeats = form.stripes.repeats - 1;
  while (repeats > 0 && narrowest(repeats) < STRIPE.wide) repeats -= 1;
  return verdict({
    id: "movement.stripes-wide",
    stage: "movement",
    subject: [narrow.kind, "top"],
    level,
    text:
      level === "holds"
        ? `${stripes.length} strips, the narrowest ${mm(round1(narrow.width))} wide`
        : `A strip ${mm(round1(narrow.width))} wide can't be ripped and planed safely`,
    why: `${mm(form.top.width)} are shared out among ${stripes.length} strips. Under ${mm(STRIPE.wide)} a strip is planed on a carrier, glued to its neighbour first; under ${mm(STRIPE.least)} it is a line of veneer.`,
    limit: STRIPE.wide,
    actual: round1(narrow.width),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || repeats < 1
        ? []
        : [
            set(
              `Repeat the pattern ${repeats === 1 ? "once" : `${repeats} times`}`,
              ["form", "stripes", "repeats"],
              repeats,
            ),
          ],
  });
}

/** Each strip is off by a little; all of them together by as many times that. */
function widthsAddUp({ stripes }: StripeFacts): Verdict | null {
  if (stripes.length === 0) return null;
  const sum = stripes.length * EACH_OFF;
  return verdict({
    id: "movement.stripes-sum",
    stage: "movement",
    subject: ["top"],
    level: grade(sum, "at most", SUM.good, SUM.least),
    text: `${stripes.length} strips a tenth off each are ${mm(round1(sum))} off together`,
    why: "All strips of a kind go through the planer on edge at one setting, one after another; sections are measured against the sum before the last seams, and the outer strips take what is left.",
    limit: SUM.good,
    actual: round1(sum),
    sense: "at most",
    unit: "mm",
    remedies: [],
  });
}

/**
 * Two woods side by side don't get thicker alike: a ridge at their seam.
 *
 * @source derived: rings flat to the face, so the thickness moves by the radial coefficient; the ridge is shared by both faces
 */
function ridges({ stripes, top }: StripeFacts): Verdict | null {
  const woods = new Set(stripes.map(({ species }) => species.id));
  if (woods.size < 2) return null;
  const held = (moisture: number) => Math.min(SATURATION, moisture);
  const most = Math.max(
    ...[top.dry.moisture, top.wet.moisture].map((moisture) => Math.abs(held(moisture) - held(top.start.value))),
  );
  const through = (species: Species) => coefficientAt(species, 90);
  const pairs = stripes.slice(1).map((b, i) => ({ a: stripes[i], b }));
  const worst = pairs
    .map(({ a, b }) => ({
      ...{ a, b },
      ridge: (Math.abs(through(a.species) - through(b.species)) * top.thickness * most) / 2,
    }))
    .reduce((a, b) => (b.ridge > a.ridge ? b : a));
  const level = grade(worst.ridge, "at most", STRIPE.felt, STRIPE.ridge);
  return verdict({
    id: "movement.stripes-ridge",
    stage: "movement",
    subject: [worst.a.kind, worst.b.kind],
    level,
    text:
      level === "holds"
        ? "No seam between two woods will be felt"
        : `Seams of ${worst.a.species.name.toLowerCase()} and ${worst.b.species.name.toLowerCase()} will be felt: ${worst.ridge.toFixed(2)} mm`,
    why: `Across the top both shrink side by side, which holds. Through its ${mm(top.thickness)} they don't change alike: in the month farthest from today, ${most.toFixed(1)} percent, one stands proud of the other by this on each face. A finger feels a tenth.`,
    limit: STRIPE.felt,
    actual: Math.round(worst.ridge * 100) / 100,
    sense: "at most",
    unit: "mm",
    source: "derived: difference of the radial coefficients",
    remedies: [],
  });
}
