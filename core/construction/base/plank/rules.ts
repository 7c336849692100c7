import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { coefficientAt } from "../../../movement/coefficient";
import { useOf } from "../../../brief/uses";
import { usualRange } from "../../usual";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { APART, longEnough } from "../one-blank";
import { fromOneBoard, racksAlong } from "../tied";
import { tipping } from "../tipping";
import type { Plank } from "./place";

type Facts = BaseRuleFacts<Plank>;

/** Sizes of plank ends. @source common practice */
const PLANK = {
  /** shoulders of a stretcher, or a joint, that stop the racking, mm */
  stiff: 80,
  /** a stretcher under the top is as stiff as its depth; lower than this it is kicked, mm */
  kicked: 60,
  /** between ends: for knees, and where nobody sits at it, mm */
  room: 350,
  small: 150,
  /** percent of moisture through a year: most interiors, 6 to 10 %, Wood Handbook ch. 13 */
  swing: 4,
  /** boards closed round by four mitres: so many times as long as thick at most, and where they sway */
  round: 25,
  sways: 45,
};

/** Every rule of plank ends, in the order a maker would ask. */
export const PLANK_RULES: readonly Rule<Facts>[] = [
  endsFit,
  topWhole,
  oneBlank,
  thick,
  kneeRoom,
  tips,
  within,
  stretcherLong,
  racking,
  wallFits,
];

const path = (...rest: string[]) => ["form", "plank", ...rest];

function endsFit({ at, form }: Facts): Verdict {
  const room = Math.min(...at.bays.map(({ from, to }) => to - from));
  const good = useOf(form).kneeRoom ? PLANK.room : PLANK.small;
  const level: Level = at.under <= 0 ? "fix" : grade(room, "at least", good, 60);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["plank-end", "stretcher"],
    level,
    text: room <= 0 ? "The ends overlap: nothing is left between them" : `${mm(room)} between the ends`,
    why: `The top is ${mm(at.top.length)} long, ${at.mitred ? "its ends are the corners" : `less two overhangs of ${mm(form.overhang.end)}`}, with ${at.ends.length} ends of ${mm(at.plank.thickness)}.`,
    limit: good,
    actual: Math.round(room),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || at.mitred ? [] : [set("Overhang the ends by 100 mm", ["form", "overhang", "end"], 100)],
  });
}

/** Ends are joined to a top that is one panel; a mitre wants its ends straight, and nothing over them. */
function topWhole({ at, form }: Facts): Verdict {
  const laid = form.field === "slats" || form.field === "slabs" || form.ends !== "none";
  const shaped = at.mitred && form.top.outline !== "rectangle";
  return verdict({
    id: "form.plank-top",
    stage: "form",
    subject: ["top", "plank-end"],
    level: laid || shaped ? "fix" : "holds",
    text: laid
      ? "The ends have no one panel over them to be joined to"
      : shaped
        ? "A top whose corners are mitred must end straight"
        : at.mitred
          ? "The grain runs over both corners, in one with the ends"
          : "Top and ends are panels whose grain moves alike across",
    why: "Both shrink across the piece and stay as long as they are, so they may be glued from edge to edge; slats, end boards and a frame don't move with them.",
    remedies: laid
      ? [
          ...(form.field === "slats" || form.field === "slabs"
            ? [set("Make the top one panel", ["form", "field"], "solid")]
            : []),
          ...(form.ends !== "none" ? [set("Leave its ends plain", ["form", "ends"], "none")] : []),
        ]
      : shaped
        ? [set("Make the top a rectangle", ["form", "top", "outline"], "rectangle")]
        : [],
  });
}

function thick({ at }: Facts): Verdict | null {
  if (at.mitred) return null;
  return usualRange("form.plank", "plank-end", "An end's thickness", {
    actual: at.plank.thickness,
    range: { low: 24, high: 45 },
    path: path("thickness"),
    reasons: {
      low: "Its joint is all that keeps it upright.",
      high: "It is heavy, and its foot cups with more force.",
    },
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "top", one: "top", many: "top" },
    remedies: (good) => {
      const height = Math.ceil(good + at.top.thickness);
      return [set(`Make it ${height} mm high`, ["form", "height"], height)];
    },
  });
}

function tips({ at, form, weight }: Facts): Verdict | null {
  return tipping({
    ...{ at, form, weight, subject: ["plank-end", "top"] },
    mend: (apart) => {
      const setIn = Math.floor((at.top.width - apart) / 2);
      return setIn >= 0 && !at.mitred ? [set(`Set the ends in by ${setIn} mm`, path("setIn"), setIn)] : [];
    },
  });
}

/** A stretcher lies within its ends, under the top and over the floor. */
function within({ at }: Facts): Verdict | null {
  const { stretcher, under, floor } = at;
  if (!stretcher) return null;
  if (stretcher.from < floor) return underFloor(at, stretcher.from);
  const over = stretcher.from + stretcher.depth - under;
  const most = Math.max(0, Math.floor(under - stretcher.depth));
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: ["stretcher"],
    level: over > 0 ? "fix" : stretcher.from < PLANK.kicked ? "tight" : "holds",
    text:
      over > 0
        ? `The stretcher stands ${mm(over)} in the top`
        : `The stretcher lies ${mm(stretcher.from)} above the floor`,
    why: `It is ${mm(stretcher.depth)} deep under a top at ${mm(under)}; lower than ${mm(PLANK.kicked)} it is kicked and swept against.`,
    limit: most,
    actual: stretcher.from,
    sense: "at most",
    unit: "mm",
    remedies:
      over > 0
        ? [set(`Set it ${most} mm high`, path("stretcher", "height"), most)]
        : stretcher.from < PLANK.kicked
          ? [set("Set it 120 mm high", path("stretcher", "height"), 120)]
          : [],
  });
}

