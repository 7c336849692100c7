/** Tops of slabs: edges as they were measured, glass let in between, each slab about its own middle. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { solidOf } from "../../assembly/shape";
import { hull } from "../../drawing/silhouette";
import { applyPatches, Patch } from "../../piece/patch";
import type { SlabChoices } from "../../piece/slab-choices";
import { demoBoard } from "../../testing/boards";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { cornerLeft } from "./glass-rules";
import { beside, glassOf, meanOf, middleLine, onEdge, slabsFor, slabsOf } from "./slabs";

const SEED = Number(process.env.SEED ?? 20261126);
const stations = (...all: [number, number, number][]) => all.map(([x, from, to]) => ({ at: x, from, to }));
/** Two slabs 1800 long and 45 thick: the front one 350 wide at both ends and 400 in the middle, the back one 350 throughout; a gap of 100 to 150. */
const SLABS: Patch[] = [
  ...[at("form.kind", "trestle"), at("form.field", "slabs"), at("form.top.thickness", 45)],
  at("form.slabs.front", stations([0, 0, 350], [900, 0, 400], [1800, 0, 350])),
  at("form.slabs.back", stations([0, 500, 850], [1800, 500, 850])),
];
const slabTop = (...patches: Patch[]) => planOf(tableWith(...SLABS, ...patches));
const between = (path: string, value: unknown) => at(`form.slabs.between.${path}`, value);

