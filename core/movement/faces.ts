import type { MoistureYear } from "../climate/year";
import type { Piece } from "../piece/schema";
import { Film, findFilm } from "./finish";

/** Warmth that a heater gives the face above it at full heating, and the sun the face below it, °C as a monthly mean. @source common practice: a hand's breadth over a radiator runs 5 to 10 warmer; sun for some hours a day, 3 to 5 in the mean */
const WARMTH = { heater: 6, sun: 4 };
/** The sun's share of its mean in summer, and in the rest of the year; summer is within so many °C of the warmest month. @source common practice */
const SUN = { summer: 1.5, else: 0.7, within: 1.5 };
/** Months in which a room is heated: the driest half of the year. @source common practice */
const HEATED_MONTHS = 6;

/** °C above the air by month, January first. A heater warms in the months that are heated, the sun most in the warm ones. */
export const FACE_WARMTH = {
  heater(kind: Piece["faces"]["heater"], year: MoistureYear): number[] {
    const driest = [...year.months]
      .sort((a, b) => a.moisture - b.moisture)
      .slice(0, HEATED_MONTHS)
      .map((each) => each.month);
    return year.months.map((each) => (kind === "heater" && driest.includes(each.month) ? WARMTH.heater : 0));
  },
  sun(kind: Piece["faces"]["sun"], year: MoistureYear): number[] {
    const warmest = Math.max(...year.months.map((each) => each.temperature));
    return year.months.map((each) =>
      kind === "sun" ? WARMTH.sun * (warmest - each.temperature < SUN.within ? SUN.summer : SUN.else) : 0,
    );
  },
};

/** Films above and below the top: alike, one coat below, or bare below. */
export function filmsOf(finish: Piece["finish"], faces: Piece["faces"]): { above: Film; below: Film } {
  const above = findFilm(finish);
  if (faces.below === "alike" || above.exchange === null) return { above, below: above };
  if (faces.below === "bare") return { above, below: findFilm("bare") };
  return { above, below: oneCoat(above) };
}

/** One coat where three make the film: a film's resistance grows faster than its coats. @source fitted: one coat of varnish against three, Wood Handbook FPL-GTR-282, ch. 16, from memory */
function oneCoat(film: Film): Film {
  const ratio = findFilm("varnish-one").exchange! / findFilm("varnish").exchange!;
  return {
    ...film,
    id: `${film.id}-one`,
    name: `${film.name}, one coat`,
    exchange: Math.min(findFilm("wax").exchange!, film.exchange! * ratio),
  };
}
