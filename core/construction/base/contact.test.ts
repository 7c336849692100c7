import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cross, dot, long, minus, Vec } from "../../assembly/vector";
import { freshPiece } from "../../piece/fresh";
import { USUAL_SHOP } from "../../piece/shop";
import { Contact, jointsOf, meetingsOf, mitredCorner, screwFor } from "./contact";

const FACTS = { choices: freshPiece("Contacts", "2026-11-23").joints, shop: USUAL_SHOP, slope: "1:8" as const };
const face = { at: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0] } as const;
const contact = (change: Partial<Contact>): Contact => ({
  ...{ group: "side+shelf", name: "Shelf to side", enters: "H", receives: "P1", how: "stopped" },
  ...{ section: { width: 300, thickness: 18 }, depth: 20, face },
  ...change,
});

describe("a list of contacts", () => {
  it("gives one joint a group, counted, and a meeting for each face", () => {
    const all = [contact({}), contact({ receives: "P2" }), contact({ group: "side+rail", how: "lapped", enters: "A" })];
    const joints = jointsOf(all, FACTS);
    expect(joints.map(({ id, kind, count }) => [id, kind, count])).toEqual([
      ["side+shelf", "housing", 2],
      ["side+rail", "dovetail", 1],
    ]);
    expect(meetingsOf(all, joints).map(({ enters, receives }) => [enters, receives])).toEqual([
      ["H", "P1"],
      ["H", "P2"],
      ["A", "P1"],
    ]);
    expect(meetingsOf(all, [])).toEqual([]);
  });
  it("says of each joint what kind it is, and who receives whom", () => {
    const rail = { reveal: 3, passes: true, outward: -1 as const };
    const kinds: [Contact["how"], Partial<Contact>, string][] = [
      ["let-in", {}, "housing"],
      ["stub", {}, "blind-tenon"],
      ["rail", { rail, depth: 45, section: { width: 60, thickness: 22 } }, "rail-tenon"],
      ["through", {}, "dovetail"],
      ["mitred", { mitre: { held: "spline", set: [] }, section: { width: 200, thickness: 20 } }, "mitre"],
      ["screws", { screws: { screws: 3, through: 12, long: 30 } }, "screwed"],
    ];
    for (const [how, change, kind] of kinds) {
      const [joint] = jointsOf([contact({ how, ...change })], FACTS);
      expect([joint.kind, joint.receives, joint.enters]).toEqual([kind, "side", "shelf"]);
    }
    const [turned] = meetingsOf([contact({ how: "rail", rail })], jointsOf([contact({ how: "rail", rail })], FACTS));
    expect(turned.outward).toBe(-1);
  });
  it("spaces a group’s dovetails as the maker does, and no other’s", () => {
    const all = [contact({ how: "through" }), contact({ how: "through", group: "side+back", enters: "B" })];
    const dovetails = { "side+shelf": { tails: 3, pin: 9, half: null, middles: null } };
    const [mine, other] = jointsOf(all, { ...FACTS, choices: { ...FACTS.choices, dovetails } });
    expect(mine).toMatchObject({ tails: 3, pin: 9 });
    expect(other).toMatchObject({ pin: 6 });
  });
  it("takes the longest screw that is sold and stays inside; the shortest where none does", () => {
    expect([screwFor(34), screwFor(35), screwFor(500), screwFor(3)]).toEqual([30, 35, 120, 16]);
  });
});

describe("a mitred corner", () => {
  const ring = fc.record({
    x: fc.integer({ min: 100, max: 900 }).map((half) => ({ from: -half, to: half })),
    z: fc.integer({ min: 100, max: 900 }).map((half) => ({ from: -half, to: half })),
    y: fc.integer({ min: 10, max: 400 }).map((to) => ({ from: 5, to: to + 5 })),
  });
  it("lies half-way between its two boards, along the upright edge, and looks into the one that runs from front to back", () =>
    fc.assert(
      fc.property(ring, (given) => {
        for (const sx of [-1, 1] as const)
          for (const sz of [-1, 1] as const) {
            const { at, x, y } = mitredCorner(given, sx, sz);
            const inward: Vec = cross(x, y);
            expect(long(x)).toBeCloseTo(1, 12);
            expect(Math.abs(y[1])).toBe(1);
            expect(dot(x, y)).toBeCloseTo(0, 12);
            // from the outside corner to the middle of the ring, at 45° to both
            expect(inward[0]).toBeCloseTo(-sx * Math.SQRT1_2, 12);
            expect(inward[2]).toBeCloseTo(-sz * Math.SQRT1_2, 12);
            // the board from front to back lies on the side it looks to: a step along z from the corner
            expect(dot(x, [0, 0, -sz])).toBeGreaterThan(0);
            expect(dot(x, [-sx, 0, 0])).toBeLessThan(0);
            const corner: Vec = [sx < 0 ? given.x.from : given.x.to, at[1], sz < 0 ? given.z.from : given.z.to];
            expect(long(minus(at, corner))).toBe(0);
            // along its edge it stays within the boards' height
            const high = given.y.to - given.y.from;
            expect([at[1], at[1] + y[1] * high].sort((a, b) => a - b)).toEqual([given.y.from, given.y.to]);
          }
      }),
    ));
});
