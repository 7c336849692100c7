import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatInches, formatLength, parseLength } from "./length";

const mm = (text: string, unit: "mm" | "inch" = "mm") => {
  const read = parseLength(text, unit);
  if (!read.ok) throw new Error(read.message);
  return read.mm;
};

describe("parseLength reads what makers type", () => {
  it.each([
    ["44.5", 44.5],
    ["44,5", 44.5],
    ["120 cm", 1200],
    ["1 m 20 cm", 1200],
    ["1m 20cm 5mm", 1205],
    ["2 m 5 mm", 2005],
    ["2 m", 2000],
    ["1 3/4", 44.45],
    ['1-3/4"', 44.45],
    ["1¾", 44.45],
    ["5' 6\"", 1676.4],
    ["5'6 1/2\"", 1689.1],
    ["5 ft", 1524],
    ["6in", 152.4],
    ["5’ 6”", 1676.4],
    ["-3", -3],
    ["3/4", 19.05],
  ])("%s", (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

  it("takes a bare number in the unit on the screen", () => {
    expect(mm("2", "mm")).toBe(2);
    expect(mm("2", "inch")).toBeCloseTo(50.8, 9);
  });

  it.each(["12 7/0", "abc", "", "12a", "1/2/3", "5' x", "--3", "1 2", "1e3"])(
    "refuses %j with a sentence that says what to type",
    (text) => {
      const read = parseLength(text, "mm");
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.message).toMatch(/Type|Write/);
    },
  );
});

describe("fractions of an inch", () => {
  it("round-trips every 1/64 up to ten feet (identity: format then parse)", () => {
    for (let parts = 0; parts <= 10 * 12 * 64; parts += 1) {
      const written = formatInches(parts / 64, 64);
      expect(mm(written, "inch")).toBeCloseTo((parts / 64) * 25.4, 9);
    }
  });
  it("marks to 1/32 in, 0.5 mm, or 0.1 mm for fits", () => {
    expect(formatLength(44.45, "inch")).toBe("1 3/4");
    expect(formatLength(1676.4, "inch")).toBe("66");
    expect(formatLength(33.3, "mm")).toBe("33.5");
    expect(formatLength(33.34, "mm", true)).toBe("33.3");
    expect(formatLength(-0.01, "mm", true)).toBe("0");
  });
  it("never moves a length by more than half a mark", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (length) => {
        expect(Math.abs(mm(formatLength(length, "inch"), "inch") - length)).toBeLessThanOrEqual(25.4 / 64 + 1e-9);
        expect(Math.abs(mm(formatLength(length, "mm")) - length)).toBeLessThanOrEqual(0.25 + 1e-9);
      }),
    );
  });
});
