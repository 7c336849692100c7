import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { at, planOf, railJoints, tableWith } from "../testing/plans";
import { looseReach, looseRow } from "./loose-tenons";

const shop = (...looseTenons: { thickness: number; width: number; length: number | null }[]) => ({ looseTenons });
const stick = { thickness: 8, width: 30, length: null };

describe("loose tenons as the shop has them", () => {
  it("as many as there is room for, 10 between at least, from end to end", () => {
    expect(looseRow(shop(stick), 8, 72, null)).toEqual({ tenons: 2, tenonWidth: 30, gap: 12 });
    expect(looseRow(shop(stick), 8, 69, null)).toEqual({ tenons: 1, tenonWidth: 30, gap: 0 });
  });
  it("the widest that fits, and one that is too wide is ripped to its room", () => {
    expect(looseRow(shop(stick, { ...stick, width: 50 }), 8, 60, null)!.tenonWidth).toBe(50);
    expect(looseRow(shop(stick), 8, 24, null)).toEqual({ tenons: 1, tenonWidth: 24, gap: 0 });
  });
  it("so many as the maker set", () => {
    expect(looseRow(shop(stick), 8, 96, 3)).toEqual({ tenons: 3, tenonWidth: 30, gap: 3 });
    expect(looseRow(shop(stick), 8, 60, 3)!.tenonWidth).toBe(20);
  });
  it("none of that thickness: the joint is sized as if it were cut", () =>
    expect(looseRow(shop(stick), 12, 60, null)).toBeNull());
  it("half the longest that is not too long; from a stick as long as is wanted", () => {
    const owned = shop({ ...stick, length: 40 }, { ...stick, length: 60 }, { ...stick, length: 120 });
    expect(looseReach(owned, 8, 45)).toBe(30);
    expect(looseReach(owned, 8, 15)).toBe(15);
    expect(looseReach(shop(stick), 8, 45)).toBe(45);
  });
});

it("a table's card asks for tenons that are in the drawer", () => {
  const owned = { ...USUAL_SHOP, looseTenons: [{ thickness: 8, width: 30, length: 60 }] };
  const plan = planOf(tableWith(at("joints.legRail.kind", "loose-tenon")), [], owned);
  const [long] = railJoints(plan);
  expect([long.tenonWidth, long.reach, long.length]).toEqual([30, 30, 0]);
  // the row lies in the middle of what the rail's depth leaves it: 95 less 15 above and 8 below
  expect(long.shoulders.top + long.shoulders.lower + long.tenons * 30 + (long.tenons - 1) * long.gap).toBeCloseTo(
    95,
    9,
  );
  expect(plan.cards[0].lines.find((line) => line.what === "Loose tenon")!.setting).toBe("8 mm by 30 mm, 60 mm long");
});
