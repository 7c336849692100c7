import { describe, expect, it } from "vitest";
import { moistureYear } from "./year";
import { TYPICAL_CLIMATES } from "./rooms";

// Wood Handbook FPL-GTR-282 ch. 13, recommended installation averages, from memory: range of the mean for each kind of region.
const BANDS: Record<string, [number, number]> = {
  "heated-temperate": [6, 10],
  "heated-cold": [6, 10],
  underfloor: [6, 10],
  conditioned: [6, 10],
  "dry-inland": [4, 9],
  "damp-coast": [8, 13],
};

describe("typical rooms against the Wood Handbook's installation averages (ch. 13, from memory)", () => {
  it.each(Object.entries(BANDS))("%s", (id, [low, high]) => {
    const { mean } = moistureYear({ kind: "typical", id });
    expect(mean).toBeGreaterThanOrEqual(low);
    expect(mean).toBeLessThanOrEqual(high);
  });
  it("every climate has twelve months and a dry month drier than its wet one", () => {
    for (const each of TYPICAL_CLIMATES) {
      expect(each.months).toHaveLength(12);
      const year = moistureYear({ kind: "typical", id: each.id });
      expect(year.driest.moisture).toBeLessThan(year.wettest.moisture);
    }
  });
});

it("twelve values of one's own give their own extremes", () => {
  const months = Array.from({ length: 12 }, (_, i) => ({
    temperature: 20,
    humidity: i === 4 ? 70 : i === 9 ? 30 : 50,
  }));
  const year = moistureYear({ kind: "own", months });
  expect(year.wettest.name).toBe("May");
  expect(year.driest.name).toBe("October");
});
