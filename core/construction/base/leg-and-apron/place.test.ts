import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freshPiece } from "../../../piece/fresh";
import { at, planOf, railJoints, tableWith } from "../../../testing/plans";
import { placeLegAndApron } from "./place";

describe("common practice: a 90 mm leg, 110 × 25 rail with a 5 mm reveal, 720 high, for a table 2100 long", () => {
  const piece = tableWith(
    at("form.top.length", 2100),
    at("form.top.width", 900),
    at("form.top.thickness", 30),
    at("form.height", 750),
    at("form.overhang", { end: 35, side: 35 }),
    at("form.leg.section", 90),
    at("form.apron", { depth: 110, thickness: 25, reveal: 5, arch: 0 }),
  );
  const geometry = placeLegAndApron(piece.form, []);

  it("has 1850 mm of long rail between the legs", () => expect(geometry.longRail.shoulder).toBe(1850));
  it("has legs 720 long", () => expect(geometry.leg.length).toBe(720));
  it("leaves 610 mm of knee room", () => expect(geometry.kneeRoom).toBe(610));
  it("leaves 60 mm of leg inside the rail", () => expect(geometry.leg.inner).toBe(60));
  it("gets two tenons, for a rail deeper than 100", () => expect(railJoints(planOf(piece))[0].tenons).toBe(2));
});

describe("the parts of a table add up (identity)", () => {
  const sizes = fc.record({
    length: fc.integer({ min: 900, max: 3000 }),
    width: fc.integer({ min: 500, max: 1200 }),
    leg: fc.integer({ min: 40, max: 120 }),
    end: fc.integer({ min: 0, max: 150 }),
    side: fc.integer({ min: 0, max: 100 }),
    reveal: fc.integer({ min: 0, max: 15 }),
    rail: fc.integer({ min: 15, max: 35 }),
  });

  it("overhang, leg, rail, leg, overhang make the top's length and width", () => {
    fc.assert(
      fc.property(sizes, ({ length, width, leg, end, side, reveal, rail }) => {
        const { form } = tableWith(
          at("form.top.length", length),
          at("form.top.width", width),
          at("form.leg.section", leg),
          at("form.overhang", { end, side }),
          at("form.apron", { depth: 100, thickness: rail, reveal, arch: 0 }),
        );
        const geometry = placeLegAndApron(form, []);
        expect(2 * end + 2 * leg + geometry.longRail.shoulder).toBe(length);
        expect(2 * side + 2 * leg + geometry.endRail.shoulder).toBe(width);
        expect(geometry.frame.width / 2 - geometry.longRail.z - rail / 2).toBeCloseTo(reveal, 9);
      }),
    );
  });

  it("cross-rails divide the long rails evenly", () => {
    const geometry = placeLegAndApron(tableWith(at("form.crossRails", 3)).form, []);
    const gaps = [
      -geometry.longRail.shoulder / 2,
      ...geometry.crossRails.map((each) => each.x),
      geometry.longRail.shoulder / 2,
    ];
    for (let i = 2; i < gaps.length; i += 1) expect(gaps[i] - gaps[i - 1]).toBeCloseTo(gaps[1] - gaps[0], 9);
  });
});

describe("parts", () => {
  const { form } = freshPiece("t", "2026-11-23");
  const counts = (given: typeof form) =>
    Object.fromEntries(
      planOf(tableWith(at("form", given), at("joints.fastening", "loose"))).parts.map((part) => [part.id, part.count]),
    );

  it("a table is a top, four legs, two and two rails, and what was chosen besides", () => {
    expect(counts(form)).toEqual({ top: 1, leg: 4, "long-rail": 2, "end-rail": 2, "cross-rail": 1, "corner-block": 4 });
    expect(counts({ ...form, crossRails: 0, cornerBlocks: false })).toEqual({
      top: 1,
      leg: 4,
      "long-rail": 2,
      "end-rail": 2,
    });
  });

  it("the longest rail measured on the work beats the planned one", () => {
    const measured = [{ part: "leg", dimension: "width" as const, value: 72, on: "2026-11-24" }];
    expect(placeLegAndApron(form, measured).leg.section).toBe(72);
    expect(placeLegAndApron(form, measured).longRail.shoulder).toBe(placeLegAndApron(form, []).longRail.shoulder + 6);
  });
});
