import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { bulkOf } from "../../assembly/solid";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { chordAt, keptAt, outlineOf, stripChord } from "./outline";
import { boxOfLoop, drawnThrough, insideLoop, reachIn, roundedCorners, TypedPoint } from "./points";

const SEED = Number(process.env.SEED ?? 20261126);
const point = (x: number, y: number, rise = 0): TypedPoint => ({ x, y, rise });
const area = (points: readonly TypedPoint[]) => {
  const drawn = drawnThrough(points);
  if (!drawn.ok) throw new Error(drawn.fault);
  return drawn.loop.reduce((sum, [x, y], i) => {
    const [a, b] = drawn.loop[(i + 1) % drawn.loop.length];
    return sum + (x * b - a * y) / 2;
  }, 0);
};

describe("an outline by points (closed forms)", () => {
  it("rounded corners take (4 − π) r² from their rectangle", () => {
    const full = 1800 * 850;
    expect(full - area(roundedCorners(1800, 850, 60))).toBeCloseTo((4 - Math.PI) * 60 ** 2, -2);
  });
  it("two half circles on a square make a stadium, whichever way round it is typed", () => {
    const stadium = [point(-400, -300), point(400, -300, 300), point(400, 300), point(-400, 300, 300)];
    const whole = 800 * 600 + Math.PI * 300 ** 2;
    expect(area(stadium) / whole).toBeCloseTo(1, 3);
    // the other way round an arc that bows outward bows to the other hand
    const turned = [point(-400, -300, -300), point(-400, 300), point(400, 300, -300), point(400, -300)];
    expect(area(turned) / whole).toBeCloseTo(1, 3);
  });
  it("a hollow side takes its segment away", () => {
    const [c, h] = [1000, 100];
    const r = (c * c) / (8 * h) + h / 2;
    const half = Math.asin(c / 2 / r);
    const segment = r * r * (half - Math.sin(half) * Math.cos(half));
    expect(area([point(-500, -300, -h), point(500, -300), point(500, 300), point(-500, 300)])).toBeCloseTo(
      600000 - segment,
      -3,
    );
  });
  it.each([
    ["three points at least", [point(0, 0), point(500, 0)]],
    ["lie on each other", [point(0, 0), point(0, 0.2), point(500, 0), point(500, 300)]],
    ["more than half a circle", [point(0, 0, 300), point(500, 0), point(500, 400)]],
    ["Hardly any wood", [point(0, 0), point(500, 0), point(500, 1)]],
    ["crosses itself", [point(-400, -300), point(400, 300), point(400, -300), point(-400, 300)]],
  ])("is refused in a sentence: %s", (said, points) => {
    const drawn = drawnThrough(points);
    expect(drawn.ok ? "" : drawn.fault).toContain(said);
  });
});

describe(`stars of any shape (seed ${SEED})`, () => {
  const star = fc.array(fc.integer({ min: 120, max: 420 }), { minLength: 3, maxLength: 20 }).map((reaches) =>
    reaches.map((far, i) => {
      const angle = (2 * Math.PI * i) / reaches.length;
      return point(far * Math.cos(angle), far * Math.sin(angle));
    }),
  );
  it("are drawn; their reach in a band is that of their farthest place there, and inside is on no other side of the line", () =>
    fc.assert(
      fc.property(star, fc.integer({ min: -300, max: 300 }), (points, y) => {
        const drawn = drawnThrough(points);
        expect(drawn.ok).toBe(true);
        if (!drawn.ok) return;
        const reach = reachIn(drawn.loop, y, y);
        // marched along the line of sight, a mm at a time
        const inside = Array.from({ length: 900 }, (_, i) => i - 450).filter((x) => insideLoop(drawn.loop, x, y));
        const far = Math.max(0, ...inside.map(Math.abs));
        expect(Math.abs(reach - far)).toBeLessThan(reach === 0 || far === 0 ? 30 : 2);
        expect(reachIn(drawn.loop, -420, 420)).toBeCloseTo(
          Math.max(-boxOfLoop(drawn.loop).left, boxOfLoop(drawn.loop).right),
          9,
        );
      }),
      { numRuns: 100, seed: SEED },
    ));
});

describe("a top sawn to its points", () => {
  const points = [point(-900, -425), point(900, -300), point(900, 425, 120), point(-900, 425)];
  const top = { ...tableWith().form.top, length: 2040, width: 1100, outline: "points" as const, points };
  it("keeps wood inside its line only, and asks of a strip what the line reaches in its band", () => {
    expect(keptAt({ ...top, cutouts: [] }, 880, -330, 0)).toBe(false);
    expect(keptAt({ ...top, cutouts: [] }, -880, -330, 10)).toBe(true);
    expect(chordAt(top, 0)).toBeCloseTo(2 * 900, 0);
    expect(stripChord(top, 430, 500)).toBeGreaterThan(1700);
    expect(outlineOf({ ...top, points: points.slice(0, 2) })).toHaveLength(4);
  });
  const rounded = (...more: ReturnType<typeof at>[]) =>
    planOf(
      tableWith(
        at("form.top.outline", "points"),
        at("form.top.points", roundedCorners(1800, 850, 60)),
        at("form.top.cutouts", []),
        ...more,
      ),
    );
  it("weighs what its area does, holds its legs, and is cut by a template", () => {
    const plan = rounded();
    expect(plan.failures).toEqual([]);
    const body = bodyOf({ ...plan.assembly.parts.find(({ id }) => id === "T")!, cuts: [] });
    const { length, width, thickness } = plan.geometry.top;
    expect(bulkOf(body).volume / ((length * width - (4 - Math.PI) * 3600) * thickness)).toBeCloseTo(1, 3);
    expect(find(plan, "boards.outline-points").level).toBe("holds");
    expect(find(plan, "boards.outline").level).toBe("holds");
    expect(plan.steps.find(({ id }) => id === "outline")!.detail).toContain("8 points");
  });
  it("what does not fill its top, or runs over it, is told with the size that would", () => {
    const over = find(rounded(at("form.top.length", 1700)), "boards.outline-points");
    expect([over.level, over.remedies[0].label]).toEqual(["fix", "Make the top 1800 by 850 mm"]);
    expect(find(rounded(at("form.top.length", 1900)), "boards.outline-points").level).toBe("tight");
    const crossed = [point(-900, -425), point(900, 425), point(900, -425), point(-900, 425)];
    const wrong = find(rounded(at("form.top.points", crossed)), "boards.outline-points");
    expect([wrong.level, wrong.text]).toEqual(["fix", expect.stringContaining("crosses itself")]);
  });
  it("legs that stand outside a cut corner are told", () => {
    const clipped = [point(-900, -425), point(600, -425), point(900, 0), point(900, 425), point(-900, 425)];
    expect(find(rounded(at("form.top.points", clipped)), "boards.outline")).toMatchObject({ level: "fix" });
  });
});
