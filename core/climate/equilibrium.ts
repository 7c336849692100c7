/**
 * Moisture content at which wood neither gains nor loses water in still air.
 *
 * @param temperature       °C
 * @param relativeHumidity  0 to 1; at 1 the formula gives its limit just below saturation
 * @returns percent of dry mass
 * @throws RangeError outside −20 to 100 °C or 0 to 1
 * @source Wood Handbook FPL-GTR-282, Eq. 4-5 (Hailwood and Horrobin's isotherm), from memory
 */
export function equilibriumMoisture(temperature: number, relativeHumidity: number): number {
  if (!(relativeHumidity >= 0 && relativeHumidity <= 1))
    throw new RangeError(`Relative humidity is a share from 0 to 1, not ${relativeHumidity}.`);
  if (!(temperature >= -20 && temperature <= 100))
    throw new RangeError(`Temperature runs from −20 to 100 °C here, not ${temperature}.`);
  const t = temperature;
  const h = Math.min(relativeHumidity, 0.99);
  const w = 349 + 1.29 * t + 0.0135 * t * t;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = k * h;
  const first = k1 * kh;
  const second = k1 * k2 * kh * kh;
  return (1800 / w) * (kh / (1 - kh) + (first + 2 * second) / (1 + first + second));
}
