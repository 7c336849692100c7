import { describe, expect, it } from "vitest";
import { less, together } from "../assembly/carve";
import { solidOf } from "../assembly/shape";
import { bulkOf, Solid, stood } from "../assembly/solid";
import { USUAL_TENON } from "../piece/base-choices";
import { USUAL_SHOP } from "../piece/shop";
import { blindTenon, Meets, TENON } from "./blind-tenon";
import { dovetail } from "./dovetail";
import { housing } from "./housing";
import type { JointBody } from "./joint";
import { bodiesOf, cardOf, heldBy, KindOfJoint } from "./kinds";
import { lagged } from "./lag";
import { slidingDovetail } from "./sliding-dovetail";
import { throughTenon } from "./through-tenon";

const meets: Meets = { id: "a+b", group: "a+b", name: "B to a", receives: "a", enters: "b", count: 4 };
const section = { width: 110, thickness: 40 };
const into = { depth: 64, thickness: 150 };
const shop = USUAL_SHOP;
const blind = (change: Partial<typeof USUAL_TENON> = {}, size = section) =>
  blindTenon({ meets, section: size, into, shop, setting: { ...USUAL_TENON, ...change } });
const through = (change: { proud?: number; wedged?: boolean; thickness?: number | null } = {}) =>
  throughTenon({ meets, section, into, proud: 6, wedged: true, thickness: null, shop, ...change });

const KINDS: [string, KindOfJoint][] = [
  ["a blind tenon", blind()],
  ["twin tenons", blind({ twin: true })],
  ["loose tenons", blind({ kind: "loose" })],
  ["a wedged through tenon", through()],
  ["a plain through tenon, flush", through({ wedged: false, proud: 0 })],
  ["a sliding dovetail", slidingDovetail({ meets, section: { width: 60, thickness: 30 }, into })],
  ["a lag screw", lagged({ meets, section, into })],
  ["a housing", housing({ meets, section, into })],
  ["a housing stopped short of one edge", housing({ meets, section, into, stops: { from: 0, to: 10 } })],
  ["dovetails through", dovetail({ meets, section, into, slope: "1:8", lapped: false, tails: null, kerf: 1 })],
  ["dovetails lapped", dovetail({ meets, section, into, slope: "1:6", lapped: true, tails: 3, kerf: 1 })],
];

const whole = (bodies: readonly JointBody[]): Solid =>
  bodies.reduce<Solid>((all, each) => together(all, stood(solidOf(each.shape), each.place)), []);
const volume = (solid: Solid) => bulkOf(solid).volume;

describe("every kind of joint, closed", () => {
  it.each(KINDS)("%s: all that enters has its room, but for what stands proud", (_, joint) => {
    const { adds, cuts } = bodiesOf(joint);
    const proud = joint.kind === "through-tenon" ? joint.proud * joint.thickness * joint.tenonWidth : 0;
    expect(volume(less(whole(adds), whole(cuts)))).toBeCloseTo(proud, 3);
  });
  it.each(KINDS)("%s: no room is left that nobody named", (_, joint) => {
    const { adds, cuts } = bodiesOf(joint);
    const gap = volume(less(whole(cuts), whole(adds)));
    if (joint.kind === "blind-tenon" && joint.made === "tenon")
      expect(gap).toBeCloseTo(TENON.mortiseDeeper * joint.thickness * joint.tenonWidth * joint.tenons * joint.rows, 3);
    if (
      joint.kind === "sliding-dovetail" ||
      joint.kind === "housing" ||
      joint.kind === "through-tenon" ||
      joint.kind === "dovetail"
    )
      expect(gap).toBeCloseTo(0, 3);
  });
  it.each(KINDS)("%s: its card speaks of it, and it holds something along its face", (_, joint) => {
    const card = cardOf(joint);
    expect(card.title).toBe("B to a, 4 times");
    expect(card.lines.length).toBeGreaterThan(2);
    for (const held of heldBy(joint)) {
      expect(held.from).toBeGreaterThanOrEqual(0);
      expect(held.to).toBeLessThanOrEqual(joint.section.width);
    }
  });
});

describe("every setting changes an output", () => {
  const base = blind();
  it.each([
    ["how it is made", { kind: "loose" as const }],
    ["thickness", { thickness: 10 }],
    ["length", { length: 30 }],
    ["tenons", { tenons: 1 }],
    ["twin", { twin: true }],
    ["pins", { pinned: true }],
  ])("%s", (_, change) => expect(cardOf(blind(change))).not.toEqual(cardOf(base)));
  it.each([
    ["proud", { proud: 0 }],
    ["wedges", { wedged: false }],
    ["thickness", { thickness: 12 }],
  ])("through: %s", (_, change) => expect(cardOf(through(change))).not.toEqual(cardOf(through())));
});

describe("sizes by hand", () => {
  it("a third of 40 is 13: the 12 mm cutter; two thirds of 64 is 42.5; 110 wide takes two", () => {
    const joint = blind();
    expect([joint.thickness, joint.length, joint.tenons]).toEqual([12, 42.5, 2]);
    expect(joint.walls[0].left).toBe(64 - 44.5);
  });
  it("twin tenons are a fifth each, with three equal shoulders", () => {
    const joint = blind({ twin: true });
    expect([joint.thickness, joint.shoulders.face]).toEqual([8, 8]);
  });
  it("a dovetail of 30 that goes 20 in at 1 in 7 is 24.3 at its neck", () =>
    expect(slidingDovetail({ meets, section: { width: 60, thickness: 30 }, into }).neck).toBeCloseTo(24.286, 3));
  it("a lag screw reaches through 64, less its counterbore of 12, and 60 beyond", () =>
    expect(lagged({ meets, section, into }).boltLength).toBe(112));
});
