import type { DailyAir, MoistureYear } from "../climate/year";
import { MONTHS } from "../climate/rooms";
import { dayOfYear, heldTemperature } from "../climate/year";
import type { Species } from "../wood/species";
import { evenSlab, growthTable, meanMoisture, moistureMoment, nextStep, SlabState, stepSlab } from "./diffusion";
import { exchangeAt, Film, GROWTH, STILL_AIR, transverseDiffusivity } from "./finish";

/** Days after delivery that are computed. */
export const COURSE_DAYS = 3 * 365;
/** Days between the samples that are kept, and how many make a year. */
export const SAMPLE_DAYS = 5;
export const SAMPLES_A_YEAR = 365 / SAMPLE_DAYS;
/** The longest stay in the shop that is computed, days. */
const LONGEST_STAY = 800;
/** A piece follows its room when two years running differ by less than this, percent MC. */
const FOLLOWS_WITHIN = 0.1;

/** Air and films from the day the moisture was measured: bare in the shop, finished in its room from delivery. */
export interface CourseInputs {
  /** mm, through which the moisture goes */
  thickness: number;
  species: Species;
  start: { value: number; on: string };
  delivered: string;
  shop: DailyAir;
  room: { above: DailyAir; below: DailyAir };
  films: { above: Film; below: Film };
  year: MoistureYear;
}

export interface CourseDay {
  at: number;
  on: string;
  name: string;
  moisture: number;
}

/** Moisture of one section, sampled every `SAMPLE_DAYS` from the day it was measured. */
export interface Course {
  from: string;
  /** day of delivery, counted from `from` */
  delivered: number;
  mean: number[];
  /** see `moistureMoment`: upper face wetter is positive, percent */
  moment: number[];
  driest: CourseDay;
  wettest: CourseDay;
  /** days after delivery until the past is forgotten: from then on each year is like the last */
  follows: number;
  /** days in its room until half, and nine tenths, of a sudden change has gone through */
  half: number;
  most: number;
}

/**
 * Moisture through the thickness from the day it was measured over at least three years in the room.
 *
 * @returns means in percent MC; see `Course`
 * @source Fick's law, see `stepSlab`; a section that dries from four sides is given an equivalent thickness by the caller
 */
export function moistureCourse(given: CourseInputs): Course {
  const { start, shop, room, species } = given;
  const stay = Math.max(0, Math.min(LONGEST_STAY, daysBetween(start.on, given.delivered)));
  const slab = { thickness: given.thickness / 1000, diffusivity: transverseDiffusivity(species) };
  const growth = growthTable(GROWTH.perPercent);
  const exchange = exchangesOf(given);
  const first = dayOfYear(start.on);
  const state = evenSlab(start.value);
  const mean: number[] = [];
  const moment: number[] = [];
  let since = 0;
  for (let day = 0; day <= stay + COURSE_DAYS; day += 1) {
    if (day % SAMPLE_DAYS === 0) {
      mean.push(millionth(meanMoisture(state)));
      moment.push(millionth(moistureMoment(state)));
    }
    const inRoom = day >= stay;
    if (day === stay) since = 0;
    const of = (first + day) % 365;
    const temperature = inRoom ? (room.above.temperature[of] + room.below.temperature[of]) / 2 : shop.temperature[of];
    const faces = {
      above: inRoom ? room.above.moisture[of] : shop.moisture[of],
      below: inRoom ? room.below.moisture[of] : shop.moisture[of],
      exchangeAbove: inRoom ? exchange.above : STILL_AIR,
      exchangeBelow: inRoom ? exchange.below : STILL_AIR,
      warmth: (1 + GROWTH.perDegree) ** (temperature - 20),
    };
    for (let left = 1; left > 1e-9;) {
      const now = Math.min(nextStep(since), left);
      stepSlab(state, slab, growth, { faces, seconds: now * 86400, fresh: since === 0 });
      left -= now;
      since += now;
    }
  }
  const extreme = (sign: 1 | -1) => sampleDay(start.on, mean, firstExtreme(mean, sign));
  return {
    from: start.on,
    delivered: stay,
    mean,
    moment,
    driest: extreme(-1),
    wettest: extreme(1),
    follows: followsAfter(mean, stay),
    ...response(slab, growth, exchange),
  };
}

