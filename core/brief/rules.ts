import type { Brief, Form } from "../piece/schema";
import { grade, mm, Remedy, Verdict, verdict } from "../verdict/verdict";
import { clearances, PEOPLE, proposeTable, seatsAt, TableProposal, widthNeeded } from "./propose";

export interface BriefFacts {
  brief: Brief;
  form: Form;
  /** clear along a side between what stands below, mm */
  between: number;
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

function sideClearance({ brief, form }: BriefFacts) {
  return clearance(
    "side",
    "from the table's side",
    clearances(brief.room, form.top.length, form.top.width).side,
    brief,
    "width",
    form.top.width,
  );
}
function endClearance({ brief, form }: BriefFacts) {
  return clearance(
    "end",
    "from its ends",
    clearances(brief.room, form.top.length, form.top.width).end,
    brief,
    "length",
    form.top.length,
  );
}

function clearance(
  id: string,
  where: string,
  have: number,
  brief: Brief,
  dimension: "width" | "length",
  now: number,
): Verdict {
  const level = grade(have, "at least", PEOPLE.getUp, PEOPLE.getUp - 150);
  const most = Math.floor((brief.room[dimension] - 2 * PEOPLE.getUp) / 50) * 50;
  return verdict({
    id: `brief.clear-${id}`,
    stage: "brief",
    subject: ["room", "top"],
    level,
    text: have < 0 ? `The table is ${mm(-2 * have)} larger than the room` : `${mm(have)} ${where} to the wall`,
    why:
      have >= PEOPLE.walkBehind
        ? `Measured from the table's edge, chair and all: enough to walk behind someone seated, ${mm(PEOPLE.walkBehind)}.`
        : `Measured from the table's edge, chair and all: ${mm(PEOPLE.getUp)} to get up, ${mm(PEOPLE.walkBehind)} to walk behind.`,
    limit: PEOPLE.getUp,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || most < 500 || most >= now
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
  return seats(facts, "daily", PEOPLE.seat, "daily");
}
function partySeats(facts: BriefFacts) {
  return seats(facts, "most", PEOPLE.squeezed, "at a party");
}

function seats({ brief, form }: BriefFacts, which: "daily" | "most", edge: number, when: string): Verdict {
  const { sides, ends, total } =
    form.use === "bench" ? alongBench(form.top.length, edge) : seatsAt(form.top.length, form.top.width, edge);
  const wanted = brief.seats[which];
  const level = total >= wanted ? "holds" : which === "most" || total >= wanted - 1 ? "tight" : "fix";
  const proposal = proposeTable(brief);
  return verdict({
    id: `brief.seats-${which}`,
    stage: "brief",
    subject: ["top"],
    level,
    text: `Seats ${total} ${when}, ${wanted} asked`,
    why: `${edge} mm of edge a place: ${sides} along the sides${ends ? `, ${ends} at the ends` : form.use === "bench" ? "" : "; the ends are too narrow to sit at"}.`,
    limit: wanted,
    actual: total,
    sense: "at least",
    unit: "seats",
    remedies:
      level === "holds" || form.use === "bench" || proposal.length <= form.top.length ? [] : [useProposal(proposal)],
  });
}

/** A bench is sat on from one side. */
const alongBench = (length: number, edge: number) => ({
  sides: Math.floor(length / edge + 1e-9),
  ends: 0,
  total: Math.floor(length / edge + 1e-9),
});

function tuckedSeats({ brief, form, between }: BriefFacts): Verdict | null {
  if (form.use === "bench") return null;
  const perSide = Math.ceil(Math.max(1, brief.seats.daily - seatsAt(0, form.top.width, PEOPLE.seat).ends) / 2);
  const needed = widthNeeded(brief.seating, perSide);
  const level = grade(between, "at least", needed, needed - 40);
  const noun = brief.seating === "bench" ? `A bench for ${perSide}` : perSide === 1 ? "A chair" : `${perSide} chairs`;
  return verdict({
    id: "brief.tucked",
    stage: "brief",
    subject: ["leg"],
    level,
    text:
      level === "holds"
        ? `${noun} a side slide${perSide === 1 || brief.seating === "bench" ? "s" : ""} between the legs`
        : `${noun} a side won't slide between the legs`,
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
      ? "The table can be stood on end in this room"
      : turns
        ? "The table can be turned flat, but not stood on end"
        : lies
          ? "The table comes in one way round: it can be neither turned nor stood on end"
          : "The table is longer than the room",
    why: `On end it needs ${mm(onEnd)} from corner to corner under a ceiling of ${mm(room.height)}; lying flat it turns within ${mm(flat)}.`,
    limit: room.height,
    actual: Math.round(onEnd),
    sense: "at most",
    unit: "mm",
    source: "derived: the diagonals of the side view and of the plan",
  });
}
