import { describe, expect, it } from "vitest";
import { readLogger } from "./logger-csv";
import { dayOrderOf, readStamp } from "./stamp";

/** Days from 1 January 2026, one reading every `hours`; the weather is a plain wave. */
function log(days: number, hours: number, line: (at: Date, temperature: number, humidity: number) => string): string[] {
  return Array.from({ length: Math.round((days * 24) / hours) }, (_, i) => {
    const at = new Date(Date.UTC(2026, 0, 1) + i * hours * 3.6e6);
    const wave = Math.cos((2 * Math.PI * (at.getUTCMonth() - 6.5)) / 12);
    return line(at, 20 + 2 * wave, 45 + 10 * wave);
  });
}
const read = (lines: string[]) => {
  const found = readLogger(lines.join("\n"));
  if (!found.ok) throw new Error(found.message);
  return found;
};
const refused = (lines: string[]) => {
  const found = readLogger(lines.join("\n"));
  if (found.ok) throw new Error("it was taken");
  return found.message;
};
const iso = (at: Date) => at.toISOString().slice(0, 16).replace("T", " ");

describe("a thermo-hygrometer's log, however it is written", () => {
  const plain = [
    "Date,Temperature °C,Humidity %",
    ...log(365, 6, (at, t, h) => `${iso(at)},${t.toFixed(1)},${h.toFixed(1)}`),
  ];
  it("a year of quarter days becomes twelve months", () => {
    const found = read(plain);
    expect(found.readings).toHaveLength(1460);
    expect(found.months.every(Boolean)).toBe(true);
    expect(found.months[6]!.humidity).toBeGreaterThan(found.months[0]!.humidity + 15);
    expect([found.from, found.to, found.faults, found.notes]).toEqual(["2026-01-01", "2026-12-31", [], []]);
  });
  it.each([
    [
      "semicolons, decimal commas, day first, in another tongue",
      [
        "Datum;Zeit;Temperatur (°C);Rel. Feuchte",
        ...log(
          365,
          6,
          (at, t, h) =>
            `${at.getUTCDate()}.${at.getUTCMonth() + 1}.${at.getUTCFullYear()};${iso(at).slice(11)};${t.toFixed(1).replace(".", ",")};${h.toFixed(1).replace(".", ",")}`,
        ),
      ],
    ],
    [
      "month first, Fahrenheit, am and pm, a preamble",
      [
        "Logger 12",
        "Serial,0001",
        "Time,Temp(°F),RH(%)",
        ...log(
          365,
          6,
          (at, t, h) =>
            `${at.getUTCMonth() + 1}/${at.getUTCDate()}/${at.getUTCFullYear()} ${at.getUTCHours() % 12 || 12}:00 ${at.getUTCHours() < 12 ? "AM" : "PM"},${(t * 1.8 + 32).toFixed(2)},${h.toFixed(1)}`,
        ),
      ],
    ],
    [
      "tabs, units beside the numbers, dew point between",
      [
        "timestamp\ttemp\tdew point\trh",
        ...log(365, 6, (at, t, h) => `${at.toISOString()}\t${t.toFixed(1)} °C\t8.0\t${h.toFixed(1)} %`),
      ],
    ],
    [
      "a share of one, seconds since 1970",
      [
        "unix time,temperature_c,humidity",
        ...log(365, 6, (at, t, h) => `${at.getTime() / 1000},${t.toFixed(1)},${(h / 100).toFixed(3)}`),
      ],
    ],
    [
      "Fahrenheit that names no unit",
      ["date,temp,hum", ...log(365, 6, (at, t, h) => `${iso(at)},${(t * 1.8 + 32).toFixed(1)},${h.toFixed(1)}`)],
    ],
  ])("%s reads alike", (_, lines) => {
    const [found, same] = [read(lines), read(plain)];
    expect(found.faults).toEqual([]);
    found.months.forEach((month, i) => {
      expect(month!.temperature).toBeCloseTo(same.months[i]!.temperature, 0);
      expect(Math.abs(month!.humidity - same.months[i]!.humidity)).toBeLessThan(0.3);
    });
  });
});

describe("a log that is wrong", () => {
  const head = "date,temperature °C,humidity %";
  const good = log(40, 6, (at, t, h) => `${iso(at)},${t.toFixed(1)},${h.toFixed(1)}`);
  it("humidity over 100, a missing number, a date that is none: each with its line, the rest is read", () => {
    const found = read([
      head,
      ...good.slice(0, 3),
      "2026-01-01 20:00,20,130",
      "2026-01-01 21:00,,40",
      "yesterday,20,40",
      ...good.slice(4),
    ]);
    expect(found.faults.map((each) => each.line)).toEqual([5, 6, 7]);
    expect(found.faults[0].message).toBe("A relative humidity of 130 % can't be: it runs from 0 to 100.");
    expect(found.readings).toHaveLength(good.length - 1);
  });
  it("times that stand twice or go back", () => {
    const found = read([head, ...good.slice(0, 5), good[4], good[2], ...good.slice(5)]);
    expect(found.readings).toHaveLength(good.length);
    expect(found.notes.join(" ")).toMatch(/1 time stands twice/);
    expect(found.notes.join(" ")).toMatch(/1 line goes back in time/);
    expect(found.faults[0].message).toMatch(/was the clock set\?/);
  });
  it("gaps and months that are missing are said, never filled in", () => {
    const found = read([head, ...good.filter((_, i) => i < 60 || i > 90)]);
    expect(found.notes.join(" ")).toMatch(/1 gap in the log, the longest of 8 days/);
    expect(found.months.filter(Boolean)).toHaveLength(2);
    expect(found.notes.join(" ")).toMatch(/March, .* and December are missing/);
  });
  it("two units in one column, marked or not", () => {
    expect(
      refused([
        head.replace(" °C", ""),
        ...log(40, 6, (at, t, h) => `${iso(at)},${at.getUTCDate() % 2 ? `${t} C` : `${t * 1.8 + 32} F`},${h}`),
      ]),
    ).toMatch(/two units, °C and °F/);
    expect(
      refused([
        head.replace(" °C", ""),
        ...log(40, 6, (at, t, h) => `${iso(at)},${at.getUTCDate() % 2 ? t : t * 1.8 + 32},${h}`),
      ]),
    ).toMatch(/look like °C/);
  });
  it("no header, nothing, a header alone, three days", () => {
    expect(refused(good)).toMatch(/No line names the columns/);
    expect(refused([""])).toMatch(/empty/);
    expect(refused([head])).toMatch(/no readings/);
    expect(refused([head, ...good.slice(0, 12)])).toMatch(/covers no month/);
  });
});

describe("stamps", () => {
  it.each([
    ["2026-02-30", null],
    ["31.12.2026 23:59", Date.UTC(2026, 11, 31, 23, 59)],
    ["12/31/2026", null],
    ["3/4/26", Date.UTC(2026, 3, 3)],
    ["2026-01-01T25:00", null],
    ["noon", null],
  ])("%s", (text, ms) => expect(readStamp(text, "day-first")).toBe(ms));
  it("a second number over 12 tells that the month comes first", () => {
    expect(dayOrderOf(["3/4/2026", "3/14/2026"])).toBe("month-first");
    expect(dayOrderOf(["3/4/2026", "14/3/2026"])).toBe("day-first");
  });
});
