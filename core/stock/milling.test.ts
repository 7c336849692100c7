import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import { millingYield } from "./milling";

const board = demoBoard({ length: 2400, width: 200, thickness: 38, cup: 2, bow: 8, twist: 4, crook: 6 });

describe("what milling leaves (derived: circular bow and cup)", () => {
  it("takes the whole bow, cup and half the twist from a board flattened whole", () => {
    expect(millingYield(board, USUAL_SHOP, 2400, 200).thickness).toBeCloseTo(38 - 2 - 8 - 2 - 1.6, 9);
  });
  it("takes a quarter of the bow from half the length, a quarter of the cup from half the width", () => {
    const half = millingYield(board, USUAL_SHOP, 1200, 100);
    expect(half.lost.bow).toBeCloseTo(2, 9);
    expect(half.lost.cup).toBeCloseTo(0.5, 9);
    expect(half.lost.twist).toBeCloseTo(0.5, 9);
  });
  it("a circular bow's rise is c²/8R: half the chord, a quarter of the rise (identity)", () => {
    const radius = (2400 * 2400) / (8 * 8);
    expect(millingYield(board, USUAL_SHOP, 900, 200).lost.bow).toBeCloseTo((900 * 900) / (8 * radius), 9);
  });
  it("crook costs width", () => expect(millingYield(board, USUAL_SHOP, 2400, 200).width).toBeCloseTo(200 - 6 - 3, 9));
});
