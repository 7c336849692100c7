import type { TopMovement } from "../../movement/year";
import type { Form } from "../../piece/schema";
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";
import { LET_IN } from "./shelf";

interface ShelfFacts {
  form: Form;
  at: PieceGeometry;
  /** the shelf through its years; null where there is none */
  top: TopMovement | null;
  species: Species;
}

export const SHELF_RULES: ((facts: ShelfFacts) => Verdict | null)[] = [shelfFits, shelfMoves, shelfSags];

/** What must stay in its housing in the dry month, mm. @source common practice */
const LEAST_IN = 3;
/** Load on a shelf, N for each mm of its length: about 25 kg a metre. @source common practice: books and shoes */
const LOAD = 0.25;
/** Sag that is seen, mm a m; wood creeps to about twice what it does at first. @source common practice; Wood Handbook, from memory */
const SAG = { seen: 1.7, creep: 2 };

function shelfFits({ form, at }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  if (shelf.kind === "none") return null;
  const [seat] = at.seats;
  const long = seat.to - seat.from;
  const room = seat.width === "between" ? seat.front - seat.back : at.top.width;
  const wide = seat.width === "between" ? room - 2 * shelf.gap : shelf.width;
  const high = at.under - seat.height - shelf.thickness;
  const level: Level = long <= 0 || room <= 0 || wide > room || high < 0 ? "fix" : high < 100 ? "tight" : "holds";
  return verdict({
    id: "form.shelf",
    stage: "form",
    subject: ["shelf"],
    level,
    text:
      wide > room
        ? `The shelf of ${mm(wide)} is wider than the ${mm(room)} there are for it`
        : long <= 0 || room <= 0
          ? "Nothing is left between what the shelf stands in"
          : high < 0
            ? "The shelf lies above the top"
            : `A shelf ${mm(long + 2 * LET_IN)} by ${mm(wide)}, ${mm(seat.height)} above the floor`,
    why: `It is let in ${LET_IN} mm at each end; ${mm(Math.max(0, high))} stay above it.`,
    remedies:
      wide > room
        ? [
            set(
              `Make the shelf ${Math.max(40, Math.floor(room * 0.6))} mm wide`,
              ["form", "shelf", "width"],
              Math.max(40, Math.floor(room * 0.6)),
            ),
          ]
        : high < 100 && seat.width === "between"
          ? [set("Lay it 180 mm above the floor", ["form", "shelf", "height"], 180)]
          : [],
  });
}

/** Between legs that rails tie, a shelf must find room across its grain in the wet month and not fall out of them in the dry one. */
function shelfMoves({ form, at, top }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  if (shelf.kind === "none" || !top || at.seats[0].width !== "between") return null;
  const [wet, dry] = [Math.max(0, top.wet.change) / 2, Math.max(0, -top.dry.change) / 2];
  const left = LET_IN - shelf.gap - dry;
  const spare = shelf.gap - wet;
  const level: Level = spare < 0 || left < 0 ? "fix" : left < LEAST_IN || spare < 0.5 ? "tight" : "holds";
  const gap = Math.ceil((wet + 0.5) * 2) / 2;
  return verdict({
    id: "form.shelf-moves",
    stage: "form",
    subject: ["shelf", "leg"],
    level,
    text:
      spare < 0
        ? `The shelf pushes the legs apart in ${top.wet.name}`
        : left < LEAST_IN
          ? `Only ${fine(left)} of shelf stay in the legs in ${top.dry.name}`
          : `The shelf has ${fine(spare)} to spare in ${top.wet.name}`,
    why: `It swells ${fine(wet)} and shrinks ${fine(dry)} at each edge; ${fine(shelf.gap)} are left there on the day, in housings ${LET_IN} mm deep.`,
    limit: Math.round(wet * 10) / 10,
    actual: shelf.gap,
    sense: "at least",
    unit: "mm",
    source: "derived: travel at the edges",
    remedies:
      level === "holds" || gap === shelf.gap
        ? []
        : [set(`Leave ${gap} mm at each edge`, ["form", "shelf", "gap"], gap)],
  });
}

/** A shelf that only its ends hold, with its load spread evenly. @source beam on two supports, 5 w L⁴ / 384 E I (Roark) */
function shelfSags({ form, at, species }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  const [seat] = at.seats;
  if (shelf.kind === "none" || seat.width !== "between") return null;
  const span = Math.max(1, seat.to - seat.from);
  const wide = Math.max(1, seat.front - seat.back - 2 * shelf.gap);
  const inertia = (wide * shelf.thickness ** 3) / 12;
  const sag = (SAG.creep * 5 * LOAD * span ** 4) / (384 * species.stiffness * 1000 * inertia);
  const limit = (SAG.seen * span) / 1000;
  const level = grade(sag, "at most", limit, 2.5 * limit);
  const thick = Math.ceil(shelf.thickness * Math.cbrt(sag / limit));
  return verdict({
    id: "form.shelf-sag",
    stage: "form",
    subject: ["shelf"],
    level,
    text:
      level === "holds"
        ? `The shelf sags ${fine(sag)} after years: nobody sees it`
        : `The shelf sags ${fine(sag)} after years`,
    why: `${mm(span)} between its ends with about 25 kg a metre, ${mm(shelf.thickness)} thick; ${fine(limit)} begins to show.`,
    limit: Math.round(limit * 10) / 10,
    actual: Math.round(sag * 10) / 10,
    sense: "at most",
    unit: "mm",
    source: "derived: a beam on two supports; creep about double",
    remedies:
      level === "holds" || thick > 60 ? [] : [set(`Make it ${thick} mm thick`, ["form", "shelf", "thickness"], thick)],
  });
}
