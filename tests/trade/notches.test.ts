/** Tops that are notched, curved or cut out, and tenons out of the drawer, as the one who cuts them reads it. */
import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../../core/piece/shop";
import type { Patch } from "../../core/piece/patch";
import { at, find, planOf, strips, tableWith } from "../../core/testing/plans";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
const outline = (...patches: Patch[]) => {
  const plan = planOf(tableWith(seven, ...patches));
  return { plan, step: plan.steps.find(({ id }) => id === "outline") };
};

describe("10: a top with notched corners", () => {
  const through = [at("form.leg.top", "through"), at("form.overhang", { end: 0, side: 0 }), at("form.leg.gap", 3)];
  it("legs run up through it: 750 long for a table of 750, where they end under a top of 28 at 722", () => {
    const leg = (...patches: Patch[]) =>
      planOf(tableWith(...patches)).parts.find(({ id }) => id === "leg")!.finished.length;
    expect([leg(...through), leg()]).toEqual([750, 722]);
  });
  it("its notches have a step after the dry fit, marked from the posts, 78 by 78 for legs of 75", () => {
    const { step } = outline(...through);
    expect(step).toMatchObject({ title: "Notch the corners of the top", after: ["flatten", "dry-fit"] });
    expect(step!.detail).toMatch(/^Notch the corners 78 by 78 mm: marked from the posts as they stand, 3 mm free/);
  });
  it("and its gap is judged: none is a fault when the top swells", () =>
    expect(
      find(outline(...through.slice(0, 2), at("form.leg.gap", 0), at("moisture.value", 6)).plan, "movement.notches")
        .level,
    ).toBe("fix"));
});

describe("10: a curve and a hole have their step", () => {
  it("an oval is set out, sawn outside the line and faired", () =>
    expect(outline(at("form.top.outline", "ellipse")).step!.detail).toMatch(
      /Set the oval out from its two axes; saw outside/,
    ));
  it("a cut-out is named, its corners drilled first", () => {
    const hole = { name: "outlet", x: 900, y: 425, length: 120, width: 60 };
    expect(outline(at("form.top.cutouts", [hole])).step!.detail).toBe("Cut out: outlet, corners drilled first.");
  });
  it("a plain top has none", () => expect(outline().step).toBeUndefined());
});

describe("11: a loose tenon is one that lies in the drawer", () => {
  const card = (...looseTenons: (typeof USUAL_SHOP)["looseTenons"]) =>
    planOf(tableWith(at("joints.legRail.kind", "loose-tenon")), [], { ...USUAL_SHOP, looseTenons }).cards[0].lines.find(
      ({ what }) => what === "Loose tenon",
    )!.setting;
  it("as thick, as wide and as long as one that is owned", () => {
    expect(card({ thickness: 8, width: 30, length: 60 })).toBe("8 mm by 30 mm, 60 mm long");
    expect(card({ thickness: 8, width: 22, length: 50 })).toBe("8 mm by 22 mm, 50 mm long");
  });
});
