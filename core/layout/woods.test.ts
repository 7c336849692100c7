import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import type { RoughPiece } from "./sawing";
import { searchCuts } from "./search";
import { shoppingList } from "./shopping";

const WOODS = ["european-ash", "black-walnut", "sugar-maple"] as const;
const piece = fc.record({
  length: fc.integer({ min: 300, max: 1200 }),
  width: fc.integer({ min: 40, max: 110 }),
  species: fc.constantFrom(...WOODS),
});
const board = fc.record({
  length: fc.integer({ min: 1200, max: 2600 }),
  width: fc.integer({ min: 110, max: 220 }),
  species: fc.constantFrom(...WOODS),
});

describe("a search over boards of several woods", () => {
  it("never cuts a piece from another wood, and leaves out only what its own wood has no room for", () => {
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 12 }),
        fc.array(board, { minLength: 1, maxLength: 6 }),
        (wanted, boards) => {
          const pieces = wanted.map((each, i): RoughPiece => ({
            id: `P${i}`,
            part: "rail",
            label: `P${i}`,
            thickness: 25,
            ...each,
          }));
          const rack = boards.map((each, i) => demoBoard({ id: `B${i}`, bow: 0, cup: 0, twist: 0, crook: 0, ...each }));
          let last = null;
          for (const cut of searchCuts({
            pieces,
            rack,
            taken: [],
            shop: USUAL_SHOP,
            sequence: "least-waste",
            groups: {},
            seed: 1,
            rounds: 3,
          }))
            last = cut;
          const woodOf = new Map(pieces.map((each) => [each.id, each.species]));
          const laid = (last?.sections ?? []).flatMap((section) =>
            section.lanes.flatMap((lane) =>
              lane.pieces.map((id) => ({ id, board: rack.find((each) => each.id === section.board)! })),
            ),
          );
          for (const { id, board: from } of laid) expect(from.species).toBe(woodOf.get(id));
          expect(new Set(laid.map(({ id }) => id)).size + (last?.missing.length ?? pieces.length)).toBe(pieces.length);
        },
      ),
      { numRuns: 60, seed: 20261125 },
    );
  });
});

describe("what is missing is asked for by its wood", () => {
  const lacking = (species: string | undefined, thickness: number): RoughPiece => ({
    ...{ id: "a", part: "leg", label: "a", length: 700, width: 80, thickness },
    ...(species ? { species } : {}),
  });
  it("a line for each wood and thickness, the piece's own first", () => {
    const lines = shoppingList(
      [
        lacking("black-walnut", 25),
        lacking("european-ash", 50),
        lacking("european-ash", 25),
        lacking("black-walnut", 25),
        lacking(undefined, 25),
      ],
      "european-ash",
    );
    expect(lines.map((each) => [each.species, each.pieces])).toEqual([
      ["european-ash", 2],
      ["european-ash", 1],
      ["black-walnut", 2],
    ]);
    expect(lines[0].thickness).toBeLessThan(lines[1].thickness);
  });
});
