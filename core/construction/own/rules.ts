import type { AssemblyPart } from "../../assembly/part";
import type { Own, OwnJoin } from "../../piece/own-choices";
import { Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import type { Pair } from "./joins";

export interface OwnRuleFacts {
  own: Own;
  pairs: readonly Pair[];
  parts: readonly AssemblyPart[];
}

/** Every rule of a maker's own parts. */
export const OWN_RULES: ((facts: OwnRuleFacts) => Verdict | null)[] = [floats, fits];

const HOW: Record<OwnJoin["how"], string> = {
  none: "Leave it loose",
  screwed: "Screw it on",
  slotted: "Screw it on through slots",
  tenoned: "Tenon it",
  "loose-tenons": "Join it with loose tenons",
  dowelled: "Dowel it",
  pockets: "Screw it from pockets",
};

/** As in "can't be screwed". */
const SAID: Record<OwnJoin["how"], string> = {
  none: "left loose",
  screwed: "screwed",
  slotted: "slotted",
  tenoned: "tenoned",
  "loose-tenons": "joined with loose tenons",
  dowelled: "dowelled",
  pockets: "screwed from pockets",
};

/** The same joins with one pair joined otherwise. */
export function rejoined(
  joins: Own["joins"],
  { own, to }: Pick<Pair, "own" | "to">,
  how: OwnJoin["how"],
): Own["joins"] {
  const others = joins.filter((each) => each.own !== own || each.to !== to);
  return how === "none" ? others : [...others, { own, to, how }];
}

const remedyFor = ({ joins }: Own, pair: Pair): Remedy[] =>
  pair.fits
    .filter(({ how, not }) => how !== "none" && not === null)
    .slice(0, 2)
    .map(({ how }) =>
      set(
        `${HOW[how]}: ${pair.name[0].toLowerCase()}${pair.name.slice(1)}`,
        ["own", "joins"],
        rejoined(joins, pair, how),
      ),
    );

/** A part that touches nothing hangs in the air; one that touches and is joined to nothing falls off. */
function floats({ own, pairs }: OwnRuleFacts): Verdict | null {
  if (own.parts.length === 0) return null;
  const of = (id: string) => pairs.filter((pair) => pair.own === id || pair.to === id);
  const alone = own.parts.find(({ id }) => of(id).length === 0);
  const loose = own.parts.find(({ id }) => of(id).length > 0 && of(id).every(({ how }) => how === "none"));
  const worst = alone ?? loose;
  return verdict({
    id: "form.own-held",
    stage: "form",
    subject: worst ? [worst.id] : own.parts.map(({ id }) => id),
    level: worst ? "fix" : "holds",
    text: alone
      ? `The ${alone.name[0].toLowerCase()}${alone.name.slice(1)} touches nothing`
      : loose
        ? `Nothing holds the ${loose.name[0].toLowerCase()}${loose.name.slice(1)}`
        : `What was added is held: ${own.parts.length} kind${own.parts.length > 1 ? "s" : ""} of part`,
    why: alone
      ? "Its faces lie against no other face: type its size or its place so that it comes up to what should hold it."
      : loose
        ? `It lies against the ${of(loose.id)
            .map((pair) => (pair.own === loose.id ? pair.said : pair.name))
            .join(" and the ")}: choose how it is joined, among the parts of your own.`
        : "Each touches another and is joined to it.",
    source: "derived: faces of bodies that lie in one plane",
    remedies:
      loose && !alone
        ? of(loose.id)
            .flatMap((pair) => remedyFor(own, pair))
            .slice(0, 3)
        : [],
  });
}

/** A kind of joint that was chosen fits where the faces meet. */
function fits({ own, pairs }: OwnRuleFacts): Verdict | null {
  const chosen = pairs.filter(({ how }) => how !== "none");
  if (chosen.length === 0) return null;
  const refused = chosen.flatMap((pair) => {
    const not = pair.fits.find(({ how }) => how === pair.how)?.not;
    return not ? [{ pair, not }] : [];
  });
  const [worst] = refused;
  return verdict({
    id: "form.own-joins",
    stage: "form",
    subject: worst ? [worst.pair.own] : [...new Set(chosen.map((pair) => pair.own))],
    level: worst ? "fix" : "holds",
    text: worst
      ? `${worst.pair.name} can't be ${SAID[worst.pair.how]}`
      : `${chosen.length} join${chosen.length > 1 ? "s" : ""} of added parts can be cut`,
    why: worst?.not ?? "Their faces are wide enough, and there is wood behind them.",
    source: "common practice",
    remedies: worst ? remedyFor(own, worst.pair) : [],
  });
}
