/** Whether a ring fits its top, keeps its wood when it is sawn round, and lets the top move. */
import type { TopMovement } from "../../movement/year";
import { fixedLine, travel } from "../../movement/year";
import type { Piece } from "../../piece/schema";
import { fine, grade, mm, round1, set, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { ringScrew } from "./parts";
import { isRound, ringOf, ringScrews } from "./ring";

export interface RingFacts {
  piece: Pick<Piece, "form" | "choices">;
  at: PieceGeometry;
  top: TopMovement;
}

/** @source common practice */
const RING = {
  /** wood on each side of a screw, and at a mitre, mm */
  beside: { good: 12, least: 8 },
  /** a screw bites so much of the top, mm */
  bite: { good: 14, least: 10 },
  /** shank of a screw, and room it keeps each way in its slot, mm */
  shank: 5,
  spare: 0.5,
};

export const RING_RULES: readonly ((facts: RingFacts) => Verdict | null)[] = [goesUnder, wideEnough, bites, letsGo];
const at = (field: string) => ["form", "ring", field];

function goesUnder({ piece: { form }, at: place }: RingFacts): Verdict | null {
  if (form.stiffener !== "ring") return null;
  const ring = ringOf(form, place);
  const most = Math.floor(Math.min(200, (place.top.length / 2 - form.ring.setIn) / 2 - 1));
  return verdict({
    id: "form.ring",
    stage: "form",
    subject: ["top", "ring-segment"],
    level: ring ? "holds" : "fix",
    text: ring
      ? `A ring of ${ring.count} segments, ${fine(2 * ring.radius)} across`
      : isRound(form)
        ? "The ring is wider than its own radius leaves room for"
        : "A ring lies under a round top of one panel: this one is left without",
    why: ring
      ? `Boards ${fine(ring.wide)} wide, ${fine(ring.long)} from long point to long point, mitred by ${180 / ring.count}°; sawn round, ${fine(ring.radius - ring.inner)} stay at every mitre.`
      : "Its segments are mitred round a circle, and sawn to it.",
    source: "derived: R − (R − w) cos(180°/n), and 2 R tan(180°/n)",
    remedies: ring
      ? []
      : isRound(form)
        ? most >= 15
          ? [set(`Make the ring ${most} mm wide`, at("width"), most)]
          : []
        : [set("Keep it flat by nothing", ["form", "stiffener"], "none")],
  });
}

/** Narrower than its screws and tenons want. */
function wideEnough({ piece: { form }, at: place }: RingFacts): Verdict | null {
  const ring = ringOf(form, place);
  if (!ring) return null;
  const beside = (form.ring.width - RING.shank) / 2;
  const level = grade(beside, "at least", RING.beside.good, RING.beside.least);
  const wider = Math.ceil(2 * RING.beside.good + RING.shank);
  return verdict({
    id: "form.ring-width",
    stage: "form",
    subject: ["ring-segment"],
    level,
    text: `${fine(beside)} of ring stay beside its screws`,
    why: `A ring ${mm(form.ring.width)} wide with screws in its middle; what lies across a slot splits off first.`,
    limit: RING.beside.good,
    actual: round1(beside),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the ring ${wider} mm wide`, at("width"), wider)],
  });
}

function bites({ piece: { form }, at: place }: RingFacts): Verdict | null {
  const ring = ringOf(form, place);
  if (!ring) return null;
  const bite = ringScrew(ring, place.top.thickness) - ring.thickness;
  const level = grade(bite, "at least", RING.bite.good, RING.bite.least);
  return verdict({
    id: "form.ring-screws",
    stage: "form",
    subject: ["ring-segment", "top"],
    level,
    text: `The ring’s screws bite ${fine(bite)} in the top`,
    why: `Screws of ${mm(ringScrew(ring, place.top.thickness))} through ${mm(ring.thickness)} of ring; the longest that is sold and stays 6 mm under the top’s face.`,
    limit: RING.bite.good,
    actual: round1(bite),
    sense: "at least",
    unit: "mm",
    remedies: [],
  });
}

/** What lies across the planks' grain holds them, unless its screws slide. */
function letsGo({ piece: { form, choices }, at: place, top }: RingFacts): Verdict | null {
  const ring = ringOf(form, place);
  if (!ring) return null;
  const { width } = place.top;
  const line = fixedLine(choices.fixedLine, width);
  const worst = Math.max(
    ...ringScrews(ring).map(({ z }) => {
      const { dry, wet } = travel(top, width / 2 - z, line);
      return Math.max(Math.abs(dry), Math.abs(wet));
    }),
  );
  const room = (form.ring.slot - RING.shank) / 2;
  const level = grade(room - worst, "at least", RING.spare, 0);
  const longer = Math.ceil(2 * (worst + RING.spare) + RING.shank);
  return verdict({
    id: "movement.ring",
    stage: "movement",
    subject: ["ring-segment", "top"],
    level,
    text:
      level === "fix"
        ? `The ring’s slots are ${fine(worst - room)} too short each way: it holds the top until that splits`
        : `The top slides ${fine(worst)} over its ring, ${fine(room)} each way are free`,
    why: `Segments along its ends lie across the top’s grain and keep their length. Slots of ${mm(form.ring.slot)} for a shank of ${mm(RING.shank)}, measured where the screws are farthest from the fixed line.`,
    limit: round1(worst + RING.spare),
    actual: round1(room),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the slots ${longer} mm long`, at("slot"), longer)],
  });
}
