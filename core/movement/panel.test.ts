import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { moistureYear } from "../climate/year";
import { courseOf, strips } from "../testing/plans";
import { demoBoard } from "../testing/boards";
import { findSpecies } from "../wood/species";
import { boardCoefficient } from "./coefficient";
import { widthChange } from "./width";
import { panelProfile } from "./profile";
import { panelCurvature, topMovement } from "./year";

const oak = findSpecies("european-oak")!;
const year = moistureYear({ kind: "typical", id: "heated-temperate" });
const course = courseOf(year.months.map((each) => each.moisture));
const start = { value: 8.5, on: "2026-11-23", from: "piece" as const };
const rings = fc.tuple(fc.integer({ min: -70, max: 0 }), fc.integer({ min: 0, max: 70 }));

describe("a panel is the sum over its boards (a plain independent sum, 100 random panels)", () => {
  it("in every month", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 60, max: 220 }), rings), { minLength: 2, maxLength: 9 }),
        (boards) => {
          const width = boards.reduce((sum, [each]) => sum + each, 0);
          const laid = strips(...boards.map((_, i) => `B${i}`)).map((strip, i) => ({
            strip: { ...strip, face: "bark-up" as const },
            width: boards[i][0],
            board: demoBoard({
              id: `B${i}`,
              width: boards[i][0],
              ringLeft: boards[i][1][0],
              ringRight: boards[i][1][1],
            }),
          }));
          const top = topMovement({ width, species: oak, start, thickness: 28, course, strips: laid });
          year.months.forEach((month, m) => {
            const expected = boards.reduce(
              (sum, [each, [left, right]]) =>
                sum + widthChange(each, boardCoefficient(oak, left, right), 8.5, month.moisture),
              0,
            );
            expect(top.changes[m]).toBeCloseTo(expected, 9);
          });
        },
      ),
      { numRuns: 100 },
    );
  });
  it("flipping or turning a board changes which way its rings run, never how far it moves", () => {
    const board = demoBoard({ ringLeft: -10, ringRight: 50 });
    const of = (face: "bark-up" | "bark-down", turned: boolean) =>
      topMovement({
        width: 160,
        species: oak,
        start,
        thickness: 28,
        course,
        strips: [{ strip: { board: "T1", face, turned, slide: 0, width: null }, board, width: 160 }],
      });
    const plain = of("bark-up", false);
    for (const [face, turned] of [
      ["bark-down", false],
      ["bark-up", true],
      ["bark-down", true],
    ] as const)
      expect(of(face, turned).wet.change).toBeCloseTo(plain.wet.change, 12);
    expect(of("bark-up", true).strips[0]).toMatchObject({ ringLeft: -50, ringRight: 10 });
    expect(of("bark-down", false).strips[0]).toMatchObject({ ringLeft: -50, ringRight: 10, barkUp: false });
    expect(of("bark-down", true).strips[0]).toMatchObject({ ringLeft: -10, ringRight: 50 });
  });
  it("what is over comes off the outer strips, and the strips then fill the width", () => {
    const laid = strips("A", "B", "C").map((strip) => ({ strip, board: demoBoard({ id: strip.board }), width: 150 }));
    const top = topMovement({ width: 430, species: oak, start, thickness: 28, course, strips: laid });
    expect(top.strips.map((each) => each.width)).toEqual([140, 150, 140]);
    expect(top.strips.map((each) => each.from)).toEqual([0, 140, 290]);
  });
});

describe("the year of a top without boards", () => {
  const top = topMovement({ width: 900, species: oak, start, thickness: 28, course, strips: [] });
  it("its extremes are the room's", () => {
    expect(top.wet.at).toBe(year.wettest.month);
    expect(top.dry.at).toBe(year.driest.month);
    expect(Math.max(...top.changes)).toBe(top.wet.change);
    expect(Math.min(...top.changes)).toBe(top.dry.change);
  });
  it("wood at a month's own moisture does not move that month", () => {
    const at = topMovement({
      width: 900,
      species: oak,
      start: { ...start, value: year.months[4].moisture },
      thickness: 28,
      course,
      strips: [],
    });
    expect(at.changes[4]).toBeCloseTo(0, 9);
  });
  it("a quarter-sawn top moves less than a flat-sawn one, by the ratio of its coefficients", () => {
    const one = (left: number, right: number) =>
      topMovement({
        width: 160,
        species: oak,
        start,
        thickness: 28,
        course,
        strips: [{ strip: strips("T1")[0], board: demoBoard({ ringLeft: left, ringRight: right }), width: 160 }],
      });
    expect(one(85, 85).wet.change / one(0, 0).wet.change).toBeCloseTo(
      boardCoefficient(oak, 85, 85) / oak.tangential,
      9,
    );
  });
});

describe("the shape of a free panel (derived: a constant curvature is a parabola)", () => {
  it("its joints lie on κ x (W − x)/2, whatever the strips' widths", () => {
    const laid = [60, 200, 90, 140].map((width, i) => ({
      strip: strips(`S${i}`)[0],
      board: demoBoard({ id: `S${i}`, width, ringLeft: 30, ringRight: 30 }),
      width,
    }));
    const bent = { ...courseOf([8.5, 8.5]), moment: [0, 0.8] };
    const top = topMovement({ width: 490, thickness: 28, species: oak, start, course: bent, strips: laid });
    const kappa = panelCurvature(top.coefficient, 28, 0.8);
    const { face } = panelProfile(top, oak, 1);
    for (const joint of [60, 260, 350]) {
      const [, height] = face.reduce((a, b) => (Math.abs(b[0] - joint) < Math.abs(a[0] - joint) ? b : a));
      expect(height).toBeCloseTo((kappa * joint * (490 - joint)) / 2, 6);
    }
    expect(top.bow[1]).toBeCloseTo((kappa * 490 * 490) / 8, 9);
  });
});

describe("a coefficient that was measured", () => {
  const laid = ["A", "B"].map((id) => ({ strip: strips(id)[0], board: demoBoard({ id }), width: 150 }));
  const of = (fitted: { what: string; coefficient: number }[]) =>
    topMovement({ width: 300, thickness: 28, species: oak, start, course, strips: laid, fitted }).strips.map(
      (strip) => strip.coefficient,
    );
  it("counts for its own board alone, before one of the whole top, and the latest counts", () => {
    const table = of([]);
    expect(of([{ what: "A", coefficient: 0.001 }])).toEqual([0.001, table[1]]);
    expect(
      of([
        { what: "top", coefficient: 0.002 },
        { what: "B", coefficient: 0.003 },
      ]),
    ).toEqual([0.002, 0.003]);
    expect(
      of([
        { what: "A", coefficient: 0.001 },
        { what: "A", coefficient: 0.0015 },
      ])[0],
    ).toBe(0.0015);
  });
});
