/** Moist air at sea level: what becomes of outdoor air when a house warms it. */

/** Standard atmosphere, Pa. @source ASHRAE Handbook, Fundamentals, ch. 1 */
export const ATMOSPHERE = 101325;
/** Mass of water vapour against dry air of the same volume and pressure. @source ASHRAE Handbook, Fundamentals, ch. 1 */
const VAPOUR_TO_AIR = 0.621945;

/**
 * Pressure of water vapour over ice (below 0.01 °C) or water at saturation.
 *
 * @param temperature  °C, −100 to 200
 * @returns Pa
 * @source ASHRAE Handbook, Fundamentals, ch. 1, Eq. 5 and 6 (Hyland and Wexler); held against the psychrolib package
 */
export function saturationPressure(temperature: number): number {
  const t = temperature + 273.15;
  if (temperature <= 0.01) {
    return Math.exp(
      -5674.5359 / t +
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t * t +
        2.0747825e-9 * t ** 3 -
        9.484024e-13 * t ** 4 +
        4.1635019 * Math.log(t),
    );
  }
  return Math.exp(
    -5800.2206 / t +
      1.3914993 -
      4.8640239e-2 * t +
      4.1764768e-5 * t * t -
      1.4452093e-8 * t ** 3 +
      6.5459673 * Math.log(t),
  );
}

/**
 * Water in the air.
 *
 * @param temperature       °C
 * @param relativeHumidity  0 to 1
 * @returns kg of vapour a kg of dry air
 * @source ASHRAE Handbook, Fundamentals, ch. 1, Eq. 20
 */
export function humidityRatio(temperature: number, relativeHumidity: number, pressure = ATMOSPHERE): number {
  const vapour = relativeHumidity * saturationPressure(temperature);
  return (VAPOUR_TO_AIR * vapour) / (pressure - vapour);
}

/** Relative humidity, 0 to 1, of air that holds `ratio` kg a kg at `temperature` °C; never above 1, where it would rain out. */
export function relativeHumidity(temperature: number, ratio: number, pressure = ATMOSPHERE): number {
  return Math.min(1, (pressure * ratio) / ((VAPOUR_TO_AIR + ratio) * saturationPressure(temperature)));
}

/** Relative humidity of the same air brought to another temperature, 0 to 1: what a heater below or the sun above makes of it. */
export function atTemperature(relative: number, from: number, to: number): number {
  return Math.min(1, (relative * saturationPressure(from)) / saturationPressure(to));
}
