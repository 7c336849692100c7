import { describe, expect, it } from "vitest";
import { clashesOf } from "../assembly/clashes";
import { bodyOf } from "../assembly/part";
import { bulkOf } from "../assembly/solid";
import { USUAL_TENON } from "../piece/base-choices";
import { chest } from "../testing/cases";
import { at, find, planOf, tableWith } from "../testing/plans";
import type { BlindTenon } from "./blind-tenon";
import { foxOf } from "./foxed";
import { bodiesOf, cardOf } from "./kinds";

const foxed = (patch: object = {}, ...more: Parameters<typeof tableWith>) =>
  tableWith(
    at("form.kind", "trestle"),
    at("joints.fastening", "slotted"),
    at("joints.groups", { "foot+post": { ...USUAL_TENON, foxed: true, ...patch } }),
    ...more,
  );
const jointOf = (piece: ReturnType<typeof foxed>) =>
  planOf(piece).joints.find((joint): joint is BlindTenon => joint.id === "foot+post")!;

describe("a foxed tenon, worked by hand", () => {
  it("a strip of 5 bent over 30 goes out 2 × 0.009 × 900 / 15 = 1.08, over 54 no further than 2.5", () => {
    expect(foxOf(36, 2)).toEqual({ depth: 30, kerf: 2, spread: 1 });
    expect(foxOf(60, 2)).toEqual({ depth: 54, kerf: 2, spread: 2.5 });
    expect(foxOf(20, 2).spread).toBe(0.2);
  });
  it("what it is strained by is what a cantilever bent by that much is: its curvature at the root times half its thickness", () => {
    const { depth, spread } = foxOf(36, 2);
    // a beam bent by a force at its end: curvature at the root is 3 · way / length²
    expect(((3 * spread) / depth ** 2) * (5 / 2)).toBeLessThanOrEqual(0.009);
    expect(((3 * (spread + 0.1)) / depth ** 2) * (5 / 2)).toBeGreaterThan(0.009);
  });
  it("its mortise is wider at the floor by the spread of both edges, its tenon straight with two kerfs", () => {
    const joint = jointOf(foxed());
    const { adds, cuts, own, brings = [] } = bodiesOf(joint);
    const bulk = (bodies: typeof cuts) =>
      bodies.reduce((sum, { shape }) => sum + bulkOf(bodyOf({ shape, adds: [], cuts: [] } as never)).volume, 0);
    const { tenonWidth, mortiseDepth, thickness, length, fox, tenons } = joint;
    expect(bulk(cuts)).toBeCloseTo(tenons * (tenonWidth + fox!.spread) * mortiseDepth * thickness, 3);
    expect(bulk(adds)).toBeCloseTo(tenons * tenonWidth * length * thickness, 3);
    expect(bulk(own)).toBeCloseTo(tenons * 2 * (length - 6) * fox!.kerf * thickness, 3);
    expect(brings.map(({ name }) => name)).toEqual(Array.from({ length: 2 * tenons }, () => "Wedge"));
  });
  it("a wedge is as thick as its kerf and the spread, and stands on the mortise's floor, not on the kerf's", () => {
    const joint = jointOf(foxed());
    const lines = new Map(cardOf(joint).lines.map(({ what, setting }) => [what, setting]));
    const { fox, length, mortiseDepth } = joint;
    const wedge = parseFloat(lines.get("Wedges, driven by the floor")!);
    expect(wedge).toBeLessThan(fox!.depth + (mortiseDepth - length));
    expect(wedge).toBe(length - 6 - 3 + 2);
    expect(cardOf(joint).marked).toContain("no second try");
  });
  it("nothing of it is in anything else, and loose tenons are never foxed", () => {
    expect(clashesOf(planOf(foxed()).assembly.parts)).toEqual([]);
    expect(jointOf(foxed({ kind: "loose" })).fox).toBeNull();
  });
});

describe("what is wrong with a foxed tenon is said, with what mends it", () => {
  it.each([
    ["too short for its strips to bend", { length: 22 }, "fix"],
    ["a little short", { length: 30 }, "tight"],
    ["drawn in by a pin", { pinned: true }, "fix"],
    ["too narrow for two kerfs", { tenons: 6 }, "fix"],
  ] as const)("%s", (_, patch, level) => {
    const piece = foxed(patch);
    const found = find(planOf(piece), "joints.foxed");
    expect(found.level).toBe(level);
    const mended = planOf(foxed(patch, ...found.remedies[0].patches));
    expect(mended.verdicts.find(({ id }) => id === "joints.foxed")?.level ?? "holds").toBe("holds");
  });
  it("into the side of a case, whose grain is upright, it would split it; into a leg's or a foot's it does not", () => {
    const pushed = { "case-side+drawer-rail": { ...USUAL_TENON, foxed: true } };
    const found = find(chest(at("joints.groups", pushed)), "joints.foxed");
    expect([found.level, found.text]).toEqual([
      "fix",
      "Drawer rail to side: its wedges press across the grain and split what they are let into",
    ]);
    expect(chest(at("joints.groups", pushed), ...found.remedies[0].patches).verdicts.map(({ id }) => id)).not.toContain(
      "joints.foxed",
    );
  });
  it("holds as it is planned", () => {
    expect(find(planOf(foxed()), "joints.foxed").level).toBe("holds");
  });
});
