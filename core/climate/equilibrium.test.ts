import { describe, expect, it } from "vitest";
import { equilibriumMoisture } from "./equilibrium";

// Wood Handbook FPL-GTR-282, Table 4-2, from memory: rows by °C, columns 20 to 90 % RH in steps of 5.
const TABLE: [number, number[]][] = [
  [-1.1, [4.6, 5.5, 6.3, 7.1, 7.9, 8.7, 9.5, 10.4, 11.3, 12.4, 13.5, 14.9, 16.5, 18.5, 21.0]],
  [4.4, [4.6, 5.5, 6.3, 7.1, 7.9, 8.7, 9.5, 10.4, 11.3, 12.3, 13.5, 14.9, 16.5, 18.5, 21.0]],
  [10, [4.6, 5.5, 6.3, 7.1, 7.9, 8.7, 9.5, 10.3, 11.2, 12.3, 13.4, 14.8, 16.4, 18.4, 20.9]],
  [15.6, [4.6, 5.4, 6.2, 7.0, 7.8, 8.6, 9.4, 10.2, 11.1, 12.1, 13.3, 14.6, 16.2, 18.2, 20.7]],
  [21.1, [4.5, 5.4, 6.2, 6.9, 7.7, 8.5, 9.2, 10.1, 11.0, 12.0, 13.1, 14.4, 16.0, 17.9, 20.5]],
  [26.7, [4.4, 5.3, 6.1, 6.8, 7.6, 8.3, 9.1, 9.9, 10.8, 11.7, 12.9, 14.2, 15.7, 17.7, 20.2]],
  [32.2, [4.3, 5.1, 5.9, 6.7, 7.4, 8.1, 8.9, 9.7, 10.5, 11.5, 12.6, 13.9, 15.4, 17.3, 19.8]],
  [37.8, [4.2, 5.0, 5.8, 6.5, 7.2, 7.9, 8.7, 9.5, 10.3, 11.2, 12.3, 13.6, 15.1, 17.0, 19.5]],
  [43.3, [4.0, 4.9, 5.6, 6.3, 7.0, 7.7, 8.4, 9.2, 10.0, 11.0, 12.0, 13.2, 14.7, 16.6, 19.1]],
  [48.9, [3.9, 4.7, 5.4, 6.1, 6.8, 7.5, 8.2, 8.9, 9.7, 10.6, 11.7, 12.9, 14.4, 16.2, 18.6]],
];

describe("equilibrium moisture against Wood Handbook Table 4-2, 150 cells from memory, within 0.15", () => {
  for (const [temperature, row] of TABLE) {
    it(`${temperature} °C`, () =>
      row.forEach((published, i) => {
        expect(Math.abs(equilibriumMoisture(temperature, (20 + 5 * i) / 100) - published)).toBeLessThanOrEqual(0.15);
      }));
  }
});

it("on the whole it differs from the table by no more than the table's own rounding (150 cells, from memory)", () => {
  const off = TABLE.flatMap(([temperature, row]) =>
    row.map((published, i) => Math.abs(equilibriumMoisture(temperature, (20 + 5 * i) / 100) - published)),
  );
  expect(off.reduce((a, b) => a + b, 0) / off.length).toBeLessThan(0.03);
});

describe("equilibrium moisture at its ends", () => {
  it("is nothing in perfectly dry air and finite at saturation", () => {
    expect(equilibriumMoisture(20, 0)).toBe(0);
    expect(equilibriumMoisture(20, 1)).toBeGreaterThan(24);
    expect(equilibriumMoisture(20, 1)).toBeLessThan(32);
  });
  it("refuses percent typed as a share, and nonsense", () => {
    expect(() => equilibriumMoisture(20, 50)).toThrow(RangeError);
    expect(() => equilibriumMoisture(NaN, 0.5)).toThrow(RangeError);
  });
});
