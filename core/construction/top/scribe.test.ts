import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { polygonOf } from "../../assembly/outline";
import { applyPatches, Patch } from "../../piece/patch";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { scribed, scribeRound } from "./scribe";

const SEED = Number(process.env.SEED ?? 20261127);
const post = (x: number, z: number, size = 60) => ({ x, z, length: size, width: size });
const areaOf = (spots: readonly (readonly [number, number])[]) =>
  spots.reduce((sum, [x, y], i) => {
    const [a, b] = spots[(i + 1) % spots.length];
    return sum + (x * b - a * y) / 2;
  }, 0);
const lineOf = (points: ReturnType<typeof scribed>) =>
  polygonOf(
    points.map(({ x, y, rise }) => ({ at: [x, y] as const, rise })),
    0.001,
  );

describe("a line scribed round what a top lies on, worked by hand", () => {
  const four = { posts: [post(-500, -300), post(500, -300), post(-500, 300), post(500, 300)], bearers: [] };
  it("round four legs 38 out: eight points, an arc of 38 at each corner", () => {
    const points = scribed(four, 38);
    expect(points).toHaveLength(8);
    // an arc over a quarter of a circle rises r (1 − cos 45°)
    expect(new Set(points.map(({ rise }) => rise))).toEqual(new Set([0, 11.1]));
    expect(Math.max(...points.map(({ x }) => x))).toBe(530 + 38);
    expect(Math.max(...points.map(({ y }) => y))).toBe(330 + 38);
  });
  it("holds what the legs' outline and a strip round it do (Steiner: A + p·r + π·r²)", () => {
    const area = 1060 * 660 + 2 * (1060 + 660) * 38 + Math.PI * 38 ** 2;
    expect(areaOf(lineOf(scribed(four, 38))) / area).toBeCloseTo(1, 4);
  });
  it("a leg that stands within the others leaves no mark", () => {
    expect(scribed({ ...four, posts: [...four.posts, post(0, 0)] }, 38)).toEqual(scribed(four, 38));
  });
  it("nothing out, it is the outline itself", () => {
    expect(scribed(four, 0)).toHaveLength(4);
    expect(areaOf(lineOf(scribed(four, 0)))).toBeCloseTo(1060 * 660, 0);
  });
  it("round any legs it holds A + p·r + π·r², and no leg comes nearer its edge (property)", () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: -800, max: 800 }), z: fc.integer({ min: -400, max: 400 }) }), {
          minLength: 3,
          maxLength: 6,
        }),
        fc.integer({ min: 10, max: 120 }),
        (spots, around) => {
          const posts = spots.map(({ x, z }) => post(x, z, 50));
          const line = lineOf(scribed({ posts, bearers: [] }, around));
          const bare = lineOf(scribed({ posts, bearers: [] }, 0));
          const long = bare.reduce((sum, [x, y], i) => {
            const [a, b] = bare[(i + 1) % bare.length];
            return sum + Math.hypot(a - x, b - y);
          }, 0);
          const whole = areaOf(bare) + long * around + Math.PI * around ** 2;
          expect(Math.abs(areaOf(line) / whole - 1)).toBeLessThan(0.004);
          // no corner of a leg lies nearer the line than the disc is wide
          const corners = spots.flatMap(({ x, z }) => [-25, 25].flatMap((a) => [-25, 25].map((b) => [x + a, b - z])));
          for (const [cx, cy] of corners)
            for (const [i, [ax, ay]] of line.entries()) {
              const [bx, by] = line[(i + 1) % line.length];
              const [dx, dy] = [bx - ax, by - ay];
              const along = Math.min(1, Math.max(0, ((cx - ax) * dx + (cy - ay) * dy) / (dx * dx + dy * dy || 1)));
              const far = Math.hypot(ax + along * dx - cx, ay + along * dy - cy);
              if (far < around - 0.2) throw new Error(`${far} of ${around}`);
            }
        },
      ),
      { numRuns: 40, seed: SEED },
    ));
});

describe("a top that is scribed follows what it lies on", () => {
  const press = (piece: ReturnType<typeof tableWith>, around = 38) =>
    applyPatches(piece, scribeRound(planOf(piece).geometry, piece.form, around));
  const there = (...patches: Patch[]) => tableWith(at("form.kind", "existing"), ...patches);
  it("on legs of its own, the top grows with its overhang and the base stays", () => {
    const piece = tableWith(at("form.overhang", { end: 20, side: 60 }), at("form.top.length", 1500));
    const done = press(piece);
    expect(done.form.top.length).toBe(1536);
    expect(done.form.overhang).toEqual({ end: 38, side: 60 });
    const plan = planOf(done);
    expect(plan.geometry.posts).toEqual(planOf(piece).geometry.posts);
    expect(find(plan, "form.scribed").level).toBe("holds");
    expect(plan.steps.find(({ id }) => id === "outline")!.detail).toContain("a disc of 38 mm radius");
  });
  it("measured again, what it lies on asks for another line: one press, and it runs round it", () => {
    const done = press(there());
    expect(find(planOf(done), "form.scribed").level).toBe("holds");
    const moved = applyPatches(done, [{ path: ["form", "existing", "places", 1, "x"], value: 540 }]);
    const said = find(planOf(moved), "form.scribed");
    expect([said.level, said.text]).toEqual([
      "tight",
      "What the top lies on stands elsewhere than when its outline was scribed: 40.0 mm",
    ]);
    const again = applyPatches(moved, said.remedies[0].patches);
    expect(find(planOf(again), "form.scribed").level).toBe("holds");
    expect(again.form.top.length).toBe(2 * (540 + 20 + 38));
    const kept = planOf(applyPatches(moved, said.remedies[1].patches));
    expect(kept.verdicts.some(({ id }) => id === "form.scribed")).toBe(false);
  });
  it("what stands there beside the middle, and along the top, is gone round where it stands", () => {
    const places = [
      { ...tableWith().form.existing.places[0], x: -200, z: 100, length: 600, width: 80 },
      { ...tableWith().form.existing.places[1], x: 400, z: -150, length: 60, width: 300 },
    ];
    const { points } = press(there(at("form.existing.places", places))).form.top;
    // from -500 to 430 along, from -300 to 140 across, and 38 round it
    const reach = (axis: "x" | "y", of: (...all: number[]) => number) => of(...points.map((point) => point[axis]));
    expect([reach("x", Math.min), reach("x", Math.max)]).toEqual([-538, 468]);
    expect([reach("y", Math.min), reach("y", Math.max)]).toEqual([-178, 338]);
  });
  it("typed points say nothing of it", () => {
    expect(planOf(tableWith(at("form.top.outline", "points"))).verdicts.some(({ id }) => id === "form.scribed")).toBe(
      false,
    );
  });
});
