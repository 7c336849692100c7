/** How long boards stand stickered before they are milled: until they are what the room will make of them, by the plan's own diffusion. */
import { moistureCourse, SAMPLE_DAYS } from "./course";
import type { RoomAir, Surroundings } from "./courses";
import { findFilm } from "./finish";

/** Boards whose own reading lies outside the room's year, the farthest first, and how long they stand, days. */
export interface Acclimatising {
  boards: { id: string; moisture: number; thickness: number }[];
  days: number;
  /** what the meter should read, percent */
  from: number;
  to: number;
}

/** A meter is not read closer than this, percent. @source common practice */
const READ_WITHIN = 0.3;

/**
 * Boards that a piece is cut from, told by their own readings against the room's year.
 *
 * @param boards  rough thickness, mm, and moisture on the day it was measured
 * @returns null when all are within it
 * @source Fick's law through bare wood open on both faces, see `moistureCourse`
 */
export function acclimatisingOf(
  boards: readonly { id: string; moisture: number; thickness: number }[],
  { species, year }: Pick<Surroundings, "species" | "year">,
  room: RoomAir,
  from: string,
): Acclimatising | null {
  const { driest, wettest } = year;
  const off = ({ moisture }: { moisture: number }) =>
    Math.max(driest.moisture - moisture, moisture - wettest.moisture, 0);
  const outside = boards.filter((board) => off(board) > READ_WITHIN).sort((a, b) => off(b) - off(a));
  if (outside.length === 0) return null;
  const bare = findFilm("bare");
  // of boards as thick the farthest off takes longest
  const slowest = [...new Map(outside.toReversed().map((board) => [board.thickness, board])).values()];
  const days = slowest.map(({ moisture, thickness }) => {
    const { mean } = moistureCourse({
      ...{ thickness, species, year, delivered: from, shop: room.still, start: { value: moisture, on: from } },
      room: { above: room.still, below: room.still },
      films: { above: bare, below: bare },
    });
    const inside = (each: number) => each >= driest.moisture - READ_WITHIN && each <= wettest.moisture + READ_WITHIN;
    const reached = mean.findIndex(inside);
    return SAMPLE_DAYS * (reached < 0 ? mean.length : reached);
  });
  return { boards: outside, days: Math.max(...days), from: driest.moisture, to: wettest.moisture };
}
