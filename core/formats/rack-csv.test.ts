import { readFileSync } from "node:fs";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { planOf } from "../testing/plans";
import { randomRack } from "../testing/boards";
import { freshPiece } from "../piece/fresh";
import { SPECIES } from "../wood/species";
import { writeCutList } from "./cut-list-csv";
import { readRack, writeRack } from "./rack-csv";
import { writeTally } from "./tally-csv";

const TODAY = "2026-11-23";
const read = (text: string) => readRack(text, SPECIES, TODAY);
const HEADER = "id,species,length,width,thickness";
const row = (id: string, rest = "european-ash,2400,150,38") => `${id},${rest}`;

describe("the rack goes out and comes in identical", () => {
  it("for a random rack with defects", () => {
    const boards = randomRack(4, 30).map(({ reservedBy: _, ...board }, i) => ({
      ...board,
      tears: i % 5 === 0,
      defects:
        i % 4
          ? []
          : [
              { kind: "knot" as const, x: 100, y: 20, length: 40, width: 30 },
              { kind: "check" as const, x: 0, y: 50, length: 140, width: 8 },
            ],
    }));
    const back = read(writeRack(boards));
    expect(back.faults).toEqual([]);
    expect(back.boards).toEqual(boards);
  });
  it("for the demo's rack: at least 36 boards of fourteen species", () => {
    const { boards, faults } = read(readFileSync("demo/rack.csv", "utf8"));
    expect(faults).toEqual([]);
    expect(boards.length).toBeGreaterThanOrEqual(36);
    expect(new Set(boards.map((board) => board.species)).size).toBe(15);
    expect(writeRack(boards)).toBe(readFileSync("demo/rack.csv", "utf8"));
  });
});

describe("CSV the way spreadsheets write it", () => {
  it("with a BOM", () => expect(read(`\uFEFF${HEADER}\n${row("B1")}`).boards).toHaveLength(1));
  it("with semicolons and decimal commas", () => {
    const { boards, faults } = read(
      "id;species;length;width;thickness;moisture\r\nB1;european-ash;2400,5;150,25;38;8,4\r\n",
    );
    expect(faults).toEqual([]);
    expect(boards[0]).toMatchObject({ length: 2400.5, width: 150.25, moisture: 8.4 });
  });
  it("with tabs, capitals, columns in another order, and names for species", () => {
    expect(read("Width\tID\tThickness\tSpecies\tLength\n150\tB1\t38\tEuropean ash\t2400").boards[0]).toMatchObject({
      id: "B1",
      width: 150,
      species: "european-ash",
    });
  });
  it("with blank lines at the end", () => expect(read(`${HEADER}\n${row("B1")}\n\n,,,,\n`).faults).toEqual([]));
});

describe("what is wrong is said by its line, and the good rows are offered", () => {
  it("a missing column", () => {
    expect(read("id,species,length,width\nB1,european-ash,2400,150")).toEqual({
      boards: [],
      faults: [
        {
          line: 1,
          message:
            "The column “thickness” is missing. The first line should name: id, species, length, width, thickness.",
        },
      ],
    });
  });
  it("a bad row in the middle", () => {
    const { boards, faults } = read(`${HEADER}\n${row("B1")}\nB2,european-ash,long,150,38\n${row("B3")}`);
    expect(boards.map((board) => board.id)).toEqual(["B1", "B3"]);
    expect(faults).toEqual([{ line: 3, message: "“long” in the column length is not a number." }]);
  });
  it.each([
    ["european-ash,0,150,38", /Length must be 50 mm at least/],
    ["european-ash,2400,-4,38", /Width must be 5 mm at least/],
    ["unobtainable,2400,150,38", /no species Taller knows/],
    ["european-ash,2400,150,", /column thickness is empty/],
    ["european-ash,2400,99999,38", /1200 mm at most/],
  ])("%s", (rest, message) => {
    const { boards, faults } = read(`${HEADER}\n${row("B1", rest)}`);
    expect(boards).toEqual([]);
    expect(faults[0]).toMatchObject({ line: 2 });
    expect(faults[0].message).toMatch(message);
  });
  it("the same board twice", () =>
    expect(read(`${HEADER}\n${row("B1")}\n${row("B1")}`).faults).toEqual([
      { line: 3, message: "Board B1 stands on line 2 already. Give it another id." },
    ]));
  it("a defect that can't be read", () =>
    expect(read(`${HEADER},defects\n${row("B1")},knot at the end`).faults[0].message).toMatch(
      /should read like knot@620,40,55,45/,
    ));
  it("an unknown defect", () =>
    expect(read(`${HEADER},defects\n${row("B1")},"hole@1,2,3,4"`).faults[0].message).toMatch(/Defect must be one of/));
  it("an empty file", () => expect(read("").faults[0].message).toMatch(/empty/));
  it("nonsense", () => expect(read("\u0000\u0001\u0002 what").faults[0].message).toMatch(/columns .* are missing/));
});

