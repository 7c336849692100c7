import { equilibriumMoisture } from "./equilibrium";
import { House, outdoorMonths, outdoorPlace, roomMonths } from "./outdoors";
import { atTemperature } from "./psychrometrics";
import { MonthAir, MONTHS, typicalClimate, TYPICAL_CLIMATES } from "./rooms";

/** Where a year's air comes from. A `log` has the months its readings cover; the others come from the climate named in `fill`. */
export type ClimateChoice =
  | { kind: "typical"; id: string }
  | { kind: "own"; months: MonthAir[] }
  | ({ kind: "house" } & House)
  | { kind: "outdoors"; outdoor: string; south: boolean }
  | {
      kind: "log";
      name: string;
      from: string;
      to: string;
      readings: number;
      months: (MonthAir | null)[];
      fill: string;
    };

export interface YearMonth {
  month: number;
  name: string;
  temperature: number;
  humidity: number;
  moisture: number;
}

/** The room's year as equilibrium moisture; index 0 is January. Means of `moisture` in percent MC. */
export interface MoistureYear {
  name: string;
  months: YearMonth[];
  driest: YearMonth;
  wettest: YearMonth;
  mean: number;
  outdoors: boolean;
}

/**
 * Equilibrium moisture month by month. An unknown id falls back to the first of its list; humidities are held between 1 and 99 %.
 */
export function moistureYear(choice: ClimateChoice): MoistureYear {
  const { name, air, outdoors } = airOf(choice);
  const months = air.map((each, month) => ({
    month,
    name: MONTHS[month],
    ...each,
    moisture: held(each.temperature, each.humidity / 100),
  }));
  const driest = months.reduce((a, b) => (b.moisture < a.moisture ? b : a));
  const wettest = months.reduce((a, b) => (b.moisture > a.moisture ? b : a));
  const mean = months.reduce((sum, each) => sum + each.moisture, 0) / months.length;
  return { name, months, driest, wettest, mean, outdoors };
}

function airOf(choice: ClimateChoice): { name: string; air: MonthAir[]; outdoors: boolean } {
  switch (choice.kind) {
    case "typical": {
      const typical = typicalClimate(choice.id) ?? TYPICAL_CLIMATES[0];
      return { name: typical.name, air: typical.months, outdoors: typical.place === "porch" };
    }
    case "own":
      return { name: "Own twelve values", air: choice.months, outdoors: false };
    case "house":
      return {
        name: `House, ${(outdoorPlace(choice.outdoor)?.name ?? "outdoors").toLowerCase()}`,
        air: roomMonths(choice),
        outdoors: false,
      };
    case "outdoors":
      return {
        name: `Under cover outdoors, ${(outdoorPlace(choice.outdoor)?.name ?? "").toLowerCase()}`,
        air: outdoorMonths(choice.outdoor, choice.south),
        outdoors: true,
      };
    case "log": {
      const fill = (typicalClimate(choice.fill) ?? TYPICAL_CLIMATES[0]).months;
      return { name: `Log of ${choice.name}`, air: choice.months.map((month, i) => month ?? fill[i]), outdoors: false };
    }
  }
}

/** Warmth on a face beyond the air's own, °C by month, January first. */
export type FaceWarmth = readonly number[];

/** A year of air as the wood's face meets it: `temperature` °C and `moisture` (equilibrium, percent MC) for each of 365 days. */
export interface DailyAir {
  temperature: number[];
  moisture: number[];
}

/**
 * Day by day between the months' middles, with a face kept warmer than the air where something warms it.
 *
 * @param warmth  °C above the air, by month; the air's water stays the same
 * @returns 365 days, 1 January first; straight lines between the middles of the months
 */
export function dailyAir(year: MoistureYear, warmth: FaceWarmth): DailyAir {
  const monthly = year.months.map(({ temperature, humidity }, i) => {
    const t = Math.min(60, temperature + warmth[i]);
    return { t, m: held(t, atTemperature(humidity / 100, temperature, t)) };
  });
  const temperature: number[] = [];
  const moisture: number[] = [];
  for (let day = 0; day < 365; day += 1) {
    const next = MIDDLES.findIndex((middle) => middle > day + 0.5);
    const [a, b] = next <= 0 ? [11, 0] : [next - 1, next];
    const from = next === 0 ? MIDDLES[11] - 365 : MIDDLES[a];
    const to = next === -1 ? MIDDLES[0] + 365 : MIDDLES[b];
    const share = (day + 0.5 - from) / (to - from);
    temperature.push(monthly[a].t + (monthly[b].t - monthly[a].t) * share);
    moisture.push(monthly[a].m + (monthly[b].m - monthly[a].m) * share);
  }
  return { temperature, moisture };
}

const LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const MIDDLES = LENGTHS.map((length, i) => LENGTHS.slice(0, i).reduce((a, b) => a + b, 0) + length / 2);

/** Day of the year, 0 to 364, of an ISO date; 29 February counts as the 28th. */
export function dayOfYear(iso: string): number {
  const month = Number(iso.slice(5, 7)) - 1;
  return LENGTHS.slice(0, month).reduce((a, b) => a + b, 0) + Math.min(LENGTHS[month], Number(iso.slice(8, 10))) - 1;
}

/** A temperature as far as the isotherm goes: colder or hotter wood is taken as at its end, °C. */
export const heldTemperature = (temperature: number) => Math.min(60, Math.max(-20, temperature));
const held = (temperature: number, humidity: number) =>
  equilibriumMoisture(heldTemperature(temperature), Math.min(0.99, Math.max(0.01, humidity)));
