/** Templates: which parts have one, what of it is needed, what it says of the wood, and that the file holds the same outline. */
import DxfParser from "dxf-parser";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { areaOf, circle, Outline, polygonOf, straight, straightAt } from "../assembly/outline";
import { writeTemplates } from "../formats/template-dxf";
import { at, planOf, tableWith } from "../testing/plans";
import { loopsOf, outside } from "./lines";
import { isCurved, mirrors, narrowest, runOut, tightestHollow } from "./outline-facts";
import { pagesOf } from "./pages";
import { Template, templatesOf } from "./templates";

const SEED = Number(process.env.SEED ?? 20261126);
/** A rail 1000 by 100, hollowed 30 over the 880 between its shoulders. */
const arched: Outline = {
  outer: [
    straightAt(0, 0),
    { at: [60, 0], rise: -30 },
    straightAt(940, 0),
    straightAt(1000, 0),
    straightAt(1000, 100),
    straightAt(0, 100),
  ],
  holes: [],
};
const of = (...patches: Parameters<typeof tableWith>) => templatesOf(planOf(tableWith(...patches)).assembly.parts);

describe("an arch, worked by hand", () => {
  it("has a radius of 3242, mirrors itself, and leaves 70 in its middle", () => {
    // c²/8h + h/2 = 880²/240 + 15
    expect(tightestHollow(arched)! / (880 ** 2 / 240 + 15)).toBeCloseTo(1, 3);
    expect(mirrors(arched, 1000)).toBe(true);
    expect(narrowest(arched, 1000).wide).toBeCloseTo(70, 0);
  });
  it("runs out of the grain most at its shoulders: half the angle its chord stands for", () => {
    // the tangent at the end of an arc leans by half its angle: 2 atan(2h/c)
    const degrees = (2 * Math.atan(60 / 880) * 180) / Math.PI;
    expect(runOut(arched)!.degrees).toBeCloseTo(degrees, 6);
    expect([60, 940]).toContain(runOut(arched)!.at[0]);
  });
  it("of a table's rails is a template of half of each, as long as the rail in two", () => {
    const rails = of(at("form.apron.arch", 30));
    expect(rails.map(({ kind, half, parts }) => [kind, half, parts])).toEqual([
      ["long-rail", true, ["A1", "A2"]],
      ["end-rail", true, ["E1", "E2"]],
    ]);
    // 1800 less two overhangs of 40 and two legs of 75
    expect(rails[0].size.length).toBe(1570 / 2);
    expect(of()).toEqual([]);
  });
});

describe("which parts have one", () => {
  it("an oval top in half, slabs and their glass whole, inlays of straight lines too", () => {
    expect(of(at("form.top.outline", "ellipse"))[0]).toMatchObject({ kind: "top", half: true, size: { length: 900 } });
    const slabs = of(at("form.kind", "trestle"), at("form.field", "slabs"), at("form.top.thickness", 45));
    expect(slabs.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["slab-1", "slab-2", "glass"]));
    const key = {
      name: "Key",
      shape: "key",
      length: 70,
      width: 40,
      deep: 10,
      turn: 90,
      places: [
        { x: 0, y: 0 },
        { x: 200, y: 0 },
      ],
    };
    expect(of(at("form.top.inlays", [key]))).toMatchObject([{ kind: "inlay-1", parts: ["IN1", "IN2"] }]);
  });
  it("a curve at one end needs no more of the part than that", () => {
    const [side] = of(
      at("form.kind", "case"),
      at("form.use", "case"),
      at("form.height", 900),
      at("form.case.relief", 15),
    );
    expect(side.kind).toBe("case-side");
    expect(side.size.length).toBeLessThan(0.4 * side.length);
    expect(side.parts).toEqual(["P1", "P2"]);
  });
  it("corners are no curve, however many", () => {
    const teeth = straight(Array.from({ length: 20 }, (_, i) => [i * 10, i % 2 ? 10 : 0] as const));
    expect(isCurved({ outer: [...teeth, straightAt(200, 100), straightAt(0, 100)], holes: [] })).toBe(false);
    expect(isCurved({ outer: circle([50, 50], 50), holes: [] })).toBe(true);
  });
});

