import { describe, expect, it } from "vitest";
import { boundsOf, stood } from "../../assembly/solid";
import { bodyOf } from "../../assembly/part";
import { at, find, planOf, tableWith } from "../../testing/plans";

const slatted = (...patches: Parameters<typeof tableWith>) =>
  planOf(tableWith(at("form.low.kind", "ends"), at("form.shelf.kind", "slats"), ...patches));

describe("a shelf on stretchers, by hand (legs 75 set in by 40 under 1800 by 850)", () => {
  it("lies on them, from outside to outside, between the legs", () => {
    const plan = planOf(tableWith(at("form.low.kind", "ends"), at("form.shelf.kind", "solid")));
    const part = plan.assembly.parts.find((each) => each.kind === "shelf")!;
    const { least, most } = boundsOf(stood(bodyOf(part), part.place));
    // stretchers 45 deep from 120 up; their middles 1645 apart, 25 thick; 620 between the legs less 3 on each side
    expect(least[1]).toBeCloseTo(165, 9);
    expect(most[0] - least[0]).toBeCloseTo(1645 + 25, 9);
    expect(most[2] - least[2]).toBeCloseTo(620 - 6, 9);
  });
  it("is laid on when the base stands, and needs no housing", () => {
    const plan = planOf(tableWith(at("form.low.kind", "ends"), at("form.shelf.kind", "solid")));
    const ids = plan.steps.map((each) => each.id);
    expect(ids).not.toContain("shelf-house");
    expect(ids.indexOf("shelf-lay")).toBeGreaterThan(ids.indexOf("glue-base"));
    expect(plan.steps.find((each) => each.id === "glue-base")!.detail).not.toMatch(/shelf/i);
  });
  it("six slats with five gaps between them fill the same width", () => {
    const plan = slatted();
    const slats = plan.assembly.parts.filter((each) => each.kind === "shelf-slat");
    expect(slats).toHaveLength(6);
    expect(6 * slats[0].shape.width + 5 * 12).toBeCloseTo(614, 9);
    expect(plan.panels).toEqual([]);
    expect(plan.parts.find((each) => each.id === "shelf-slat")!.count).toBe(6);
  });
});

describe("what a slatted shelf is judged by", () => {
  it("without stretchers it has nothing to lie on, and its remedy lays them", () => {
    const plan = planOf(tableWith(at("form.shelf.kind", "slats")));
    const verdict = find(plan, "form.shelf-slats");
    expect(verdict.level).toBe("fix");
    const [patch] = verdict.remedies[0].patches;
    expect(
      find(planOf(tableWith(at("form.shelf.kind", "slats"), at(patch.path.join("."), patch.value))), "form.shelf-slats")
        .level,
    ).toBe("holds");
  });
  it("gaps that close in the wet month are opened", () => {
    const verdict = find(slatted(at("form.shelf.slatGap", 0), at("moisture.value", 6)), "form.shelf-slats");
    expect(verdict.level).toBe("fix");
    const [patch] = verdict.remedies[0].patches;
    expect(
      find(slatted(at("form.shelf.slatGap", patch.value), at("moisture.value", 6)), "form.shelf-slats").level,
    ).toBe("holds");
  });
  it("so many slats that none is wide enough become fewer", () => {
    const verdict = find(slatted(at("form.shelf.slats", 30)), "form.shelf-slats");
    expect(verdict.level).not.toBe("holds");
    const [patch] = verdict.remedies[0].patches;
    expect(find(slatted(at("form.shelf.slats", patch.value)), "form.shelf-slats").level).toBe("holds");
  });
});
