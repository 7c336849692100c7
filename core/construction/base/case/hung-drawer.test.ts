import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, stood } from "../../../assembly/solid";
import { bodiesOf, heldBy } from "../../../joinery/kinds";
import type { Patch } from "../../../piece/patch";
import { bays, caseOf, chest, eight, rows, set } from "../../../testing/cases";
import { clashes } from "../../../testing/clashes";
import { find } from "../../../testing/plans";

/** The chest of three drawers, 880 by 390: each hangs by grooves in its sides of 12. */
const hung = (...patches: Patch[]) => chest(set("drawers.on", "hung"), ...patches);
type Planned = ReturnType<typeof hung>;
const bounds = (plan: Planned, id: string) => {
  const part = plan.assembly.parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
};

describe("drawers that hang by their sides, worked by hand", () => {
  const plan = hung();
  const [first] = caseOf(plan).drawers;
  it("a groove 14 and a half high, 12 × 0.45 deep, in the middle of a side, stopped 15 before the front", () => {
    // the first opening of 140: 2 below, 3 above
    expect(first.high.to - first.high.from).toBe(140 - 2 - 3);
    expect(first.hanger).toMatchObject({ height: 14, depth: 5.4, y: first.high.from + (135 - 14) / 2 });
    expect(first.hanger!.to).toBe(caseOf(plan).deep.to - 20 - 15);
    const side = plan.assembly.parts.find(({ id }) => id === "V1")!;
    const groove = side.cuts.find(({ by }) => by === "hanger")!;
    expect([groove.shape.width, groove.shape.thickness]).toEqual([5.4, 14.5]);
    // from the drawer's back, 15 before the case's, to where it stops
    expect(groove.shape.length).toBeCloseTo(first.hanger!.to - first.deep.from, 9);
  });
  it("strips fill the gap of 1 and the groove but half a millimetre, and stop the drawer where the groove ends", () => {
    const { least, most } = bounds(plan, "YH1");
    expect(most[0] - least[0]).toBeCloseTo(1 + 5.4 - 0.5, 9);
    expect(most[1] - least[1]).toBe(14);
    expect(most[2]).toBe(first.hanger!.to);
    expect(least[2]).toBe(caseOf(plan).insideBack + 3);
    expect(plan.assembly.parts.filter(({ kind }) => kind === "hanger")).toHaveLength(6);
    expect(plan.assembly.parts.some(({ kind }) => kind === "runner" || kind === "kicker")).toBe(false);
    expect(clashes(plan.assembly.parts)).toEqual([]);
    expect(find(plan, "form.opens").level).toBe("holds");
  });
  it("is tight in front, slots behind: the side moves along the strip, and a strip without slots is told", () => {
    const joint = plan.joints.find(({ id }) => id === "case-side+hanger")!;
    expect(joint).toMatchObject({ kind: "screwed", screws: 3, slot: 12, tight: true });
    // from behind: two that let the side go, one that holds it in front
    expect(heldBy(joint).map(({ kind }) => kind)).toEqual(["slot", "slot", "screw"]);
    const holes = bodiesOf(joint).own.map(({ shape }) => shape.width);
    expect(holes).toEqual([12, 12, 5]);
    const card = plan.cards.find((each) => each.joint === joint.id)!;
    expect(card.lines).toContainEqual({ what: "The last one", setting: "tight, through a hole of 5 mm" });
    expect(find(plan, "movement.runners").level).toBe("holds");
    const held = plan.stopped.filter(({ link }) => link.id.includes("hanger"));
    expect(held.every(({ excess }) => Math.abs(excess) < 0.05)).toBe(true);
    const stuck = hung(set("slot", 5));
    expect(stuck.stopped.some(({ link, excess }) => link.id.includes("hanger") && Math.abs(excess) > 0.05)).toBe(true);
    expect(find(stuck, "movement.runners").level).toBe("fix");
  });
  it("a low drawer's strip lies above its bottom's groove", () => {
    const low = hung(bays(rows([52, "drawer"], [null, "drawer"])));
    const [drawer] = caseOf(low).drawers;
    expect(drawer.hanger!.y).toBe(drawer.bottom.from + drawer.bottom.thickness + 4);
    expect(clashes(low.assembly.parts)).toEqual([]);
  });
  it("on both sides of a divider screws pass one another", () => {
    const two = hung(bays(rows([null, "drawer"]), rows([null, "drawer"])));
    expect(clashes(two.assembly.parts)).toEqual([]);
    expect(two.verdicts.filter(({ id, level }) => id === "joints.cuts-meet" && level !== "holds")).toEqual([]);
    expect(two.failures).toEqual([]);
  });
  it("grooves are cut with the drawer's, strips set from the drawers and are their stops", () => {
    const of = (id: string) => plan.steps.find((step) => step.id === id)!;
    expect(of("drawers-dovetails").detail).toContain("14.5 mm wide and 5.4 mm of 12.0 mm deep, 60.5 mm on drawer 1");
    expect(of("drawers-stops").title).toBe("Set the strips, hang the drawers");
    // of 140, of 160, and of what is left: 2 below each, half of what its sides are high less the strip
    expect(of("drawers-stops").detail).toContain("62.5 mm on drawer 1, 72.5 mm on drawer 2,");
    expect(of("drawers-stops").detail).toContain("A strip’s front end stands 35.0 mm behind the case’s front");
    const alike = hung(bays(rows([null, "drawer"], [null, "drawer"]))).steps.find(({ id }) => id === "drawers-stops")!;
    expect(alike.detail).toMatch(/stand [\d.]+ mm above what lies below the drawer/);
    expect(plan.steps.some(({ id }) => id === "runners")).toBe(false);
    expect(find(plan, "form.drawers-hang")).toMatchObject({ level: "holds", actual: 4.9 });
  });
});

it.each([
  ["thin sides", [set("drawers.side", 8)], /Sides of 8 mm leave/],
  ["a drawer from behind", [set("back", "none"), bays(rows([null, "drawers-through"]))], /opens in front only/],
  ["too low an opening", [bays(rows([45, "drawer"], [null, "drawer"]))], /of a side stand above/],
] as [string, Patch[], RegExp][])("%s is told, and mended", (_, patches, text) => {
  const { level, text: said, remedies } = find(hung(...patches), "form.drawers-hang");
  expect(level).not.toBe("holds");
  expect(said).toMatch(text);
  const mended = hung(...patches, ...remedies[0].patches);
  expect(["holds", undefined]).toContain(mended.verdicts.find(({ id }) => id === "form.drawers-hang")?.level);
});

it("drawers on runners and on slides have no strips", () => {
  for (const on of ["runners", "slides"]) {
    const plan = eight(set("drawers.on", on), bays(rows([null, "drawer"])));
    expect(caseOf(plan).drawers[0].hanger).toBeNull();
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.drawers-hang");
  }
});
