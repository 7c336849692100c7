/** Whether the sides of an opening that ends in the open carry the lid that slides between them. */
import { boxIn } from "../../assembly/part-box";
import { HOME } from "../../assembly/place";
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import { panelWidth } from "../facing/facing";
import type { Hatch, HatchFacts } from "./facts";
import { hatchOf } from "./hatch";
import { slipOf } from "./slides";

/** Wood over and under a groove, mm; who leans on an end, N; how far its sides may then go down beside each other before the lid binds, mm. @source common practice */
const SIDES = { cheek: { good: 6, least: 4 }, lean: 300, down: { good: 1, most: 2.5 } };

export const SLIDE_RULES: readonly ((facts: HatchFacts) => Verdict | null)[] = [slideSides, slideCheeks];

const sliding = ({ form, at }: Pick<HatchFacts, "form" | "at">): Hatch | null => {
  const hatch = hatchOf(form);
  return hatch?.slides && at.core.shoulder > 0 ? hatch : null;
};

/** Each side of the opening sticks out from where the lid ends to the top's end, or to what it rests on below. */
function slideSides(facts: HatchFacts): Verdict | null {
  const hatch = sliding(facts);
  if (!hatch) return null;
  const { form, at, species } = facts;
  const half = panelWidth(form, at) / 2;
  const sides = [
    { from: -half, to: hatch.y.from },
    { from: hatch.y.to, to: half },
  ].map((side) => ({ ...side, free: freeLength(facts, hatch, side) }));
  const downs = sides.map(({ from, to, free }) => {
    const stiff = species.stiffness * 1000 * Math.max(1, to - from) * at.top.thickness ** 3;
    return (4 * SIDES.lean * free ** 3) / stiff;
  });
  const down = Math.max(...downs);
  const level = grade(down, "at most", SIDES.down.good, SIDES.down.most);
  const free = sides[downs.indexOf(down)].free;
  const shorter = Math.floor(form.hatch.length - free * (1 - Math.cbrt(SIDES.down.good / down)) - 1);
  return verdict({
    id: "form.hatch-sides",
    stage: "form",
    subject: ["top", "hatch"],
    level,
    text:
      level === "holds"
        ? `Leaned on, the end beside the lid goes down ${fine(down)}`
        : `Leaned on, the end beside the lid goes down ${fine(down)}: the lid binds`,
    why: `${free > 0 ? `${mm(Math.round(free))} of it lie free` : "It rests on the base to its end"}, held where the top is whole or rests on the base; ${SIDES.lean} N are an arm and a shoulder.`,
    limit: SIDES.down.good,
    actual: Math.round(10 * down) / 10,
    sense: "at most",
    unit: "mm",
    source: "derived: 4 F l³ / (E b t³)",
    remedies:
      level !== "holds" && shorter >= 60
        ? [set(`Make the opening ${mm(shorter)} long`, ["form", "hatch", "length"], shorter)]
        : [],
  });
}

/** How much of a side beyond the lid's closed end lies on nothing, from the outermost part below that it rests on, mm. */
function freeLength({ at, parts }: HatchFacts, { x, slides }: Hatch, side: { from: number; to: number }): number {
  const end = slides! > 0 ? x.to : -x.from;
  const begin = slides! > 0 ? x.from : -x.to;
  const rests = parts.flatMap((part) => {
    const [along, up, across] = boxIn(HOME, part);
    if (part.away || Math.abs(up[1] - at.under) > 0.5) return [];
    const [front, back] = [-across[1], -across[0]];
    if (back < side.from + 5 || front > side.to - 5) return [];
    const [low, high] = slides! > 0 ? along : [-along[1], -along[0]];
    return high > begin && low < end ? [{ low: Math.max(low, begin), high: Math.min(high, end) }] : [];
  });
  // what lies under it, however near to where the top is whole, ends what is free; beyond the last of it the side sticks out
  const last = Math.max(begin, ...rests.map(({ high }) => high));
  return Math.max(0, end - last);
}

/** A groove leaves wood above it and below. */
function slideCheeks(facts: HatchFacts): Verdict | null {
  if (!sliding(facts)) return null;
  const { at } = facts;
  const { above, thickness } = slipOf(at);
  const level: Level = grade(above, "at least", SIDES.cheek.good, SIDES.cheek.least);
  return verdict({
    id: "form.hatch-cheeks",
    stage: "form",
    subject: ["hatch-slip", "top"],
    level,
    text: `${fine(above)} of top over the groove of the slip, and as much under it`,
    why: `The slip is ${mm(thickness)} thick, a third of the top. What is left over it carries the lid’s edge when somebody leans on it: thin, it splits off along the groove.`,
    limit: SIDES.cheek.good,
    actual: Math.round(10 * above) / 10,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Make the top 20 mm thick", ["form", "top", "thickness"], 20)],
  });
}
