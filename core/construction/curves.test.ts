/** Edges hollowed by an arc: of any rail, with its template, its step, and what stands in its way. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../assembly/part";
import { within } from "../assembly/place";
import { boundsOf, bulkOf, stood } from "../assembly/solid";
import { applyPatches } from "../piece/patch";
import { templatesOf } from "../templates/templates";
import { segmentArea as segment } from "../testing/arcs";
import { clashes } from "../testing/clashes";
import { at, find, planOf, tableWith } from "../testing/plans";
import { AS_THE_PIECE, CurveChoice } from "../piece/kinds";
import { depthsIn, drawnEdge } from "./edge-line";

const SEED = Number(process.env.SEED ?? 20261126);
const curve = (kind: string, choice: CurveChoice) => at(`kinds.${kind}`, { ...AS_THE_PIECE, curve: choice });
const LOWER: CurveChoice = { edge: "lower", rise: 20, straight: 60, way: "hollow", points: [], mirrored: true };
/** A table with a stretcher between two end stretchers: 45 by 25. */
const H = [at("form.low.kind", "h"), at("form.low.depth", 60)];

describe("a stretcher hollowed below, worked by hand", () => {
  const plain = planOf(tableWith(...H));
  const plan = planOf(tableWith(...H, curve("middle-stretcher", LOWER)));
  const stick = (from: typeof plan) => from.assembly.parts.find(({ kind }) => kind === "middle-stretcher")!;

  it("loses the segment over what lies between its straight ends", () => {
    const { length, thickness } = stick(plain).shape;
    const before = bulkOf(bodyOf(stick(plain))).volume;
    const after = bulkOf(bodyOf(stick(plan))).volume;
    expect((before - after) / (segment(length - 120, 20) * thickness)).toBeCloseTo(1, 2);
    // what is milled for it stays what it was
    const row = (from: typeof plan) => from.parts.find(({ id }) => id === "middle-stretcher")!.finished;
    expect(row(plan)).toEqual(row(plain));
  });

  it("has a template of half of it, a step after its joints, and verdicts that hold", () => {
    const [template] = templatesOf(plan.assembly.parts);
    expect(template).toMatchObject({ kind: "middle-stretcher", half: true });
    expect(template.size.length).toBeCloseTo(stick(plan).shape.length / 2, 6);
    const order = plan.steps.map(({ id }) => id);
    expect(order.indexOf("dry-fit")).toBeLessThan(order.indexOf("curves"));
    expect(order.indexOf("curves")).toBeLessThan(order.indexOf("sand-base"));
    expect(find(plan, "form.curve-left")).toMatchObject({ level: "holds", actual: 40, limit: 36 });
    const chord = stick(plan).shape.length - 120;
    expect(find(plan, "form.curve-grain").actual).toBe(Math.round((2 * Math.atan(40 / chord) * 180) / Math.PI));
    expect(find(plan, "form.curves").level).toBe("holds");
  });

  it("above and below it loses two", () => {
    const both = planOf(tableWith(...H, curve("middle-stretcher", { ...LOWER, rise: 10, edge: "both" })));
    const { length, thickness } = stick(plain).shape;
    const gone = bulkOf(bodyOf(stick(plain))).volume - bulkOf(bodyOf(stick(both))).volume;
    expect(gone / (2 * segment(length - 120, 10) * thickness)).toBeCloseTo(1, 2);
  });
});

describe("a stretcher bowed out, worked by hand", () => {
  const plain = planOf(tableWith(...H));
  const stick = (from: typeof plain) => from.assembly.parts.find(({ kind }) => kind === "middle-stretcher")!;
  const bowed = (edge: CurveChoice["edge"], rise = 20) =>
    planOf(tableWith(...H, curve("middle-stretcher", { ...LOWER, edge, rise, way: "bowed" })));

  it.each([
    ["lower", 1],
    ["upper", 1],
    ["both", 2],
  ] as const)("%s: it gains the segment, and is sawn from a board wider by its rise", (edge, times) => {
    const plan = bowed(edge);
    const { length, thickness, width } = stick(plain).shape;
    const more = bulkOf(bodyOf(stick(plan))).volume - bulkOf(bodyOf(stick(plain))).volume;
    expect(more / (times * segment(length - 120, 20) * thickness)).toBeCloseTo(1, 2);
    expect(plan.parts.find(({ id }) => id === "middle-stretcher")!.finished.width).toBe(width + times * 20);
    expect(clashes(plan.assembly.parts)).toEqual([]);
  });
  it("it bows down below its straight edge, its joints where they were", () => {
    const bounds = (plan: typeof plain) => boundsOf(stood(bodyOf(stick(plan)), stick(plan).place));
    const [before, after] = [bounds(plain), bounds(bowed("lower"))];
    expect(before.least[1] - after.least[1]).toBeCloseTo(20, 1);
    expect(after.most[1]).toBeCloseTo(before.most[1], 6);
    expect(after.least[0]).toBeCloseTo(before.least[0], 6);
    const tenons = (plan: typeof plain) =>
      stick(plan).adds.map((add) => within(stick(plan).place, add.place).at.map((each) => Math.round(each * 1e6)));
    expect(tenons(bowed("lower"))).toEqual(tenons(plain));
  });
  it("has a template of half of it, its step says which way, and its width is not judged as what is left", () => {
    const plan = bowed("upper");
    expect(templatesOf(plan.assembly.parts)[0]).toMatchObject({ kind: "middle-stretcher", half: true });
    expect(plan.steps.find(({ id }) => id === "curves")!.detail).toContain("upper edge bowed out by 20 mm");
    expect(plan.verdicts.some(({ id }) => id === "form.curve-left")).toBe(false);
    expect(find(plan, "form.curves").level).toBe("holds");
  });
});

