import { describe, expect, it } from "vitest";
import { AssemblyPart, bodyOf } from "../../../assembly/part";
import { Place, toPiece, within } from "../../../assembly/place";
import { solidOf } from "../../../assembly/shape";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { Patch } from "../../../piece/patch";
import { clashes } from "../../../testing/clashes";
import { at, find, remediesThatFail, tableWith } from "../../../testing/plans";
import { ROUND, set, TABLE, table } from "../../../testing/splays";
import type { SplayedFrame } from "./place";

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const frustum = (a: number, b: number, h: number) => (Math.PI * h * (a * a + a * b + b * b)) / 12;
/** What 32 faces round a circle hold more than it. */
const ROUNDER = (32 * Math.tan(Math.PI / 32)) / Math.PI;

describe.each([
  ["at the corners, 40 square, 8° each way", TABLE, 40, 70],
  ["in a round of three, 50 square, 10°", ROUND, 50, 70],
])("legs turned below the rails, %s", (_, patches, section, depth) => {
  const plan = table(...patches, set("shape", "round"), set("foot", 26));
  const g = plan.geometry as SplayedFrame;
  const legs = plan.assembly.parts.filter(({ kind }) => kind === "splayed-leg");
  const { turned, ring, backed, stretch } = g.legs;
  it("begin as thick as the planed faces leave them, 10 below the rails", () => {
    expect(turned!.below).toBe(530 - depth - 10);
    expect(turned!.wide).toBeCloseTo(
      ring ? section * Math.cos(rad(backed)) : section * (Math.cos(rad(backed)) - Math.sin(rad(backed))),
      9,
    );
    expect(find(plan, "form.turned").level).toBe("holds");
  });
  it("are square to their heads, a cone from there down, cut level on the floor", () => {
    const bare = (part: AssemblyPart) => bulkOf(bodyOf({ ...part, cuts: [] })).volume;
    const whole = bare(table(...patches, set("foot", section)).assembly.parts.find(({ id }) => id === "L1")!);
    const [leg] = legs;
    const head = leg.adds[0].place.at[0];
    // along its axis from the floor to the shoulder
    const long = head - floorOn(leg.place, section);
    const cone = frustum(26, turned!.wide, long) * ROUNDER;
    const block = whole * (1 - long / (530 * stretch));
    expect(bare(leg) / (cone + block)).toBeCloseTo(1, 2);
    const { least, most } = boundsOf(stood(bodyOf(leg), leg.place));
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(530, 6)]);
  });
  it("are square from where the rails end: their outer corner is, and the inner side some way below", () => {
    const [{ adds, place }] = legs;
    const { least } = boundsOf(stood(solidOf(adds[0].shape), within(place, adds[0].place)));
    expect(least[1]).toBeLessThan(turned!.below - 2);
    expect(least[1]).toBeGreaterThan(turned!.below - Math.SQRT2 * section * Math.sin(rad(12)));
  });
  it("their feet stand where their axes meet the floor, and nothing fills another's room", () => {
    for (const [i, foot] of g.feet.entries()) {
      const { place } = legs[i];
      const [x, , z] = toPiece(place, [floorOn(place, section), section / 2, section / 2]);
      expect([foot.x, foot.z]).toEqual([expect.closeTo(x, 1), expect.closeTo(z, 1)]);
      expect(Math.max(foot.length, foot.width)).toBeLessThan(26 / Math.cos(rad(12)) + 1e-9);
      expect(Math.min(foot.length, foot.width)).toBeGreaterThan(26 - 1e-9);
    }
    expect(clashes(plan.assembly.parts)).toEqual([]);
  });
  it("are slotted while they are square, then turned", () => {
    const ids = plan.steps.map(({ id }) => id);
    if (backed > 0.05) expect(plan.steps.find(({ id }) => id === "back-legs")!.detail).toMatch(/centres on both ends/);
    // between centres while its ends are square, and cut level after
    for (const [first, then] of [
      ["slots", "taper"],
      ["taper", "ends"],
      ["ends", "dry-fit"],
    ])
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
    expect(plan.steps.find(({ id }) => id === "taper")!.title).toBe("Turn the legs below the rails");
  });
});

/** Where along its grain a leg's axis meets the floor, mm. */
const floorOn = (place: Place, section: number): number =>
  -toPiece(place, [0, section / 2, section / 2])[1] / place.x[1];

describe("what can't be turned is said, and mended", () => {
  it.each([
    ["low stretchers", [...TABLE, set("low.kind", "box")], "form.turned-lows"],
    ["six legs, whose faces leave half of them", [...ROUND, set("ring.legs", 6), set("section", 40)], "form.turned"],
    ["a foot as thick as the square", [...ROUND, set("foot", 50)], "form.turned"],
  ])("%s", (_, patches, id) => {
    const turned: Patch[] = [...patches, set("shape", "round"), at("form.top.thickness", 20)];
    const plan = table(...turned);
    expect(find(plan, id).level).not.toBe("holds");
    expect(plan.assembly.parts.filter(({ kind }) => kind.endsWith("stretcher"))).toEqual([]);
    expect(remediesThatFail(tableWith(...turned), id)).toEqual([]);
  });
});
