import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { placeLegAndApron } from "./place";
import { TENON } from "../../../joinery/blind-tenon";
import { USUAL_SHOP } from "../../../piece/shop";
import { at, find, planOf, railJoints, tableWith } from "../../../testing/plans";
import { crossRailJoint, legRailJoint } from "./joints";

const shop = { ...USUAL_SHOP, mortiseDepth: 200 };
const practice = tableWith(
  at("form.top.length", 2100),
  at("form.overhang", { end: 35, side: 35 }),
  at("form.leg.section", 90),
  at("form.apron", { depth: 110, thickness: 25, reveal: 5, arch: 0 }),
);
const geometry = placeLegAndApron(practice.form, []);

describe("common practice: a 25 mm rail set 5 back in a 90 mm leg", () => {
  const joint = legRailJoint(geometry, practice.joints.legRail, shop, "long-rail");

  it("takes an 8 mm tenon: a third, rounded to a cutter", () => {
    expect(joint.thickness).toBe(8);
    expect(joint.tool).toEqual({ kind: "router bit", size: 8 });
  });
  it("stands 13.5 from the outer face", () => expect(joint.offset).toBe(13.5));
  it("mitred, it ends 1 mm short of the other's outer cheek: 75.5", () => expect(joint.length).toBe(75.5));
  it("leaves 13.5 beyond the mortise", () => expect(joint.left.tip).toBe(13.5));
  it("two tenons and the gap fill what the shoulders leave", () => {
    expect(2 * joint.tenonWidth + joint.gap + joint.shoulders.top + joint.shoulders.lower).toBeCloseTo(110, 9);
  });
});

describe("two 70 mm deep mortises from rails 25 thick, 5 back, in a 90 leg meet each other (derived)", () => {
  it("they meet, and square tips of that length would collide", () => {
    const square = legRailJoint(
      geometry,
      { ...practice.joints.legRail, meeting: "short", length: 70 },
      shop,
      "end-rail",
    );
    expect(square.left.meeting).toBeLessThan(0);
    const plan = planOf({
      ...practice,
      joints: { ...practice.joints, legRail: { ...practice.joints.legRail, meeting: "short", length: 70 } },
    });
    expect(find(plan, "joints.meeting").level).toBe("fix");
  });
  it("mitred they pass", () => {
    const plan = planOf({
      ...practice,
      joints: { ...practice.joints, legRail: { ...practice.joints.legRail, length: 70 } },
    });
    expect(find(plan, "joints.meeting").level).toBe("holds");
    expect(find(plan, "joints.meeting").text).toMatch(/meet/);
  });
});

describe("tenons chosen by Taller never collide (counted on a grid of points, independently)", () => {
  const sizes = fc.record({
    leg: fc.integer({ min: 45, max: 120 }),
    rail: fc.integer({ min: 18, max: 32 }),
    reveal: fc.integer({ min: 0, max: 12 }),
    meeting: fc.constantFrom("mitred" as const, "short" as const),
  });

  it("no point of the leg belongs to both, and none lies outside it", () => {
    fc.assert(
      fc.property(sizes, ({ leg, rail, reveal, meeting }) => {
        fc.pre(reveal + rail + 10 < leg);
        const { form } = tableWith(
          at("form.leg.section", leg),
          at("form.apron", { depth: 95, thickness: rail, reveal, arch: 0 }),
        );
        const choice = { ...practice.joints.legRail, tenons: 1, meeting };
        const long = legRailJoint(placeLegAndApron(form, []), choice, shop, "long-rail");
        const end = legRailJoint(placeLegAndApron(form, []), choice, shop, "end-rail");
        // u runs in from the outer face the end rail is flush with, v from the one the long rail is flush with
        const inLong = (u: number, v: number) =>
          v > long.offset && v < long.offset + long.thickness && u > leg - long.length + mitreAt(long, v);
        const inEnd = (u: number, v: number) =>
          u > end.offset && u < end.offset + end.thickness && v > leg - end.length + mitreAt(end, u);
        let shared = 0;
        for (let u = 0.25; u < leg; u += 0.5)
          for (let v = 0.25; v < leg; v += 0.5) if (inLong(u, v) && inEnd(u, v)) shared += 1;
        expect(shared).toBe(0);
        expect(long.left.tip).toBeGreaterThanOrEqual(TENON.wallLeast);
      }),
      { numRuns: 60 },
    );
  });

  /** How far the 45° tip has gone back at this depth across the cheek. */
  const mitreAt = (joint: { offset: number; mitre: number; thickness: number }, across: number) =>
    Math.max(0, ((across - joint.offset) / joint.thickness) * joint.mitre);
});

describe("what the maker chose is kept and judged", () => {
  it("a thickness nothing cuts is to fix", () => {
    const plan = planOf(tableWith(at("joints.legRail.thickness", 9.3)));
    expect(railJoints(plan)[0].thickness).toBe(9.3);
    expect(find(plan, "joints.cutter").level).toBe("fix");
  });
  it("a rail thinner than its tenon is to fix, and says both sizes", () => {
    const verdict = find(planOf(tableWith(at("joints.legRail.thickness", 30))), "joints.thickness");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toBe("The tenon is thicker than its rail: 30 mm in 25 mm");
  });
  it("a mortise through the leg is to fix", () => {
    expect(find(planOf(tableWith(at("joints.legRail.length", 74.5))), "joints.wall-tip").level).toBe("fix");
  });
  it("a shop that cuts 40 deep gets tenons that fit it", () => {
    const shallow = { ...USUAL_SHOP, mortiseDepth: 40 };
    expect(legRailJoint(geometry, practice.joints.legRail, shallow, "long-rail").mortiseDepth).toBeLessThanOrEqual(40);
  });
  it("loose tenons come from the sizes owned and add nothing to the rail", () => {
    const plan = planOf(tableWith(at("joints.legRail.kind", "loose-tenon")));
    expect(railJoints(plan)[0].tool.kind).toBe("loose tenon");
    const rail = plan.parts.find((part) => part.id === "long-rail")!;
    expect(rail.finished.length).toBe(rail.shoulder);
  });
  it("a tenoned rail is longer than its shoulders by two tenons", () => {
    const plan = planOf(tableWith());
    const rail = plan.parts.find((part) => part.id === "long-rail")!;
    expect(rail.finished.length).toBeCloseTo(rail.shoulder + 2 * railJoints(plan)[0].length, 9);
  });
});

it("a cross-rail's stub is half the rail it sits in, and there is none without cross-rails", () => {
  expect(crossRailJoint(geometry, shop).length).toBe(12.5);
  const without = planOf(tableWith(at("form.crossRails", 0)));
  expect(railJoints(without).map(({ enters }) => enters)).toEqual(["long-rail", "end-rail"]);
});
