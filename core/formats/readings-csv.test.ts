import { describe, expect, it } from "vitest";
import { readReadings } from "./readings-csv";

const read = (...lines: string[]) => {
  let n = 0;
  return readReadings(lines.join("\n"), () => `r${(n += 1)}`, ["B1", "B2"]);
};

describe("readings for the log", () => {
  it("a line gives a width with its moisture, the moisture, and the air", () => {
    const { entries, faults } = read(
      "Date;What;Moisture %;Width mm;RH %;Temp °C;Note",
      "31.03.2027;B1;8,4;148,6;41;20,5;by the window",
      "2027-04-02;;9;;;;",
    );
    expect(faults).toEqual([]);
    expect(entries).toEqual([
      { kind: "width", id: "r1", on: "2027-03-31", text: "by the window", value: 148.6, what: "B1", moisture: 8.4 },
      { kind: "moisture", id: "r2", on: "2027-03-31", text: "by the window", value: 8.4, what: "B1", meter: null },
      { kind: "air", id: "r3", on: "2027-03-31", text: "by the window", value: 41, temperature: 20.5 },
      { kind: "moisture", id: "r4", on: "2027-04-02", text: "", value: 9, what: "top", meter: null },
    ]);
  });
  it("a meter's raw reading is corrected and kept beside the value", () => {
    const [entry] = read("date,reading,temperature,offset", "2027-03-31,10,5,-0.5").entries;
    expect(entry).toMatchObject({ kind: "moisture", meter: { reading: 10, temperature: 5, offset: -0.5 } });
    expect(entry.kind === "moisture" && entry.value).toBeGreaterThan(10.1);
  });
  it.each([
    ["2027-03-31,B1,45,130", /Relative humidity runs from 1 to 99/],
    ["2027-02-30,B1,9,40", /not a date/],
    ["2027-03-31,Z9,9,40", /neither a panel of this piece, such as “top”, nor a board/],
    ["2027-03-31,B1,wet,40", /“wet” in the column moisture/],
    ["2027-03-31,B1,,", /Nothing is measured/],
    ["2027-03-31,B1,90,40", /runs from 1 to 60/],
  ])("%s is refused with its line", (line, message) => {
    const { entries, faults } = read("date,what,moisture,humidity", "2027-03-30,B1,9,40", line);
    expect(entries).toHaveLength(2);
    expect(faults).toHaveLength(1);
    expect(faults[0].line).toBe(3);
    expect(faults[0].message).toMatch(message);
  });
  it("a file without a date or a measurement, or empty", () => {
    expect(read("").faults[0].message).toMatch(/empty/);
    expect(read("what,width", "top,3").faults[0].message).toMatch(/named date/);
    expect(read("date,note", "2027-01-01,x").faults[0].message).toMatch(/moisture, reading, width or humidity/);
  });
});
