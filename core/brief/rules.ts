import type { Brief, Form } from "../piece/schema";
import { MOST_TIMES } from "../piece/most-times";
import { grade, mm, Remedy, Verdict, verdict } from "../verdict/verdict";
import { openTop } from "../construction/parting/parting";
import { clearances, proposeTable, TableProposal, widthNeeded } from "./propose";
import { placesAt, useOf } from "./uses";

export interface BriefFacts {
  brief: Brief;
  form: Form;
  /** clear along a side between what stands below, mm */
  between: number;
  /** made so many times: each seats as many */
  times: number;
}

/** Every rule of the brief stage. The deadline is judged in the build stage, where the calendar is. */
export const BRIEF_RULES: ((facts: BriefFacts) => Verdict | null)[] = [
  sideClearance,
  endClearance,
  dailySeats,
  partySeats,
  tuckedSeats,
  throughTheRoom,
];

export function useProposal(proposal: TableProposal): Remedy {
  return {
    label: `Make the top ${proposal.length} by ${proposal.width} mm`,
    patches: [
      { path: ["form", "top", "length"], value: proposal.length },
      { path: ["form", "top", "width"], value: proposal.width },
    ],
  };
}

function sideClearance(facts: BriefFacts) {
  return clearance(facts, "side");
}
function endClearance(facts: BriefFacts) {
  return clearance(facts, "end");
}

function clearance({ brief, form }: BriefFacts, which: "side" | "end"): Verdict | null {
  const use = useOf(form);
  const dimension = which === "side" ? "width" : "length";
  const have = clearances(brief.room, form.top.length, form.top.width)[which];
  // what nobody walks round has only to go in
  if (!use.around && have >= 0) return null;
  const { least, good, to, toGood } = use.around ?? { least: 0, good: 0, to: "to stand in it", toGood: "" };
  const most = Math.floor((brief.room[dimension] - 2 * least) / 50) * 50;
  const level = grade(have, "at least", least, Math.max(0, least - 150));
  return verdict({
    id: `brief.clear-${which}`,
    stage: "brief",
    subject: ["room", "top"],
    level,
    text:
      have < 0
        ? `The ${use.noun} is ${mm(-2 * have)} larger than the room`
        : `${mm(have)} from ${which === "side" ? `the ${use.noun}'s side` : "its ends"} to the wall`,
    why:
      have >= good && good > 0
        ? `Measured from its edge: enough ${toGood}, ${mm(good)}.`
        : `Measured from its edge: ${mm(least)} ${to}${good > 0 ? `, ${mm(good)} ${toGood}` : ""}.`,
    limit: least,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || most < 500 || most >= form.top[dimension]
        ? []
        : [
            {
              label: `Make the top ${most} mm ${dimension === "width" ? "wide" : "long"}`,
              patches: [{ path: ["form", "top", dimension], value: most }],
            },
          ],
  });
}

function dailySeats(facts: BriefFacts) {
  return seats(facts, "daily", "daily");
}
function partySeats(facts: BriefFacts) {
  return seats(facts, "most", "at a party");
}

function seats({ brief, form, times }: BriefFacts, which: "daily" | "most", when: string): Verdict | null {
  const use = useOf(form);
  if (!use.seats) return null;
  const { where } = use.seats;
  // with its leaves in at a party
  const { sides, ends, total: each } = placesAt(use, which === "most" ? openTop(form) : form.top, which);
  const total = each * times;
  const wanted = brief.seats[which];
  const level = total >= wanted ? "holds" : which === "most" || total >= wanted - 1 ? "tight" : "fix";
  const proposal = proposeTable(brief);
  const along = { round: `${sides} along the sides`, side: `${sides} along its front`, on: `${sides} on it` }[where];
  const atEnds = where !== "round" ? "" : ends ? `, ${ends} at the ends` : "; the ends are too narrow to sit at";
  return verdict({
    id: `brief.seats-${which}`,
    stage: "brief",
    subject: ["top"],
    level,
    text: `Seats ${total} ${when}, ${wanted} asked`,
    why: `${use.seats[which]} mm of edge a place: ${along}${atEnds}${times > 1 ? `; ${times} are made` : ""}${which === "most" && openTop(form).length > form.top.length ? "; with all leaves in" : ""}.`,
    limit: wanted,
    actual: total,
    sense: "at least",
    unit: "seats",
    remedies:
      level === "holds"
        ? []
        : where === "on"
          ? moreOf(each, wanted)
          : where !== "round" || proposal.length <= form.top.length
            ? []
            : [useProposal(proposal)],
  });
}

/** As many of a piece to sit on as seat all. @param each  who sits on one */
function moreOf(each: number, wanted: number): Remedy[] {
  const times = each > 0 ? Math.ceil(wanted / each) : Infinity;
  return times > MOST_TIMES ? [] : [{ label: `Make ${times} alike`, patches: [{ path: ["times"], value: times }] }];
}

function tuckedSeats({ brief, form, between }: BriefFacts): Verdict | null {
  const use = useOf(form);
  if (!use.seats || use.seats.where === "on") return null;
  const sides = use.seats.where === "round" ? 2 : 1;
  const perSide = Math.ceil(Math.max(1, brief.seats.daily - placesAt(use, form.top, "daily").ends) / sides);
  const needed = widthNeeded(brief.seating, perSide);
  const level = grade(between, "at least", needed, needed - 40);
  const noun = brief.seating === "bench" ? `A bench for ${perSide}` : perSide === 1 ? "A chair" : `${perSide} chairs`;
  const aSide = sides > 1 ? " a side" : "";
  return verdict({
    id: "brief.tucked",
    stage: "brief",
    subject: ["leg"],
    level,
    text:
      level === "holds"
        ? `${noun}${aSide} slide${perSide === 1 || brief.seating === "bench" ? "s" : ""} between the legs`
        : `${noun}${aSide} won't slide between the legs`,
    why: `${mm(between)} between the legs, ${mm(needed)} needed${brief.seating === "bench" ? " with 40 mm free at each end" : ""}.`,
    limit: needed,
    actual: Math.round(between),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Lengthen the top to ${Math.ceil((form.top.length + needed - between) / 10) * 10} mm`,
              patches: [
                { path: ["form", "top", "length"], value: Math.ceil((form.top.length + needed - between) / 10) * 10 },
              ],
            },
          ],
  });
}

function throughTheRoom({ brief, form }: BriefFacts): Verdict {
  const { room } = brief;
  const { noun } = useOf(form);
  const onEnd = Math.hypot(form.top.length, form.height);
  const flat = Math.hypot(form.top.length, form.top.width);
  const upright = onEnd <= room.height;
  const turns = flat <= Math.min(room.length, room.width);
  const lies = form.top.length <= Math.max(room.length, room.width);
  return verdict({
    id: "brief.turning",
    stage: "brief",
    subject: ["top"],
    level: upright || turns ? "holds" : lies ? "tight" : "fix",
    text: upright
      ? `The ${noun} can be stood on end in this room`
      : turns
        ? `The ${noun} can be turned flat, but not stood on end`
        : lies
          ? `The ${noun} comes in one way round: it can be neither turned nor stood on end`
          : `The ${noun} is longer than the room`,
    why: `On end it needs ${mm(onEnd)} from corner to corner under a ceiling of ${mm(room.height)}; lying flat it turns within ${mm(flat)}.`,
    limit: room.height,
    actual: Math.round(onEnd),
    sense: "at most",
    unit: "mm",
    source: "derived: the diagonals of the side view and of the plan",
  });
}
