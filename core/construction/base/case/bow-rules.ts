/** Whether a front that bows out can be sawn, and lies under its top. */
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { BowHindrance, bowHindrance, bowMost, bowOf } from "./bow-arc";
import { at, CaseFacts } from "./facts";

/** @source common practice: a front is sawn from planks that are sold; at its ends its grain runs out by the arc’s slope, degrees; a top covers what is below it, mm */
const BOW = { stock: { good: 52, most: 80 }, slope: { good: 15, most: 25 }, covers: 5 };

const HINDERED: Record<BowHindrance, { text: string; why: string }> = {
  corners: {
    text: "A top that is joined to the sides ends with them: nothing can bow out below it",
    why: "A bow stands before the straight front. A top on rails or on a sub-top can lie over it.",
  },
  doors: {
    text: "Doors stay flat: the front can’t bow out",
    why: "They are framed from straight stock and turn on straight edges.",
  },
  through: {
    text: "Drawers that meet back to back leave the front straight",
    why: "Both fronts would bow, and only one is drawn so.",
  },
  steep: { text: "The bow is as deep as half the case is wide", why: "Its arc would be more than half a circle." },
};

/** A front bows, its grain runs out no further than it holds, and its stock is to be had. */
export function bowSawn({ at: place, form }: CaseFacts): Verdict | null {
  const { bow: asked, drawers: choice } = form.case;
  if (asked <= 0) return null;
  const why = bowHindrance(form.case, place);
  const bow = bowOf(form.case, place);
  if (why || !bow)
    return verdict({
      id: "form.case-bow",
      stage: "form",
      subject: ["case-side"],
      level: "fix",
      ...HINDERED[why ?? "steep"],
      remedies: [
        ...(why === "corners" && bowHindrance({ ...form.case, corners: "rails" }, place) === null
          ? [set("Lay the top on rails", at("corners"), "rails")]
          : []),
        set("Leave the front straight", at("bow"), 0),
      ],
    });
  const half = (bow.to - bow.from) / 2;
  const slope = (Math.asin(half / bow.radius) * 180) / Math.PI;
  const stock = Math.max(
    0,
    ...place.drawers.map(({ front }) => front.thickness + bowMost(bow, front.across.from, front.across.to)),
  );
  const levels: Level[] = [
    grade(slope, "at most", BOW.slope.good, BOW.slope.most),
    grade(stock, "at most", BOW.stock.good, BOW.stock.most),
  ];
  const level = levels.includes("fix") ? "fix" : levels.includes("tight") ? "tight" : "holds";
  // a chord’s slope at its ends is twice that of the line from end to middle
  const gentle = half * Math.tan((BOW.slope.good * Math.PI) / 360);
  const less = Math.floor(Math.min(gentle, stock > BOW.stock.good ? asked - (stock - BOW.stock.good) : asked));
  return verdict({
    id: "form.case-bow",
    stage: "form",
    subject: place.drawers.length > 0 ? ["drawer-front"] : ["case-bottom"],
    level,
    text:
      levels[0] !== "holds"
        ? `At its ends the front slopes ${slope.toFixed(0)}°: grain runs out of it there`
        : levels[1] !== "holds"
          ? `A drawer’s front is sawn from stock ${mm(Math.round(stock))} thick`
          : `The front bows out ${mm(asked)}, an arc of ${mm(Math.round(bow.radius))}`,
    why: `One arc from side to side of ${mm(Math.round(2 * half))}${stock > 0 ? `; fronts of ${mm(choice.front)} come out of ${mm(Math.round(stock))}` : ""}. Over ${BOW.slope.good}° the ends of a front, a rail or a shelf break along their grain.`,
    ...(levels[0] === "holds" && levels[1] !== "holds"
      ? { limit: BOW.stock.good, actual: Math.round(stock), unit: "mm" }
      : { limit: BOW.slope.good, actual: Math.round(slope * 10) / 10, unit: "°" }),
    sense: "at most",
    source: "derived: r = (c²/4 + h²) / 2h; sin of the slope = c / 2r",
    remedies:
      level === "holds"
        ? []
        : [set(less >= 3 ? `Bow it out ${mm(less)}` : "Leave the front straight", at("bow"), less >= 3 ? less : 0)],
  });
}

/** What bows out lies under the top. */
export function bowCovered({ form, at: place }: CaseFacts): Verdict | null {
  const { bow } = place;
  if (!bow) return null;
  const left = form.overhang.side - bow.rise;
  const wide = Math.ceil(bow.rise + BOW.covers);
  const level = grade(left, "at least", BOW.covers, 0);
  return verdict({
    id: "form.case-bow-top",
    stage: "form",
    subject: ["top", "case-side"],
    level,
    text:
      left >= 0
        ? `The top goes ${fine(left)} past the front’s middle`
        : `The front’s middle stands ${fine(-left)} out from under the top`,
    why: `The top hangs over by ${mm(form.overhang.side)} along a straight edge, the front bows out ${mm(bow.rise)}. An outline with a curved side can follow it.`,
    limit: BOW.covers,
    actual: Math.round(left * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" ? [] : [set(`Let the top hang over ${mm(wide)} in front`, ["form", "overhang", "side"], wide)],
  });
}
