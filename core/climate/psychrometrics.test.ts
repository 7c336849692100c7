import { describe, expect, it } from "vitest";
import psychrolib from "psychrolib";
import { seeded } from "../units/seeded";
import { ATMOSPHERE, atTemperature, humidityRatio, relativeHumidity, saturationPressure } from "./psychrometrics";

psychrolib.SetUnitSystem(psychrolib.SI);

describe("moist air against the psychrolib package, 200 random states, within 0.1 %", () => {
  const next = seeded(11);
  const states = Array.from({ length: 200 }, () => ({ t: -20 + 65 * next(), h: 0.05 + 0.93 * next() }));
  it.each([
    ["saturation pressure", (t: number) => [saturationPressure(t), psychrolib.GetSatVapPres(t)]],
    [
      "humidity ratio",
      (t: number, h: number) => [humidityRatio(t, h), psychrolib.GetHumRatioFromRelHum(t, h, ATMOSPHERE)],
    ],
    [
      "relative humidity",
      (t: number, h: number) => {
        const w = psychrolib.GetHumRatioFromRelHum(t, h, ATMOSPHERE);
        return [relativeHumidity(t, w), psychrolib.GetRelHumFromHumRatio(t, w, ATMOSPHERE)];
      },
    ],
    [
      "relative humidity of the same air, warmed by 12 °C",
      (t: number, h: number) => {
        const w = psychrolib.GetHumRatioFromRelHum(t, h, ATMOSPHERE);
        return [atTemperature(h, t, t + 12), psychrolib.GetRelHumFromHumRatio(t + 12, w, ATMOSPHERE)];
      },
    ],
  ])("%s", (_, pair) => {
    for (const { t, h } of states) {
      const [ours, theirs] = pair(t, h);
      expect(Math.abs(ours / theirs - 1), `${t} °C, ${h}`).toBeLessThan(0.001);
    }
  });
});

it("air that can hold no more stays at saturation", () => expect(relativeHumidity(5, 0.02)).toBe(1));
