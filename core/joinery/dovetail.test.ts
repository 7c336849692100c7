import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { solidOf } from "../assembly/shape";
import { bulkOf } from "../assembly/solid";
import { Dovetail, dovetail, dovetailBodies, dovetailCard, SLOPES, tailsAt } from "./dovetail";

const meets = { id: "a+b", group: "a+b", name: "B to a", receives: "a", enters: "b", count: 2 };
const made = (width: number, thickness: number, depth: number, change: Partial<Parameters<typeof dovetail>[0]> = {}) =>
  dovetail({
    ...{ meets, section: { width, thickness }, into: { depth }, slope: "1:8", lapped: false, tails: null, kerf: 1 },
    ...change,
  });
const row = fc.record({
  width: fc.integer({ min: 40, max: 400 }),
  thickness: fc.integer({ min: 6, max: 25 }),
  depth: fc.integer({ min: 8, max: 30 }),
  lapped: fc.boolean(),
  slope: fc.constantFrom("1:6" as const, "1:8" as const),
});
const of = ({
  width,
  thickness,
  depth,
  ...rest
}: {
  width: number;
  thickness: number;
  depth: number;
  lapped: boolean;
  slope: "1:6" | "1:8";
}) => made(width, thickness, depth, rest);

describe("a row of dovetails by identities", () => {
  it("tails, pins and two half pins fill the edge, at the tails’ ends and at their necks", () =>
    fc.assert(
      fc.property(row, (given) => {
        const joint = of(given);
        const { tails, tail, pin, half, section, length, slope } = joint;
        expect(tails * tail + (tails - 1) * pin + 2 * half).toBeCloseTo(section.width, 9);
        const splay = length * SLOPES[slope];
        expect(tails * (tail - 2 * splay) + (tails - 1) * (pin + 2 * splay) + 2 * (half + splay)).toBeCloseTo(
          section.width,
          9,
        );
      }),
    ));
  it("a tail’s body is the trapezium of its marks, as thick as its board", () =>
    fc.assert(
      fc.property(row, (given) => {
        const joint = of(given);
        const splay = joint.length * SLOPES[joint.slope];
        fc.pre(joint.tail - 2 * splay > 1);
        const [first] = dovetailBodies(joint).adds;
        expect(bulkOf(solidOf(first.shape)).volume).toBeCloseTo(
          (joint.tail - splay) * joint.length * joint.section.thickness,
          3,
        );
      }),
    ));
  it("it lies alike from both edges: turned end for end it is the same row", () => {
    const joint = made(180, 12, 20, { lapped: true });
    const marks = tailsAt(joint);
    marks.forEach(({ from, to }, i) => {
      const mirrored = marks[marks.length - 1 - i];
      expect([180 - mirrored.to, 180 - mirrored.from]).toEqual([expect.closeTo(from, 9), expect.closeTo(to, 9)]);
    });
  });
});

describe("by hand", () => {
  it("137 wide in sides of 12: a tail every 30, so five; pins of 4, half pins of 4.8", () => {
    const joint = made(137, 12, 20, { lapped: true });
    expect([joint.tails, joint.pin, joint.half]).toEqual([5, 4, expect.closeTo(4.8, 9)]);
    expect(joint.tail).toBeCloseTo((137 - 9.6 - 16) / 5, 9);
    // a quarter of 20 covers it
    expect([joint.length, joint.lap]).toEqual([15, 5]);
  });
  it("through, the tails are as long as the pins’ board is thick, and show", () => {
    const joint = made(100, 12, 14);
    expect(joint.length).toBe(14);
    expect(dovetailBodies(joint).adds.every(({ shows }) => shows)).toBe(true);
  });
  it("so many tails that their necks are gone are told by a wall", () => {
    const { walls } = made(60, 12, 20, { tails: 6 });
    expect(walls[0].left).toBeLessThan(walls[0].least);
  });
  it("every choice changes the card", () => {
    const card = (joint: Dovetail) => dovetailCard(joint);
    const plain = card(made(137, 12, 20));
    for (const change of [{ slope: "1:6" as const }, { lapped: true }, { tails: 3 }])
      expect(card(made(137, 12, 20, change))).not.toEqual(plain);
  });
});
