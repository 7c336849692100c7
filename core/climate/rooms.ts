/** Typical rooms and porches as twelve monthly means, so that a maker without a logger has a year to work with. */

export const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
] as const;

export interface MonthAir {
  temperature: number;
  humidity: number;
} // °C, percent RH

export interface TypicalClimate {
  id: string;
  name: string;
  place: "indoors" | "porch" | "shop";
  source: string;
  months: MonthAir[];
}

const TYPICAL = "common practice: monthly means of rooms of this kind; hang a hygrometer to know yours";

const climate = (
  id: string,
  name: string,
  place: "indoors" | "porch" | "shop",
  { temperatures, humidities }: { temperatures: number[]; humidities: number[] },
): TypicalClimate => ({
  id,
  name,
  place,
  source: TYPICAL,
  months: temperatures.map((temperature, i) => ({ temperature, humidity: humidities[i] })),
});

export const TYPICAL_CLIMATES: TypicalClimate[] = [
  climate("heated-temperate", "Heated house, mild winters", "indoors", {
    temperatures: [20, 20, 20, 20, 21, 22, 23, 23, 21, 20, 20, 20],
    humidities: [36, 35, 38, 42, 48, 55, 59, 60, 56, 50, 43, 38],
  }),
  climate("heated-cold", "Heated house, hard winters", "indoors", {
    temperatures: [20, 20, 20, 20, 21, 23, 24, 24, 21, 20, 20, 20],
    humidities: [25, 25, 29, 36, 45, 54, 58, 58, 52, 43, 33, 27],
  }),
  climate("old-house", "Old stone house, heated by the room", "indoors", {
    temperatures: [16, 16, 17, 18, 19, 21, 22, 22, 20, 18, 17, 16],
    humidities: [55, 54, 53, 54, 58, 62, 65, 66, 65, 62, 59, 57],
  }),
  climate("dry-inland", "Heated house, dry inland", "indoors", {
    temperatures: [20, 20, 21, 21, 22, 24, 25, 25, 23, 21, 20, 20],
    humidities: [28, 28, 27, 26, 27, 27, 31, 33, 30, 28, 28, 28],
  }),
  climate("damp-coast", "House on a damp warm coast", "indoors", {
    temperatures: [21, 21, 22, 23, 24, 25, 26, 26, 25, 24, 22, 21],
    humidities: [53, 53, 55, 56, 60, 64, 65, 66, 64, 60, 56, 54],
  }),
  climate("conditioned", "Conditioned all year, library or museum", "indoors", {
    temperatures: [20, 20, 20, 20, 21, 22, 22, 22, 21, 20, 20, 20],
    humidities: [46, 46, 47, 49, 51, 53, 54, 54, 52, 50, 48, 47],
  }),
  climate("underfloor", "New house, heated floor", "indoors", {
    temperatures: [21, 21, 21, 21, 21, 22, 24, 24, 22, 21, 21, 21],
    humidities: [29, 29, 32, 37, 44, 51, 55, 56, 50, 42, 34, 30],
  }),
  climate("porch-temperate", "Porch under cover, mild climate", "porch", {
    temperatures: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 7, 4],
    humidities: [86, 82, 77, 71, 70, 71, 71, 73, 78, 83, 87, 88],
  }),
  climate("porch-dry", "Porch under cover, dry summers", "porch", {
    temperatures: [8, 9, 12, 14, 18, 23, 26, 26, 22, 17, 12, 9],
    humidities: [74, 69, 63, 60, 55, 47, 42, 43, 51, 62, 71, 75],
  }),
  climate("shop-heated", "Workshop, heated while you work", "shop", {
    temperatures: [15, 15, 16, 17, 19, 21, 23, 23, 20, 18, 16, 15],
    humidities: [50, 48, 48, 50, 53, 57, 59, 60, 60, 57, 54, 51],
  }),
  climate("shop-cold", "Workshop, hardly heated", "shop", {
    temperatures: [8, 8, 10, 13, 16, 19, 21, 21, 18, 14, 10, 8],
    humidities: [68, 66, 63, 60, 60, 62, 63, 64, 67, 70, 71, 70],
  }),
];

export function typicalClimate(id: string): TypicalClimate | null {
  return TYPICAL_CLIMATES.find((each) => each.id === id) ?? null;
}
