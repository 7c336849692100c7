/** Rules of the moisture a plan begins with, and of the formula it uses. */
import { Level, set, Verdict, verdict, round1 } from "../verdict/verdict";
import type { Acclimatising } from "./acclimatise";
import { daysBetween } from "./course";
import { MOVEMENT_LIMITS, MovementFacts } from "./movement-facts";
import { LINEAR_RANGE, SATURATION } from "./width";

/** The boards that are chosen say more than what the piece was told of its wood. */
export function boardsOff(
  { year }: MovementFacts,
  { boards, days }: Acclimatising,
  worst: Acclimatising["boards"][number],
): Verdict {
  const off = Math.max(worst.moisture - year.wettest.moisture, year.driest.moisture - worst.moisture);
  const wet = worst.moisture > year.mean;
  const more = boards.filter(({ id }) => id !== "").length - 1;
  return verdict({
    id: "movement.acclimatised",
    stage: "movement",
    subject: boards.map(({ id }) => `strip:${id}`),
    level: off > MOVEMENT_LIMITS.awayFromRoom ? "fix" : "tight",
    text: `${worst.id} at ${worst.moisture} % is ${wet ? "wetter" : "drier"} than the room ever is${more > 0 ? `, and ${more} more` : ""}`,
    why: `The room swings from ${round1(year.driest.moisture)} % in ${year.driest.name} to ${round1(year.wettest.moisture)} % in ${year.wettest.name}. Stickered in air like the room’s it gets there in about ${days} days, bare on both faces: the order of work waits for it.`,
    limit: round1(wet ? year.wettest.moisture : year.driest.moisture),
    actual: worst.moisture,
    sense: wet ? "at most" : "at least",
    unit: "%",
    source: "each board’s own reading; Fick's law for the days",
  });
}

export function acclimatised(facts: MovementFacts): Verdict {
  const { year, top, acclimatising } = facts;
  const [worst] = acclimatising?.boards.filter(({ id }) => id !== "") ?? [];
  if (acclimatising && worst) return boardsOff(facts, acclimatising, worst);
  const off = top.start.value - year.mean;
  const inside = top.start.value >= year.driest.moisture && top.start.value <= year.wettest.moisture;
  const level: Level = inside ? "holds" : Math.abs(off) > MOVEMENT_LIMITS.awayFromRoom + 2 ? "fix" : "tight";
  return verdict({
    id: "movement.acclimatised",
    stage: "movement",
    subject: ["top"],
    level,
    text: inside
      ? `Wood at ${top.start.value} % is within the room's year`
      : `Wood at ${top.start.value} % is ${off > 0 ? "wetter" : "drier"} than the room ever is`,
    why: `The room swings from ${round1(year.driest.moisture)} % in ${year.driest.name} to ${round1(year.wettest.moisture)} % in ${year.wettest.name}. ${inside ? "" : "Stack it stickered in air like the room's before milling."}`.trim(),
    limit: round1(year.mean),
    actual: top.start.value,
    unit: "%",
    source: "Wood Handbook FPL-GTR-282, Eq. 4-5 and ch. 13",
  });
}

export function readingAge({ top, today }: MovementFacts): Verdict {
  const days = daysBetween(top.start.on, today);
  const level: Level = days < -1 ? "fix" : days > MOVEMENT_LIMITS.readingAge ? "tight" : "holds";
  return verdict({
    id: "movement.reading-age",
    stage: "movement",
    subject: ["top"],
    level,
    text:
      days < -1
        ? "The moisture reading lies in the future"
        : days > MOVEMENT_LIMITS.readingAge
          ? `The moisture reading is ${days} days old`
          : `Moisture measured ${days <= 0 ? "today" : days === 1 ? "yesterday" : `${days} days ago`}`,
    why:
      level === "holds"
        ? `Every travel here starts from ${top.start.value} %.`
        : `Every travel here starts from ${top.start.value} % on ${top.start.on}: measure again and write it in the log.`,
    limit: MOVEMENT_LIMITS.readingAge,
    actual: days,
    sense: "at most",
    unit: "days",
  });
}

export function formulaRange({ top }: MovementFacts): Verdict {
  const low = Math.min(top.dry.moisture, top.start.value);
  const high = Math.max(top.wet.moisture, top.start.value);
  const inside = low >= LINEAR_RANGE.from && high <= LINEAR_RANGE.to;
  const green = top.start.value > SATURATION;
  return verdict({
    id: "movement.range",
    stage: "movement",
    subject: [],
    level: green ? "fix" : high > 25 ? "tight" : "holds",
    text: green
      ? `Wood at ${top.start.value} % is green: it has not begun to shrink`
      : inside
        ? "All within the range of the formula"
        : "Part of the year uses the shrinkage form",
    why: `Moisture runs from ${round1(low)} to ${round1(high)} %; coefficients are good from 6 to 14 %, beyond that total shrinkage takes over${green ? ", counted from 30 % down; dry it before you build" : ""}.`,
    limit: null,
    actual: null,
    unit: "%",
    source: "Wood Handbook FPL-GTR-282, ch. 13",
  });
}

export function outdoors({ piece, species, year }: MovementFacts): Verdict | null {
  const claimsIndoor = !year.outdoors && piece.brief.climate.kind !== "own" && piece.brief.climate.kind !== "log";
  if (piece.brief.place !== "porch") return null;
  return verdict({
    id: "movement.porch",
    stage: "movement",
    subject: ["top"],
    level: claimsIndoor ? "fix" : "tight",
    text: claimsIndoor ? "A porch has been given the climate of a room" : "A porch swings further than any room",
    why: `${species.name} follows the air outside; choose glue, gaps and finish for it.`,
    remedies: claimsIndoor
      ? [set("Use the mild porch climate", ["brief", "climate"], { kind: "typical", id: "porch-temperate" })]
      : [],
  });
}
