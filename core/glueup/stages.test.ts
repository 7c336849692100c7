import { describe, expect, it } from "vitest";
import { at, find, planOf, plainRack, strips, tableWith } from "../testing/plans";
import { USUAL_SHOP } from "../piece/shop";
import { GLUE_GRAMS } from "./adhesives";
import { planerGroups } from "./stages";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));

describe("one gluing", () => {
  const [stage] = planOf(tableWith(seven)).glueUp;

  it("has a line between every two strips", () => expect(stage.lines).toHaveLength(6));
  it("spreads 200 g/m² on every line (common practice)", () => {
    expect(stage.grams).toBeCloseTo(6 * 1.84 * 0.028 * GLUE_GRAMS, 6);
  });
  it("stands clamps above and below in turn, no more than 300 apart, 80 from the ends", () => {
    const { places } = stage.clamps;
    expect(places[0].x).toBeCloseTo(-(1840 / 2 - 80), 9);
    for (let i = 1; i < places.length; i += 1) {
      expect(places[i].x - places[i - 1].x).toBeLessThanOrEqual(300 + 1e-9);
      expect(places[i].above).not.toBe(places[i - 1].above);
    }
  });
  it("puts each caul between two clamps", () => {
    for (const caul of stage.cauls)
      for (const clamp of stage.clamps.places) expect(Math.abs(caul - clamp.x)).toBeGreaterThan(60);
  });
  it("asks for 1.2 MPa on hardwood and 0.7 on softwood (common practice)", () => {
    expect(stage.clamps.forceNeeded).toBeCloseTo((1.2 * 28 * 1840) / 1000, 9);
    const soft = planOf(
      tableWith(seven, at("species", "european-larch")),
      plainRack().map((board) => ({ ...board, species: "european-larch" })),
    );
    expect(soft.glueUp[0].clamps.forceNeeded).toBeCloseTo((0.7 * 28 * 1840) / 1000, 9);
  });
  it("weighs what its volume and density say", () => {
    const width = stage.width / 1000;
    expect(stage.weight).toBeCloseTo(width * 1.84 * 0.028 * 690, 6);
  });
  it("takes half as long with two pairs of hands", () => {
    const [two] = planOf(tableWith(seven, at("glueUp.hands", 2))).glueUp;
    expect(two.minutes).toBeCloseTo(stage.minutes / 2, 9);
  });
});

describe("gluing in parts", () => {
  const plan = planOf(tableWith(seven, at("choices.stages", "halves")));

  it("each part passes the planer and the last seams join them all", () => {
    const parts = plan.glueUp.slice(0, -1);
    for (const part of parts) expect(part.width).toBeLessThanOrEqual(USUAL_SHOP.planerWidth);
    expect(plan.glueUp.at(-1)!.id).toBe("last");
    expect(plan.glueUp.at(-1)!.strips).toEqual(["B1", "B2", "B3", "B4", "B5", "B6", "B7"]);
    expect(find(plan, "glueup.planer").level).toBe("holds");
  });
  it("keeps every strip in exactly one group, in order, for any planer", () => {
    for (const planer of [160, 250, 300, 410, 600]) {
      const groups = planerGroups(plan.panel.laid, planer);
      expect(groups.flat()).toEqual([...plan.panel.laid]);
      for (const group of groups)
        if (group.length > 1) expect(group.reduce((sum, each) => sum + each.full, 0)).toBeLessThanOrEqual(planer);
    }
  });
  it("glues as many lines in all as there are between strips", () => {
    expect(plan.glueUp.reduce((sum, stage) => sum + stage.lines.length, 0)).toBe(6);
  });
});

it("glue that sets before the clamps are on is to fix, and slower glue mends it", () => {
  const verdict = find(planOf(tableWith(seven)), "glueup.open");
  expect(verdict.level).toBe("fix");
  const slow = verdict.remedies.find((each) => each.label.startsWith("Use"))!;
  expect(find(planOf(tableWith(seven, ...slow.patches)), "glueup.open").level).toBe("holds");
});
