/** The air a piece stands in from shop to room, what it makes of each section, and where that is stopped. */
import { DailyAir, dailyAir, ClimateChoice, moistureYear, MoistureYear } from "../climate/year";
import type { Part } from "../layout/cut-list";
import type { Piece } from "../piece/schema";
import { differing } from "../piece/kinds";
import type { Species } from "../wood/species";
import { woodOf, Woods } from "../wood/woods";
import { Course, equivalentThickness, moistureCourse } from "./course";
import { FACE_WARMTH, filmsOf } from "./faces";
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

/** Surroundings of the kinds of part that differ from the piece, each told by a key; kinds that are alike share one. */
export interface Looks {
  byKind: Record<string, string>;
  byKey: Record<string, Surroundings>;
}

export function looksOf(kinds: Piece["kinds"], faces: Piece["faces"], woods: Woods, usual: Surroundings): Looks {
  const looks: Looks = { byKind: {}, byKey: {} };
  for (const [kind, { moisture, finish }] of differing({ kinds })) {
    const species = woodOf(woods, kind, usual.species);
    const start = moisture === null ? usual.start : { ...usual.start, value: moisture };
    const films = finish === null ? usual.films : filmsOf(finish, faces);
    const key = [species.id, start.value, finish ?? ""].join("/");
    looks.byKind[kind] = key;
    looks.byKey[key] = { ...usual, species, start, films };
  }
  return looks;
}

/** What a kind of part goes through. */
export const surroundingsOf = (kind: string, { byKind, byKey }: Looks, usual: Surroundings): Surroundings =>
  byKey[byKind[kind] ?? ""] ?? usual;

/** What dries alike: how thick a board would be that dries as fast, and the look of its kind. */
const section = (thickness: number, look: string) => `${thickness}@${look}`;

/** The section of a part, such as "25@": one course each; null for what follows the top. */
export function sectionOf(
  part: Pick<Part, "id" | "role" | "finished">,
  { byKind }: Pick<Looks, "byKind">,
): string | null {
  const look = byKind[part.id] ?? "";
  // what follows the top does so while it is of its wood, its moisture and its finish
  const thickness = dryingThickness(part) ?? (look === "" ? null : part.finished.thickness);
  return thickness === null ? null : section(thickness, look);
}

/** Through the years of one section, alike on all sides. */
export function courseOfSection(name: string, looks: Looks, usual: Surroundings): Course {
  const [thickness, ...look] = name.split("@");
  return courseOfPart(Number(thickness), looks.byKey[look.join("@")] ?? usual);
}

/** Moisture of each kind of part, and of the top. One course for each distinct section. */
export function coursesByKind(
  parts: readonly Part[],
  top: Course,
  bySection: ReadonlyMap<string, Course>,
  looks: Looks,
): Record<string, Course> {
  return Object.fromEntries([
    ["top", top],
    ...parts.map((part) => [part.id, bySection.get(sectionOf(part, looks) ?? "") ?? top] as const),
  ]);
}

/** The thinnest part's course, which what is inset goes by: doors and drawers are as thin. */
export function thinnestCourse(bySection: ReadonlyMap<string, Course>, top: Course): Course {
  const thin = Math.min(...[...bySection.keys()].filter((each) => each.endsWith("@")).map((each) => parseFloat(each)));
  return bySection.get(section(thin, "")) ?? top;
}

/** Every loop of the piece that is stopped at some moment, worst first. */
export function stoppedIn(facts: GraphFacts, courses: Record<string, Course>): Stop[] {
  const { members, links } = graphOf(facts);
  const sparse = (course: Course) => ({
    start: course.mean[0],
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