describe("what stands in a curve's way is told, with a way out", () => {
  const cases: [string, string, Parameters<typeof tableWith>][] = [
    ["form.curves", "the top bears on the edge", [curve("long-rail", { ...LOWER, edge: "upper" })]],
    [
      "form.curves",
      "a mortise lies where wood would go",
      [at("form.crossRails", 1), curve("long-rail", { ...LOWER, rise: 60 })],
    ],
    ["form.curves", "a leg has no lower edge", [curve("leg", LOWER)]],
    ["form.curves", "a rail would bow into the top", [curve("long-rail", { ...LOWER, edge: "upper", way: "bowed" })]],
    ["form.curve-grain", "bowed steeply", [...H, curve("middle-stretcher", { ...LOWER, rise: 120, way: "bowed" })]],
    [
      "form.curves",
      "several at once: a leg, and rails under the top",
      [
        curve("leg", LOWER),
        curve("long-rail", { ...LOWER, edge: "upper" }),
        curve("end-rail", { ...LOWER, edge: "both" }),
      ],
    ],
    [
      "form.curves",
      "two rails that can both be hollowed below",
      [curve("long-rail", { ...LOWER, edge: "upper" }), curve("end-rail", { ...LOWER, edge: "upper" })],
    ],
    ["form.curve-left", "too little is left", [...H, curve("middle-stretcher", { ...LOWER, rise: 35 })]],
    ["form.curve-grain", "the grain runs out", [...H, curve("end-stretcher", { ...LOWER, rise: 45, straight: 150 })]],
  ];
  it.each(cases)("%s: %s", (id, _, patches) => {
    const piece = tableWith(...patches);
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    const mended = planOf(applyPatches(piece, verdict.remedies[0].patches));
    expect(mended.verdicts.find((each) => each.id === id)?.level ?? "holds", verdict.remedies[0].label).toBe("holds");
  });
});

describe("any curve", () => {
  it("is as deep as its circle is, and nowhere deeper than its rise", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 2000 }),
        fc.double({ min: 1, max: 39, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (chord, rise, share) => {
          const line = drawnEdge({ ...LOWER, straight: 0, rise }, chord);
          const deepAt = (x: number) => depthsIn(line, x, x).deepest;
          // the circle through both ends and the crown, its chords within 0.05 mm
          const radius = chord ** 2 / (8 * rise) + rise / 2;
          const x = share * chord;
          expect(deepAt(x)).toBeGreaterThan(Math.sqrt(radius ** 2 - (x - chord / 2) ** 2) - (radius - rise) - 0.051);
          expect(deepAt(x)).toBeLessThanOrEqual(rise + 1e-9);
          expect(deepAt((1 - share) * chord)).toBeCloseTo(deepAt(x), 6);
        },
      ),
      { seed: SEED, numRuns: 200 },
    );
  });
  it("of any rail plans whole: what can't be hollowed keeps its edges and is told", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("long-rail", "end-rail", "cross-rail", "middle-stretcher", "end-stretcher", "leg", "top"),
        fc.constantFrom("lower", "upper", "both" as const),
        fc.integer({ min: 1, max: 120 }),
        fc.record({ straight: fc.integer({ min: 0, max: 400 }), way: fc.constantFrom("hollow", "bowed", "points") }),
        (kind, edge, rise, { straight, way }) => {
          const points = [
            { x: straight + 10, y: 0, rise: 0 },
            { x: straight + 60, y: Math.min(rise, 60) - 30, rise: -rise / 40 },
          ];
          const choice = { ...LOWER, edge, rise, straight, way, points } as CurveChoice;
          const plan = planOf(tableWith(...H, curve(kind, choice)));
          expect(plan.failures).toEqual([]);
          for (const part of plan.assembly.parts) expect(bulkOf(bodyOf(part)).volume).toBeGreaterThan(0);
        },
      ),
      { seed: SEED, numRuns: 30 },
    );
  });
});
