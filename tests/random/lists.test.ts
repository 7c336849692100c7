import fc from "fast-check";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { readPriceList } from "../../core/buying/price-list";
import { readLogger } from "../../core/formats/logger-csv";
import { readRack, writeRack } from "../../core/formats/rack-csv";
import { writeTally } from "../../core/formats/tally-csv";
import { readReadings } from "../../core/formats/readings-csv";
import { firstFault } from "../../core/piece/fields";
import { pieceSchema } from "../../core/piece/schema";
import { Board, boardSchema } from "../../core/stock/board";
import { SPECIES } from "../../core/wood/species";
import { drawsOf } from "../generators/holds";
import { hostileList } from "../generators/lists";
import { oddBoards, TODAY } from "../generators/pieces";

const SEED = Number(process.env.SEED ?? 20261125);
const DRAWS = drawsOf(400);
const sentence = /^[A-Z“].*[.?]( \([^)]*\))?$/s;

describe(`hostile lists (seed ${SEED}, ${DRAWS} draws)`, () => {
  it("whatever a list holds: rows that the schemas take, and for the others sentences with their line", () => {
    let [taken, refused] = [0, 0];
    const fault = ({ line, message }: { line: number; message: string }) => {
      refused += 1;
      expect(line).toBeGreaterThan(0);
      expect(message).toMatch(sentence);
      expect(message.length).toBeLessThan(500);
    };
    fc.assert(
      fc.property(hostileList, (text) => {
        const rack = readRack(text, SPECIES, TODAY);
        rack.boards.forEach((board) => expect(firstFault(boardSchema, board)).toBeNull());
        rack.faults.forEach(fault);
        const readings = readReadings(text, () => "r", ["B1"]);
        expect(firstFault(pieceSchema.entries.log, readings.entries.slice(0, 100))).toBeNull();
        readings.faults.forEach(fault);
        const log = readLogger(text);
        if (log.ok) log.faults.forEach(fault);
        else expect(log.message).toMatch(sentence);
        const list = readPriceList(text, SPECIES, "EUR");
        list.prices.forEach((price) => expect(price.perCubicMetre).toBeGreaterThan(0));
        list.faults.forEach(fault);
        taken += rack.boards.length + readings.entries.length;
      }),
      { numRuns: DRAWS, seed: SEED },
    );
    expect(taken).toBeGreaterThan(0);
    expect(refused).toBeGreaterThan(DRAWS / 4);
  }, 120_000);
  it("every rack goes out and comes in identical, and leaves a spreadsheet nothing to run", () => {
    fc.assert(
      fc.property(oddBoards, (boards) => {
        // words come back without the blanks around them, and nothing is less than nothing
        const plain = boards.map(
          ({ reservedBy: _, ...board }) =>
            JSON.parse(
              JSON.stringify({ ...board, species: SPECIES[0].id }, (_key, value: unknown) =>
                typeof value === "string" ? value.trim() : value,
              ),
            ) as Board,
        );
        const text = writeRack(plain);
        expect(readRack(text, SPECIES, TODAY)).toEqual({ boards: plain, faults: [] });
        for (const written of [text, writeTally(plain)])
          for (const cell of Papa.parse<string[]>(written.trim()).data.flat())
            expect(cell).not.toMatch(/^[=@+\t\r]|^-(?![\d.])/);
      }),
      { numRuns: DRAWS, seed: SEED },
    );
  }, 120_000);
});
