import type { MoistureYear } from "../climate/year";
import type { Acclimatising } from "./acclimatise";
import { bearersSaid, PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import type { Species } from "../wood/species";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import type { Breadboards } from "./breadboard";
import { BUTTON_PLAY, Fastener, LEAST_ENGAGED, playAlong, slotPlay, worstTravel } from "./buttons";
import { daysBetween } from "./course";
import { outOfSquare } from "./cup";
import type { Stiffeners, FramedTop, Slats } from "./flat";
import type { InsetMovement } from "./insets";
import type { Stop } from "./restraint";
import { LINEAR_RANGE, SATURATION } from "./width";
import type { TopMovement } from "./year";

/** @source common practice, save where said */
export const MOVEMENT_LIMITS = { readingAge: 30, awayFromRoom: 2, cup: 0.5, square: 1, edgeLeft: 5 };

export interface MovementFacts {
  piece: Piece;
  at: PieceGeometry;
  species: Species;
  year: MoistureYear;
  top: TopMovement;
  fasteners: readonly Fastener[];
  today: string;
  delivered: string;
  breadboards: Breadboards | null;
  stiffeners: Stiffeners | null;
  slats: Slats | null;
  framed: FramedTop | null;
  insets: readonly InsetMovement[];
  stopped: readonly Stop[];
  acclimatising: Acclimatising | null;
}

/** Every rule of the movement stage. */
export const MOVEMENT_RULES: ((facts: MovementFacts) => Verdict | null)[] = [
  endButtons,
  longButtonsWet,
  longButtonsDry,
  acclimatised,
  readingAge,
  overhangLeft,
  cups,
  square,
  formulaRange,
  outdoors,
];

function endButtons({ piece, at, fasteners, top }: MovementFacts): Verdict | null {
  if (!hasButtons(piece)) return null;
  const said = called(at, "across");
  const { dry, wet, subject } = worstTravel(fasteners, "across");
  if (subject.length === 0) return null;
  const need = Math.max(dry, wet);
  const choice = piece.joints.buttons;
  const has = slotPlay(choice);
  const level: Level = has < need ? "fix" : has < need + BUTTON_PLAY ? "tight" : "holds";
  const slot = Math.ceil(choice.width + 2 * (need + 1));
  const month = wet >= dry ? top.wet.name : top.dry.name;
  return verdict({
    id: "movement.end-buttons",
    stage: "movement",
    subject,
    level,
    text:
      level === "fix"
        ? `${said} buttons will bind in ${month}`
        : level === "tight"
          ? `${said} buttons close to ${fine(has - need)} in ${month}`
          : `${said} buttons slide freely all year`,
    why: `The outermost travels ${fine(need)} along its slot; a ${choice.slotLength} mm slot for a ${choice.width} mm button gives ${fine(has)} each way.`,
    limit: round1(need),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    source: "Wood Handbook FPL-GTR-282, ch. 13, for the travel",
    remedies:
      level === "holds"
        ? []
        : [
            set(`Lengthen the slots to ${slot} mm`, ["joints", "buttons", "slotLength"], slot),
            ...(choice.width > 25 ? [set("Use 25 mm buttons", ["joints", "buttons", "width"], 25)] : []),
          ],
  });
}

/** What bears the top, before the word buttons: "End-rail". */
function called(at: PieceGeometry, run: "along" | "across"): string {
  const said = (bearersSaid(at, run) ?? "rail").replaceAll(" ", "-");
  return said[0].toUpperCase() + said.slice(1);
}

function longButtonsWet({ piece, at, fasteners, top }: MovementFacts): Verdict | null {
  if (!hasButtons(piece)) return null;
  const said = called(at, "along");
  const bearers = (bearersSaid(at, "along") ?? "rail").split(" ").at(-1);
  const { wet, subject } = worstTravel(fasteners, "long");
  if (subject.length === 0) return null;
  const choice = piece.joints.buttons;
  const has = playAlong(choice).wet;
  const level: Level = has < wet ? "fix" : has < wet + BUTTON_PLAY ? "tight" : "holds";
  return verdict({
    id: "movement.long-buttons-wet",
    stage: "movement",
    subject,
    level,
    text:
      level === "fix"
        ? `${said} buttons push the ${bearers}s out in ${top.wet.name}`
        : level === "tight"
          ? `${said} buttons close to ${fine(has - wet)} in ${top.wet.name}`
          : `${said} buttons have room to go in`,
    why: `The top carries them ${fine(wet)} toward the rail; tip and shoulder leave ${fine(has)}.`,
    limit: round1(wet),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    source: "Wood Handbook FPL-GTR-282, ch. 13, for the travel",
    remedies: level === "holds" ? [] : deeper(piece, wet),
  });
}

function longButtonsDry({ piece, at, fasteners, top }: MovementFacts): Verdict | null {
  if (!hasButtons(piece)) return null;
  const said = called(at, "along");
  const { dry, wet, subject } = worstTravel(fasteners, "long");
  if (subject.length === 0) return null;
  const choice = piece.joints.buttons;
  const left = choice.engaged - dry;
  const level: Level = left < LEAST_ENGAGED - 2 ? "fix" : left < LEAST_ENGAGED ? "tight" : "holds";
  const engaged = Math.ceil((LEAST_ENGAGED + dry) * 2) / 2;
  const room = Math.ceil(engaged + wet + 1);
  return verdict({
    id: "movement.long-buttons-dry",
    stage: "movement",
    subject,
    level,
    text:
      level === "fix"
        ? `${said} buttons let go in ${top.dry.name}`
        : `${said} buttons keep ${fine(left)} of tongue in ${top.dry.name}`,
    why: `Set ${fine(choice.engaged)} deep today; the top draws them out ${fine(dry)}. At least ${LEAST_ENGAGED} mm must stay in.`,
    limit: LEAST_ENGAGED,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Set them ${engaged} mm deep`,
              patches: [
                { path: ["joints", "buttons", "engaged"], value: engaged },
                { path: ["joints", "buttons", "tongue"], value: Math.max(choice.tongue, room) },
                { path: ["joints", "buttons", "grooveDepth"], value: Math.max(choice.grooveDepth, room) },
              ],
            },
          ],
  });
}

function deeper(piece: Piece, wet: number): Remedy[] {
  const depth = Math.ceil(piece.joints.buttons.engaged + wet + 1);
  return [
    {
      label: `Cut groove and tongue ${depth} mm`,
      patches: [
        { path: ["joints", "buttons", "grooveDepth"], value: depth },
        { path: ["joints", "buttons", "tongue"], value: depth },
      ],
    },
  ];
}

/** The boards that are chosen say more than what the piece was told of its wood. */
function boardsOff(
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

function acclimatised(facts: MovementFacts): Verdict {
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

function readingAge({ top, today }: MovementFacts): Verdict {
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

function overhangLeft({ piece, top, at }: MovementFacts): Verdict | null {
  // posts up through the corners: their gaps are judged
  if (at.through) return null;
  const loss = piece.form.field === "slats" || piece.form.ends === "frame" ? 0 : Math.min(0, top.dry.change);
  const left = piece.form.overhang.side + loss / (piece.choices.fixedLine === "centre" ? 2 : 1);
  const enough = Math.ceil((piece.form.overhang.side + MOVEMENT_LIMITS.edgeLeft - left + 1) / 5) * 5;
  return verdict({
    id: "movement.overhang",
    stage: "movement",
    subject: ["top"],
    level: grade(left, "at least", MOVEMENT_LIMITS.edgeLeft, 0),
    text:
      left < 0
        ? `What stands below shows ${fine(-left)} past the edge in ${top.dry.name}`
        : `Side overhang is ${fine(left)} at its least, in ${top.dry.name}`,
    why: `From ${fine(piece.form.overhang.side)} today; under ${MOVEMENT_LIMITS.edgeLeft} mm every small error shows, under nothing the base stands past the edge.`,
    limit: MOVEMENT_LIMITS.edgeLeft,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      left >= MOVEMENT_LIMITS.edgeLeft
        ? []
        : [set(`Set the side overhang to ${enough} mm`, ["form", "overhang", "side"], enough)],
  });
}

function cups({ top, piece, slats }: MovementFacts): Verdict | null {
  if (slats) return null;
  const worstStrip = top.strips.reduce((a, b) => (cupOf(b) > cupOf(a) ? b : a));
  const cup = cupOf(worstStrip);
  const ripple = piece.choices.rings === "alternate" ? 2 * cup : cup;
  // without boards there is no ring to judge, only the wish to know
  const level = worstStrip.board ? grade(cup, "at most", MOVEMENT_LIMITS.cup, 3 * MOVEMENT_LIMITS.cup) : "tight";
  return verdict({
    id: "movement.cup",
    stage: "movement",
    subject: worstStrip.board ? [`strip:${worstStrip.board}`] : ["top"],
    level,
    text:
      top.strips.length > 1
        ? `Ripples stay under ${fine(ripple)}, ${piece.choices.rings === "alternate" ? "rings alternated" : "best faces up"}`
        : worstStrip.board
          ? `${worstStrip.board} cups ${fine(cup)} at most`
          : "Boards are not chosen yet: rings taken as flat-sawn",
    why: worstStrip.board
      ? `${worstStrip.board}, ${fine(worstStrip.width)} wide, cups most by its own rings. Faces of unequal moisture would do ten times as much.`
      : "Choose boards and each strip moves by its own rings.",
    limit: MOVEMENT_LIMITS.cup,
    actual: round1(cup),
    sense: "at most",
    unit: "mm",
    source: "derived: circular rings",
  });
}

/** Squareness of a leg whose rings run corner to corner, where the two shrinkages differ most. */
function square({ at, species, top }: MovementFacts): Verdict | null {
  const held = (moisture: number) => Math.min(SATURATION, moisture);
  const change = Math.max(
    Math.abs(held(top.dry.moisture) - held(top.start.value)),
    Math.abs(held(top.wet.moisture) - held(top.start.value)),
  );
  const [stick] = at.sticks;
  if (!stick) return null;
  const off = outOfSquare(species, 45, stick.section, change);
  return verdict({
    id: "movement.square",
    stage: "movement",
    subject: [stick.kind],
    level: grade(off, "at most", MOVEMENT_LIMITS.square, 2 * MOVEMENT_LIMITS.square),
    text: `${stick.said} go out of square by ${fine(off)} at most`,
    why: `With rings at 45° across ${mm(stick.section)} and ${round1(change)} % of change; rings square to a face keep it square.`,
    limit: MOVEMENT_LIMITS.square,
    actual: round1(off),
    sense: "at most",
    unit: "mm",
    source: "derived: (CT − CR) ΔM sin 2θ",
  });
}

const hasButtons = (piece: Piece) =>
  piece.joints.fastening === "button" && piece.form.ends !== "frame" && piece.form.field === "solid";

function formulaRange({ top }: MovementFacts): Verdict {
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

function outdoors({ piece, species, year }: MovementFacts): Verdict | null {
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

const cupOf = (strip: { cupDry: number; cupWet: number }) => Math.max(Math.abs(strip.cupDry), Math.abs(strip.cupWet));
const round1 = (n: number) => Math.round(n * 10) / 10;
