/** Rules of a case by its openings: whether there is an inside, and how it is shared. */
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import { at, CaseFacts, openingsOf, ordinal } from "./facts";

/** An opening takes a hand with something in it, mm. @source common practice */
const OPENING = { good: 80, least: 40 };

/** The case lies under its top, and has an inside. */
export function fits({ at: place, form }: CaseFacts): Verdict {
  const deep = place.deep.to - place.insideBack;
  const long = place.inside.to - place.inside.from;
  const high = place.high.to - place.high.from;
  const least = Math.min(deep, long, high);
  const level = grade(least, "at least", 150, 60);
  const what = least === deep ? "deep" : least === long ? "long" : "high";
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["case-side", "case-bottom"],
    level,
    text:
      least <= 0
        ? `Nothing is left inside the case: it would be ${mm(least)} ${what}`
        : `${mm(long)} by ${mm(deep)}, ${mm(high)} high inside`,
    why: `The top of ${mm(place.top.length)} by ${mm(place.top.width)} less its overhangs, two sides of ${mm(place.side)}, bottom and rails of ${mm(place.inner)}${place.back > 0 ? `, the back of ${fine(place.back)}` : ""}, the bottom ${mm(place.lift)} above the floor.`,
    limit: 150,
    actual: Math.round(least),
    sense: "at least",
    unit: "mm",
    remedies:
      level !== "holds" && what === "high" && form.height < 500
        ? [set("Make it 500 mm high", ["form", "height"], 500)]
        : [],
  });
}

/** Every opening is one. */
export function opens({ at: place }: CaseFacts): Verdict {
  const sized = openingsOf(place).map(({ bay, i, opening, j }) => {
    const [wide, high] = [bay.to - bay.from, opening.to - opening.from];
    return { i, j, size: Math.min(wide, high), way: wide < high ? ("wide" as const) : ("high" as const) };
  });
  const worst = sized.reduce((a, b) => (b.size < a.size ? b : a));
  const level = grade(worst.size, "at least", OPENING.good, OPENING.least);
  const where = `${ordinal(worst.j)} opening of the ${ordinal(worst.i)} bay`;
  const typed =
    worst.way === "wide"
      ? place.bays.some(({ typed: width }) => width !== null)
      : place.bays[worst.i].openings.some(({ typed: height }) => height !== null);
  const shared: Remedy = {
    label: worst.way === "wide" ? "Share the width out evenly" : "Share the height out evenly",
    patches:
      worst.way === "wide"
        ? place.bays.map((_, i) => ({ path: [...at("bays"), i, "width"], value: null }))
        : place.bays[worst.i].openings.map((_, j) => ({
            path: [...at("bays"), worst.i, "rows", j, "height"],
            value: null,
          })),
  };
  return verdict({
    id: "form.openings",
    stage: "form",
    subject: ["case-side", "divider"],
    level,
    text:
      level === "holds"
        ? `${sized.length} opening${sized.length > 1 ? "s" : ""}, the smallest ${mm(worst.size)} ${worst.way}`
        : worst.size <= 0
          ? `Nothing is left for the ${where}`
          : `The ${where} is only ${mm(worst.size)} ${worst.way}`,
    why: "What is typed is kept, and what is not shares the rest evenly.",
    limit: OPENING.good,
    actual: Math.round(worst.size),
    sense: "at least",
    unit: "mm",
    remedies: level !== "holds" && typed ? [shared] : [],
  });
}

/** Sizes that are all typed add up to what there is. */
export function addsUp({ at: place }: CaseFacts): Verdict | null {
  const wide = {
    what: "bays",
    room: place.inside.to - place.inside.from,
    path: [...at("bays"), place.bays.length - 1, "width"],
  };
  const spans = [
    ...(place.bays.every(({ typed }) => typed !== null)
      ? [{ ...wide, typed: sum(place.bays.map(({ typed }) => typed!)), between: place.bays.length - 1 }]
      : []),
    ...place.bays.flatMap(({ openings }, i) =>
      openings.every(({ typed }) => typed !== null)
        ? [
            {
              what: `openings of the ${ordinal(i)} bay`,
              room: place.high.to - place.high.from,
              typed: sum(openings.map(({ typed }) => typed!)),
              between: openings.length - 1,
              path: [...at("bays"), i, "rows", openings.length - 1, "height"],
            },
          ]
        : [],
    ),
  ].map((each) => ({ ...each, off: each.room - each.between * place.inner - each.typed }));
  if (spans.length === 0) return null;
  const worst = spans.reduce((a, b) => (Math.abs(b.off) > Math.abs(a.off) ? b : a));
  const level: Level = Math.abs(worst.off) > 0.5 ? "tight" : "holds";
  return verdict({
    id: "form.openings-sum",
    stage: "form",
    subject: ["divider", "case-shelf", "drawer-rail"],
    level,
    text:
      level === "holds"
        ? "What is typed of the openings adds up"
        : `The ${worst.what} add up to ${mm(worst.typed)}: ${mm(Math.abs(worst.off))} ${worst.off > 0 ? "are left over" : "too much"}`,
    why: "Where every size is typed the last one takes what is left, whatever it says.",
    remedies: level === "holds" ? [] : [set("Let the last take what is left", worst.path, null)],
  });
}
const sum = (sizes: readonly number[]) => sizes.reduce((total, each) => total + each, 0);