describe("the file", () => {
  /** Area inside a closed polyline with arcs. @source Green's theorem; a segment of bulge b over a chord c: its angle is 4 atan b */
  const area = (vertices: { x: number; y: number; bulge?: number }[]) =>
    vertices.reduce((sum, p, i) => {
      const q = vertices[(i + 1) % vertices.length];
      const angle = 4 * Math.atan(p.bulge ?? 0);
      const chord = Math.hypot(q.x - p.x, q.y - p.y);
      const radius = Math.abs(angle) < 1e-9 ? 0 : chord / (2 * Math.sin(Math.abs(angle) / 2));
      const segment = Math.sign(angle) * ((radius ** 2 / 2) * (Math.abs(angle) - Math.sin(Math.abs(angle))));
      return sum + (p.x * q.y - q.x * p.y) / 2 + segment;
    }, 0);
  const read = (templates: readonly Template[]) => new DxfParser().parseSync(writeTemplates(templates))!;
  const asTemplate = (outline: Outline, id = "rail"): Template => ({
    ...{ kind: id, id, name: "Rail", parts: ["A1"], view: "face", outline, half: false, from: 0 },
    ...{ length: 1000, width: 100, size: { length: 1000, width: 100 } },
    ...{ tightest: null, grain: null, narrowest: { wide: 70, x: 500 } },
  });

  it("read by another's reader encloses what the outline does, in mm", () => {
    const { entities, header } = read([asTemplate(arched)]);
    expect(header.$INSUNITS).toBe(4);
    const line = entities.find(({ type }) => type === "LWPOLYLINE") as unknown as {
      vertices: Parameters<typeof area>[0];
    };
    expect(area(line.vertices)).toBeCloseTo(areaOf(arched).area, 3);
    // by hand: 1000 × 100 less the segment over a chord of 880, 30 high
    const angle = 4 * Math.atan(60 / 880);
    const radius = 880 ** 2 / 240 + 15;
    expect(area(line.vertices)).toBeCloseTo(100000 - (radius ** 2 / 2) * (angle - Math.sin(angle)), 3);
  });
  it("so it does for any outline of arcs, each template on its own layer", () => {
    const loop = fc
      .array(fc.record({ r: fc.integer({ min: 40, max: 90 }), rise: fc.integer({ min: -6, max: 12 }) }), {
        minLength: 4,
        maxLength: 12,
      })
      .map((all): Outline => ({
        outer: all.map(({ r, rise }, i) => {
          const turn = (2 * Math.PI * i) / all.length;
          return { at: [100 + r * Math.cos(turn), 100 + r * Math.sin(turn)] as const, rise };
        }),
        holes: [],
      }));
    fc.assert(
      fc.property(fc.array(loop, { minLength: 1, maxLength: 3 }), (outlines) => {
        const { entities } = read(outlines.map((outline, i) => asTemplate(outline, `part-${i + 1}`)));
        const lines = entities.filter(({ type }) => type === "LWPOLYLINE");
        expect(lines.map(({ layer }) => layer)).toEqual(outlines.map((_, i) => `PART-${i + 1}`));
        lines.forEach((line, i) => {
          const { vertices } = line as unknown as { vertices: Parameters<typeof area>[0] };
          const up = i * (100 + 40);
          const lowered = vertices.map((each) => ({ ...each, y: each.y - up }));
          expect(area(lowered)).toBeCloseTo(areaOf(outlines[i]).area, 3);
        });
      }),
      { seed: SEED, numRuns: 60 },
    );
  });
});

describe("the sheets", () => {
  it("cover a template with what lies round it, turned as needs fewest", () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 2500 }), fc.integer({ min: 10, max: 1200 }), (length, width) => {
        const { pages, columns, rows } = pagesOf({ length, width }, 6);
        expect(pages).toHaveLength(columns * rows);
        const [first] = pages;
        expect([first.x, first.y]).toEqual([-6, -6]);
        expect(Math.max(...pages.map((each) => each.x + each.length))).toBeGreaterThanOrEqual(length + 6);
        expect(Math.max(...pages.map((each) => each.y + each.width))).toBeGreaterThanOrEqual(width + 6);
        const other = Math.ceil((length + 12) / 250) * Math.ceil((width + 12) / 180);
        expect(pages.length).toBeLessThanOrEqual(Math.max(1, other));
      }),
      { seed: SEED, numRuns: 100 },
    );
    expect(pagesOf({ length: 785, width: 95 }, 6)).toMatchObject({ columns: 4, rows: 1 });
    // 797 over 390
    expect(pagesOf({ length: 785, width: 95 }, 6, "large")).toMatchObject({ columns: 3, rows: 1, upright: false });
  });
  it("every stretch fits the lesser of the two sheets a printer may hold, turned or not", () => {
    // ISO 216 and ANSI sizes, less 10 at each edge
    const sold = {
      small: [
        [210, 297],
        [216, 279],
      ],
      large: [
        [297, 420],
        [279, 432],
      ],
    } as const;
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 2500 }),
        fc.integer({ min: 10, max: 1200 }),
        fc.constantFrom("small" as const, "large" as const),
        (length, width, paper) => {
          const { pages, upright } = pagesOf({ length, width }, 6, paper);
          expect(pages.length).toBeLessThanOrEqual(pagesOf({ length, width }, 6).pages.length);
          for (const page of pages)
            for (const [short, long] of sold[paper]) {
              const [across, along] = upright ? [page.length, page.width] : [page.width, page.length];
              expect(across).toBeLessThanOrEqual(short - 20);
              expect(along).toBeLessThanOrEqual(long - 20);
            }
        },
      ),
      { seed: SEED, numRuns: 100 },
    );
  });
  it("the line that is sawn lies 3 outside: round a circle it is a circle 3 larger, round a square 6 wider", () => {
    for (const [x, y] of outside(loopsOf({ outer: circle([0, 0], 50), holes: [] })[0], 3))
      expect(Math.hypot(x, y)).toBeCloseTo(53, 1);
    const square = outside(
      polygonOf(
        straight([
          [0, 0],
          [10, 0],
          [10, 10],
          [0, 10],
        ]),
        0.1,
      ),
      3,
    );
    expect(square.map(([x, y]) => [Math.round(x), Math.round(y)])).toEqual([
      [-3, -3],
      [13, -3],
      [13, 13],
      [-3, 13],
    ]);
  });
});
