import type { MonthAir } from "./rooms";
import { humidityRatio, relativeHumidity } from "./psychrometrics";

/** Twelve outdoor months of a kind of place. °C and percent RH, January first; turned round by six months south of the equator. */
export interface OutdoorPlace {
  id: string;
  name: string;
  source: string;
  months: MonthAir[];
}

/** What a house does to the outdoor air. `coolTo` null: no cooling. `added`: water that people, plants and kitchens give it, g a kg of air. */
export interface House {
  outdoor: string;
  south: boolean;
  heatTo: number;
  coolTo: number | null;
  added: number;
}

/** Humidity a cooling plant brings a room down to, percent. @source common practice */
const COOLED_TO = 60;
/** An unheated house stands so much warmer than the day's mean outside, °C. @source common practice: sun through windows, people, lamps */
const WARMER_INSIDE = 2;
/** Share of the added water that stays once windows stand open. @source EN ISO 13788, from memory: the excess falls from its winter value at 0 °C to little at 20 °C outside */
const SUMMER_SHARE = 0.1;
/** What people, plants and kitchens usually add, g a kg of air. @source common practice: 1 to 3 in a lived-in house */
export const USUAL_ADDED = 1.5;

const SOURCE = "common practice: monthly means of places of this kind, from memory; a weather office has the true ones";
const place = (id: string, name: string, temperatures: number[], humidities: number[]): OutdoorPlace => ({
  id,
  name,
  source: SOURCE,
  months: temperatures.map((temperature, i) => ({ temperature, humidity: humidities[i] })),
});

export const OUTDOOR_PLACES: OutdoorPlace[] = [
  place(
    "mild-coast",
    "Mild coast, wet winters",
    [5, 5, 7, 9, 12, 15, 17, 17, 15, 11, 8, 6],
    [86, 83, 80, 76, 75, 76, 77, 78, 81, 84, 87, 87],
  ),
  place(
    "mild-inland",
    "Mild inland",
    [1, 2, 6, 10, 14, 17, 19, 19, 15, 10, 5, 2],
    [86, 81, 75, 69, 69, 70, 70, 72, 78, 83, 87, 88],
  ),
  place(
    "hard-winters",
    "Hard winters, warm summers",
    [-6, -5, 1, 8, 14, 19, 22, 21, 16, 9, 3, -3],
    [77, 74, 70, 65, 66, 68, 69, 72, 74, 73, 77, 79],
  ),
  place(
    "very-hard-winters",
    "Very hard winters",
    [-14, -12, -5, 3, 10, 15, 18, 16, 10, 4, -4, -11],
    [82, 80, 74, 66, 61, 65, 70, 75, 80, 84, 86, 84],
  ),
  place(
    "dry-highland",
    "Dry highland",
    [-1, 1, 5, 9, 14, 19, 23, 22, 17, 11, 4, 0],
    [55, 53, 47, 43, 42, 38, 38, 40, 42, 46, 53, 56],
  ),
  place(
    "dry-summers",
    "Dry summers, mild winters",
    [9, 10, 12, 14, 18, 22, 25, 25, 22, 18, 13, 10],
    [75, 70, 65, 61, 57, 50, 45, 47, 54, 63, 72, 76],
  ),
  place(
    "damp-warm-coast",
    "Damp warm coast",
    [14, 15, 18, 21, 24, 27, 28, 28, 26, 22, 18, 15],
    [75, 74, 74, 74, 76, 78, 79, 80, 79, 76, 75, 76],
  ),
  place(
    "hot-desert",
    "Hot desert",
    [12, 14, 17, 22, 27, 32, 34, 33, 30, 24, 17, 12],
    [50, 44, 38, 29, 23, 20, 29, 33, 30, 31, 40, 50],
  ),
];

export function outdoorPlace(id: string): OutdoorPlace | null {
  return OUTDOOR_PLACES.find((each) => each.id === id) ?? null;
}

/** The outdoor year of a place, seasons turned round in the south. An unknown id falls back to the first. */
export function outdoorMonths(id: string, south: boolean): MonthAir[] {
  const { months } = outdoorPlace(id) ?? OUTDOOR_PLACES[0];
  return south ? months.map((_, i) => months[(i + 6) % 12]) : months;
}

/**
 * The room's year from the outdoor year: the same water in the air, and what is added, at the temperature the house keeps.
 *
 * @returns twelve months, °C and percent RH, held between 1 and 99
 * @source derived: humidity ratio is kept, ASHRAE Handbook, Fundamentals, ch. 1
 */
export function roomMonths({ outdoor, south, heatTo, coolTo, added }: House): MonthAir[] {
  return outdoorMonths(outdoor, south).map(({ temperature, humidity }) => {
    const free = temperature + WARMER_INSIDE;
    const cooled = coolTo !== null && free > coolTo;
    const inside = Math.max(heatTo, cooled ? coolTo : free);
    const closed = Math.min(1, Math.max(0, 1 - temperature / 20));
    const kept = SUMMER_SHARE + (1 - SUMMER_SHARE) * closed;
    const relative = 100 * relativeHumidity(inside, humidityRatio(temperature, humidity / 100) + (added * kept) / 1000);
    return {
      temperature: inside,
      humidity: Math.min(99, Math.max(1, cooled ? Math.min(relative, COOLED_TO) : relative)),
    };
  });
}
