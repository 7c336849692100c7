import { describe, expect, it } from "vitest";
import { at, find, planOf, tableWith } from "../testing/plans";
import { widthChange } from "./width";

const through = (...patches: Parameters<typeof tableWith>) =>
  planOf(tableWith(at("form.leg.top", "through"), at("form.overhang", { end: 0, side: 0 }), ...patches));

describe("posts up through the top's corners (derived: the notch travels with the top, the post stays)", () => {
  const plan = through(at("form.leg.gap", 3));
  const { top } = plan;
  // leg 75 and a gap of 3 from the front edge, the middle line held
  const reach = top.width / 2 - 78;
  const out = widthChange(reach, top.coefficient, top.start.value, top.wet.moisture);
  it("the gap it asks for is what lies between the notch and the middle grows", () => {
    expect(find(plan, "movement.notches").limit).toBeCloseTo(Math.max(0, out), 1);
  });
  it("a gap smaller than that is to be fixed, and its remedy mends it", () => {
    const dry = through(at("form.leg.gap", 0), at("moisture.value", 6));
    const verdict = find(dry, "movement.notches");
    expect(verdict.level).toBe("fix");
    const [patch] = verdict.remedies[0].patches;
    expect(find(through(at("form.leg.gap", patch.value), at("moisture.value", 6)), "movement.notches").level).toBe(
      "holds",
    );
  });
  it("held at its front edge all of it goes to the back", () => {
    const edge = through(at("choices.fixedLine", "front-edge"));
    expect(find(edge, "movement.notches").limit!).toBeGreaterThan(find(plan, "movement.notches").limit!);
  });
  it("a table whose legs end below has nothing to judge", () =>
    expect(planOf(tableWith()).verdicts.some((each) => each.id === "movement.notches")).toBe(false));
});