/**
 * The first sample that reaches the most (`sign` 1) or the least (−1): years repeat to the last bit, and the first to get there is
 * the one to name.
 */
export function firstExtreme(values: readonly number[], sign: 1 | -1): number {
  return values.reduce((best, each, i) => (sign * (each - values[best]) > SAME ? i : best), 0);
}
/** Percent or mm that nobody can tell apart. */
const SAME = 0.005;
/** Engines differ in the last bit of an exponential; what is kept does not. */
const millionth = (n: number) => Math.round(n * 1e6) / 1e6 + 0;

/** The sample nearest a date, held to what was computed. */
export function sampleOn(course: Pick<Course, "from" | "mean">, on: string): number {
  return Math.max(0, Math.min(course.mean.length - 1, Math.round(daysBetween(course.from, on) / SAMPLE_DAYS)));
}

/** Day of a sample, as a date and a month's name. */
export function sampleDate(from: string, at: number): { on: string; name: string } {
  const on = addDays(from, at * SAMPLE_DAYS);
  return { on, name: MONTHS[Number(on.slice(5, 7)) - 1] };
}

/** Thickness of a slab that answers as slowly as a bar open to the air on all four sides: the slowest mode of a rectangle. mm. */
export const equivalentThickness = (a: number, b: number) => 1 / Math.sqrt(1 / (a * a) + 1 / (b * b));

export const daysBetween = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / 86400000);
export const addDays = (from: string, days: number) =>
  new Date(Date.parse(from) + days * 86400000).toISOString().slice(0, 10);

const sampleDay = (from: string, mean: readonly number[], at: number): CourseDay => ({
  at,
  ...sampleDate(from, at),
  moisture: mean[at],
});

/** Mean warmth of a room, °C, and the humidities it swings between, 0 to 1: what a film's velocity is carried over by. */
export function airSwing({ months }: MoistureYear): { temperature: number; low: number; high: number } {
  const humidities = months.map((each) => each.humidity / 100);
  return {
    temperature: heldTemperature(months.reduce((sum, each) => sum + each.temperature, 0) / months.length),
    low: Math.min(...humidities),
    high: Math.max(...humidities),
  };
}

function exchangesOf({ films, species, year }: CourseInputs): { above: number; below: number } {
  const air = airSwing(year);
  return { above: exchangeAt(films.above, species, air), below: exchangeAt(films.below, species, air) };
}

/** Days after delivery from which no year differs from the next any more. */
function followsAfter(mean: readonly number[], stay: number): number {
  for (let i = mean.length - 1 - SAMPLES_A_YEAR; i >= 0; i -= 1)
    if (Math.abs(mean[i] - mean[i + SAMPLES_A_YEAR]) > FOLLOWS_WITHIN) return Math.max(0, (i + 1) * SAMPLE_DAYS - stay);
  return 0;
}

/** How long a step of the room's air takes to go half, and nine tenths, through the wood. */
function response(
  slab: { thickness: number; diffusivity: number },
  growth: Float64Array,
  exchange: { above: number; below: number },
): { half: number; most: number } {
  const state: SlabState = evenSlab(8);
  const faces = { above: 9, below: 9, exchangeAbove: exchange.above, exchangeBelow: exchange.below, warmth: 1 };
  let half = 0;
  for (let day = 0; day < 3000;) {
    const went = meanMoisture(state) - 8;
    if (went >= 0.5 && half === 0) half = Math.round(day);
    if (went >= 0.9) return { half, most: Math.round(day) };
    const now = Math.max(nextStep(day), day * 0.05);
    stepSlab(state, slab, growth, { faces, seconds: now * 86400, fresh: day === 0 });
    day += now;
  }
  return { half: half || 3000, most: 3000 };
}
