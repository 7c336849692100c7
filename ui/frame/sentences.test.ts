import { describe, expect, it } from "vitest";
import { differences } from "../piece/differences";
import { toUnit } from "./sentences";

describe("a sentence in the unit on the screen", () => {
  it.each([
    [
      "The top stands at 750 mm, the brief asks for 760 mm",
      "The top stands at 29 17/32 in, the brief asks for 29 29/32 in",
    ],
    ["They travel 4.6 mm along the slot", "They travel 0.181 in along the slot"],
    ["Make the top 2100 by 900 mm", "Make the top 82 11/16 by 35 7/16 in"],
    ["Usual is 70 to 90 mm.", "Usual is 2 3/4 to 3 17/32 in."],
    ["Chisels: 6, 12 mm", "Chisels: 1/4, 15/32 in"],
    ["The legs leave −140 mm", "The legs leave −5 1/2 in"],
    ["8 clamps every 283 mm, 12 in the shop", "8 clamps every 11 5/32 in, 12 in the shop"],
    ["At 8.5 % it holds", "At 8.5 % it holds"],
  ])("%s", (mm, inches) => {
    expect(toUnit(mm, "inch")).toBe(inches);
    expect(toUnit(mm, "mm")).toBe(mm);
  });
  it("writes dates out", () => expect(toUnit("Promised for 2027-01-29.", "mm")).toBe("Promised for 29 January 2027."));
});

describe("what differs between two versions", () => {
  it("names each field with both values", () => {
    expect(differences({ a: { b: 1, c: "x" }, d: [1] }, { a: { b: 2, c: "x" }, d: [1, 2] })).toEqual([
      { field: "a, b", theirs: "1", mine: "2" },
      { field: "d", theirs: "1 entries", mine: "2 entries" },
    ]);
  });
  it("is nothing for equals", () => expect(differences({ a: [1, { b: null }] }, { a: [1, { b: null }] })).toEqual([]));
});
