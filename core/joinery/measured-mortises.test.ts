import { describe, expect, it } from "vitest";
import type { RailTenon } from "./rail-tenon";
import type { BlindTenon } from "./blind-tenon";
import { at, find, planOf, tableWith } from "../testing/plans";

const measured = (part: string, value: number) =>
  at("asBuilt", [{ part, dimension: "thickness", value, on: "2026-11-23" }]);

describe("mortises that were cut and measured", () => {
  const plan = planOf(tableWith());
  const rail = plan.joints.find(({ kind }) => kind === "rail-tenon") as RailTenon;

  it("rails' tenons are as thick as the mortises in the legs, all of them, and their shoulders follow", () => {
    const wide = planOf(tableWith(measured(rail.group, rail.thickness + 0.6)));
    const after = wide.joints.filter(
      (each): each is RailTenon => each.kind === "rail-tenon" && each.setAt !== undefined,
    );
    expect(after.length).toBeGreaterThan(0);
    for (const each of after) expect(each.thickness).toBeCloseTo(rail.thickness + 0.6, 9);
    // what a tenon gains its shoulders lose
    const shoulder = (of: RailTenon) => of.section.thickness - of.thickness;
    expect(shoulder(rail) - shoulder(after[0])).toBeCloseTo(0.6, 9);
    expect(find(wide, "joints.mortise-measured")).toMatchObject({ level: "tight" });
    expect(find(wide, "joints.mortise-measured").text).toContain("0.6 mm more than planned");
    // the wood of both is cut so
    const tenon = wide.assembly.parts.find(({ kind }) => kind === rail.enters)!.adds[0];
    expect(tenon.shape.thickness).toBeCloseTo(rail.thickness + 0.6, 9);
  });

  it("a hair is what a cutter makes, and nothing is said where nothing was measured", () => {
    const hair = planOf(tableWith(measured(rail.group, rail.thickness + 0.2)));
    expect(find(hair, "joints.mortise-measured").level).toBe("holds");
    expect(plan.verdicts.some(({ id }) => id === "joints.mortise-measured")).toBe(false);
  });

  it("a group of its own changes by itself: a trestle's posts, not its stretcher", () => {
    const base = [at("form.kind", "trestle")];
    const before = planOf(tableWith(...base)).joints as BlindTenon[];
    const foot = before.find(({ group }) => group === "foot+post")!;
    const after = planOf(tableWith(...base, measured("foot+post", foot.thickness + 1))).joints as BlindTenon[];
    expect(after.find(({ group }) => group === "foot+post")!.thickness).toBeCloseTo(foot.thickness + 1, 9);
    for (const joint of before.filter(({ group }) => group !== "foot+post"))
      expect(after.find(({ group }) => group === joint.group)!.thickness).toBe(joint.thickness);
  });

  it("loose tenons stay loose, and are planed for the slots that are there", () => {
    const piece = [at("joints.legRail.kind", "loose-tenon")];
    const loose = planOf(tableWith(...piece)).joints.find(({ setAt }) => setAt) as RailTenon;
    const wide = planOf(tableWith(...piece, measured(loose.group, loose.thickness + 1)));
    expect(wide.joints.find(({ group }) => group === loose.group)).toMatchObject({
      made: "loose-tenon",
      thickness: loose.thickness + 1,
    });
    expect(find(wide, "joints.mortise-measured").why).toContain("planed for them");
  });
});
