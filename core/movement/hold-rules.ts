/** Rules of what lets the top move: fastening, faces, insets, and whatever the graph finds stopped. */
import { fine, grade, Level, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { fastenedAbove } from "./above-rules";
import { addDays, firstExtreme, SAMPLE_DAYS } from "./course";
import { fastened, fastenerFit, platesAslant } from "./fastened-rules";
import { HOLD_LIMITS } from "./hold-limits";
import { insetsFit } from "./inset-rules";
import type { MovementFacts } from "./movement-facts";
import { stopped } from "./stopped-rules";

export const HOLD_RULES: ((facts: MovementFacts) => Verdict | Verdict[] | null)[] = [
  fastened,
  fastenerFit,
  platesAslant,
  bowed,
  insetsFit,
  stopped,
  delivery,
  fastenedAbove,
];

function bowed({ piece, top }: MovementFacts): Verdict {
  const at = firstExtreme(top.bow.map(Math.abs), 1);
  const bow = top.bow[at];
  const on = addDays(top.course.from, at * SAMPLE_DAYS);
  const alike = piece.faces.below === "alike" && piece.faces.heater === "room" && piece.faces.sun === "room";
  return verdict({
    id: "movement.bow",
    stage: "movement",
    subject: ["top"],
    level: grade(Math.abs(bow), "at most", HOLD_LIMITS.bow, 3 * HOLD_LIMITS.bow),
    text:
      Math.abs(bow) < 0.3
        ? "Both faces stay alike: the top lies flat"
        : `Left free, the top would ${bow < 0 ? "hollow" : "crown"} by ${fine(Math.abs(bow))}`,
    why: alike
      ? "Faces finished alike in the same air; only the rings turn it."
      : `Most on ${on}, since its faces differ${piece.faces.below === "alike" ? "" : ": less finish below"}${piece.faces.heater === "heater" ? ", a heater below" : ""}${piece.faces.sun === "sun" ? ", sun above" : ""}. The base holds much of it, and creep lowers it.`,
    limit: HOLD_LIMITS.bow,
    actual: round1(Math.abs(bow)),
    sense: "at most",
    unit: "mm",
    source: "derived: κ = 12 C/t³ ∫ m z dz, an upper bound",
    remedies:
      Math.abs(bow) <= HOLD_LIMITS.bow || piece.faces.below === "alike"
        ? []
        : [set("Finish both faces alike", ["faces", "below"], "alike")],
  });
}

function delivery({ top, year, delivered }: MovementFacts): Verdict {
  const { course } = top;
  const at = Math.min(course.mean.length - 1, Math.round(course.delivered / SAMPLE_DAYS));
  const later = Math.min(course.mean.length - 1, at + 90 / SAMPLE_DAYS);
  const jump = course.mean[later] - course.mean[at];
  const width = top.changes[later] - top.changes[at];
  const level: Level = grade(Math.abs(jump), "at most", HOLD_LIMITS.jump, 3 * HOLD_LIMITS.jump);
  return verdict({
    id: "movement.delivery",
    stage: "movement",
    subject: ["top"],
    level,
    text: `Delivered at ${course.mean[at].toFixed(1)} %, it ${Math.abs(width) < 0.3 ? "hardly moves" : `goes ${fine(Math.abs(width))} ${width > 0 ? "wider" : "narrower"}`} in its first three months`,
    why: `From the shop on ${delivered} into ${year.name.toLowerCase()}. Half of a sudden change goes through in ${course.half} days, nine tenths in ${course.most}; after ${course.follows} days its years repeat.`,
    limit: HOLD_LIMITS.jump,
    actual: round1(Math.abs(jump)),
    sense: "at most",
    unit: "%",
    source: "Fick's law with the finish's resistance, see Sources",
  });
}
