import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readOutline } from "../../core/formats/outline-file";
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

  it("an outline is read or refused in a sentence, whatever is in its file", () => {
    const svg = (d: string, more: string) =>
      `<svg width="700mm" viewBox="0 0 700 500"><g transform="${more}"><path d="${d}"/><rect width="600" height="400" rx="${more}"/></g></svg>`;
    const command = fc.tuple(
      fc.constantFrom("M", "l", "H", "v", "C", "q", "A", "S", "t", "Z", "x"),
      fc.array(fc.oneof(fc.integer({ min: -900, max: 900 }), fc.constantFrom(0, 1e9, NaN, 1e-9)), { maxLength: 8 }),
    );
    const path = fc
      .array(command, { maxLength: 12 })
      .map((all) => all.map(([a, of]) => `${a}${of.join(" ")}`).join(""));
    const dxf = fc
      .array(
        fc.tuple(
          fc.constantFrom("0", "10", "20", "42", "40", "50", "70", "90", "999"),
          fc.constantFrom("LINE", "LWPOLYLINE", "ARC", "CIRCLE", "ENDSEC", "1", "-600", "3e4", ""),
        ),
        { maxLength: 40 },
      )
      .map((all) => `0\nSECTION\n2\nENTITIES\n${all.map((pair) => pair.join("\n")).join("\n")}\n0\nENDSEC\n0\nEOF\n`);
    const moved = fc.constantFrom(
      "translate(3)",
      "rotate(45)",
      "scale(0)",
      "matrix(1 2 2 4 0 0)",
      "spin(9)",
      "50",
      "",
      "<",
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.tuple(path, moved).map(([d, more]) => svg(d, more)),
          dxf,
          fc.string(),
        ),
        (text) => {
          const read = readOutline("Outline", text, null);
          if (!read.ok) expect(read.message).toMatch(sentence);
          else {
            expect(read.points.length).toBeLessThanOrEqual(120);
            for (const { x, y, rise } of read.points) expect([x, y, rise].every(Number.isFinite)).toBe(true);
          }
        },
      ),
      { numRuns: 4 * DRAWS, seed: SEED },
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
