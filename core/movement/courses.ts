/** The air a piece stands in from shop to room, what it makes of each section, and where that is stopped. */
import { DailyAir, dailyAir, ClimateChoice, moistureYear, MoistureYear } from "../climate/year";
import type { Part } from "../layout/cut-list";
import type { Piece } from "../piece/schema";
import type { Species } from "../wood/species";
import { Course, equivalentThickness, moistureCourse } from "./course";
import { FACE_WARMTH } from "./faces";
import type { Film } from "./finish";
import { Stop, stops } from "./restraint";
import { GraphFacts, graphOf } from "./graph";
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

/** What every section of a piece goes through: its wood, the moisture it began with, the air it stands in, its finish. */
export interface Surroundings {
  species: Species;
  start: TopMovement["start"];
  delivered: string;
  shop: DailyAir;
  room: RoomAir;
  films: { above: Film; below: Film };
  year: MoistureYear;
}

/** The top, whose faces may differ. @param thickness  mm */
export const courseOfTop = (thickness: number, { room, ...rest }: Surroundings): Course =>
  moistureCourse({ thickness, ...rest, room: { above: room.above, below: room.below } });

/** Any other part, alike on all sides. @param thickness  mm, see `dryingThickness` */
export const courseOfPart = (thickness: number, { room, films, ...rest }: Surroundings): Course =>
  moistureCourse({
    thickness,
    ...rest,
    room: { above: room.still, below: room.still },
    films: { above: films.above, below: films.above },
  });

/** How thick a board would be that dries as fast: sticks are open on four sides. @returns null for what follows the top */
export function dryingThickness({ id, role, finished }: Pick<Part, "id" | "role" | "finished">): number | null {
  if (role === "leg" || role === "post") return equivalentThickness(finished.width, finished.thickness);
  return role === "rail" || (role === "panel" && id !== "top") ? finished.thickness : null;
}

/** Moisture of each kind of part, and of the top. One course for each distinct thickness. */
export function coursesByKind(
  parts: readonly Part[],
  top: Course,
  byThickness: ReadonlyMap<number, Course>,
): Record<string, Course> {
  return Object.fromEntries([
    ["top", top],
    ...parts.map((part) => [part.id, byThickness.get(dryingThickness(part) ?? NaN) ?? top] as const),
  ]);
}

/** The thinnest part's course, which what is inset goes by: doors and drawers are as thin. */
export function thinnestCourse(byThickness: ReadonlyMap<number, Course>, top: Course): Course {
  const thin = Math.min(...byThickness.keys());
  return byThickness.get(thin) ?? top;
}

/** Every loop of the piece that is stopped at some moment, worst first. */
export function stoppedIn(facts: GraphFacts, courses: Record<string, Course>): Stop[] {
  const { members, links } = graphOf(facts);
  const sparse = (course: Course) => ({
    start: facts.top.start.value,
    at: course.mean.filter((_, i) => i % STOP_EVERY === 0),
  });
  const histories = new Map<Course, ReturnType<typeof sparse>>();
  const of = (course: Course) => {
    const known = histories.get(course) ?? sparse(course);
    histories.set(course, known);
    return known;
  };
  return stops(members, links, Object.fromEntries(Object.entries(courses).map(([kind, course]) => [kind, of(course)])));
}
