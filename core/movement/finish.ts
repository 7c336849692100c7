import { equilibriumMoisture } from "../climate/equilibrium";
import { saturationPressure } from "../climate/psychrometrics";
import type { Species } from "../wood/species";

/** What holds vapour back at a face. `exchange` is the film's velocity in m/s on the wood it was measured on; null for no film. */
export interface Film {
  id: string;
  name: string;
  exchange: number | null;
  source: string;
}

const EFFECTIVENESS =
  "fitted to the moisture-excluding effectiveness of Wood Handbook FPL-GTR-282, ch. 16, from memory";

/**
 * One velocity a finish, fitted so that 19 mm ponderosa pine going from 30 to 90 % humidity at 26.7 °C shows the published
 * effectiveness after 1, 7 and 14 days; the fit is within 4 points of each value.
 */
export const FILMS: Film[] = [
  { id: "bare", name: "Bare wood", exchange: null, source: "common practice" },
  { id: "wax", name: "Paste wax", exchange: 3.6e-7, source: EFFECTIVENESS },
  { id: "oil", name: "Linseed oil", exchange: 1.45e-7, source: EFFECTIVENESS },
  { id: "tung-oil", name: "Tung oil", exchange: 6.6e-8, source: EFFECTIVENESS },
  {
    id: "oil-wax",
    name: "Oil-wax",
    exchange: 5e-8,
    source: "common practice: taken between tung oil and one coat of varnish",
  },
  { id: "varnish-one", name: "Varnish, one coat", exchange: 5.5e-8, source: EFFECTIVENESS },
  {
    id: "lacquer",
    name: "Lacquer",
    exchange: 1.74e-8,
    source: `${EFFECTIVENESS}, for nitrocellulose; water-based taken alike`,
  },
  { id: "shellac", name: "Shellac", exchange: 7.6e-9, source: EFFECTIVENESS },
  { id: "varnish", name: "Varnish, three coats", exchange: 7.2e-9, source: EFFECTIVENESS },
];

/** Velocity of exchange of still room air at bare wood, m/s. @source common practice: 3e-7 or more */
export const STILL_AIR = 3e-7;
/** The wood and air the films were measured on. @source Wood Handbook FPL-GTR-282, ch. 16, from memory */
export const MEASURED_ON = { thickness: 19, density: 450, temperature: 26.7, humidity: { from: 0.3, to: 0.9 } };
/** Growth of diffusivity a percent MC, and a °C. @source common practice: 13 % a percent, half again per 10 °C */
export const GROWTH = { perPercent: 0.13, perDegree: 1.5 ** 0.1 - 1 };

/**
 * Diffusivity of moisture across the grain at 20 °C and 10 % MC.
 *
 * @returns m²/s
 * @source common practice, order of magnitude: 2 to 3e-10 in softwood and light hardwood, 0.5 to 1e-10 in oak and beech, joined by an exponential in density
 */
export function transverseDiffusivity(species: Pick<Species, "density">): number {
  return 2.5e-10 * Math.exp((440 - species.density) / 250);
}

/** Rise of equilibrium moisture a unit of relative humidity, percent, between two humidities. */
export const isothermSlope = (temperature: number, from: number, to: number) =>
  (equilibriumMoisture(temperature, to) - equilibriumMoisture(temperature, from)) / (to - from);

/**
 * Velocity of exchange at a face of this wood in this air: film and still air, one resistance after the other.
 *
 * A film passes vapour, not percent: the same film takes longer to fill a denser wood or one whose isotherm is steeper, and
 * passes less where cool air holds less vapour.
 *
 * @param air  mean temperature, °C, and the humidities it swings between, 0 to 1
 * @returns m/s
 * @source derived from the films' fit: 1/s = 1/s_air + 1/s_film
 */
export function exchangeAt(
  film: Film,
  species: Pick<Species, "density">,
  air: { temperature: number; low: number; high: number },
): number {
  if (film.exchange === null) return STILL_AIR;
  const { temperature, humidity, density } = MEASURED_ON;
  const [low, high] =
    air.high - air.low > 0.02 ? [air.low, air.high] : [Math.max(0.02, air.low - 0.02), Math.min(0.98, air.high + 0.02)];
  const steeper = isothermSlope(temperature, humidity.from, humidity.to) / isothermSlope(air.temperature, low, high);
  const scaled =
    film.exchange *
    (density / species.density) *
    steeper *
    (saturationPressure(air.temperature) / saturationPressure(temperature));
  return 1 / (1 / STILL_AIR + 1 / scaled);
}

export function findFilm(id: string): Film {
  return FILMS.find((each) => each.id === id) ?? FILMS[0];
}
