/**
 * A pin meter's reading corrected for temperature and species.
 *
 * Meters are set for Douglas-fir at 20 °C or so. Warm wood conducts better and reads high, cold wood low; other woods are off
 * by an amount that the meter's own table names, which is added as `offset`.
 *
 * @param reading      percent, on the scale for Douglas-fir
 * @param temperature  °C of the wood
 * @param offset       percent, from the meter's species table; 0 for Douglas-fir
 * @returns percent MC, good from 6 to 25 %: beyond that resistance tells little
 * @source Garrahan's form of the correction for resistance meters, from memory; the species offset is the meter maker's
 */
export function corrected(reading: number, temperature: number, offset: number): number {
  const atWarmth =
    (reading + 0.567 - 0.026 * temperature + 0.000051 * temperature ** 2) / (0.881 * 1.0056 ** temperature);
  return atWarmth + offset;
}

/** Moisture between which a pin meter can be believed, percent. @source common practice: below 6 it hardly conducts, above 25 it saturates */
export const METER_RANGE = { low: 6, high: 25 };
