import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { spanBetween } from "../span";
import { middleLine, slabsOf } from "../../top/slabs";
import { bracketSlots } from "./bracket-rules";
import { holesIn } from "./place";
import type { Bought } from "./stand";
import { tips } from "./tips";
import { weldedFits } from "./welded-rules";

type Facts = BaseRuleFacts<Bought>;

/** Sizes of bought legs. @source common practice */
const BOUGHT = {
  /** someone who sits down on an edge, kg */
  person: 100,
  /** a plate spreads what a leg is pushed by, mm */
  plate: 80,
  /** the tight bolt stands so near a slab's middle line, mm */
  middle: 60,
};

/** Every rule of bought legs, in the order a maker would ask. */
export const BOUGHT_RULES: readonly Rule<Facts>[] = [
  standsFit,
  measured,
  rated,
  way,
  middle,
  lifts,
  plates,
  spans,
  kneeRoom,
  tips,
  bracketSlots,
];

const path = (...rest: string[]) => ["form", "bought", ...rest];

function standsFit({ at, form }: Facts): Verdict {
  if (at.welded) return weldedFits(at, at.welded, form.overhang.end);
  const { plate } = at.choices;
  const past = Math.max(
    ...at.stands.map(({ x, z }) =>
      Math.max(Math.abs(x) + plate.length / 2 - at.top.length / 2, Math.abs(z) + plate.width / 2 - at.top.width / 2),
    ),
  );
  const lap = Math.min(
    ...at.stands.flatMap((a, i) =>
      at.stands
        .slice(i + 1)
        .map((b) => Math.max(Math.abs(a.x - b.x) - plate.length, Math.abs(a.z - b.z) - plate.width)),
    ),
    Infinity,
  );
  const level: Level = past > 0 || lap < 0 || at.height <= 0 ? "fix" : "holds";
  const width = Math.max(20, Math.floor(at.top.width - 2 * at.choices.setIn));
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["bought-leg", "top"],
    level,
    text:
      at.height <= 0
        ? "The plates are thicker than the whole is high"
        : past > 0
          ? `Plates stand ${mm(past)} past the top`
          : lap < 0
            ? `Plates overlap by ${mm(-lap)}`
            : at.stands.length === 1
              ? "Its plate lies under the top"
              : `${at.stands.length} plates lie under the top`,
    why: `Each is ${mm(plate.length)} by ${mm(plate.width)} under a top ${mm(at.top.length)} by ${mm(at.top.width)}.`,
    remedies:
      past > 0 && width < plate.width ? [set(`Order plates ${width} mm wide`, path("plate", "width"), width)] : [],
  });
}

/** No hole before the metal lies on the bench. */
function measured({ at }: Facts): Verdict {
  const { measured: done, weeks } = at.choices;
  return verdict({
    id: "form.bought-measured",
    stage: "form",
    subject: ["bought-leg"],
    level: done ? "holds" : "tight",
    text: done
      ? "What came was measured: holes are drilled to it"
      : "Not measured yet: what is drawn is what is ordered",
    why: `Makers of metal keep to a few mm, and weld pulls: width over all, height, each hole and whether the plates are flat are taken from what comes${weeks > 0 ? `, ${weeks} week${weeks === 1 ? "" : "s"} after it is ordered` : ""}. Until then no hole is drilled.`,
    remedies: done ? [] : [set("They came and were measured", path("measured"), true)],
  });
}

/** All of them together carry the top, what stands on it, and someone on its edge. */
function rated({ at, species, brief }: Facts): Verdict {
  const { rating } = at.choices;
  const top = (at.top.length * at.top.width * at.top.thickness * species.density) / 1e9;
  const load = top + BOUGHT.person * Math.min(2, brief.seats.most);
  const each = at.welded ? 1 : at.stands.length;
  const carried = rating * each;
  const level = grade(carried, "at least", load, top);
  return verdict({
    id: "form.rating",
    stage: "form",
    subject: ["bought-leg", "top"],
    level,
    text:
      level === "fix"
        ? `Rated for ${Math.round(carried)} kg: the top alone weighs ${Math.round(top)}`
        : `Rated for ${Math.round(carried)} kg, asked for ${Math.round(load)}`,
    why: `${each} of ${Math.round(rating)} kg${each > 1 ? " each" : ""}; the top weighs about ${Math.round(top)} kg, and someone who leans or sits on it puts on ${BOUGHT.person} kg each.`,
    limit: Math.round(load),
    actual: Math.round(carried),
    sense: "at least",
    unit: "kg",
    source: "what their maker rates them for",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              `Order ${each > 1 ? "them" : "it"} for ${Math.ceil(load / each / 10) * 10} kg${each > 1 ? " each" : ""}`,
              path("rating"),
              Math.ceil(load / each / 10) * 10,
            ),
          ],
  });
}

/** A plate gives by its slots or its holes, not by what is cut in wood. */
function way({ at: { welded }, choices }: Facts): Verdict {
  const { fastening } = choices;
  const fits = fastening === "slotted" || fastening === "oversized";
  return verdict({
    id: "form.bought-holes",
    stage: "form",
    subject: ["bought-leg"],
    level: fits ? "holds" : "fix",
    text: fits
      ? `The ${welded ? "tubes" : "plates"} have ${fastening === "slotted" ? `slots of ${mm(choices.slotted.slot)}` : `holes of ${mm(choices.oversized.hole)}`} for the top to go`
      : "Steel holds the top by their slots or holes: nothing else was chosen for them",
    why: "Steel neither shrinks nor gives: round holes tight to their screws hold a solid top still until it splits. Order slots across the grain, or holes some mm over.",
    remedies: fits ? [] : [set(`Order ${welded ? "tubes" : "plates"} with slots`, ["joints", "fastening"], "slotted")],
  });
}

