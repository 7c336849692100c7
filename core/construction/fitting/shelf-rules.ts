import type { TopMovement } from "../../movement/year";
import type { Form } from "../../piece/schema";
import { fine, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";
import type { PartMove } from "../../movement/parts";
import { sagVerdict } from "../sag";
import { carriesSlats, slatWidth } from "./shelf";

interface ShelfFacts {
  form: Form;
  at: PieceGeometry;
  /** the shelf through its years; null where there is none */
  top: TopMovement | null;
  /** of its wood */
  species: Species;
  /** how each kind of part changes */
  moves: readonly PartMove[];
}

export const SHELF_RULES: ((facts: ShelfFacts) => Verdict | null)[] = [shelfFits, shelfMoves, slatsMove, shelfSags];

/** What must stay in its housing in the dry month, mm. @source common practice */
const LEAST_IN = 3;
/** What stands below has nothing at its ends for a shelf. */
const nowhere = (): Verdict =>
  verdict({
    id: "form.shelf",
    stage: "form",
    subject: ["shelf"],
    level: "fix",
    text: "What stands below carries no shelf",
    why: "A shelf is let into legs, posts or ends, lies on low stretchers, or on brackets between bought legs: there are none here.",
    remedies: [set("Leave the shelf out", ["form", "shelf", "kind"], "none")],
  });

function shelfFits({ form, at }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  if (shelf.kind === "none") return null;
  const [seat] = at.seats;
  if (!seat) return nowhere();
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
            : `A shelf ${mm(long + 2 * seat.letIn)} by ${mm(wide)}, ${mm(seat.height)} above the floor`,
    why: `${seat.letIn > 0 ? `It is let in ${seat.letIn} mm at each end` : seat.on === "brackets" ? "It lies on brackets at its ends, as long as the legs leave it at that height" : "It lies on the stretchers at its ends, between the legs, and goes in from an end"}; ${mm(Math.max(0, high))} stay above it.`,
    remedies:
      wide > room
        ? [
            set(
              `Make the shelf ${Math.max(40, Math.floor(room * 0.6))} mm wide`,
              ["form", "shelf", "width"],
              Math.max(40, Math.floor(room * 0.6)),
            ),
          ]
        : high < 100 && (seat.letIn > 0 || seat.on) && seat.width === "between"
          ? [set("Lay it 180 mm above the floor", ["form", "shelf", "height"], 180)]
          : [],
  });
}

/** Between legs that rails tie, a shelf must find room across its grain in the wet month and not fall out of them in the dry one. */
function shelfMoves({ form, at, top }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  const [seat] = at.seats;
  if (shelf.kind !== "solid" || !top || seat.width !== "between" || seat.on) return null;
  const [wet, dry] = [Math.max(0, top.wet.change) / 2, Math.max(0, -top.dry.change) / 2];
  const left = seat.letIn > 0 ? seat.letIn - shelf.gap - dry : Infinity;
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
    why: `It swells ${fine(wet)} and shrinks ${fine(dry)} at each edge; ${fine(shelf.gap)} are left there on the day${seat.letIn > 0 ? `, in housings ${seat.letIn} mm deep` : ""}.`,
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

/** Slats lie on something at both ends, and keep a gap that closes for nothing. */
function slatsMove({ form, at, moves }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  if (shelf.kind !== "slats") return null;
  const seat = at.seats.find(carriesSlats);
  if (!seat)
    return verdict({
      id: "form.shelf-slats",
      stage: "form",
      subject: ["shelf-slat"],
      level: "fix",
      text: "The shelf’s slats have nothing to lie on",
      why: "Slats want a stretcher between the legs at each end, or a solid shelf in their place.",
      remedies: [
        ...(form.kind === "leg-and-apron" ? [set("Lay stretchers at the ends", ["form", "low", "kind"], "ends")] : []),
        set("Make the shelf solid", ["form", "shelf", "kind"], "solid"),
      ],
    });
  const wide = slatWidth(form, seat.front - seat.back - 2 * shelf.gap);
  const moved = moves.find((each) => each.id === "shelf-slat");
  const wet = shelf.slatGap - Math.max(0, moved?.wet.width ?? 0);
  const level: Level = wide < 15 || wet < 1 ? "fix" : wide < 30 || wet < SLATS.gap ? "tight" : "holds";
  const gap = Math.ceil((SLATS.gap + Math.max(0, moved?.wet.width ?? 0)) * 2) / 2;
  return verdict({
    id: "form.shelf-slats",
    stage: "form",
    subject: ["shelf-slat"],
    level,
    text:
      wide < 30
        ? `${shelf.slats} slats leave each only ${fine(Math.max(0, wide))} wide`
        : wet < SLATS.gap
          ? `The shelf’s gaps close to ${fine(wet)}`
          : `${shelf.slats} slats of ${fine(wide)}, ${fine(wet)} apart at their least`,
    why: `Each swells ${fine(Math.max(0, moved?.wet.width ?? 0))}; under ${SLATS.gap} mm dirt stays in the gaps.`,
    limit: SLATS.gap,
    actual: Math.round(wet * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : wide < 30
          ? [
              set(
                "Use fewer slats",
                ["form", "shelf", "slats"],
                Math.max(2, Math.floor((seat.front - seat.back + shelf.slatGap) / (60 + shelf.slatGap))),
              ),
            ]
          : [set(`Leave ${gap} mm between them`, ["form", "shelf", "slatGap"], gap)],
  });
}
/** Gap between the slats of a shelf at its least, mm. @source common practice */
const SLATS = { gap: 3 };

/** A shelf that only its ends hold, with its load spread evenly. */
function shelfSags({ form, at, species }: ShelfFacts): Verdict | null {
  const { shelf } = form;
  const [seat] = at.seats;
  if (shelf.kind === "none" || seat?.width !== "between") return null;
  const span = Math.max(1, seat.to - seat.from);
  const whole = Math.max(1, seat.front - seat.back - 2 * shelf.gap);
  const wide = shelf.kind === "slats" ? Math.max(1, slatWidth(form, whole) * shelf.slats) : whole;
  return sagVerdict({
    ...{ id: "form.shelf-sag", subject: ["shelf"], what: "shelf", held: "between its ends" },
    ...{ board: { span, wide, thickness: shelf.thickness }, stiffness: species.stiffness },
    mend: (thick) => (thick > 60 ? [] : [set(`Make it ${thick} mm thick`, ["form", "shelf", "thickness"], thick)]),
  });
}