describe("a board that tears", () => {
  const tears = (word: string) => read(`${HEADER},tears\n${row("B1")},${word}`);
  it.each(["yes", "Y", "true", "x", "1"])("is told by %s", (word) => expect(tears(word).boards[0].tears).toBe(true));
  it.each(["", "no", "N", "false", "0"])("does not by %j", (word) => expect(tears(word).boards[0].tears).toBe(false));
  it("nor where the list has no such column", () =>
    expect(read(`${HEADER}\n${row("B1")}`).boards[0].tears).toBe(false));
  it("another word is told with its line, and the other rows stand", () => {
    const { boards, faults } = read(`${HEADER},tears\n${row("B1")},yes\n${row("B2")},a little`);
    expect(boards.map(({ id }) => id)).toEqual(["B1"]);
    expect(faults).toEqual([{ line: 3, message: "“a little” in the column tears should be yes, no or empty." }]);
  });
});

describe("the cut list as CSV (read back by an independent reader)", () => {
  it("has a line a part and the finished sizes", () => {
    const plan = planOf(freshPiece("t", TODAY));
    const { data } = Papa.parse<Record<string, string>>(writeCutList(plan), { header: true, skipEmptyLines: true });
    expect(data).toHaveLength(plan.parts.length);
    expect(Number(data[1].length)).toBeCloseTo(plan.parts[1].finished.length, 1);
    expect(data.map((line) => line.part)).toEqual(plan.parts.map((part) => part.name));
  });
});

it("a ring angle of 120 is refused with its line; the rest is read", () => {
  const { boards, faults } = read(`${HEADER},ring_left,ring_right\n${row("B1")},-10,20\n${row("B2")},120,20`);
  expect(boards.map((board) => board.id)).toEqual(["B1"]);
  expect(faults[0].line).toBe(3);
  expect(faults[0].message).toMatch(/ring angle runs from -?−?90 to 90/i);
});

describe("lists the way merchants write them", () => {
  it("quarters, inches, feet and inches, moisture with its sign", () => {
    const { boards, faults } = read(
      'Tag,Species,Thickness,Width (in),Length,MC %,Place\nA1,White ash,8/4,7 1/2,"8\' 6""",8%,bay 3\n',
    );
    expect(faults).toEqual([]);
    expect(boards[0]).toMatchObject({
      id: "A1",
      species: "white-ash",
      thickness: 50.8,
      width: 190.5,
      length: 2590.8,
      moisture: 8,
      shelf: "bay 3",
    });
  });
  it("nominal softwood sizes are their dressed sizes (PS 20, from memory), and a quantity is so many boards", () => {
    const { boards } = read("Tag;Species;Nominal;Length ft;Qty\nS;European larch;2x6;10;3");
    expect(boards.map((board) => board.id)).toEqual(["S-1", "S-2", "S-3"]);
    expect(boards[0]).toMatchObject({ thickness: 38, width: 140, length: 3048 });
  });
  it("board feet stand in for a length that is not given", () => {
    const { boards } = read("tag,species,thickness,width in,bf\nA,White ash,4/4,6,4");
    expect(boards[0].length).toBe(Math.round(((4 * 12 * 12) / 6) * 25.4));
  });
  it("metres and centimetres in the header or the cell", () => {
    expect(read("id,species,length (m),width cm,thickness\nB1,European ash,2.4,15,38").boards[0]).toMatchObject({
      length: 2400,
      width: 150,
    });
    expect(read("id,species,length,width,thickness\nB1,European ash,2.4 m,15 cm,38 mm").boards[0]).toMatchObject({
      length: 2400,
      width: 150,
      thickness: 38,
    });
  });
  it("sizes that don't exist are told", () => {
    expect(read("tag,species,nominal,length\nS,European larch,3x7,3000").faults[0].message).toMatch(/no nominal size/);
    expect(read("id,species,length,width,thickness\nB1,European ash,2400,150,7/4").faults[0].message).toMatch(
      /no quarter size/,
    );
  });
  it("the merchant's tally reads back within a sixteenth of an inch, board by board", () => {
    const boards = randomRack(9, 40).map(({ reservedBy: _, ...board }) => board);
    const back = read(writeTally(boards));
    expect(back.faults).toEqual([]);
    back.boards.forEach((board, i) => {
      for (const key of ["length", "width", "thickness"] as const)
        expect(Math.abs(board[key] - boards[i][key])).toBeLessThan(25.4 / 16);
    });
  });
  it("100,000 rows of which 37 are bad: the good ones are read, each bad one has its line", () => {
    const bad = new Set(Array.from({ length: 37 }, (_, i) => 100 + i * 2600));
    const rows = Array.from({ length: 100_000 }, (_, i) =>
      bad.has(i) ? `X${i},european-ash,long,150,38` : `X${i},european-ash,${2000 + (i % 900)},150,38`,
    );
    const { boards, faults } = read(`${HEADER}\n${rows.join("\n")}`);
    expect(boards).toHaveLength(99_963);
    expect(faults.map((fault) => fault.line)).toEqual([...bad].map((i) => i + 2));
  });
});