describe("two slabs with glass between, worked by hand", () => {
  const plan = slabTop();
  const part = (id: string) => plan.assembly.parts.find((each) => each.id === id)!;

  it("are as long as the top, as wide as they were measured, and hold what their edges enclose", () => {
    expect(plan.failures).toEqual([]);
    expect([part("SL1").shape.width, part("SL2").shape.width]).toEqual([400, 350]);
    // the rebate: 18 of seat square to an edge that rises 50 in 900, 11 deep; 1800 of edge by its slope
    const slope = Math.hypot(900, 50) / 900;
    const plain = (id: string) => bulkOf(solidOf(part(id).shape, 0.1)).volume;
    expect(plain("SL1")).toBeCloseTo(1800 * 375 * 45, 3);
    const cut = (id: string) => plain(id) - bulkOf(bodyOf(part(id))).volume;
    expect(cut("SL2")).toBeCloseTo(1800 * 18 * 11, 3);
    // where both lines meet in the middle the seat is a corner, and not longer than the edge by more than that
    expect(cut("SL1") / (1800 * slope * 18 * 11)).toBeCloseTo(1, 2);
    const row = plan.parts.find(({ id }) => id === "slab-1")!;
    expect([row.finished.length, row.finished.width, row.finished.thickness]).toEqual([1800, 400, 45]);
  });

  it("the glass overlaps each slab by its seat less the room beside it, lies level with the wood, and weighs what glass weighs", () => {
    const glass = part("GL");
    const { least, most } = boundsOf(stood(solidOf(glass.shape, 0.1), glass.place));
    expect([least[1], most[1]]).toEqual([expect.closeTo(740, 6), expect.closeTo(750, 6)]);
    expect([least[0], most[0]]).toEqual([expect.closeTo(-898, 6), expect.closeTo(898, 6)]);
    // back edge: straight, 500 from the front line and 15 of it over the slab
    expect(least[2]).toBeCloseTo(425 - 515, 6);
    // front edge where it is nearest the front: at the ends, 15 square to the slope
    const slope = Math.hypot(900, 50) / 900;
    expect(most[2]).toBeCloseTo(425 - (350 + (2 * 50) / 900 - 15 * slope), 1);
    const volume = bulkOf(solidOf(glass.shape, 0.1)).volume;
    expect(glass.bought!.mass).toBeCloseTo((volume * 2500) / 1e9, 6);
    // 125 of gap on the average and twice 15, less the ends
    expect(volume / (1796 * 10 * (125 + 15 + 15 * slope))).toBeCloseTo(1, 2);
  });

  it("each moves about its own middle: the gap closes by what half of each slab swells", () => {
    const wet = plan.top.wet;
    const strain = wet.change / (375 + 350);
    expect(find(plan, "form.slabs-apart").actual).toBeCloseTo(100 - strain * (375 / 2 + 350 / 2), 1);
    expect(find(plan, "form.glass-room").actual).toBeCloseTo(3 - (strain * (375 + 350)) / 4, 1);
    const dry = plan.top.dry.change / (375 + 350);
    expect(find(plan, "form.glass-seat").actual).toBeCloseTo(18 - 6 + (dry * (375 + 350)) / 2, 1);
  });

  it("is fastened below each slab: a tight screw on each middle line, others beside it that give", () => {
    const lines = slabsOf(tableWith(...SLABS).form, plan.geometry.top).map((slab) => 425 - middleLine(slab));
    expect(lines.map((each) => Math.round(each * 10) / 10)).toEqual([237.5, -250]);
    // trestle braces 700 long: two to each slab on both ends
    expect(plan.fasteners).toHaveLength(8);
    for (const { z, dry, wet } of plan.fasteners) {
      const line = lines.reduce((a, b) => (Math.abs(b - z) < Math.abs(a - z) ? b : a));
      const strain = plan.top.wet.change / (375 + 350);
      expect(wet).toBeCloseTo(Math.abs(z - line) * strain, 6);
      expect(dry).toBeLessThan(0);
    }
    expect(plan.steps.find(({ id }) => id === "attach")!.detail).toContain("First each slab’s middle line");
    const held = plan.stopped.filter(
      ({ members, excess }) => excess > 0 && members.some(({ id }) => id.startsWith("SL")),
    );
    expect(held).toEqual([]);
  });

  it("waits for the glass before its seat is cut, and not when it has come", () => {
    const order = plan.steps.map(({ id }) => id);
    for (const [a, b] of [
      ["edges-own", "glass-template"],
      ["glass-template", "glass-seat"],
      ["glass-seat", "sand-top"],
    ])
      expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b));
    const step = (from: typeof plan) => from.steps.find(({ id }) => id === "glass-template")!;
    expect(step(plan).wait).toBe(3 * 7 * 24);
    expect(step(slabTop(between("measured", true))).wait).toBe(0);
  });

  it("is never ripped: crosscut, flattened, planed and squared at its ends", () => {
    const board = { length: 2000, thickness: 58, ringLeft: -30, ringRight: 30 };
    const rack = [demoBoard({ id: "S1", width: 420, ...board }), demoBoard({ id: "S2", width: 400, ...board })];
    const piece = tableWith(...SLABS, at("form.kind", "bought"), at("joints.fastening", "slotted"));
    const cut = planOf(piece, rack);
    expect(cut.cutting.placed.map(({ piece: { part } }) => part).sort()).toEqual(["slab-1", "slab-2"]);
    const { cards } = cut.cutting;
    expect(cards.map(({ title }) => title).filter((title) => /rip/i.test(title))).toEqual([]);
    expect(cards.filter(({ machine }) => machine === "Crosscut saw")).toHaveLength(2);
    expect(cards.some(({ title }) => title === "Crosscut to 1800 mm")).toBe(true);
    // nothing else is milled: they are flattened by themselves, once
    const order = cut.steps.map(({ id }) => id);
    expect(order).not.toContain("mill");
    expect(order.indexOf("rough-cut")).toBeLessThan(order.indexOf("flatten"));
    expect(cut.steps.find(({ id }) => id === "rough-cut")!.detail).toContain("Slabs keep their edges.");
  });

  it("on bought frames no hole is drilled where no slab lies over it", () => {
    const frames = slabTop(at("form.kind", "bought"), at("joints.fastening", "slotted"));
    const [joint] = frames.joints;
    expect(joint.kind).toBe("bolted");
    if (joint.kind !== "bolted") return;
    // five holes in 600 of plate at 15, 157.5, 300, 442.5, 585: the third lies under the glass
    expect([...new Set(joint.holes.map(({ y }) => y))]).toEqual([15, 157.5, 442.5, 585]);
    expect(find(frames, "form.bought-middle")).toMatchObject({ level: "holds" });
  });
});

describe("what a slab top lacks is told, with a way out", () => {
  const cases: [string, string, Patch[]][] = [
    ["form.slabs-plain", "breadboards", [at("form.ends", "breadboards")]],
    ["form.slabs-width", "a top wider than they are", [at("form.top.width", 900)]],
    ["form.slabs-apart", "slabs that meet", [at("form.slabs.back", stations([0, 345, 850], [1800, 500, 850]))]],
    ["form.glass-thick", "thin glass", [between("thickness", 3)]],
    ["form.glass-room", "no room beside it", [between("clear", 0.5)]],
    ["form.glass-seat", "a narrow seat", [between("seat", 9)]],
    ["form.glass-below", "thin slabs", [at("form.top.thickness", 18)]],
    [
      "form.glass-corners",
      "a sharp corner",
      [
        at("form.slabs.front", stations([0, 0, 340], [900, 0, 340], [960, 0, 400], [1800, 0, 340])),
        between("radius", 40),
      ],
    ],
  ];
  it.each(cases)("%s: %s", (id, _, patches) => {
    const level = (piece: ReturnType<typeof tableWith>) =>
      planOf(piece).verdicts.find((each) => each.id === id)?.level ?? "holds";
    expect(level(tableWith(...SLABS))).toBe("holds");
    const piece = tableWith(...SLABS, ...patches);
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    expect(verdict.remedies.length).toBeGreaterThan(0);
    expect(level(applyPatches(piece, verdict.remedies[0].patches)), verdict.remedies[0].label).toBe("holds");
  });

  it("a slab that is all but gone somewhere", () => {
    const worn = slabTop(at("form.slabs.front", stations([0, 0, 350], [900, 340, 360], [1800, 0, 350])));
    expect(find(worn, "form.slabs-narrow")).toMatchObject({ level: "fix", actual: 20 });
    const crossed = slabTop(at("form.slabs.front", stations([0, 0, 350], [900, 380, 360], [1800, 0, 350])));
    expect(find(crossed, "form.slabs-narrow").text).toContain("cross 900 mm from the left end");
  });
});

