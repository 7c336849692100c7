import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { solidOf } from "../assembly/shape";
import { bulkOf } from "../assembly/solid";
import { stripsOf } from "../drawing/dovetail";
import { USUAL_ROW } from "../piece/dovetail-choices";
import { Dovetail, dovetail, dovetailBodies, dovetailCard, pinMoved, SLOPES, tailsAt } from "./dovetail";

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

describe("spaced by hand", () => {
  const spaced = (change: Partial<typeof USUAL_ROW>) => made(137, 12, 20, { row: { ...USUAL_ROW, ...change } });
  it("pins stand where they are set, in any order; tails are what lies between them", () => {
    const joint = spaced({ middles: [90, 30] });
    expect(joint.tails).toBe(3);
    // half pins of 4.8, pins of 4
    expect(tailsAt(joint)).toEqual([
      { from: expect.closeTo(4.8, 9), to: 28 },
      { from: 32, to: 88 },
      { from: 92, to: expect.closeTo(132.2, 9) },
    ]);
    expect(joint.tail).toBeCloseTo(23.2, 9);
  });
  it("pins and half pins of any width, tails as many as are asked: the rest is shared", () => {
    const joint = spaced({ tails: 4, pin: 7, half: 9 });
    expect([joint.tails, joint.pin, joint.half]).toEqual([4, 7, 9]);
    expect(joint.tail).toBeCloseTo((137 - 18 - 21) / 4, 9);
  });
  it("a pin that is moved leaves the others where they are, and no tail without a neck", () =>
    fc.assert(
      fc.property(row, fc.nat(), fc.double({ min: -500, max: 900, noNaN: true }), (given, which, to) => {
        const joint = of(given);
        fc.pre(joint.pins.length > 0 && joint.tail - 2 * joint.length * SLOPES[joint.slope] > 6);
        const i = which % joint.pins.length;
        const middles = pinMoved(joint, i, to);
        middles.forEach((middle, n) => n !== i && expect(middle).toBe(joint.pins[n]));
        const moved = made(given.width, given.thickness, given.depth, {
          ...{ lapped: given.lapped, slope: given.slope },
          row: { ...USUAL_ROW, middles },
        });
        expect(moved.tail - 2 * moved.length * SLOPES[moved.slope]).toBeGreaterThan(4.9);
        expect(tailsAt(moved).length).toBe(joint.tails);
      }),
    ));
  it("pins that stand in one another or past the edge leave no tail: a wall says so, and nothing breaks", () => {
    for (const middles of [[30, 31], [300], [0], [137, 60, 60]]) {
      const joint = spaced({ middles });
      expect(joint.walls[0].left).toBeLessThan(joint.walls[0].least);
      for (const { shape } of dovetailBodies(joint).adds) expect(bulkOf(solidOf(shape)).volume).toBeGreaterThan(0);
    }
  });
});

describe("strips of paper to mark it from", () => {
  it("hold every slope of every tail somewhere whole, full size, none longer than a sheet", () =>
    fc.assert(
      fc.property(row, (given) => {
        const joint = of(given);
        const splay = joint.length * SLOPES[joint.slope];
        fc.pre(joint.tail > 2 * splay);
        const strips = stripsOf(joint);
        expect(strips[0].from).toBe(0);
        expect(strips.at(-1)!.to).toBeCloseTo(given.width, 9);
        const drawn = new Set(
          strips.flatMap(({ lines }) => lines.map(([a, b]) => `${a[0].toFixed(6)} ${b[0].toFixed(6)}`)),
        );
        for (const { from, to } of tailsAt(joint)) {
          expect(drawn).toContain(`${(from + splay).toFixed(6)} ${from.toFixed(6)}`);
          expect(drawn).toContain(`${(to - splay).toFixed(6)} ${to.toFixed(6)}`);
        }
        for (const { from, to, lines } of strips) {
          expect(to - from).toBeLessThanOrEqual(180 + 1e-9);
          for (const [a, b] of lines)
            expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(Math.hypot(joint.length, splay), 6);
        }
        strips.slice(1).forEach(({ from }, i) => expect(strips[i].to - from).toBeGreaterThanOrEqual(20 - 1e-9));
      }),
    ));
});
