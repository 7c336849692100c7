import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clashesOf } from "../../../assembly/clashes";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { alcoveScene } from "../../../drawing/alcove";
import { Alcove, squareAlcove } from "../../../piece/alcove-choices";
import { caseOf, eight, set } from "../../../testing/cases";
import { at, find } from "../../../testing/plans";
import { disagreement, fillersOf, roomIn, skewOf, wallAt, wallsOf, widthByDiagonals } from "./alcove";

const SEED = Number(process.env.SEED ?? 20261127);

/** 1000 at the floor, 990 two metres up between walls that lean in by 6 and 4; 1003 half-way: they bow out by 4 each. */
const LEANING: Alcove = {
  ...{ floor: 1000, middle: 1003, top: 990, height: 2000, left: 6, right: 4, depth: 420 },
  ...{ first: Math.hypot(1006, 420), second: Math.hypot(994, 420), gap: 4 },
};

describe("an alcove worked by hand", () => {
  it("walls go through what was measured", () => {
    const { left, right } = wallsOf(LEANING);
    // half-way the chord is 3 and 998; 8 more between them is 4 out on each side
    expect(left).toEqual([
      { y: 0, x: 0 },
      { y: 1000, x: -1 },
      { y: 2000, x: 6 },
    ]);
    expect(right).toEqual([
      { y: 0, x: 1000 },
      { y: 1000, x: 1002 },
      { y: 2000, x: 996 },
    ]);
    expect(disagreement(LEANING)).toBe(0);
  });
  it("its back is 6 off to the right: diagonals of a parallelogram", () => {
    expect(skewOf(LEANING)).toBeCloseTo(6, 9);
    expect(skewOf(squareAlcove(1000, 400))).toBe(0);
  });
  it("what is 700 high goes in between the left wall’s foot moved by the skew, and the right one’s", () =>
    expect(roomIn(LEANING, 700)).toEqual({ from: expect.closeTo(6, 9), to: 1000 }));
  it("widths that say other than the plumbs move both walls by half", () => {
    const { left, right } = wallsOf({ ...LEANING, top: 984 });
    expect([left[2].x, right[2].x]).toEqual([9, 993]);
  });
});

/** Alcoves that somebody could have measured. */
const alcoves = fc.record({
  floor: fc.integer({ min: 900, max: 2400 }),
  middle: fc.integer({ min: -25, max: 25 }),
  top: fc.integer({ min: -30, max: 30 }),
  height: fc.integer({ min: 600, max: 2600 }),
  left: fc.integer({ min: -20, max: 20 }),
  right: fc.integer({ min: -20, max: 20 }),
  depth: fc.integer({ min: 250, max: 700 }),
  skew: fc.integer({ min: -30, max: 30 }),
});
const measured = ({ skew, ...given }: typeof alcoves extends fc.Arbitrary<infer T> ? T : never): Alcove => ({
  ...given,
  middle: given.floor + given.middle,
  top: given.floor + given.top,
  first: Math.hypot(given.floor + skew, given.depth),
  second: Math.hypot(given.floor - skew, given.depth),
  gap: 4,
});

describe(`alcoves of any measures (seed ${SEED})`, () => {
  it("diagonals of a parallelogram give its width back", () =>
    fc.assert(
      fc.property(alcoves, (given) => {
        expect(widthByDiagonals(measured(given))).toBeCloseTo(given.floor, 5);
      }),
    ));
  it("what goes in touches no wall anywhere from front to back, and a hair more does", () =>
    fc.assert(
      fc.property(alcoves, fc.integer({ min: 300, max: 2600 }), (given, up) => {
        const alcove = measured(given);
        const { left, right } = wallsOf(alcove);
        const { from, to } = roomIn(alcove, up);
        // the walls of every height and depth, looked at one by one
        const [most, least] = [0, 0.5, 1].reduce<[number, number]>(
          ([a, b], deep) =>
            Array.from({ length: 201 }, (_, i) => (i * up) / 200)
              .concat([alcove.height / 2, alcove.height].filter((y) => y < up))
              .reduce<[number, number]>(
                ([l, r], y) => [
                  Math.max(l, wallAt(left, y) + given.skew * deep),
                  Math.min(r, wallAt(right, y) + given.skew * deep),
                ],
                [a, b],
              ),
          [-Infinity, Infinity],
        );
        expect(from).toBeCloseTo(most, 6);
        expect(to).toBeCloseTo(least, 6);
      }),
      { seed: SEED },
    ));
  it("a filler and the case’s half reach from the middle to the wall, at every height", () =>
    fc.assert(
      fc.property(alcoves, fc.integer({ min: 300, max: 1500 }), (given, up) => {
        const alcove = measured(given);
        const room = roomIn(alcove, up);
        const wide = room.to - room.from - 40;
        const middle = (room.from + room.to) / 2;
        const { left, right } = wallsOf(alcove);
        for (const { side, edge } of fillersOf(alcove, { wide, high: up, up }))
          for (const { y, wide: filler } of edge) {
            expect(middle + side * (wide / 2 + filler)).toBeCloseTo(wallAt(side < 0 ? left : right, y), 6);
            expect(filler).toBeGreaterThanOrEqual(20 - 1e-9);
          }
      }),
      { seed: SEED },
    ));
});

