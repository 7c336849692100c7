import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readPiece } from "../../core/formats/piece-file";
import { checkShop } from "../../core/formats/shop-file";
import { firstFault } from "../../core/piece/fields";
import { mendBoard, mendPiece, mendShop } from "../../core/piece/mend";
import { pieceSchema } from "../../core/piece/schema";
import { shopSchema } from "../../core/piece/shop";
import { hostileText, mutated } from "../generators/hostile";
import { drawsOf, faultOf } from "../generators/holds";
import { DEMO_PIECES, DEMO_RACK, DEMO_SHOP } from "../generators/pieces";

const SEED = Number(process.env.SEED ?? 20261125);
const DRAWS = drawsOf(300);
const sentence = /^[A-Z“].*[.?]$/s;

describe(`hostile files (seed ${SEED}, ${DRAWS} draws)`, () => {
  it("a piece is read or refused in a sentence; one that is read can be planned", () => {
    let taken = 0;
    fc.assert(
      fc.property(hostileText(DEMO_PIECES), (text) => {
        const read = readPiece(text);
        if (!read.ok) {
          expect(read.message).toMatch(sentence);
          expect(read.message.length).toBeLessThan(400);
          return;
        }
        taken += 1;
        expect(faultOf({ piece: read.piece, shop: DEMO_SHOP, rack: DEMO_RACK })).toBeNull();
      }),
      { numRuns: DRAWS, seed: SEED },
    );
    expect(taken).toBeGreaterThan(0);
    expect(taken).toBeLessThan(DRAWS);
  }, 120_000);

  it("a value of any length in a field's place is refused in a short sentence", () => {
    expect(firstFault(pieceSchema, "x".repeat(3_000_000))!.message).toBe(
      `This must be a record with named fields, not "${"x".repeat(59)}….`,
    );
  });

  it("a shop is read or refused in a sentence", () => {
    fc.assert(
      fc.property(hostileText([DEMO_SHOP]), (text) => {
        const read = checkShop(text);
        if (!read.ok) expect(read.message).toMatch(sentence);
      }),
      { numRuns: DRAWS, seed: SEED },
    );
  });

  it("whatever a row holds, it opens as something the schema takes, and says what was mended", () => {
    fc.assert(
      fc.property(mutated(DEMO_PIECES), (row) => {
        const stored = JSON.parse(JSON.stringify(row) ?? "null");
        const { value, mended } = mendPiece(stored);
        expect(firstFault(pieceSchema, value)).toBeNull();
        expect(mended.length > 0).toBe(firstFault(pieceSchema, stored) !== null);
        expect(faultOf({ piece: value, shop: DEMO_SHOP, rack: DEMO_RACK })).toBeNull();
      }),
      { numRuns: Math.ceil(DRAWS / 2), seed: SEED },
    );
    fc.assert(
      fc.property(mutated([DEMO_SHOP]), (row) => {
        expect(firstFault(shopSchema, mendShop(row).value)).toBeNull();
      }),
      { numRuns: DRAWS, seed: SEED },
    );
    fc.assert(
      fc.property(mutated(DEMO_RACK), (row) => {
        expect(() => mendBoard(row)).not.toThrow();
      }),
      { numRuns: DRAWS, seed: SEED },
    );
  }, 120_000);
});
