import { equilibriumMoisture } from "./equilibrium";
import { MonthAir, MONTHS, typicalClimate, TYPICAL_CLIMATES } from "./rooms";

export type ClimateChoice = { kind: "typical"; id: string } | { kind: "own"; months: MonthAir[] };

export interface YearMonth { month: number; name: string; temperature: number; humidity: number; moisture: number }

/** The room's year as equilibrium moisture; index 0 is January. Means of `moisture` in percent MC. */
export interface MoistureYear { name: string; months: YearMonth[]; driest: YearMonth; wettest: YearMonth; mean: number }

/**
 * Equilibrium moisture month by month from a typical climate or twelve values of one's own.
 * An unknown typical id falls back to the first; own humidities are held between 1 and 99 %.
 */
export function moistureYear(choice: ClimateChoice): MoistureYear {
  const typical = choice.kind === "typical" ? typicalClimate(choice.id) ?? TYPICAL_CLIMATES[0] : null;
  const air = choice.kind === "own" ? choice.months : typical!.months;
  const months = air.map((each, month) => ({
    month, name: MONTHS[month], ...each,
    moisture: equilibriumMoisture(Math.min(60, Math.max(-20, each.temperature)), Math.min(99, Math.max(1, each.humidity)) / 100),
  }));
  const driest = months.reduce((a, b) => (b.moisture < a.moisture ? b : a));
  const wettest = months.reduce((a, b) => (b.moisture > a.moisture ? b : a));
  const mean = months.reduce((sum, each) => sum + each.moisture, 0) / months.length;
  return { name: typical?.name ?? "Own twelve values", months, driest, wettest, mean };
}
