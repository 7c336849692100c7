import { describe, expect, it } from "vitest";
import type { RailTenon } from "./rail-tenon";
import { applyPatches, Patch } from "../piece/patch";
import { at, find, planOf, tableWith } from "../testing/plans";
import { isCovered, mortiseLong } from "./mortise-shows";

const long = (part: string, value: number) => at("asBuilt", [{ part, dimension: "length", value, on: "2026-11-23" }]);
const plan = planOf(tableWith(at("form.apron.depth", 100)));
const joint = plan.joints.find((each): each is RailTenon => each.kind === "rail-tenon")!;
const withLong = (value: number, ...patches: Patch[]) =>
  tableWith(at("form.apron.depth", 100), ...patches, long(joint.group, value));

describe("a mortise that came out longer than planned", () => {
  it("begins a shoulder in from the rail's upper edge: 3 too long it leaves the lower shoulder less 3", () => {
    const planned = mortiseLong(joint);
    expect(planned).toBeCloseTo(100 - joint.shoulders.top - joint.shoulders.lower, 9);
    const verdict = find(planOf(withLong(planned + 3)), "joints.mortise-shows");
    expect(verdict.actual).toBeCloseTo(joint.shoulders.lower - 3, 1);
  });
  it("shows once it is longer than what covers it: a slip saves it, or deeper rails", () => {
    const piece = withLong(112);
    const verdict = find(planOf(piece), "joints.mortise-shows");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toContain("shows");
    expect(verdict.remedies).toHaveLength(2);
    const [slip, deeper] = verdict.remedies.map(({ patches }) => planOf(applyPatches(piece, patches)));
    expect(slip.verdicts.find(({ id }) => id === "joints.mortise-shows")).toBeUndefined();
    expect(find(deeper, "joints.mortise-shows").level).toBe("holds");
  });
  it("nothing is said where nothing was measured, and other measurements stay with the slip", () => {
    expect(plan.verdicts.some(({ id }) => id === "joints.mortise-shows")).toBe(false);
    const both = applyPatches(withLong(112), [
      at("asBuilt.1", { part: "leg", dimension: "width", value: 71, on: "2026-11-23" }),
    ]);
    const [slip] = find(planOf(both), "joints.mortise-shows").remedies;
    expect(applyPatches(both, slip.patches).asBuilt.map(({ part }) => part)).toEqual(["leg"]);
  });
  it("of any joint with shoulders: a trestle's post in its foot", () => {
    const trestle = planOf(tableWith(at("form.kind", "trestle")));
    const post = trestle.joints.filter(isCovered)[0];
    const told = planOf(tableWith(at("form.kind", "trestle"), long(post.group, post.section.width + 4)));
    expect(find(told, "joints.mortise-shows")).toMatchObject({ level: "fix", subject: [post.receives, post.enters] });
  });
});
