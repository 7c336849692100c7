import { describe, expect, it } from "vitest";
import { boardFeet, cubicMetres, nextSawnThickness, nominalSize, QUARTERS } from "./lumber";

describe("lumber sizes against the American Softwood Lumber Standard PS 20 (from memory)", () => {
  it.each([
    ["2x4", 38, 89],
    ["2×6", 38, 140],
    ["2x8", 38, 184],
    ["4x4", 89, 89],
    ["1x12", 19, 286],
    ["2x10", 38, 235],
    ["1x6", 19, 140],
  ])("%s", (name, thickness, width) => expect(nominalSize(name)).toEqual({ thickness, width }));
  it("has no answer for a size the standard does not list", () => {
    expect(nominalSize("3x7")).toBeNull();
    expect(nominalSize("two by four")).toBeNull();
  });
});

describe("board foot arithmetic (definition: 144 cubic inches)", () => {
  it("a foot square and an inch thick is one", () => expect(boardFeet(304.8, 304.8, 25.4)).toBeCloseTo(1, 12));
  it("8/4, 8 in wide, 10 ft long is 13 1/3", () =>
    expect(boardFeet(3048, 203.2, QUARTERS["8/4"].rough)).toBeCloseTo(13 + 1 / 3, 9));
  it("a cubic metre holds 423.776", () => expect(boardFeet(1000, 1000, 1000)).toBeCloseTo(423.776, 3));
  it("cubic metres", () => expect(cubicMetres(2000, 500, 50)).toBeCloseTo(0.05, 12));
});

it("finds the next sawn thickness a merchant stocks", () => {
  expect(nextSawnThickness(33)).toBe(41);
  expect(nextSawnThickness(41)).toBe(41);
  expect(nextSawnThickness(130)).toBeNull();
});
