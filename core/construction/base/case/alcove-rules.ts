/** Rules of an alcove: whether what was measured agrees, and whether the case goes in. */
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Rule } from "../base";
import { disagreement, roomIn, skewOf, widthByDiagonals } from "./alcove";
import type { CaseFacts } from "./facts";

export const ALCOVE_RULES: readonly Rule<CaseFacts>[] = [measuresAgree, goesIn, deepEnough];

/** What was measured twice and differs by more was read wrongly, mm; a wall bows by less. @source common practice: what a plumb line and a tape give */
const READ = { good: 3, least: 12 };
const BOW = { good: 20, least: 60 };

/** Everything that is known twice: the width above by its plumbs, the floor's by its diagonals, the one half-way by its neighbours. */
function measuresAgree({ form }: CaseFacts): Verdict | null {
  const { alcove } = form.case;
  if (!alcove) return null;
  const { floor, middle, top, height, left, right } = alcove;
  const all = [
    {
      off: Math.abs(disagreement(alcove)),
      limit: READ,
      text: "Widths and plumbs of the alcove disagree",
      why: `From ${mm(floor)} at the floor the plumbs say ${mm(floor - left - right)} at ${mm(height)}, the tape says ${mm(top)}. Until then half of it is taken on each side.`,
    },
    {
      off: Math.abs(widthByDiagonals(alcove) - floor),
      limit: READ,
      text: "Diagonals and width of the alcove’s floor disagree",
      why: `With ${mm(alcove.depth)} of depth the diagonals say ${mm(widthByDiagonals(alcove))} of width, the tape says ${mm(floor)}.`,
    },
    {
      off: Math.abs(middle - (floor + top) / 2),
      limit: BOW,
      text: "The alcove’s walls bow more than walls do",
      why: `Half-way up it is ${mm(middle)} wide, between ${mm(floor)} below and ${mm(top)} above.`,
    },
  ];
  const worst = all.reduce((one, each) => (each.off / each.limit.good > one.off / one.limit.good ? each : one));
  const level = grade(worst.off, "at most", worst.limit.good, worst.limit.least);
  return verdict({
    id: "form.alcove-measures",
    stage: "form",
    subject: ["case-side"],
    level,
    text:
      level === "holds"
        ? "What was measured of the alcove agrees"
        : `${worst.text} by ${fine(worst.off)}: measure again`,
    why: worst.why,
    limit: worst.limit.good,
    actual: Math.round(worst.off * 10) / 10,
    sense: "at most",
    unit: "mm",
    source: "derived: plane geometry",
    remedies: [],
  });
}

/** Plumb and square, with its top, between walls that are neither. */
function goesIn({ at: place, form }: CaseFacts): Verdict | null {
  const { alcove } = form.case;
  if (!alcove) return null;
  const { from, to } = roomIn(alcove, form.height);
  const beside = (to - from - place.top.length) / 2;
  const level = grade(beside, "at least", alcove.gap, 0);
  const long = Math.floor(to - from - 2 * alcove.gap);
  const widest = Math.max(alcove.floor, alcove.middle, alcove.top);
  return verdict({
    id: "form.alcove",
    stage: "form",
    subject: ["top", "case-side"],
    level,
    text:
      beside < 0
        ? `The alcove is ${mm(-2 * beside)} narrower than the case`
        : `The case has ${fine(beside)} on each side where its alcove is narrowest`,
    why: `Plumb and square, ${mm(form.height)} high, ${mm(Math.max(0, to - from))} go in of ${mm(widest)} where it is widest: walls lean by ${mm(Math.abs(alcove.left))} and ${mm(Math.abs(alcove.right))}, the back is off by ${fine(Math.abs(skewOf(alcove)))}.`,
    limit: alcove.gap,
    actual: Math.round(beside * 10) / 10,
    sense: "at least",
    unit: "mm",
    source: "derived: plane geometry",
    remedies: level !== "holds" && long >= 300 ? [set(`Make it ${long} mm long`, ["form", "top", "length"], long)] : [],
  });
}

/** It may stand out of its alcove, which is seen; deeper than its top, the gap behind is. */
function deepEnough({ at: place, form }: CaseFacts): Verdict | null {
  const { alcove } = form.case;
  if (!alcove) return null;
  const out = place.top.width - alcove.depth;
  const level: Level = out > 0 ? "tight" : "holds";
  return verdict({
    id: "form.alcove-depth",
    stage: "form",
    subject: ["top"],
    level,
    text: out > 0 ? `It stands ${mm(out)} out of its alcove` : `It stands ${mm(-out)} behind the alcove’s front`,
    why: `The top is ${mm(place.top.width)} deep in an alcove of ${mm(alcove.depth)}. A skirting on the back wall is cut away, or taken off the depth.`,
    limit: alcove.depth,
    actual: place.top.width,
    sense: "at most",
    unit: "mm",
    remedies:
      out > 0
        ? [set(`Make the top ${mm(Math.floor(alcove.depth))} deep`, ["form", "top", "width"], Math.floor(alcove.depth))]
        : [],
  });
}
