import type { MoistureYear } from "../climate/year";
import type { TableGeometry } from "../form/leg-and-apron";
import type { Piece } from "../piece/schema";
import type { Species } from "../wood/species";
import { fine, grade, Level, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { Button, BUTTON_PLAY, LEAST_ENGAGED, longRailPlay, slotPlay, worstTravel } from "./buttons";
import { LINEAR_RANGE, widthChange } from "./width";
import type { TopMovement } from "./year";

/** @source common practice, save where said */
export const MOVEMENT_LIMITS = { readingAge: 30, awayFromRoom: 2, cup: 0.5, crossGrainSlip: 0.4, edgeLeft: 15 };

export interface MovementFacts { piece: Piece; at: TableGeometry; species: Species; year: MoistureYear; top: TopMovement; buttons: readonly Button[]; today: string }

/** Every rule of the movement stage. */
export const MOVEMENT_RULES: ((facts: MovementFacts) => Verdict | null)[] = [endButtons, longButtonsWet, longButtonsDry, acclimatised, readingAge, overhangLeft, cups, tenonSlip, formulaRange, outdoors];

function endButtons({ piece, buttons, top }: MovementFacts): Verdict | null {
  const { dry, wet, subject } = worstTravel(buttons, "across");
  if (subject.length === 0) return null;
  const need = Math.max(dry, wet);
  const choice = piece.joints.buttons;
  const has = slotPlay(choice);
  const level: Level = has < need ? "fix" : has < need + BUTTON_PLAY ? "tight" : "holds";
  const slot = Math.ceil(choice.width + 2 * (need + 1));
  const month = wet >= dry ? top.wet.name : top.dry.name;
  return verdict({
    id: "movement.end-buttons", stage: "movement", subject, level,
    text: level === "fix" ? `End-rail buttons will bind in ${month}` : level === "tight" ? `End-rail buttons close to ${fine(has - need)} in ${month}` : "End-rail buttons slide freely all year",
    why: `The outermost travels ${fine(need)} along its slot; a ${choice.slotLength} mm slot for a ${choice.width} mm button gives ${fine(has)} each way.`,
    limit: round1(need), actual: round1(has), sense: "at least", unit: "mm", source: "Wood Handbook FPL-GTR-282, ch. 13, for the travel",
    remedies: level === "holds" ? [] : [set(`Lengthen the slots to ${slot} mm`, ["joints", "buttons", "slotLength"], slot),
      ...(choice.width > 25 ? [set("Use 25 mm buttons", ["joints", "buttons", "width"], 25)] : [])],
  });
}

function longButtonsWet({ piece, buttons, top }: MovementFacts): Verdict | null {
  const { wet, subject } = worstTravel(buttons, "long");
  if (subject.length === 0) return null;
  const choice = piece.joints.buttons;
  const has = longRailPlay(choice).wet;
  const level: Level = has < wet ? "fix" : has < wet + BUTTON_PLAY ? "tight" : "holds";
  return verdict({
    id: "movement.long-buttons-wet", stage: "movement", subject, level,
    text: level === "fix" ? `Long-rail buttons push the rails out in ${top.wet.name}` : level === "tight" ? `Long-rail buttons close to ${fine(has - wet)} in ${top.wet.name}` : "Long-rail buttons have room to go in",
    why: `The top carries them ${fine(wet)} toward the rail; tip and shoulder leave ${fine(has)}.`,
    limit: round1(wet), actual: round1(has), sense: "at least", unit: "mm", source: "Wood Handbook FPL-GTR-282, ch. 13, for the travel",
    remedies: level === "holds" ? [] : deeper(piece, wet),
  });
}

function longButtonsDry({ piece, buttons, top }: MovementFacts): Verdict | null {
  const { dry, wet, subject } = worstTravel(buttons, "long");
  if (subject.length === 0) return null;
  const choice = piece.joints.buttons;
  const left = choice.engaged - dry;
  const level: Level = left < LEAST_ENGAGED - 2 ? "fix" : left < LEAST_ENGAGED ? "tight" : "holds";
  const engaged = Math.ceil((LEAST_ENGAGED + dry) * 2) / 2;
  const room = Math.ceil(engaged + wet + 1);
  return verdict({
    id: "movement.long-buttons-dry", stage: "movement", subject, level,
    text: level === "fix" ? `Long-rail buttons let go in ${top.dry.name}` : `Long-rail buttons keep ${fine(left)} of tongue in ${top.dry.name}`,
    why: `Set ${fine(choice.engaged)} deep today; the top draws them out ${fine(dry)}. At least ${LEAST_ENGAGED} mm must stay in.`,
    limit: LEAST_ENGAGED, actual: round1(left), sense: "at least", unit: "mm",
    remedies: level === "holds" ? [] : [{
      label: `Set them ${engaged} mm deep`, patches: [
        { path: ["joints", "buttons", "engaged"], value: engaged },
        { path: ["joints", "buttons", "tongue"], value: Math.max(choice.tongue, room) }, { path: ["joints", "buttons", "grooveDepth"], value: Math.max(choice.grooveDepth, room) }],
    }],
  });
}

function deeper(piece: Piece, wet: number): Remedy[] {
  const depth = Math.ceil(piece.joints.buttons.engaged + wet + 1);
  return [{
    label: `Cut groove and tongue ${depth} mm`,
    patches: [{ path: ["joints", "buttons", "grooveDepth"], value: depth }, { path: ["joints", "buttons", "tongue"], value: depth }],
  }];
}

function acclimatised({ year, top }: MovementFacts): Verdict {
  const off = top.start.value - year.mean;
  const inside = top.start.value >= year.driest.moisture && top.start.value <= year.wettest.moisture;
  const level: Level = inside ? "holds" : Math.abs(off) > MOVEMENT_LIMITS.awayFromRoom + 2 ? "fix" : "tight";
  return verdict({
    id: "movement.acclimatised", stage: "movement", subject: ["top"], level,
    text: inside ? `Wood at ${top.start.value} % is within the room's year` : `Wood at ${top.start.value} % is ${off > 0 ? "wetter" : "drier"} than the room ever is`,
    why: `The room swings from ${round1(year.driest.moisture)} % in ${year.driest.name} to ${round1(year.wettest.moisture)} % in ${year.wettest.name}. ${inside ? "" : "Stack it stickered in air like the room's before milling."}`.trim(),
    limit: round1(year.mean), actual: top.start.value, unit: "%", source: "Wood Handbook FPL-GTR-282, Eq. 4-5 and ch. 13",
  });
}

function readingAge({ top, today }: MovementFacts): Verdict {
  const days = daysBetween(top.start.on, today);
  const level: Level = days < -1 ? "fix" : days > MOVEMENT_LIMITS.readingAge ? "tight" : "holds";
  return verdict({
    id: "movement.reading-age", stage: "movement", subject: ["top"], level,
    text: days < -1 ? "The moisture reading lies in the future" : days > MOVEMENT_LIMITS.readingAge ? `The moisture reading is ${days} days old` : `Moisture measured ${days <= 0 ? "today" : days === 1 ? "yesterday" : `${days} days ago`}`,
    why: level === "holds" ? `Every travel here starts from ${top.start.value} %.` : `Every travel here starts from ${top.start.value} % on ${top.start.on}: measure again and write it in the log.`,
    limit: MOVEMENT_LIMITS.readingAge, actual: days, sense: "at most", unit: "days",
  });
}

function overhangLeft({ piece, top }: MovementFacts): Verdict {
  const left = piece.form.overhang.side + Math.min(0, top.dry.change) / (piece.choices.fixedLine === "centre" ? 2 : 1);
  return verdict({
    id: "movement.overhang", stage: "movement", subject: ["top"], level: grade(left, "at least", MOVEMENT_LIMITS.edgeLeft, 5),
    text: `Side overhang is ${fine(left)} at its least, in ${top.dry.name}`,
    why: `From ${fine(piece.form.overhang.side)} today; under ${MOVEMENT_LIMITS.edgeLeft} mm the legs begin to show past the edge.`,
    limit: MOVEMENT_LIMITS.edgeLeft, actual: round1(left), sense: "at least", unit: "mm",
    remedies: left >= MOVEMENT_LIMITS.edgeLeft ? [] : [set("Set the side overhang to 35 mm", ["form", "overhang", "side"], 35)],
  });
}

function cups({ top, piece }: MovementFacts): Verdict {
  const worstStrip = top.strips.reduce((a, b) => (cupOf(b) > cupOf(a) ? b : a));
  const cup = cupOf(worstStrip);
  const ripple = piece.choices.rings === "alternate" ? 2 * cup : cup;
  const level = grade(cup, "at most", MOVEMENT_LIMITS.cup, 3 * MOVEMENT_LIMITS.cup);
  return verdict({
    id: "movement.cup", stage: "movement", subject: worstStrip.board ? [`strip:${worstStrip.board}`] : ["top"], level,
    text: top.strips.length > 1 ? `Ripples stay under ${fine(ripple)}, ${piece.choices.rings === "alternate" ? "rings alternated" : "best faces up"}` : worstStrip.board ? `${worstStrip.board} cups ${fine(cup)} at most` : "Boards are not chosen yet: rings taken as flat-sawn",
    why: worstStrip.board ? `${worstStrip.board}, ${fine(worstStrip.width)} wide, cups most by its own rings. Faces of unequal moisture would do ten times as much.` : "Choose boards and each strip moves by its own rings.",
    limit: MOVEMENT_LIMITS.cup, actual: round1(cup), sense: "at most", unit: "mm", source: "derived: circular rings",
  });
}

function tenonSlip({ piece, species, year, top }: MovementFacts): Verdict {
  const width = piece.form.apron.depth;
  const change = Math.max(year.wettest.moisture - top.start.value, top.start.value - year.driest.moisture, 0);
  const slip = Math.abs(widthChange(width, species.tangential, top.start.value, top.start.value + change)) / 2;
  const two = (piece.joints.legRail.tenons ?? (width > 100 ? 2 : 1)) >= 2;
  const effective = two ? slip / 2 : slip;
  const level = grade(effective, "at most", MOVEMENT_LIMITS.crossGrainSlip, 2 * MOVEMENT_LIMITS.crossGrainSlip);
  return verdict({
    id: "movement.tenon-slip", stage: "movement", subject: ["long-rail", "leg"], level,
    text: level === "holds" ? "Rails move little enough for their glue" : `Rail tenons strain their glue by ${fine(effective)}`,
    why: `A ${width} mm rail changes ${fine(2 * slip)} across; the leg beside it does not${two ? ", and two tenons share it" : ""}. Glue lines begin to open near 0.4 mm.`,
    limit: MOVEMENT_LIMITS.crossGrainSlip, actual: Math.round(effective * 100) / 100, sense: "at most", unit: "mm",
    remedies: level === "holds" || two ? [] : [set("Cut two tenons with a gap", ["joints", "legRail", "tenons"], 2)],
  });
}

function formulaRange({ year, top }: MovementFacts): Verdict {
  const low = Math.min(year.driest.moisture, top.start.value);
  const high = Math.max(year.wettest.moisture, top.start.value);
  const inside = low >= LINEAR_RANGE.from && high <= LINEAR_RANGE.to;
  return verdict({
    id: "movement.range", stage: "movement", subject: [], level: high > 25 ? "tight" : "holds",
    text: inside ? "All within the range of the formula" : "Part of the year uses the shrinkage form",
    why: `Moisture runs from ${round1(low)} to ${round1(high)} %; coefficients are good from 6 to 14 %, beyond that total shrinkage takes over.`,
    limit: null, actual: null, unit: "%", source: "Wood Handbook FPL-GTR-282, ch. 13",
  });
}

function outdoors({ piece, species }: MovementFacts): Verdict | null {
  const claimsIndoor = piece.brief.climate.kind === "typical" && !piece.brief.climate.id.startsWith("porch");
  if (piece.brief.place !== "porch") return null;
  return verdict({
    id: "movement.porch", stage: "movement", subject: ["top"], level: claimsIndoor ? "fix" : "tight",
    text: claimsIndoor ? "A porch has been given the climate of a room" : "A porch swings further than any room",
    why: `${species.name} follows the air outside; choose glue, gaps and finish for it.`,
    remedies: claimsIndoor ? [set("Use the mild porch climate", ["brief", "climate"], { kind: "typical", id: "porch-temperate" })] : [],
  });
}

const cupOf = (strip: { cupDry: number; cupWet: number }) => Math.max(Math.abs(strip.cupDry), Math.abs(strip.cupWet));
const round1 = (n: number) => Math.round(n * 10) / 10;
const daysBetween = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / 86400000);
