/** The air a piece stands in from shop to room, what it makes of each section, and where that is stopped. */
import { DailyAir, dailyAir, ClimateChoice, moistureYear, MoistureYear } from "../climate/year";
import type { TableGeometry } from "../form/leg-and-apron";
import type { LegRailJoint } from "../joinery/tenon";
import type { Piece } from "../piece/schema";
import type { Species } from "../wood/species";
import type { Breadboards } from "./breadboard";
import type { Fastener } from "./buttons";
import { Course, equivalentThickness, moistureCourse } from "./course";
import { FACE_WARMTH } from "./faces";
import type { Film } from "./finish";
import type { Channels } from "./flat";
import { Stop, stops } from "./restraint";
import { CourseName, tableGraph } from "./table-restraint";
import type { TopMovement } from "./year";

/** Samples of a course between two moments at which restraint is judged. */
export const STOP_EVERY = 3;

const STILL = Array.from({ length: 12 }, () => 0);
/** Air of the shop, day by day. */
export const shopAirOf = (climate: ClimateChoice) => dailyAir(moistureYear(climate), STILL);
/** Air at the piece's faces in its room, day by day: still, and where sun or a heater warms it. */
export interface RoomAir {
  still: DailyAir;
  above: DailyAir;
  below: DailyAir;
}
export const roomAirOf = (year: MoistureYear, faces: Piece["faces"]): RoomAir => {
  const still = dailyAir(year, STILL);
  const warmed = (by: readonly number[]) => (by.every((each) => each === 0) ? still : dailyAir(year, by));
  return {
    still,
    above: warmed(FACE_WARMTH.sun(faces.sun, year)),
    below: warmed(FACE_WARMTH.heater(faces.heater, year)),
  };
};

/** The top alone, from whatever day its moisture was known. */
export const courseOfTop = (
  thickness: number,
  species: Species,
  start: TopMovement["start"],
  delivered: string,
  shop: DailyAir,
  room: RoomAir,
  films: { above: Film; below: Film },
  year: MoistureYear,
): Course =>
  moistureCourse({
    thickness,
    species,
    start,
    delivered,
    shop,
    room: { above: room.above, below: room.below },
    films,
    year,
  });

/** Three sections stand for all: the top by its thickness, rails by theirs, legs as bars open on four sides. */
export function coursesOf(
  top: number,
  rail: number,
  leg: number,
  species: Species,
  start: TopMovement["start"],
  delivered: string,
  shop: DailyAir,
  room: RoomAir,
  films: { above: Film; below: Film },
  year: MoistureYear,
): Record<CourseName, Course> {
  const plain = (thickness: number) =>
    courseOfTop(
      thickness,
      species,
      start,
      delivered,
      shop,
      { ...room, above: room.still, below: room.still },
      { above: films.above, below: films.above },
      year,
    );
  return {
    top: courseOfTop(top, species, start, delivered, shop, room, films, year),
    rail: plain(rail),
    leg: plain(equivalentThickness(leg, leg)),
  };
}

/** Every loop of the piece that is stopped at some moment, worst first. */
export function stoppedIn(
  form: Piece["form"],
  joints: Piece["joints"],
  choices: Piece["choices"],
  at: TableGeometry,
  species: Species,
  top: TopMovement,
  legRail: readonly LegRailJoint[],
  fasteners: readonly Fastener[],
  held: { breadboards: Breadboards | null; channels: Channels | null },
  courses: Record<CourseName, Course>,
): Stop[] {
  const { members, links } = tableGraph({
    piece: { form, joints, choices },
    at,
    species,
    top,
    joints: legRail,
    fasteners,
    breadboards: held.breadboards,
    channels: held.channels,
  });
  const sparse = (course: Course) => ({
    start: top.start.value,
    at: course.mean.filter((_, i) => i % STOP_EVERY === 0),
  });
  return stops(members, links, { top: sparse(courses.top), rail: sparse(courses.rail), leg: sparse(courses.leg) });
}
