import { grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import type { ExistingPlace } from "../../../piece/existing-choices";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { spanBetween } from "../span";
import { tipping } from "../tipping";
import type { Existing } from "./place";

type Facts = BaseRuleFacts<Existing>;

/** A top on what is there. @source common practice */
const THERE = {
  /** a top stands out so many of its thicknesses free */
  free: 14,
  /** lower by more than paper fills, and more than packing should */
  paper: 0.5,
  packing: 6,
};

/** Every rule of a top on what is there, in the order a maker would ask. */
export const EXISTING_RULES: readonly Rule<Facts>[] = [
  measured,
  under,
  levelled,
  holds,
  spans,
  standsOut,
  kneeRoom,
  tips,
];

const at = (...rest: (string | number)[]) => ["form", "existing", ...rest];
const low = (name: string) => name[0].toLowerCase() + name.slice(1);

function measured({ at: { choices } }: Facts): Verdict {
  return verdict({
    id: "form.there-measured",
    stage: "form",
    subject: ["existing"],
    level: choices.measured ? "holds" : "tight",
    text: choices.measured
      ? "What is there was measured on the spot"
      : "Not measured yet: what is drawn is what was told over the telephone",
    why: "Its places from one corner, both diagonals, and its height at every corner with a long level: walls bow, cabinets lean, and what is there can't be sawn to fit the top.",
    remedies: choices.measured ? [] : [set("It was measured on the spot", at("measured"), true)],
  });
}

/** What bears the top lies under it; two never fill one place. */
function under({ at: { top, choices } }: Facts): Verdict {
  const { places } = choices;
  const past = (each: ExistingPlace) =>
    Math.max(Math.abs(each.x) + each.length / 2 - top.length / 2, Math.abs(each.z) + each.width / 2 - top.width / 2);
  const worst = places.reduce((a, b) => (past(b) > past(a) ? b : a));
  const pairs = places.flatMap((a, i) =>
    places
      .slice(i + 1)
      .filter((b) => Math.abs(a.x - b.x) < (a.length + b.length) / 2 && Math.abs(a.z - b.z) < (a.width + b.width) / 2)
      .map((b) => [a, b] as const),
  );
  const out = past(worst);
  const level: Level = pairs.length > 0 ? "fix" : out > 0 ? "tight" : "holds";
  const reach = (axis: "x" | "z", size: "length" | "width") =>
    Math.ceil(2 * Math.max(...places.map((each) => Math.abs(each[axis]) + each[size] / 2)));
  const grown: Remedy = {
    label: "Make the top cover them",
    patches: [
      { path: ["form", "top", "length"], value: Math.max(top.length, reach("x", "length")) },
      { path: ["form", "top", "width"], value: Math.max(top.width, reach("z", "width")) },
    ],
  };
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["existing", "top"],
    level,
    text:
      pairs.length > 0
        ? `The ${low(pairs[0][0].name)} and the ${low(pairs[0][1].name)} fill one place`
        : out > 0
          ? `The ${low(worst.name)} stands ${mm(out)} past the top`
          : `The top covers ${["", "what is there", "both it lies on"][places.length] ?? `all ${places.length} it lies on`}`,
    why: "What bears a top and is not under it is seen, walked into, and holds nothing.",
    remedies: level === "tight" ? [grown] : [],
  });
}

/** A top laid on what is not level twists, or rocks. */
function levelled({ at: { choices } }: Facts): Verdict | null {
  const { places } = choices;
  if (places.length < 2) return null;
  const lowest = places.reduce((a, b) => (b.low > a.low ? b : a));
  const level = grade(lowest.low, "at most", THERE.paper, THERE.packing);
  return verdict({
    id: "form.there-level",
    stage: "form",
    subject: ["existing"],
    level,
    text:
      level === "holds"
        ? "What is there is level within paper"
        : `The ${low(lowest.name)} is ${mm(lowest.low)} lower than the highest`,
    why: `Packing as thick goes on it before the top is laid, over its whole length, of hard wood or sheet; screws pass through it.${level === "fix" ? ` Over ${mm(THERE.packing)}, level what is there first: screws would bend in packing so high.` : ""}`,
    limit: THERE.paper,
    actual: lowest.low,
    sense: "at most",
    unit: "mm",
    remedies: [],
  });
}

/** What can be cut into what is there: wood takes what a rail takes, steel a slot, masonry nothing. */
const TAKES: Record<ExistingPlace["of"], readonly string[]> = {
  wood: ["button", "figure-8", "z-clip", "slotted", "oversized", "loose"],
  steel: ["slotted", "oversized", "loose"],
  masonry: ["loose"],
};

function holds({ at: { choices }, choices: { fastening } }: Facts): Verdict {
  const refused = choices.places.find(({ of }) => !TAKES[of].includes(fastening));
  const all = (way: string) => choices.places.every(({ of }) => TAKES[of].includes(way));
  const way = ["slotted", "loose"].find(all);
  const why = {
    wood: "Screws without play hold a solid top still until it splits.",
    steel: "A steel rail takes a slot or a large hole with a washer; nothing is let into it.",
    masonry:
      "Nothing is cut into stone or brick for a top that moves: it lies on spots of flexible adhesive, or on a batten of wood that is screwed there and slotted.",
  };
  return verdict({
    id: "form.there-holds",
    stage: "form",
    subject: ["existing"],
    level: refused ? "fix" : "holds",
    text: refused
      ? `The ${low(refused.name)} is ${refused.of === "masonry" ? "masonry" : `of ${refused.of}`}: it does not take what was chosen`
      : "What is there takes what holds the top",
    why: why[refused?.of ?? "wood"],
    remedies:
      refused && way
        ? [
            set(
              way === "loose" ? "Lay the top on loose" : "Screw it through slots across the grain",
              ["joints", "fastening"],
              way,
            ),
          ]
        : [],
  });
}

function spans({ at: place }: Facts): Verdict | null {
  const inner = place.open.filter(({ end }) => !end);
  if (inner.length === 0) return null;
  const span = Math.max(...inner.map(({ from, to }) => to - from));
  return spanBetween({ ...{ at: place, span, kind: "existing", between: "what bears it" }, why: "." });
}

/** An end that nothing bears is leaned on. */
function standsOut({ at: { open, top } }: Facts): Verdict | null {
  const free = Math.max(0, ...open.filter(({ end }) => end).map(({ from, to }) => to - from));
  if (free === 0) return null;
  const most = THERE.free * top.thickness;
  const level = grade(free, "at most", most, 1.5 * most);
  const thick = Math.ceil(free / THERE.free);
  return verdict({
    id: "form.there-end",
    stage: "form",
    subject: ["top", "existing"],
    level,
    text: `An end stands ${mm(free)} free`,
    why: `Someone leans or sits there: ${mm(top.thickness)} stand out about ${mm(most)} before they give and the last screws are pulled.`,
    limit: most,
    actual: Math.round(free),
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the top ${thick} mm thick`, ["form", "top", "thickness"], thick)],
  });
}

function kneeRoom({ form, at: place }: Facts): Verdict | null {
  return kneeRoomUnder(form, place, {
    ...{ kind: "existing", one: "rail that is there", many: "rails that are there" },
    remedies: () => [],
  });
}

/** What lies loose tips by itself; what is screwed down tips with what it is screwed to, which nobody told the weight of. */
function tips({ at: place, form, choices, weight }: Facts): Verdict | null {
  if (choices.fastening !== "loose") return null;
  return tipping({
    ...{ at: place, form, weight, subject: ["existing", "top"] },
    mend: () => [set("Screw it through slots across the grain", ["joints", "fastening"], "slotted")],
  });
}
