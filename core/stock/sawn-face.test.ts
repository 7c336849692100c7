import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import { millingYield } from "./milling";
import { SKIP_PASS } from "./milling-plan";
import { hollows, keptShare, MOST_PASSES, sawnFacePlan, sawnFaceRule, sawnFaces, stripYield } from "./sawn-face";

const SEED = Number(process.env.SEED ?? 20261125);
const warp = fc.record({
  cup: fc.double({ min: 0, max: 4, noNaN: true }),
  bow: fc.double({ min: 0, max: 6, noNaN: true }),
  twist: fc.double({ min: 0, max: 5, noNaN: true }),
  face: fc.constantFrom("bark-up" as const, "bark-down" as const),
});
const board = (given: object) => demoBoard({ length: 2000, width: 200, thickness: 40, ...given });

describe(`a face that stays sawn (seed ${SEED})`, () => {
  it("keeps as much as points thrown at it at random find low enough", () =>
    fc.assert(
      fc.property(warp, fc.integer({ min: 1, max: 4 }), ({ cup, bow, twist, face }, passes) => {
        const height = (x: number, y: number) =>
          -bow * x * x + (face === "bark-up" ? cup : -cup) * y * y + (twist / 4) * x * y;
        // its corners, its middle and the middles of its edges hold the highest place of such a surface
        let highest = -Infinity;
        for (let i = -200; i <= 200; i += 1)
          for (const y of [-1, 0, 1]) highest = Math.max(highest, height(i / 200, y), height(y, i / 200));
        let state = 12345;
        const next = () => (state = (state * 1103515245 + 12345) % 2147483648) / 1073741824 - 1;
        const thrown = 20_000;
        let low = 0;
        for (let i = 0; i < thrown; i += 1) if (highest - height(next(), next()) > passes * SKIP_PASS) low += 1;
        const ours = keptShare(hollows(board({ cup, bow, twist }), 2000, 200, face), passes);
        expect(Math.abs(ours - low / thrown)).toBeLessThan(0.05);
      }),
      { numRuns: 40, seed: SEED },
    ));
  it("every pass leaves less, none leaves all, and deep enough none is left", () =>
    fc.assert(
      fc.property(warp, ({ face, ...given }) => {
        const below = hollows(board(given), 2000, 200, face);
        const shares = Array.from({ length: 30 }, (_, n) => keptShare(below, n));
        expect(shares[0]).toBe(1);
        shares.forEach((share, n) => expect(share).toBeLessThanOrEqual(n === 0 ? 1 : shares[n - 1]));
        expect(shares.at(-1)).toBe(0);
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("never lies lower than the board is warped", () =>
    fc.assert(
      fc.property(warp, ({ face, ...given }) => {
        const { lost } = millingYield(board(given), { cleaning: 0, jointing: 0 }, 2000, 200);
        const deepest = Math.max(...hollows(board(given), 2000, 200, face));
        expect(deepest).toBeLessThanOrEqual(lost.cup + lost.bow + lost.twist + 1e-9);
      }),
      { numRuns: 60, seed: SEED },
    ));
});

describe("what it leaves of a strip", () => {
  const warped = board({ cup: 2, bow: 3, twist: 2 });
  const size = { length: 1000, width: 150 };
  it("planed, what both faces need; sawn, what cleans one face and the passes take", () => {
    expect(stripYield(warped, USUAL_SHOP, { ...size, passes: null })).toEqual(
      millingYield(warped, USUAL_SHOP, size.length, size.width),
    );
    expect(stripYield(warped, USUAL_SHOP, { ...size, passes: 2 }).thickness).toBeCloseTo(
      40 - USUAL_SHOP.cleaning - 2 * SKIP_PASS,
      9,
    );
  });
  it("its width is jointed as any other's", () =>
    expect(stripYield(warped, USUAL_SHOP, { ...size, passes: 0 }).width).toBe(
      millingYield(warped, USUAL_SHOP, size.length, size.width).width,
    ));
  it("all that is not a light pass comes off below", () => {
    const { faces, shim, resawn } = sawnFacePlan(warped, { ...size, thickness: 32 }, { passes: 2, shop: USUAL_SHOP });
    expect(faces.first + faces.second).toBeCloseTo(8, 9);
    expect([faces.secondPasses, shim, resawn]).toEqual([2, 0, null]);
  });
  it("no pass leaves the face as it is", () =>
    expect(sawnFacePlan(warped, { ...size, thickness: 39 }, { passes: 0, shop: USUAL_SHOP }).steps.at(-1)).toBe(
      "Leave the upper face as it is.",
    ));
});

describe("the verdict", () => {
  const strip = (id: string, given: object) => ({
    strip: { face: "bark-up" as const },
    board: board({ id, ...given }),
    length: 2000,
    width: 200,
  });
  const whole = { sawnFace: 0, crosscutFirst: true };
  it("names the board that lies lowest, and has nothing to say of a planed face or of no boards", () => {
    const laid = [strip("A", { cup: 1 }), strip("B", { bow: 2.5 })];
    expect(sawnFaceRule(laid, whole)!.text).toMatch(/B lies 2\.5 low at its lowest$/);
    expect(sawnFaceRule(laid, { ...whole, sawnFace: null })).toBeNull();
    expect(sawnFaceRule([], whole)).toBeNull();
  });
  it("offers as many passes as bring every board within a hand's feeling, and says what they leave", () => {
    const [passes, planed] = sawnFaceRule([strip("A", { bow: 3 })], whole)!.remedies;
    expect(passes.patches[0].value).toBe(3);
    expect(passes.label).toMatch(/^Take 3 light passes: \d+ % stays sawn$/);
    expect(planed.patches[0].value).toBeNull();
  });
  it("where no number of light passes is enough it offers planing alone", () =>
    expect(sawnFaceRule([strip("A", { bow: 12 })], whole)!.remedies.map(({ label }) => label)).toEqual([
      "Plane the upper face",
    ]));
  it("tells a share for every number of passes", () =>
    expect(sawnFaces([strip("A", { bow: 3 })], { passes: 1, crosscutFirst: true })[0].shares).toHaveLength(
      MOST_PASSES + 1,
    ));
});