function stretcherLong({ at, joints, longest }: Facts): Verdict | null {
  if (!at.stretcher) return null;
  const end = joints.find((each) => each.enters === "stretcher");
  const between = Math.max(...at.bays.map(({ from, to }) => to - from));
  return fromOneBoard({ whole: between + 2 * (end?.length ?? 0), longest });
}

/** A plank is stiff across the piece and folds along it: a stretcher stops that, or a shelf let in. */
function racking({ at, form }: Facts): Verdict {
  if (at.floor > 0) return closedRound(at);
  const shelf = form.shelf.kind === "solid" ? PLANK.stiff : 0;
  const wall = at.wall ? PLANK.stiff : 0;
  const deeper = set(`Make it ${PLANK.stiff} mm deep`, path("stretcher", "depth"), PLANK.stiff);
  return racksAlong({
    ...{ deep: Math.max(at.stretcher?.depth ?? 0, shelf, wall), stiff: PLANK.stiff, least: 1 },
    ...{ subject: ["stretcher", "plank-end"], folds: "the ends" },
    tie:
      (at.stretcher?.depth ?? 0) >= PLANK.stiff
        ? undefined
        : wall > 0
          ? "A wall let into both ends"
          : shelf > 0
            ? "A shelf let into both ends"
            : undefined,
    why: "An end stands stiff across. Along the piece its joint with the top is thin: the height of a stretcher’s shoulders is the lever, or a shelf or a wall let into both ends.",
    remedies: at.stretcher ? [deeper] : [set("Tie the ends by a stretcher", path("stretcher", "kind"), "wedged")],
  });
}

/** A wall under the top, with room to swell up and down. */
function wallFits({ at, species }: Facts): Verdict | null {
  const { wall, under, floor } = at;
  if (!wall) return null;
  const room = under - wall.from - wall.depth;
  const swells = wall.depth * coefficientAt(species, 0) * PLANK.swing;
  const need = Math.ceil(swells / 2 + 1);
  const low = wall.from < floor;
  const most = Math.floor(under - wall.from - need);
  const level: Level = low || room < 0 ? "fix" : room < need ? "tight" : "holds";
  return verdict({
    id: "form.wall",
    stage: "form",
    subject: ["wall", "top"],
    level,
    text: low
      ? "The wall stands in the bottom board"
      : room < 0
        ? `The wall stands ${mm(-room)} in the top`
        : `${mm(room)} between the wall and the top`,
    why: `Held in its middle, ${mm(wall.depth)} of it grow ${mm(swells / 2)} upward over ${PLANK.swing} percent, and as much down.`,
    limit: need,
    actual: Math.round(room),
    sense: "at least",
    unit: "mm",
    source: "derived: tangential coefficient over the swing of most interiors",
    remedies: low
      ? [set(`Set it ${mm(Math.ceil(floor) + 20)} high`, path("wall", "height"), Math.ceil(floor) + 20)]
      : level !== "holds" && most >= 60
        ? [set(`Make it ${most} mm from edge to edge`, path("wall", "depth"), most)]
        : [],
  });
}

/** Four boards round an opening: it racks about its mitres alone. */
function closedRound({ top, plank, floor }: Plank): Verdict {
  // as stiff as the corners are: a mitre 30 thick holds a stool, not a table
  const slender = Math.max(top.length, plank.height) / floor;
  const level = grade(slender, "at most", PLANK.round, PLANK.sways);
  const thickness = Math.ceil(Math.max(top.length, plank.height) / PLANK.round);
  return verdict({
    id: "form.racking",
    stage: "form",
    subject: ["plank-end", "bottom-board"],
    level,
    text:
      level === "holds"
        ? "Four glued corners keep one another square"
        : `Boards ${mm(floor)} thick sway round an opening so large`,
    why: `Closed round, it can rack only where its four mitres give: boards to ${PLANK.round} times as long as they are thick hold by their corners alone.`,
    limit: PLANK.round,
    actual: Math.round(slender * 10) / 10,
    sense: "at most",
    unit: "times",
    remedies:
      level === "holds" ? [] : [set(`Make the boards ${mm(thickness)} thick`, ["form", "top", "thickness"], thickness)],
  });
}

function underFloor({ floor }: Plank, from: number): Verdict {
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: ["stretcher", "bottom-board"],
    level: "fix",
    text: "The stretcher lies in the bottom board",
    why: `The bottom is ${mm(floor)} thick, the stretcher ${mm(from)} above the floor.`,
    limit: floor,
    actual: from,
    sense: "at least",
    unit: "mm",
    remedies: [
      set(`Set it ${mm(Math.ceil(floor) + 60)} high`, path("stretcher", "height"), Math.ceil(floor) + 60),
      set("Leave the stretcher out: the bottom ties the ends", path("stretcher", "kind"), "none"),
    ],
  });
}

/** A blank for all of them asks for boards as long. */
function oneBlank({ at, longest, shop }: Facts): Verdict | null {
  return at.row
    ? longEnough(at.row, { longest, allowance: shop.lengthAllowance }, set(APART, path("blank"), "apart"))
    : null;
}
