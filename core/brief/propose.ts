import type { Brief } from "../piece/schema";

/** Room for people, mm. @source common practice */
export const PEOPLE = {
  seat: 600,
  squeezed: 500,
  getUp: 900,
  walkBehind: 1100,
  reach: 325,
  chairDeep: 450,
  chairWide: 460,
  headSeat: 600,
  benchGap: 40,
};

export interface TableProposal {
  length: number;
  width: number;
  reason: string;
}

/** How many can sit: along the long sides between the legs' outer faces, and one at each end that is wide enough. */
export function seatsAt(length: number, width: number, edge: number): { sides: number; ends: number; total: number } {
  const sides = 2 * Math.max(0, Math.floor(length / edge + 1e-9));
  const ends = width >= PEOPLE.headSeat + 150 ? 2 : 0;
  return { sides, ends, total: sides + ends };
}

/** Clear distance from the table to the walls, table in the middle of the room with its length along the room's. */
export function clearances(room: Brief["room"], length: number, width: number): { side: number; end: number } {
  return { side: (room.width - width) / 2, end: (room.length - length) / 2 };
}

/**
 * A table for this room and these people: long enough for the daily seats at 600 mm and the party at 500, as wide as two
 * places and a dish between them, and no larger than 900 mm to the walls lets it be.
 */
export function proposeTable(brief: Brief): TableProposal {
  const widthRoom = brief.room.width - 2 * PEOPLE.getUp;
  const width = Math.max(650, Math.min(900, floor50(widthRoom)));
  const ends = seatsAt(0, width, PEOPLE.seat).ends;
  const perSide = Math.ceil(Math.max(0, brief.seats.daily - ends) / 2);
  const perSideParty = Math.ceil(Math.max(0, brief.seats.most - ends) / 2);
  const wanted =
    Math.max(perSide * PEOPLE.seat, perSideParty * PEOPLE.squeezed, 1000) + 2 * PEOPLE.reach * (ends ? 0.5 : 0);
  const lengthRoom = floor50(brief.room.length - 2 * PEOPLE.getUp);
  const length = Math.max(900, Math.min(ceil50(wanted), lengthRoom));
  const short = ceil50(wanted) > lengthRoom;
  return {
    length,
    width,
    reason: short
      ? `The room stops it at ${length} mm; ${brief.seats.most} seats would want ${ceil50(wanted)} mm.`
      : `${brief.seats.daily} daily at ${PEOPLE.seat} mm and ${brief.seats.most} at a party at ${PEOPLE.squeezed} mm, with ${PEOPLE.getUp} mm to the walls.`,
  };
}

/** Width that what is tucked under one side needs between whatever stands there, mm. */
export const widthNeeded = (seating: Brief["seating"], perSide: number): number =>
  seating === "bench"
    ? Math.max(600, perSide * PEOPLE.squeezed) + 2 * PEOPLE.benchGap
    : perSide * PEOPLE.chairWide + (perSide + 1) * 20;

const floor50 = (n: number) => Math.floor(n / 50 + 1e-9) * 50;
const ceil50 = (n: number) => Math.ceil(n / 50 - 1e-9) * 50;