describe("a case in it", () => {
  const built = (alcove: Alcove, ...more: ReturnType<typeof set>[]) => eight(set("alcove", alcove), ...more);
  // 900 long in 994 at its narrowest: 47 over on each side of the top, 57 beside the sides
  const plan = built(LEANING);
  it("has fillers of the wall’s outline, screwed to its sides", () => {
    const [left, right] = caseOf(plan).fillers;
    // the middle of 6 to 1000 is 503: less 440 is 63 to the left wall’s foot, 57 to the right one’s
    expect([left.edge[0].wide, right.edge[0].wide]).toEqual([expect.closeTo(63, 9), expect.closeTo(57, 9)]);
    // 680 up the left wall stands 0.68 further out, the right one 1.36
    expect([left.edge.at(-1)!.wide, right.edge.at(-1)!.wide]).toEqual([
      expect.closeTo(63.68, 9),
      expect.closeTo(58.36, 9),
    ]);
    const part = plan.assembly.parts.find(({ id }) => id === "SF1")!;
    const body = bodyOf({ ...part, cuts: [] });
    expect(bulkOf(body).volume).toBeCloseTo(((63 + 63.68) / 2) * 680 * 18, 3);
    const { least, most } = boundsOf(stood(body, part.place));
    expect(most[0]).toBeCloseTo(-440, 9);
    expect(least[0]).toBeCloseTo(-440 - 63.68, 6);
    expect(plan.joints.find(({ id }) => id === "filler+case-side")!.count).toBe(2);
    expect(clashesOf(plan.assembly.parts)).toEqual([]);
    expect(plan.verdicts.some(({ id }) => id === "form.touching")).toBe(false);
  });
  it("is drawn with the very fillers that are listed, where the walls close in over its sides", () => {
    // the left wall leans in by 60 within 710: the top meets it, not the sides
    const leaning = {
      ...LEANING,
      height: 710,
      middle: 1003,
      top: 940,
      left: 60,
      right: 0,
      first: 1084.6,
      second: 1084.6,
    };
    const place = caseOf(built(leaning));
    const scene = alcoveScene(leaning, place);
    for (const { side, edge } of place.fillers) {
      const drawn = scene.items.filter((item) => item.kind === "path" && item.id === "filler");
      const xs = drawn.flatMap((item) => (item.kind === "path" ? item.points : [])).map(([x]) => x);
      const wall = wallAt(wallsOf(leaning)[side < 0 ? "left" : "right"], 0);
      // the case’s side as it is drawn, from the wall’s foot
      expect(xs.some((x) => Math.abs(side * (wall - x) - edge[0].wide) < 1e-6)).toBe(true);
    }
    expect(place.fillers).toHaveLength(2);
  });
  it("goes in, stands behind its front, and is scribed to where it stands level", () => {
    expect(find(plan, "form.alcove")).toMatchObject({ level: "holds", actual: 47 });
    expect(find(plan, "form.alcove-depth").level).toBe("holds");
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("cut-feet")).toBeLessThan(of("fillers"));
    expect(alcoveScene(LEANING, caseOf(plan)).title).toContain("2 fillers");
  });
  it("an alcove narrower than its case, one that was misread, one too shallow: told, and mended where wood can", () => {
    const narrow = find(built({ ...LEANING, floor: 880, middle: 880, top: 870 }), "form.alcove");
    expect([narrow.level, narrow.text]).toEqual([
      "fix",
      expect.stringMatching(/^The alcove is \d+ mm narrower than the case$/),
    ]);
    const [remedy] = narrow.remedies;
    const mended = built({ ...LEANING, floor: 880, middle: 880, top: 870 }, ...remedy.patches);
    expect(find(mended, "form.alcove").level).toBe("holds");
    expect(find(built({ ...LEANING, top: 975 }), "form.alcove-measures")).toMatchObject({ level: "fix", actual: 15 });
    expect(find(built({ ...LEANING, first: 1150 }), "form.alcove-measures").text).toMatch(/^Diagonals and width/);
    expect(find(built({ ...LEANING, middle: 900 }), "form.alcove-measures").text).toMatch(/bow more than walls do/);
    expect(find(built(LEANING), "form.alcove-measures").level).toBe("holds");
    expect(find(built({ ...LEANING, depth: 300 }), "form.alcove-depth")).toMatchObject({
      level: "tight",
      remedies: [{ label: "Make the top 300 mm deep" }],
    });
  });
  it("that fills its alcove has no fillers, and free it asks for nothing", () => {
    const tight = built(squareAlcove(904, 420), at("form.overhang", { end: 0, side: 10 }));
    expect(caseOf(tight).fillers).toEqual([]);
    const free = eight();
    expect(free.verdicts.some(({ id }) => id.startsWith("form.alcove"))).toBe(false);
  });
});
