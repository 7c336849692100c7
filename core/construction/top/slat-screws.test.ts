import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { at, planOf, tableWith } from "../../testing/plans";
import type { PieceGeometry } from "../geometry";
import { slatLines } from "./core";
import { CLEAR, screwOffsets, screwsOver, slatScrews } from "./slat-screws";

const SEED = Number(process.env.SEED ?? 20261125);
const choices = fc.record({
  count: fc.integer({ min: 2, max: 14 }),
  gap: fc.integer({ min: 0, max: 12 }),
  side: fc.integer({ min: 0, max: 80 }),
  reveal: fc.integer({ min: 0, max: 40 }),
  section: fc.integer({ min: 45, max: 110 }),
  screws: fc.constantFrom("one", "two"),
  crossRails: fc.integer({ min: 0, max: 3 }),
});
type Choices = typeof choices extends fc.Arbitrary<infer T> ? T : never;
const made = ({ count, gap, side, reveal, section, screws, crossRails }: Choices) => {
  const piece = tableWith(
    at("form.field", "slats"),
    at("form.slats.count", count),
    at("form.slats.gap", gap),
    at("form.slats.screws", screws),
    at("form.overhang.side", side),
    at("form.apron.reveal", reveal),
    at("form.leg.section", section),
    at("form.crossRails", crossRails),
  );
  return { form: piece.form, at: planOf(piece).geometry as PieceGeometry };
};

describe(`screws of slats over any legs (seed ${SEED})`, () => {
  it("each slat has one place a rail, moved or not; what is moved stands clear of every leg and goes into a rail under its slat", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { form, at: below } = made(given);
        const across = below.bearers.filter(({ run }) => run === "across");
        const lines = slatLines(form, below);
        const all = slatScrews(form, below);
        expect(all).toHaveLength(lines.length * across.length);
        for (const { slat, part, x, z, beside } of all) {
          const bearer = below.bearers.find((each) => each.part === part)!;
          expect(Math.abs(z - lines[slat])).toBeLessThan(below.core.width / 2);
          if (!beside) {
            expect(bearer.run).toBe("across");
            continue;
          }
          expect(bearer.run).toBe("along");
          expect(Math.abs(z - bearer.at)).toBeLessThan(bearer.thickness / 2);
          for (const post of below.posts)
            expect(
              Math.abs(x - post.x) >= post.length / 2 + CLEAR - 1e-9 ||
                Math.abs(z - post.z) >= post.width / 2 + CLEAR - 1e-9,
            ).toBe(true);
        }
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("those it counts over legs are the screws that stay where a leg is, one by one", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { form, at: below } = made(given);
        const stand = slatScrews(form, below)
          .filter(({ beside }) => !beside)
          .flatMap(({ x, z }) => screwOffsets(form).map((off) => ({ x, z: z + off })));
        const over = stand.filter(({ x, z }) =>
          below.posts.some(
            (post) => Math.abs(x - post.x) < post.length / 2 + CLEAR && Math.abs(z - post.z) < post.width / 2 + CLEAR,
          ),
        );
        expect(screwsOver(form, below)).toBe(over.length);
      }),
      { numRuns: 40, seed: SEED },
    ));
});