/** One bolt of each row stands on the middle line and is tight: two beside it would hold what moves between them. */
function middle({ form, at, choices }: Facts): Verdict | null {
  if (at.choices.kind === "hairpins" || choices.fastening === "loose") return null;
  const { holes, width } = at.choices.plate;
  const slabs = slabsOf(form, at.top);
  if (slabs.length > 0) {
    const across = at.welded ? at.welded.holes : holesIn(at.choices).across.map((each) => each - width / 2);
    const off = slabs.map((slab) =>
      Math.min(...across.map((each) => Math.abs(each - (at.top.width / 2 - middleLine(slab))))),
    );
    const most = Math.max(...off);
    return verdict({
      id: "form.bought-middle",
      stage: "form",
      subject: ["bought-leg"],
      level: grade(most, "at most", BOUGHT.middle, 2 * BOUGHT.middle),
      text: `A bolt of each row stands ${mm(Math.round(most))} from the middle line of ${slabs.length > 1 ? "each slab" : "the slab"}`,
      why: "One bolt of each row is tight in each slab, all others give: the slab then moves about its own middle.",
      limit: BOUGHT.middle,
      actual: Math.round(most),
      sense: "at most",
      unit: "mm",
      remedies: [],
    });
  }
  const odd = holes % 2 === 1;
  const more = holes < 8 ? holes + 1 : holes - 1;
  return verdict({
    id: "form.bought-middle",
    stage: "form",
    subject: ["bought-leg"],
    level: odd ? "holds" : "tight",
    text: odd
      ? "A bolt of each row stands on the middle line"
      : `${holes} holes in a row: none of them on the middle line`,
    why: "One bolt is tight where the top stays put and all others give. Without a hole there, two tight bolts hold the wood between them, or none does and the top wanders.",
    remedies: odd ? [] : [set(`Order rows of ${more} holes`, path("plate", "holes"), more)],
  });
}

/** A lifting frame goes from its lowest to its highest; the height drawn lies between. */
function lifts({ at, form }: Facts): Verdict | null {
  const { kind, low, high } = at.choices;
  if (kind !== "lift") return null;
  const [from, to] = [low + at.top.thickness, high + at.top.thickness];
  const level: Level = high <= low || form.height < from || form.height > to ? "fix" : "holds";
  return verdict({
    id: "form.lift",
    stage: "form",
    subject: ["bought-leg"],
    level,
    text:
      high <= low
        ? "Its highest is no higher than its lowest"
        : level === "fix"
          ? `It goes from ${mm(from)} to ${mm(to)}, and is drawn at ${mm(form.height)}`
          : `It goes from ${mm(from)} to ${mm(to)}, top included`,
    why: "Heights are the frame’s own and the top’s thickness on it. Sitting wants about 650 to 750 mm, standing 1000 to 1200.",
    remedies:
      level === "fix" && high > low
        ? [set(`Draw it at ${mm(form.height < from ? from : to)}`, ["form", "height"], form.height < from ? from : to)]
        : [],
  });
}

function plates({ at }: Facts): Verdict | null {
  if (at.welded) return null;
  const { plate } = at.choices;
  const least = Math.min(plate.length, plate.width);
  const level = grade(least, "at least", BOUGHT.plate, 30);
  return verdict({
    id: "form.plates",
    stage: "form",
    subject: ["bought-leg"],
    level,
    text:
      level === "holds" ? `Plates ${mm(least)} wide stand stiff` : `A plate only ${mm(least)} wide lets the legs rock`,
    why: `A push on the top turns each leg about its plate; under ${mm(BOUGHT.plate)} its bolts are pulled, not pressed.`,
    limit: BOUGHT.plate,
    actual: least,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              `Order plates ${BOUGHT.plate} mm long`,
              path("plate", plate.length <= plate.width ? "length" : "width"),
              BOUGHT.plate,
            ),
          ],
  });
}

/** Nothing but its own thickness carries a top between two plates. */
function spans({ at }: Facts): Verdict | null {
  const xs = [...new Set(at.stands.map(({ x }) => x))].sort((a, b) => a - b);
  if (xs.length < 2) return null;
  const span =
    Math.max(...xs.slice(1).map((x, i) => x - xs[i])) - (at.welded ? at.welded.bar : at.choices.plate.length);
  return spanBetween({
    ...{ at, span, kind: "bought-leg", between: at.welded ? "tubes" : "plates" },
    why: ", and no bearer keeps it flat across. Steel channels let in below, or battens, do.",
    remedies:
      at.stands.length >= 3
        ? []
        : [set(at.welded ? "Have a third tube welded across" : "Stand it on three", path("count"), 3)],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "bought-leg", ...(at.welded ? { one: "ring", many: "ring" } : { one: "plate", many: "plates" }) },
    remedies: (good) => {
      const height = Math.ceil(good + form.height - at.kneeRoom);
      return [set(`Make it ${height} mm high`, ["form", "height"], height)];
    },
  });
}
