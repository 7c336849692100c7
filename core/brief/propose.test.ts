import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freshPiece } from "../piece/fresh";
import { applyPatches } from "../piece/patch";
import { at, find, planOf, tableWith } from "../testing/plans";
import { clearances, PEOPLE, proposeTable, seatsAt, widthNeeded } from "./propose";
import { useProposal } from "./rules";

describe("seats (common practice: 600 an edge, 500 squeezed)", () => {
  it.each([
    [1800, 850, 600, 8],
    [1800, 650, 600, 6],
    [2100, 900, 500, 10],
    [1200, 700, 600, 4],
    [500, 700, 600, 0],
  ])("%i by %i at %i seats %i", (length, width, edge, seats) => {
    expect(seatsAt(length, width, edge).total).toBe(seats);
  });
});

describe("the proposed table", () => {
  const rooms = fc.record({
    length: fc.integer({ min: 2900, max: 9000 }),
    width: fc.integer({ min: 2600, max: 6000 }),
    daily: fc.integer({ min: 1, max: 10 }),
    extra: fc.integer({ min: 0, max: 6 }),
  });

  it("always leaves 900 to the walls in a room that can hold a table", () => {
    fc.assert(
      fc.property(rooms, ({ length, width, daily, extra }) => {
        const brief = {
          ...freshPiece("t", "2026-11-23").brief,
          room: { length, width, height: 2500 },
          seats: { daily, most: daily + extra },
        };
        const table = proposeTable(brief);
        const free = clearances(brief.room, table.length, table.width);
        expect(free.side).toBeGreaterThanOrEqual(PEOPLE.getUp);
        expect(free.end).toBeGreaterThanOrEqual(PEOPLE.getUp);
        expect(table.length % 50).toBe(0);
      }),
    );
  });
  it("seats who is asked for where the room is large", () => {
    for (const daily of [2, 4, 6, 8, 10]) {
      const piece = tableWith(
        at("brief.room", { length: 9000, width: 5000, height: 2600 }),
        at("brief.seats", { daily, most: daily + 2 }),
      );
      const mended = applyPatches(piece, useProposal(proposeTable(piece.brief)).patches);
      expect(find(planOf(mended), "brief.seats-daily").level).toBe("holds");
      expect(find(planOf(mended), "brief.seats-most").level).toBe("holds");
    }
  });
  it("says when the room stops it", () => {
    const { brief } = tableWith(at("brief.room.length", 3400), at("brief.seats", { daily: 10, most: 14 }));
    expect(proposeTable(brief).reason).toMatch(/^The room stops it at 1600 mm/);
  });
});

it("a bench must pass between the legs with 40 free at each end", () => {
  expect(widthNeeded("bench", 3)).toBe(1580);
  expect(planOf(tableWith()).geometry.between).toBe(1800 - 80 - 150);
});
