/** The air a piece stands in from shop to room, what it makes of each section, and where that is stopped. */
import { DailyAir, dailyAir, ClimateChoice, moistureYear, MoistureYear } from "../climate/year";
import type { Part } from "../layout/cut-list";
import type { Piece } from "../piece/schema";
import { AS_THE_PIECE, differing, familyOf } from "../piece/kinds";
import type { Species } from "../wood/species";
import { woodOf, Woods } from "../wood/woods";
import { Course, equivalentThickness, moistureCourse, sampleOn } from "./course";
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

/** Percent MC on a day. */
export interface Reading {
  value: number;
  on: string;
}

/** What every section of a piece goes through: its wood, the moisture it began with, the air it stands in, its finish. */
export interface Surroundings {
  species: Species;
  start: TopMovement["start"];
  /** what its own wood was last read at, on another day than the piece's: what it began with follows from it */
  read?: Reading;
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

/** @param reads  the latest reading of each kind of part that has its own */
export function looksOf(
  { kinds, faces }: Pick<Piece, "kinds" | "faces">,
  reads: Readonly<Record<string, Reading>>,
  woods: Woods,
  usual: Surroundings,
): Looks {
  const looks: Looks = { byKind: {}, byKey: {} };
  const chosen = new Map(differing({ kinds }));
  for (const kind of new Set([...chosen.keys(), ...Object.keys(reads)])) {
    const { moisture, finish } = chosen.get(kind) ?? AS_THE_PIECE;
    const species = woodOf(woods, kind, usual.species);
    const start = moisture === null ? usual.start : { ...usual.start, value: moisture };
    const films = finish === null ? usual.films : filmsOf(finish, faces);
    const read = reads[kind];
    const key = [species.id, start.value, finish ?? "", ...(read ? [read.value, read.on] : [])].join("/");
    looks.byKind[kind] = key;
    looks.byKey[key] = { ...usual, species, start, films, ...(read && { read }) };
  }
  return looks;
}

/** The latest reading in a log of each kind of part. @param kindOf  of what was measured; null for a board or the top */
export function readsOf(log: Piece["log"], kindOf: (what: string) => string | null): Record<string, Reading> {
  const reads: Record<string, Reading> = {};
  for (const entry of log) {
    const kind = entry.kind === "moisture" ? kindOf(entry.what) : null;
    if (entry.kind !== "moisture" || kind === null) continue;
    if (!reads[kind] || entry.on >= reads[kind].on) reads[kind] = { value: entry.value, on: entry.on };
  }
  return reads;
}

const lookOf = (byKind: Looks["byKind"], kind: string) => byKind[kind] ?? byKind[familyOf(kind)] ?? "";

/** What a kind of part goes through. */
export const surroundingsOf = (kind: string, { byKind, byKey }: Looks, usual: Surroundings): Surroundings =>
  byKey[lookOf(byKind, kind)] ?? usual;

/** What dries alike: how thick a board would be that dries as fast, and the look of its kind. */
const section = (thickness: number, look: string) => `${thickness}@${look}`;

/** The section of a part, such as "25@": one course each; null for what follows the top. */
export function sectionOf(
  part: Pick<Part, "id" | "role" | "finished">,
  { byKind }: Pick<Looks, "byKind">,
): string | null {
  const look = lookOf(byKind, part.id);
  // what follows the top does so while it is of its wood, its moisture and its finish
  const thickness = dryingThickness(part) ?? (look === "" ? null : part.finished.thickness);
  return thickness === null ? null : section(thickness, look);
}

/** Through the years of one section, alike on all sides. */
export function courseOfSection(name: string, looks: Looks, usual: Surroundings): Course {
  const [thickness, ...look] = name.split("@");
  const around = looks.byKey[look.join("@")] ?? usual;
  return courseOfPart(Number(thickness), { ...around, start: beganAt(Number(thickness), around) });
}

/** Tries that bring a start to what was read later: wood answers nearly in proportion. Ours. */
const TRIES = 4;
/** Less than this share of what wood began with left: nothing is told by a reading. Ours. */
const FORGOTTEN = 0.02;
/** No wood is drier or wetter than this when it is worked, percent MC. @source from memory: oven-dry in a heated winter room, and fibre saturation */
export const WORKED_AT = { driest: 2, wettest: 30 };

/**
 * What a section had on the day the piece's year starts. Read before that day, it went on from there; read after it, it must have begun
 * with what leads to the reading.
 */
export function beganAt(thickness: number, { read, ...around }: Surroundings): Surroundings["start"] {
  const { start } = around;
  if (!read || read.on === start.on) return read ? { ...start, value: read.value } : start;
  if (read.on < start.on) {
    const before = courseOfPart(thickness, { ...around, start: { ...start, ...read } });
    return { ...start, value: before.mean[sampleOn(before, start.on)] };
  }
  const leadsTo = (value: number) => {
    const course = courseOfPart(thickness, { ...around, start: { ...start, value } });
    return course.mean[sampleOn(course, read.on)];
  };
  let [low, value] = [start.value, read.value];
  let there = leadsTo(low);
  for (let i = 0; i < TRIES && Math.abs(value - low) > 1e-3; i += 1) {
    const here = leadsTo(value);
    const slope = (here - there) / (value - low);
    // long in the room, wood has forgotten what it began with, and the reading tells nothing of it
    if (!(slope > FORGOTTEN)) return start;
    [low, there] = [value, here];
    value = Math.min(WORKED_AT.wettest, Math.max(WORKED_AT.driest, value + (read.value - here) / slope));
  }
  return { ...start, value };
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
