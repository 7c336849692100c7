import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { drawnEdge, lineFault } from "../construction/edge-line";
import { polygonOf } from "../assembly/outline";
import type { CurveChoice, EdgePoint } from "../piece/kinds";
import { at, planOf, tableWith } from "../testing/plans";
import { partOf } from "../testing/clashes";
import { readEdge } from "./outline-edge";
import { MOST_BYTES } from "./outline-file";

const SEED = Number(process.env.SEED ?? 20261127);
const svg = (inside: string, size = 'width="700mm" height="200mm" viewBox="0 0 700 200"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${size}>${inside}</svg>`;
const read = (inside: string, part: { length: number; edge: "lower" | "upper" } = { length: 600, edge: "lower" }) =>
  readEdge("rail.svg", svg(inside), part);
const choice = (points: EdgePoint[], edge: CurveChoice["edge"] = "lower"): CurveChoice => ({
  ...{ edge, rise: 15, straight: 60, way: "points", points, mirrored: false },
});

describe("a rail of 600 by 100 drawn with a step in its lower edge", () => {
  // 100 in from each end its lower edge goes 20 up, straight between
  const face = '<path d="M0 0 H600 V100 H500 L480 80 H120 L100 100 H0 Z"/>';
  it("has the step's four points, in from where the edge is straight", () => {
    expect(read(face)).toEqual({
      ok: true,
      points: [
        { x: 100, y: 0, rise: 0 },
        { x: 120, y: 20, rise: 0 },
        { x: 480, y: 20, rise: 0 },
        { x: 500, y: 0, rise: 0 },
      ],
      said: [],
    });
  });
  it("its upper edge is straight, and is told so; of the same face turned over it is the other way round", () => {
    const straight = read(face, { length: 600, edge: "upper" });
    expect(straight).toEqual({ ok: false, message: "rail.svg: its upper edge is straight." });
    const over = '<path d="M0 100 H600 V0 H500 L480 20 H120 L100 0 H0 Z"/>';
    expect(read(over, { length: 600, edge: "upper" })).toEqual(read(face));
  });
  it("without a scale it is as long as the part", () => {
    const loose = readEdge("rail.svg", svg(face, 'viewBox="0 0 700 200"'), { length: 300, edge: "lower" });
    expect(loose).toMatchObject({ ok: true });
    expect(loose.ok && loose.points.map(({ x, y }) => [x, y])).toEqual([
      [50, 0],
      [60, 10],
      [240, 10],
      [250, 0],
    ]);
  });
  it("planned, the rail has that edge", () => {
    const rail = partOf(planOf(tableWith()), "A1");
    const long = rail.shape.length;
    const drawn = `<path d="M0 0 H${long} V100 H${long - 100} L${long - 120} 80 H120 L100 100 H0 Z"/>`;
    const found = read(drawn, { length: long, edge: "lower" });
    if (!found.ok) throw new Error(found.message);
    const plan = planOf(
      tableWith(
        at(`kinds.${rail.kind}`, {
          ...{ species: null, moisture: null, finish: null, edges: null },
          curve: choice(found.points),
        }),
      ),
    );
    const face_ = polygonOf(partOf(plan, "A1").shape.face!.outer, 0.01);
    expect(face_.filter(([, y]) => Math.abs(y - 20) < 0.01).length).toBeGreaterThanOrEqual(2);
  });
});

describe("an edge of arcs", () => {
  it("a hollow of 600 by 30 comes back as arcs within a tenth of it", () => {
    const r = (300 * 300 + 30 * 30) / 60;
    const found = read(`<path d="M0 0 H600 V120 A${r} ${r} 0 0 0 0 120 Z"/>`);
    if (!found.ok) throw new Error(found.message);
    expect(lineFault(choice(found.points), 600)).toBeNull();
    for (const [x, y] of drawnEdge(choice(found.points), 600))
      expect(Math.abs(y - (Math.sqrt(r * r - (x - 300) ** 2) - (r - 30)))).toBeLessThan(0.15);
  });
  it("any line of steps comes back as it was drawn", () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ gap: fc.integer({ min: 15, max: 60 }), y: fc.integer({ min: -20, max: 40 }) }), {
          minLength: 2,
          maxLength: 6,
        }),
        (steps) => {
          let x = 0;
          const points = [
            { x: 5, y: 0 },
            ...steps.map(({ gap, y }) => ({ x: (x += gap) + 5, y })),
            { x: x + 40, y: 0 },
          ];
          const down = [...points].reverse().map((p) => `L${p.x} ${100 - p.y}`);
          const found = read(`<path d="M0 0 H600 V100 ${down.join(" ")} L0 100 Z"/>`);
          if (!found.ok) throw new Error(found.message);
          const drawn = drawnEdge(choice(found.points), 600);
          for (const { x: at_, y } of points) {
            const i = drawn.findIndex(([a]) => a >= at_ - 1e-9);
            const [[a, b], [c, d]] = [drawn[Math.max(0, i - 1)], drawn[i]];
            const there = c - a < 1e-9 ? d : b + ((d - b) * (at_ - a)) / (c - a);
            expect(Math.abs(there - y)).toBeLessThan(0.2);
          }
        },
      ),
      { numRuns: 40, seed: SEED },
    ));
});

describe("a file no edge can be read from", () => {
  it.each([
    ["longer than the part", '<rect width="650" height="100"/>', "650 mm long, the part 600 mm"],
    ["its ends a slope", '<path d="M0 0 H600 V100 H0 L20 50 Z"/>', "edge is straight"],
    ["one end higher", '<path d="M0 0 H600 V90 L300 60 L0 100 Z"/>', "10 mm higher at one end"],
    ["an ellipse", '<ellipse cx="300" cy="60" rx="300" ry="50"/>', "higher at one end"],
    ["open", '<path d="M0 0 H600 V100"/>', "no line in it is closed"],
    ["nothing", "", "no lines are in it"],
  ])("%s: a sentence with the fix", (_, inside, words) => {
    const found = read(inside);
    expect(found.ok ? "read" : found.message).toMatch(new RegExp(words));
  });
  it("of megabytes: told at once", () => {
    const found = readEdge("rail.svg", svg(" ".repeat(MOST_BYTES)), { length: 600, edge: "lower" });
    expect(found.ok ? "read" : found.message).toContain("an outline has a few kB");
  });
});