/** Slabs with waving edges that never cross. */
const waving = fc
  .array(
    fc.record({
      at: fc.integer({ min: 0, max: 1800 }),
      a: fc.integer({ min: 0, max: 20 }),
      b: fc.integer({ min: 340, max: 380 }),
    }),
    {
      ...{ minLength: 1, maxLength: 9 },
    },
  )
  .map((all) => ({
    front: all.map(({ at: x, a, b }) => ({ at: x, from: a, to: b })),
    back: all.map(({ at: x, a, b }) => ({ at: x, from: 880 - b, to: 850 - a })),
  }));

describe("any two slabs", () => {
  it("lie apart from their glass by the room beside it, all along", () => {
    fc.assert(
      fc.property(waving, ({ front, back }) => {
        const slabs: SlabChoices = { ...tableWith().form.slabs, front, back };
        const [one, other] = slabsOf({ field: "slabs", slabs }, { length: 1800 });
        const glass = glassOf({ slabs }, [one, other])!;
        for (const edge of [one.front, one.back, other.front, other.back]) {
          expect(edge[0][0]).toBe(0);
          expect(edge.at(-1)![0]).toBe(1800);
          expect(meanOf(edge)).toBeGreaterThanOrEqual(Math.min(...edge.map(([, y]) => y)) - 1e-9);
        }
        // square to each stretch of the edge the glass and the seat's inner end lie as far as they should
        const distance = (from: readonly (readonly [number, number])[], i: number, by: number) => {
          const [[xa, ya], [xb, yb]] = [from[i], from[i + 1]];
          const long = Math.hypot(xb - xa, yb - ya);
          const off = beside(from, by);
          const [x, y] = [(off[i][0] + off[i + 1][0]) / 2, (off[i][1] + off[i + 1][1]) / 2];
          return ((xb - xa) * (y - ya) - (yb - ya) * (x - xa)) / long;
        };
        one.back.slice(1).forEach((_, i) => expect(distance(one.back, i, -15)).toBeCloseTo(-15, 6));
        expect(glass.front).toHaveLength(one.back.length);
        expect(onEdge(one.back, 900)).toBeGreaterThan(onEdge(one.front, 900));
      }),
      { seed: SEED, numRuns: 100 },
    );
  });

  it("plan whole: no part in another, wood and glass within the top", () => {
    fc.assert(
      fc.property(waving, fc.constantFrom("trestle", "bought", "leg-and-apron"), ({ front, back }, kind) => {
        const plan = slabTop(
          at("form.kind", kind),
          at("form.slabs.front", front),
          at("form.slabs.back", back),
          at("form.crossRails", 0),
        );
        expect(plan.failures).toEqual([]);
        expect(find(plan, "form.fit").level).toBe("holds");
      }),
      { seed: SEED, numRuns: 12 },
    );
  });
});

describe("corners", () => {
  it("a round cutter stays off a corner by r/cos(φ/2) − r: at a right turn 0.414 of its radius", () => {
    expect(cornerLeft(10, Math.PI / 2)).toBeCloseTo(10 * (Math.SQRT2 - 1), 9);
    expect(cornerLeft(10, 0)).toBe(0);
  });
  it("no corner of a body that is seen from above is lost to the last digit of a place", () => {
    const [a, b] = [1e-13, 2e-13];
    const box = hull([
      [0, 0],
      [950, 318],
      [950 + a, 430],
      [950 + b, 318],
      [0, 430],
    ]);
    expect(box).toHaveLength(4);
    expect(box).toContainEqual([950, 430]);
  });
});

it("slabs begin as wide as the top they are to make, and a maker's own stay", () => {
  const { form } = tableWith(at("form.top.length", 900), at("form.top.width", 425));
  const { front, back } = slabsFor(form);
  expect(front.map((each) => each.at)).toEqual([0, 225, 450, 675, 900]);
  expect([front[0].to, back[0].from, back[0].to]).toEqual([176, 252, 425]);
  const own = { ...form.slabs, front: [{ at: 0, from: 0, to: 300 }] };
  expect(slabsFor({ ...form, slabs: own })).toBe(own);
});
