import { worked } from "../construction/bearers";
import { Bearer, onBearer, PieceGeometry } from "../construction/geometry";
import type { JointChoices } from "../piece/schema";

/** Tongue that must stay in its groove in the dry month, mm. @source common practice */
export const LEAST_ENGAGED = 4;
/** Play a button keeps beyond what it travels, mm. @source common practice */
export const BUTTON_PLAY = 0.5;
/** Distance of the first button from a leg, mm. @source common practice */
const FROM_LEG = 90;

/** A fastener stands so far beside a joint at least, mm. @source common practice */
const BESIDE = 12;

/** One fastener under the top: a wooden button, a plate, a clip, a screw. mm */
export interface Fastener {
  id: string;
  /** the part it is screwed to or let into, and how that runs against the top's grain */
  bearer: string;
  run: Bearer["run"];
  x: number;
  z: number;
  /** under the field that moves, under what stays as long as it is (an end board, a frame), or on what moves as it does */
  under: "field" | "ends" | "alike";
  /** outward travel in the dry and the wet month; negative is inward */
  dry: number;
  wet: number;
}

/** The usual body of a plate, clip or screw along its rail, mm, where no button's width says otherwise. */
export const FASTENER_WIDTH = 30;

/**
 * Where the fasteners sit: spread evenly along everything that bears the top. x and z from the middle of the top.
 *
 * @param name     begins each one's id
 * @param travels  mm outward on the driest and wettest day of a point so far from the front edge
 */
export function placeFasteners(
  at: PieceGeometry,
  name: string,
  body: {
    width: number;
    spacing: number;
    fromEnd?: (bearer: Bearer) => number;
    /** where they sit along a bearer, when not spread by their spacing */
    along?: (bearer: Bearer) => readonly number[] | null;
  },
  travels: (fromFront: number, under: Fastener["under"]) => { dry: number; wet: number },
): Fastener[] {
  const all = at.bearers.flatMap((bearer) => {
    // up through what runs aslant or lies flat, beside what does not
    const through = (bearer.aslant && !bearer.round) || bearer.spots || bearer.alike;
    const aside = through ? 0 : bearer.inside * (bearer.thickness / 2 + body.width / 2);
    return (
      bearer.spots ??
      clearOf(bearer, body.along?.(bearer) ?? spread(bearer.length, body.spacing, body.fromEnd?.(bearer)), body.width)
    ).map((place, i): Omit<Fastener, "dry" | "wet" | "under"> => ({
      id: `${name}-${bearer.name}-${i + 1}`,
      bearer: bearer.part,
      run: worked(bearer),
      ...onBearer(bearer, place, aside),
    }));
  });
  const alike = new Set(at.bearers.filter((each) => each.alike).map(({ part }) => part));
  return all.map((each) => {
    const under = alike.has(each.bearer) ? "alike" : underOf(at, each);
    return { ...each, under, ...travels(Math.min(at.top.width, Math.max(0, at.top.width / 2 - each.z)), under) };
  });
}

/** What lies over a place under the top: its field, from shoulder to shoulder and as wide as it is seen, or what holds its ends. */
export function underOf({ core, top }: Pick<PieceGeometry, "core" | "top">, { x, z }: { x: number; z: number }) {
  // a frame is as wide at the sides as at the ends; boards across the ends leave the sides to the field
  const framed = core.count === 1 && core.width < top.width - 1;
  const aside = top.width / 2 - (framed ? (top.length - core.shoulder) / 2 : 0);
  return Math.abs(x) <= core.shoulder / 2 && Math.abs(z) <= aside ? "field" : "ends";
}

/** What a button has each way on what runs along the top's grain, mm: room to go in before tip or shoulder touches, and tongue to lose before it lets go. */
export function playAlong(choice: JointChoices["buttons"]): { wet: number; dry: number } {
  return {
    wet: Math.min(choice.grooveDepth - choice.engaged, choice.tongue - choice.engaged),
    dry: choice.engaged - LEAST_ENGAGED,
  };
}

/** Room of a button across the grain in its slot each way, mm, when it is screwed in the slot's middle. */
export function slotPlay(choice: JointChoices["buttons"]): number {
  return (choice.slotLength - choice.width) / 2;
}

/** Travel of the fasteners on bearers along the grain or across it as what binds them: outward is into the groove on the side away from the fixed line. */
export function worstTravel(
  buttons: readonly Fastener[],
  rail: "long" | "across",
): { dry: number; wet: number; subject: string[] } {
  const mine = buttons.filter((each) => (rail === "long") === (each.run === "along") && each.under === "field");
  const dry = Math.max(0, ...mine.map((each) => -each.dry), ...mine.map((each) => -each.wet));
  const wet = Math.max(0, ...mine.map((each) => each.wet), ...mine.map((each) => each.dry));
  return { dry, wet, subject: mine.map((each) => each.id) };
}

/** The same places, each beside what enters the bearer there: nothing can be cut for it where a joint is. */
const clearOf = ({ entered = [], length }: Bearer, places: readonly number[], width: number): number[] =>
  places.map((place) => {
    const met = entered.find(({ at, width: wide }) => Math.abs(place - at) < wide / 2 + BESIDE + width / 2);
    // toward the middle, where there is rail
    const beside = met ? met.at + (met.at > 0 ? -1 : 1) * (met.width / 2 + BESIDE + width / 2) : place;
    return Math.abs(beside) < length / 2 ? beside : place;
  });

/** @param fromEnd  what is taken at each end, when it is more than usual, mm */
function spread(length: number, spacing: number, fromEnd = 0): number[] {
  const from = Math.max(FROM_LEG, fromEnd);
  const run = Math.max(0, length - 2 * from);
  const gaps = Math.max(1, Math.ceil(run / spacing));
  return length < 2 * from
    ? length > 120
      ? [0]
      : []
    : Array.from({ length: gaps + 1 }, (_, i) => -run / 2 + (i * run) / gaps);
}
