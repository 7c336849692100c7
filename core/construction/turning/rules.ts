/** Whether a top can turn, its pivot has wood, and its frame carries both halves. */
import { useOf } from "../../brief/uses";
import type { Brief, Form } from "../../piece/schema";
import { grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import { GRAVITY, LEAN, tipsAt } from "../base/tipping";
import type { PieceGeometry } from "../geometry";
import { openSize, turnHindrance } from "./turn";

/** What rules of tops that turn are told. `weight` of the whole piece, kg */
interface TurnFacts {
  form: Form;
  at: PieceGeometry;
  brief: Brief;
  weight: number;
}

/** @source common practice */
const TURNING = {
  /** the open top ends so far beyond legs and rails along its hinged line's way, mm */
  over: 10,
  /** beside the bolt to the pivot rail's edge, in bolts */
  beside: 2.5,
  /** between the pivot's rail and a cross-rail, mm */
  apart: 5,
};
const at = (...rest: string[]) => ["form", "turn", ...rest];

export const TURN_RULES: readonly ((facts: TurnFacts) => Verdict | null)[] = [
  canTurn,
  covers,
  pivotHolds,
  tips,
  inTheRoom,
];

const WHY = {
  base: "It turns on four rails between legs that end below it.",
  ends: "What is at its ends would be folded on itself.",
  field: "Both halves are one panel each.",
  outline: "Both halves are hinged along one straight edge.",
  parting: "A top that comes apart in its middle is not folded too.",
  leaves: "Leaves that hang at its edges are in its hinges’ way.",
  stiffener: "What is screwed below it would meet the rails as it turns.",
};

function canTurn({ form }: TurnFacts): Verdict | null {
  if (form.turn.kind === "none") return null;
  const why = turnHindrance(form);
  return verdict({
    id: "form.turn-can",
    stage: "form",
    subject: ["top"],
    level: why ? "fix" : "holds",
    text: why
      ? "This top can’t be folded and turned: it stays as it is"
      : "The top is folded, turns a quarter, and opens",
    why: why
      ? WHY[why]
      : "Nothing but the pivot holds it: it is free to move, and lies on felt. Both halves are hinged along the back edge; turned, that edge lies over the frame’s middle.",
    remedies: why ? [set("Leave it fixed", at("kind"), "none")] : [],
  });
}

/** How far the frame reaches under the open top, from its middle. */
function frameOf({ posts, turn }: PieceGeometry): { x: number; z: number } {
  return {
    x: Math.max(0, ...posts.map(({ x, length }) => Math.abs(x) + length / 2)),
    z: Math.max(0, ...posts.map(({ z, width }) => Math.abs(z) + width / 2), turn ? Math.abs(turn.rails.front.at) : 0),
  };
}

/** Open, it is twice as long as it was wide: the frame must not stand out from under it. */
function covers({ at: place }: TurnFacts): Verdict | null {
  if (!place.turn) return null;
  const free = openSize(place).length / 2 - frameOf(place).x;
  const level = grade(free, "at least", TURNING.over, 0);
  const wide = Math.ceil(place.top.width + TURNING.over - free);
  return verdict({
    id: "form.turn-covers",
    stage: "form",
    subject: ["fold-leaf", "leg"],
    level,
    text:
      free < 0
        ? `Open, the top ends ${mm(-free)} before its legs’ faces`
        : `Open, the top ends ${mm(free)} beyond its legs`,
    why: `Turned a quarter, both halves are ${mm(openSize(place).length)} over a frame ${mm(2 * frameOf(place).x)} long; across that it is ${mm(place.top.length)} over ${mm(2 * frameOf(place).z)}.`,
    limit: TURNING.over,
    actual: Math.round(free * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the top ${mm(wide)} wide, folded`, ["form", "top", "width"], wide)],
  });
}

/** The rail the bolt goes through: wide enough beside it, within the frame, clear of cross-rails. */
function pivotHolds({ form, at: place }: TurnFacts): Verdict | null {
  const { turn } = place;
  if (!turn) return null;
  const { bolt, rail } = form.turn;
  const beside = (rail.width - bolt) / 2;
  const inner = Math.abs(turn.rails.back.at) - turn.rails.back.thickness / 2 - Math.abs(turn.pivot.z) - bolt / 2;
  const met = turn.crossed.find(
    ({ x, width }) => x - width / 2 < turn.rail.to + TURNING.apart && x + width / 2 > turn.rail.from - TURNING.apart,
  );
  const end = Math.max(...turn.crossed.map(({ x }) => Math.abs(x)), 0);
  const cross = met && Math.abs(met.x) < end - 1;
  const narrow = beside < TURNING.beside * bolt;
  const level: Level = inner < TURNING.beside * bolt || met ? "fix" : narrow ? "tight" : "holds";
  const wide = Math.ceil(bolt * (1 + 2 * TURNING.beside));
  return verdict({
    id: "form.turn-pivot",
    stage: "form",
    subject: ["pivot-rail", "top"],
    level,
    text:
      inner < TURNING.beside * bolt
        ? `The pivot stands ${mm(Math.max(0, inner))} before the back rail`
        : met
          ? `The pivot’s rail runs into ${cross ? "a cross-rail" : "the end rail"}`
          : narrow
            ? `Beside the bolt ${mm(beside)} of rail stay`
            : `The pivot stands ${mm(Math.abs(turn.pivot.x))} left of the middle and as far behind it`,
    why: `A quarter of the folded top’s ${mm(place.top.width)} each way: so the hinged edge comes to lie over the middle when it is turned. Its bolt of ${mm(bolt)} wants ${mm(TURNING.beside * bolt)} of wood each side.`,
    limit: Math.ceil(TURNING.beside * bolt),
    actual: Math.round(beside * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : narrow && !met && inner >= TURNING.beside * bolt
          ? [set(`Make its rail ${mm(wide)} wide`, at("rail", "width"), wide)]
          : met && form.crossRails > 0
            ? [set("Leave the cross-rails out", ["form", "crossRails"], 0)]
            : [set("Leave the top fixed", at("kind"), "none")],
  });
}

/** Someone leans on an edge of the open top. */
function tips({ at: place, weight, form }: TurnFacts): Verdict | null {
  if (!place.turn) return null;
  const open = openSize(place);
  const { newtons } = tipsAt({ top: { ...place.top, ...open }, feet: place.feet }, weight);
  const level = grade(newtons, "at least", LEAN.good, LEAN.least);
  // feet so far out that the lean is held by the whole weight
  const out = Math.ceil((((open.width / 2) * LEAN.good) / (LEAN.good + weight * GRAVITY)) * 1.02);
  const side = Math.floor(place.top.width / 2 - out);
  const stands = side >= 0 && side < form.overhang.side;
  return verdict({
    id: "form.turn-tips",
    stage: "form",
    subject: ["fold-leaf", "leg"],
    level,
    text: Number.isFinite(newtons)
      ? `Open, the table tips at ${Math.round(newtons)} N on its edge`
      : "Open, no edge stands outside the feet",
    why: `About ${Math.round(weight)} kg on its feet under ${mm(open.length)} by ${mm(open.width)}. Someone who leans on an edge puts on ${LEAN.good} N.`,
    ...(Number.isFinite(newtons)
      ? { limit: LEAN.good, actual: Math.round(newtons), sense: "at least" as const, unit: "N" }
      : {}),
    source: "derived: moments about the outer feet; load from EN 1730, from memory",
    remedies:
      level === "holds"
        ? []
        : stands
          ? [set(`Set the legs ${mm(side)} in from the sides`, ["form", "overhang", "side"], side)]
          : [set("Leave the top fixed", at("kind"), "none")],
  });
}

function inTheRoom({ form, at: place, brief }: TurnFacts): Verdict | null {
  if (!place.turn) return null;
  const { around } = useOf(form);
  const least = around?.least ?? 0;
  const open = openSize(place);
  const have = Math.min((brief.room.length - open.length) / 2, (brief.room.width - open.width) / 2);
  const level = grade(have, "at least", least, Math.max(0, least - 300));
  const wide = Math.floor(Math.min(place.top.width, brief.room.length / 2 - least));
  return verdict({
    id: "brief.clear-open",
    stage: "brief",
    subject: ["room", "fold-leaf"],
    level,
    text:
      have < 0
        ? `Open, the table is ${mm(-2 * have)} larger than the room`
        : `Open it is ${mm(open.length)} by ${mm(open.width)}: ${mm(have)} to the nearest wall`,
    why: `It stands in the middle of a room ${mm(brief.room.length)} by ${mm(brief.room.width)}; ${mm(least)} let somebody get up beside it.`,
    limit: least,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || wide < 200 || (brief.room.width - open.width) / 2 < least
        ? []
        : [set(`Make the top ${mm(wide)} wide, folded`, ["form", "top", "width"], wide)],
  });
}
