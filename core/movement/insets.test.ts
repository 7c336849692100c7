import { describe, expect, it } from "vitest";
import type { Inset } from "../piece/schema";
import { courseOf } from "../testing/plans";
import { findSpecies } from "../wood/species";
import { insetMovements, LEAST_IN_GROOVE } from "./insets";

const oak = findSpecies("european-oak")!;
const built = (inset: Inset) => insetMovements([inset], oak, 9, courseOf([9, 6.5, 12]))[0];
const base = { id: "i", name: "It", width: 400, height: 180 };

describe("drawers, doors and panels in their openings (by hand: moving wood × coefficient × moisture)", () => {
  it("a drawer grows into the gap above it, all of it at one side", () => {
    const drawer = built({ kind: "drawer", ...base, gap: 2 });
    expect(drawer.moves).toBe(178);
    expect(drawer.gap.wet).toBeCloseTo(2 - drawer.wet, 9);
    expect(drawer.wet / drawer.moves).toBeCloseTo(3 * (drawer.wet / drawer.moves / 3), 12);
    expect(drawer.wet).toBeGreaterThan(1.2);
  });
  it("a framed door moves by its two stiles, a solid one by all its width", () => {
    const framed = built({ kind: "door", ...base, gap: 2, build: "framed", stile: 60 });
    const solid = built({ kind: "door", ...base, gap: 2, build: "solid", stile: 60 });
    expect(framed.moves).toBe(120);
    expect(solid.moves).toBe(396);
    expect(solid.wet / framed.wet).toBeCloseTo(396 / 120, 9);
    expect(framed.gap.wet).toBeCloseTo(2 - framed.wet / 2, 9);
  });
  it("a panel keeps what the groove holds less what it shrinks, at each side", () => {
    const panel = built({ kind: "panel", ...base, gap: 3, groove: 10, thickness: 12 });
    expect(panel.moves).toBe(400 + 2 * 7);
    expect(panel.engaged!.today).toBe(7);
    expect(panel.engaged!.dry).toBeCloseTo(7 + panel.dry / 2, 9);
    expect(panel.engaged!.dry).toBeGreaterThan(LEAST_IN_GROOVE);
  });
});
