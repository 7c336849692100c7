import { describe, expect, it } from "vitest";
import { clashes } from "../../../testing/clashes";
import { set, table } from "../../../testing/splays";
import type { SplayedFrame } from "./place";
import { levelOf } from "./sticks";

const T = Math.tan((8 * Math.PI) / 180);

describe("stretchers low between the legs", () => {
  const boxed = table(set("low", { kind: "box", height: 120, depth: 34, thickness: 20 }), set("foot", 30));
  const lows = (boxed.geometry as SplayedFrame).lows;
  it("all round, those at the ends lie 12 above the others, so that no mortise meets another", () => {
    const [ends, sides] = ["across", "along"].map((run) => lows.filter((each) => each.run === run));
    expect(sides.map(({ lower, upper }) => [lower, upper])).toEqual([
      [120, 154],
      [120, 154],
    ]);
    expect(ends.map(({ lower }) => lower)).toEqual([154 + 12, 154 + 12]);
    expect(clashes(boxed.assembly.parts)).toEqual([]);
  });
  it("slots square to an aslant end begin so far from its edge that they keep their wall at the bottom", () => {
    for (const stick of lows) {
      const joint = boxed.joints.find(({ enters }) => enters === stick.kind)!;
      if (joint.kind !== "blind-tenon") throw new Error("It is a loose tenon.");
      const wall = joint.walls.find(({ where }) => where.startsWith("beside its slot"))!;
      expect(wall.left).toBeGreaterThanOrEqual(Math.min(8, joint.section.width / 8) - 1e-9);
      expect(wall.left).toBeCloseTo(joint.shoulders.end - stick.end * joint.mortiseDepth, 9);
    }
  });
  it("an H runs between the end stretchers, sawn to their lean", () => {
    const h = table(set("low", { kind: "h", height: 120, depth: 34, thickness: 20 }));
    const [one, , middle] = (h.geometry as SplayedFrame).lows;
    expect(middle.reach).toBeCloseTo(one.outer - levelOf(one), 9);
    expect(middle.end).toBeCloseTo(T, 9);
    expect(clashes(h.assembly.parts)).toEqual([]);
  });
});
