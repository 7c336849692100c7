import { describe, expect, it } from "vitest";
import { parseDay } from "./date";

const day = (text: string, order: Parameters<typeof parseDay>[1] = "day first") => {
  const read = parseDay(text, order, "2026-11-25");
  return read.ok ? read.day : read.message;
};

describe("a day as it is typed", () => {
  it.each([
    "23 November 2026",
    "23 nov 2026",
    "November 23, 2026",
    "23rd November 2026",
    "2026-11-23",
    "23.11.2026",
    "23/11/26",
    "11/23/2026",
  ])("%s", (text) => expect(day(text)).toBe("2026-11-23"));
  it("03/04 is the fourth of March where the month is written first, but never with dots", () => {
    expect(day("03/04/2027")).toBe("2027-04-03");
    expect(day("03/04/2027", "month first")).toBe("2027-03-04");
    expect(day("03.04.2027", "month first")).toBe("2027-04-03");
  });
  it("without its year it is the next such day", () => {
    expect(day("24 nov")).toBe("2027-11-24");
    expect(day("26 nov")).toBe("2026-11-26");
  });
  it.each(["", "soon", "31 February 2027", "2026-13-01", "12", "1 2 3 4"])("“%s” is refused with the fix", (text) =>
    expect(day(text)).toMatch(/is not a day\. Type it such as/),
  );
});
