import { describe, expect, it } from "vitest";
import { OUTDOOR_PLACES, outdoorMonths, roomMonths } from "./outdoors";
import { humidityRatio } from "./psychrometrics";
import { dailyAir, dayOfYear, moistureYear } from "./year";

const house = { outdoor: "hard-winters", south: false, heatTo: 20, coolTo: null, added: 0 };

describe("a room from the air outside", () => {
  it("keeps the water of the outdoor air where nothing is added (derived: the humidity ratio stays)", () => {
    const [outside, inside] = [outdoorMonths("hard-winters", false), roomMonths(house)];
    outside.forEach((month, i) =>
      expect(humidityRatio(inside[i].temperature, inside[i].humidity / 100)).toBeCloseTo(
        humidityRatio(month.temperature, month.humidity / 100),
        9,
      ),
    );
    expect(inside[0].temperature).toBe(20);
  });
  it("heated in a hard winter it is as dry as a heated house is known to be, by the handbook's averages (Wood Handbook ch. 13, from memory: 6 to 10 % in most interiors)", () => {
    const year = moistureYear({ kind: "house", ...house, added: 2 });
    expect(year.driest.humidity).toBeLessThan(32);
    expect(year.mean).toBeGreaterThan(6);
    expect(year.mean).toBeLessThan(10);
  });
  it("people add most when the windows are shut", () => {
    const [dry, lived] = [roomMonths(house), roomMonths({ ...house, added: 3 })];
    expect(lived[0].humidity - dry[0].humidity).toBeGreaterThan(3 * (lived[6].humidity - dry[6].humidity));
  });
  it("cooling takes the summer down and never over 60 %", () => {
    const cooled = roomMonths({ ...house, outdoor: "damp-warm-coast", coolTo: 24 });
    expect(Math.max(...cooled.map((month) => month.temperature))).toBe(24);
    expect(cooled[7].humidity).toBeLessThanOrEqual(60);
  });
  it("south of the equator the seasons change places", () =>
    expect(outdoorMonths("mild-inland", true)[0]).toEqual(outdoorMonths("mild-inland", false)[6]));
  it("every place has twelve months of possible air", () => {
    for (const { months } of OUTDOOR_PLACES) {
      expect(months).toHaveLength(12);
      for (const { humidity } of months) {
        expect(humidity).toBeGreaterThan(15);
        expect(humidity).toBeLessThan(95);
      }
    }
  });
});

describe("day by day", () => {
  const year = moistureYear({ kind: "typical", id: "heated-temperate" });
  it("goes straight between the middles of the months and keeps their means", () => {
    const { moisture } = dailyAir(year, Array(12).fill(0));
    expect(moisture).toHaveLength(365);
    expect(moisture[dayOfYear("2026-03-16")]).toBeCloseTo(year.months[2].moisture, 1);
    expect(moisture.slice(181, 212).reduce((a, b) => a + b, 0) / 31).toBeCloseTo(year.months[6].moisture, 0);
    expect(Math.abs(moisture[364] - moisture[0])).toBeLessThan(0.1);
  });
  it("a face 6 °C warmer meets drier air, by the same water (by hand: 50 % at 20 °C is 35 % at 26 °C)", () => {
    const own = moistureYear({
      kind: "own",
      months: Array.from({ length: 12 }, () => ({ temperature: 20, humidity: 50 })),
    });
    expect(dailyAir(own, Array(12).fill(6)).moisture[10]).toBeCloseTo(
      moistureYear({ kind: "own", months: Array.from({ length: 12 }, () => ({ temperature: 26, humidity: 34.8 })) })
        .mean,
      1,
    );
  });
  it("counts days", () => {
    expect(dayOfYear("2026-01-01")).toBe(0);
    expect(dayOfYear("2026-12-31")).toBe(364);
    expect(dayOfYear("2028-02-29")).toBe(dayOfYear("2026-02-28"));
  });
  it("a log's missing months come from the climate it names", () => {
    const log = moistureYear({
      kind: "log",
      name: "x",
      from: "2026-01-01",
      to: "2026-01-31",
      readings: 99,
      months: [{ temperature: 18, humidity: 70 }, ...Array.from({ length: 11 }, () => null)],
      fill: "heated-cold",
    });
    expect(log.months[0].humidity).toBe(70);
    expect(log.months[5].humidity).toBe(moistureYear({ kind: "typical", id: "heated-cold" }).months[5].humidity);
  });
});
