import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { readPriceList } from "../buying/price-list";
import { demoBoard } from "../testing/boards";
import { SPECIES } from "../wood/species";
import { readTable, squeezed, writeTable } from "./csv";
import { readLogger } from "./logger-csv";
import { fileColumn } from "./rack-columns";
import { readRack, writeRack } from "./rack-csv";
import { writeTally } from "./tally-csv";
import { readReadings } from "./readings-csv";

const MOST = { letters: 10_000, rows: 20, columns: 5, cell: 100 };
const HEADER = "id,species,length,width,thickness";
const rack = (text: string) => readRack(text, SPECIES, "2026-11-23");

describe("a file is bounded before it is split", () => {
  it.each([
    ["too many letters", "x".repeat(10_001), /million letters/],
    ["too many lines", "a\n".repeat(40), /has 40 lines; 20 are read at most/],
    ["too many columns", "a,b\n1,2,3,4,5,6", /Line 2 has 6 columns/],
    ["too long a cell", `a,b\n1,${"y".repeat(101)}`, /Line 2 has a cell of over 100 letters/],
    [
      "a quotation mark that is not closed",
      `a,b\n1,"${"z\n".repeat(15)}${"z".repeat(90)}`,
      /quotation mark that is not closed/,
    ],
  ])("%s", (_, text, message) =>
    expect(readTable(text, MOST)).toMatchObject({ ok: false, message: expect.stringMatching(message) }),
  );
  it("too long a line, too many quotation marks", () => {
    const wide = { ...MOST, letters: 1e6, cell: 1e6, columns: 1e6 };
    expect(readTable(`a\n${",".repeat(50_000)}`, wide)).toMatchObject({
      ok: false,
      line: 2,
      message: expect.stringMatching(/Line 2 is 50000 letters long/),
    });
    expect(readTable(`a\n${'"'.repeat(5000)}`, wide)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/quotation marks/),
    });
  });
  it("exactly at its bounds it is read, with every kind of line end", () => {
    for (const end of ["\n", "\r\n", "\r"])
      expect(readTable(`a,b${end}${`1,2${end}`.repeat(20)}`, MOST)).toMatchObject({ ok: true });
  });
});

describe("lists that once blocked everyone are answered", () => {
  it.each([20_000, 60_000])("a line of `wood ` %i times", (times) =>
    expect(
      rack(`id,${"wood ".repeat(times)},length,width,thickness\nB1,European ash,2400,150,38`).faults[0].message,
    ).toMatch(/letters long|missing/),
  );
  it("a header of many long cells", () =>
    expect(rack(`${Array.from({ length: 110 }, () => "wood ".repeat(60)).join(",")}\n1,2`).faults[0].message).toMatch(
      /missing/,
    ));
  it("a quantity of 500 on 30,000 rows", () => {
    const { boards, faults } = rack(
      `${HEADER},qty\n${Array.from({ length: 30_000 }, (_, i) => `Q${i},European ash,2400,150,38,500`).join("\n")}`,
    );
    expect(boards).toHaveLength(120_000);
    expect(faults.at(-1)!.message).toMatch(/more than 120000 boards/);
  });
  it("25 MB of commas", () =>
    expect(rack(`${HEADER}\n${",".repeat(25_000_000)}`).faults[0].message).toMatch(/letters long/));
  it("rows of nothing but faults end", () =>
    expect(rack(`${HEADER}\n${"B1,balsa,1,1,1\n".repeat(50_000)}`).faults).toHaveLength(2001));
  it("a cell of blanks where a number should be", () => {
    const blanks = `1${" ".repeat(900)}x`;
    expect(rack(`${HEADER}\nB1,European ash,${blanks},150,38`).faults[0].message).toMatch(
      /“1.*” in the column length is not a number/,
    );
    expect(readReadings(`date,moisture\n2027-01-01,${blanks}`, () => "r", []).faults[0].message).toMatch(
      /is not a number/,
    );
    expect(readLogger(`date,temperature,humidity\n2027-01-01 10:00,${blanks},40`)).toMatchObject({ ok: false });
  });
});

describe("words that are not Taller's own", () => {
  it("a unit called constructor is no unit", () => {
    expect(fileColumn("width constructor")).toEqual({ column: "width", unit: null });
    expect(
      readPriceList("species,thickness,price,per\neuropean-ash,32,5,constructor", SPECIES, "EUR").faults[0].message,
    ).toMatch(/“constructor” in the column per/);
    expect(readPriceList("species,thickness,price\neuropean-ash,32,1e300", SPECIES, "EUR").faults[0].message).toMatch(
      /is not a price/,
    );
  });
});

describe("nothing that is written runs in a spreadsheet, and reading gives back what was written", () => {
  const WORDS = ["=1+1", "@SUM(A1)", "+49", "-2", "'=x", "''-1", "'tis", "\t=1", "plain", "a,b", 'a"b', "a\nb"];
  it("by one writer, for numbers and words", () => {
    const text = writeTable(
      ["n", "word"],
      WORDS.map((word, i) => [-i, word]),
    );
    const { data } = Papa.parse<string[]>(text.trim());
    for (const cell of data.flat()) expect(cell).not.toMatch(/^[=@+\t\r]|^-(?!\d)/);
    const back = readTable(text, { ...MOST, columns: 2 });
    expect(back.ok && back.rows.slice(1, -1)).toEqual(WORDS.map((word, i) => [String(-i), word]));
  });
  it("by the rack and the tally", () => {
    const { reservedBy: _, ...board } = demoBoard({ id: "-B1", tree: "=cmd", shelf: "@home", ringLeft: -35 });
    const text = writeRack([board]);
    expect(text).toMatch(/'-B1,.*,-35,.*'=cmd,'@home/);
    expect(rack(text)).toEqual({ boards: [board], faults: [] });
    expect(writeTally([board])).toMatch(/'-B1.*'@home/);
  });
});

it("runs of blanks in a number are one, and what is too long is cut", () => {
  expect(squeezed("  7   1/2 ")).toBe("7 1/2");
  expect(squeezed("9".repeat(500))).toHaveLength(41);
});
