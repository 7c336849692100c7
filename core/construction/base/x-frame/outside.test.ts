// X frames of any choices, held against manifold-3d on their own polygons, and against whole bodies carved out of one another.
import fc from "fast-check";
import Module, { ManifoldToplevel, SimplePolygon } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { bulkOf, stood } from "../../../assembly/solid";
import { freshPiece } from "../../../piece/fresh";
import { applyPatches } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at } from "../../../testing/plans";
import { preview } from "../../preview";
import type { XFrame } from "./place";

let kit: ManifoldToplevel;
beforeAll(async () => {
  kit = await Module();
  kit.setup();
});
const SEED = Number(process.env.SEED ?? 20261125);

/** Choices that make an X: strips narrower than a third of their spread. */
const choices = fc
  .record({
    width: fc.integer({ min: 50, max: 90 }),
    thickness: fc.integer({ min: 30, max: 70 }),
    inBelow: fc.integer({ min: 20, max: 180 }),
    inAbove: fc.integer({ min: 60, max: 200 }),
    height: fc.integer({ min: 500, max: 900 }),
    top: fc.integer({ min: 700, max: 1100 }),
    kind: fc.constantFrom("none", "crossing", "heads"),
    frames: fc.constantFrom(2, 3),
  })
  .map(({ width, thickness, inBelow, inAbove, height, top, kind, frames }) =>
    applyPatches(freshPiece("X", "2026-11-23"), [
      at("form.kind", "x-frame"),
      at("form.height", height),
      at("form.top.width", top),
      at("form.xFrame.width", width),
      at("form.xFrame.thickness", thickness),
      at("form.xFrame.inBelow", inBelow),
      at("form.xFrame.inAbove", inAbove),
      at("form.xFrame.bearer.setIn", inAbove - 40),
      at("form.xFrame.stretcher.kind", kind),
      at("form.xFrame.stretcher.depth", 44),
      at("form.xFrame.frames", frames),
    ]),
  );
const made = (piece: ReturnType<typeof freshPiece>) => {
  const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
  return { at: geometry as XFrame, parts: assembly.parts };
};

describe(`X frames of sixty choices (seed ${SEED})`, () => {
  it("a leg is its polygon less half of what both legs cross, to a millionth", () =>
    fc.assert(
      fc.property(choices, (piece) => {
        const { at: x, parts } = made(piece);
        const leg = parts.find(({ kind }) => kind === "x-leg")!;
        const lapOnly = { ...leg, cuts: leg.cuts.filter(({ by }) => by === "x-leg+x-leg") };
        const { floor, head, lean, strip, bearer } = x;
        const polygon = (side: 1 | -1): SimplePolygon => {
          const corners: [number, number][] = [
            [(-side * floor) / 2, 0],
            [side * (-floor / 2 + lean.level), 0],
            [(side * head) / 2, bearer.from],
            [side * (head / 2 - lean.level), bearer.from],
          ];
          return side > 0 ? corners : corners.reverse();
        };
        const prism = (side: 1 | -1, high: number) => kit.Manifold.extrude([polygon(side)], high);
        const crossed = prism(1, strip.thickness / 2).intersect(prism(-1, strip.thickness / 2));
        const theirs = prism(1, strip.thickness).subtract(crossed).volume();
        expect(Math.abs(bulkOf(bodyOf(lapOnly)).volume - theirs) / theirs).toBeLessThan(1e-6);
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("both legs of an X weigh alike, and hang in balance over the middle line", () =>
    fc.assert(
      fc.property(choices, (piece) => {
        const { at: x, parts } = made(piece);
        const bulks = parts
          .filter(({ kind }) => kind === "x-leg")
          .map((part) => bulkOf(stood(bodyOf(part), part.place)));
        const volumes = bulks.map(({ volume }) => volume);
        for (const volume of volumes) expect(volume).toBeCloseTo(volumes[0], 2);
        // legs of one X lean to either side
        expect(bulks[0].centre[2] + bulks[1].centre[2]).toBeCloseTo(0, 6);
        expect(bulks[0].centre[1]).toBeCloseTo(bulks[1].centre[1], 6);
        expect(bulks[0].centre[0] + bulks[1].centre[0]).toBeCloseTo(2 * x.frames[0], 6);
      }),
      { numRuns: 30, seed: SEED },
    ));
  it("joined, no two bodies share wood: not a leg and its mate, not a stretcher and its crossing", () =>
    fc.assert(
      fc.property(choices, (piece) => {
        const { parts } = made(piece);
        const base = parts.filter(({ role }) => role !== "panel");
        expect(clashes(base, bodiesOfParts(base))).toEqual([]);
      }),
      { numRuns: 25, seed: SEED },
    ));
});
