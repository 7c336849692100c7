import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { AssemblyPart, bodyOf } from "../../assembly/part";
import { cross, dot, Vec } from "../../assembly/vector";
import { boundsOf, stood } from "../../assembly/solid";
import { OWN_GRAIN, OWN_RESTS, OWN_TIMES, OwnPart } from "../../piece/own-choices";
import type { Patch } from "../../piece/patch";
import { bodiesOfParts, clashes } from "../../testing/clashes";
import { at, find, legs, planOf, tableWith } from "../../testing/plans";
import { sharedFace } from "./faces";
import { screwFor } from "./joins";
import { lying, ownParts } from "./parts";

const SEED = Number(process.env.SEED ?? 20261126);
const own = (over: Partial<OwnPart>): OwnPart => ({
  ...{ id: "own-1", name: "Middle rail", length: 400, width: 60, thickness: 25, x: 300, z: 0 },
  ...{ rests: "under-top", height: 0, grain: "across", lean: 0, lies: "on-edge", times: "once", ...over },
});
const added = (...parts: Partial<OwnPart>[]) => at("own.parts", parts.map(own));
const joined = (to: string, how: string, id = "own-1") => at("own.joins", [{ own: id, to, how }]);
const plain = planOf(tableWith());
const { longRail, rail } = legs(plain);
/** From one long rail's inside face to the other's. */
const between = 2 * (longRail.z - rail.thickness / 2);
const plan = (...patches: Patch[]) => planOf(tableWith(...patches));

describe("a rail across the middle, between the long rails, worked by hand", () => {
  const tenoned = plan(added({ length: between }), joined("long-rail", "tenoned"));
  const part = tenoned.assembly.parts.find(({ id }) => id === "N1")!;
  it("stands under the top from face to face", () => {
    const { least, most } = boundsOf(stood(bodyOf({ ...part, adds: [] }), part.place));
    const under = tenoned.geometry.under;
    expect([least[0], most[0]]).toEqual([expect.closeTo(287.5, 9), expect.closeTo(312.5, 9)]);
    expect([least[1], most[1]]).toEqual([expect.closeTo(under - 60, 9), expect.closeTo(under, 9)]);
    expect([least[2], most[2]]).toEqual([expect.closeTo(-between / 2, 9), expect.closeTo(between / 2, 9)]);
  });
  it("is cut as long as it is between shoulders, and its two tenons", () => {
    const joint = tenoned.joints.find(({ group }) => group === "own-1+long-rail")!;
    expect(joint.count).toBe(2);
    const row = tenoned.parts.find(({ id }) => id === "own-1")!;
    expect(row.finished.length).toBeCloseTo(between + 2 * joint.length, 6);
    expect([row.count, row.finished.width, row.finished.thickness]).toEqual([1, 60, 25]);
    // each long rail has its mortise
    const rails = tenoned.assembly.parts.filter(({ kind }) => kind === "long-rail");
    for (const each of rails) expect(each.cuts.filter(({ by }) => by === "own-1+long-rail")).toHaveLength(1);
  });
  it("is in hand when the base is closed: it can't be brought in afterwards", () => {
    const ids = tenoned.steps.map(({ id }) => id);
    const closing = tenoned.steps.find(({ after }) => after.includes("cut-own"))!;
    expect(closing).toBeDefined();
    expect(ids.indexOf("cut-own")).toBeLessThan(ids.indexOf(closing.id));
    expect(tenoned.steps.some(({ id }) => id === "fit-own")).toBe(false);
  });
  it("has its card, is weighed, goes through the year, and is held", () => {
    expect(tenoned.cards.some(({ title }) => title.startsWith("Middle rail to long rail"))).toBe(true);
    const wood = (between * 60 * 25 * tenoned.species.density) / 1e9;
    expect(tenoned.weight - plain.weight).toBeGreaterThan(0.9 * wood);
    expect(tenoned.weight - plain.weight).toBeLessThan(1.05 * wood);
    expect(tenoned.courses["own-1"].mean.length).toBe(plain.courses.top.mean.length);
    expect(find(tenoned, "form.own-held").level).toBe("holds");
    expect(find(tenoned, "form.own-joins").level).toBe("holds");
    expect(tenoned.failures).toEqual([]);
  });
  it("shares wood with nothing, and asks for boards like any rail", () => {
    expect(clashes(tenoned.assembly.parts, bodiesOfParts(tenoned.assembly.parts))).toEqual([]);
    expect(tenoned.cutting.pieces.some(({ id }) => id.startsWith("N1"))).toBe(true);
  });
});

describe("what fits where, and why not", () => {
  const fitsOf = (made: typeof plain, to: string) =>
    Object.fromEntries(made.ownPairs.find((pair) => pair.to === to)!.fits.map(({ how, not }) => [how, not]));
  it("an end takes tenons and no screw, long grain takes screws and no tenon", () => {
    const across = fitsOf(plan(added({ length: between })), "long-rail");
    expect(across.tenoned).toBeNull();
    expect(across.screwed).toMatch(/A screw would pass \d+ mm/);
    // a cleat 25 thick along the inside of a long rail
    const cleat = { grain: "along", z: longRail.z - rail.thickness / 2 - 12.5, rests: "free", height: 650 } as const;
    const along = fitsOf(plan(added({ name: "Cleat", width: 40, ...cleat })), "long-rail");
    expect(along.screwed).toBeNull();
    expect(along.tenoned).toContain("no end to cut a tenon on");
  });
  it("screws go through what is added and bite into what it lies on; it waits until the base is closed", () => {
    const cleat = { grain: "along", z: longRail.z - rail.thickness / 2 - 12.5, rests: "free", height: 650 } as const;
    const made = plan(added({ name: "Cleat", width: 40, ...cleat }), joined("long-rail", "screwed"));
    const joint = made.joints.find(({ group }) => group === "own-1+long-rail")!;
    if (joint.kind !== "screwed") throw new Error("It is screwed.");
    expect(joint.through).toBeCloseTo(25, 9);
    expect(joint.screw.long).toBeLessThanOrEqual(25 + rail.thickness - 3);
    const screws = ({ small }: typeof plain) => small.filter(({ name }) => name === "Screw").length;
    expect(screws(made) - screws(plain)).toBe(joint.screws);
    const ids = made.steps.map(({ id }) => id);
    expect(ids.indexOf("fit-own")).toBeGreaterThan(ids.indexOf("glue-base"));
    expect(ids.indexOf("fit-own")).toBeLessThan(ids.indexOf("attach"));
  });
  it("one that floats, one that is not joined, one that can't be joined so: each is said, and a remedy mends it", () => {
    expect(find(plan(added({ rests: "free", height: 300 })), "form.own-held")).toMatchObject({
      level: "fix",
      text: "The middle rail touches nothing",
    });
    const loose = plan(added({ length: between }));
    const { text, remedies } = find(loose, "form.own-held");
    expect(text).toBe("Nothing holds the middle rail");
    const mended = plan(added({ length: between }), ...(remedies[0].patches as Patch[]));
    expect(find(mended, "form.own-held").level).toBe("holds");
    const wrong = find(plan(added({ length: between }), joined("long-rail", "screwed")), "form.own-joins");
    expect([wrong.level, wrong.text]).toEqual(["fix", "Middle rail to long rail can't be screwed"]);
    expect(wrong.remedies[0].label).toMatch(/^Tenon it/);
  });
  it("one that stands in another says so", () => {
    const inside = plan(added({ length: between + 40 }));
    expect(inside.verdicts.some(({ id, level }) => id === "form.fit" && level === "fix")).toBe(true);
  });
  it("a screw never comes through, and bites 15 at least, or is refused (every two sizes)", () => {
    let sold = 0;
    for (let through = 3; through <= 60; through += 1)
      for (let into = 3; into <= 80; into += 1) {
        const long = screwFor(through, into);
        if (long === null) continue;
        sold += 1;
        expect(long).toBeLessThanOrEqual(through + into - 3);
        expect(long - through).toBeGreaterThanOrEqual(15);
        expect(long - through).toBeLessThanOrEqual(30);
      }
    expect(sold).toBeGreaterThan(1000);
    // 25 into 25, as a cleat on a rail: 45 leaves 5 over its point
    expect(screwFor(25, 25)).toBe(45);
    expect(screwFor(10, 15)).toBeNull();
  });
  it("a copy that touches the first is joined to it, and each knows its own times", () => {
    const two = plan(
      added({ length: between }, { id: "own-2", name: "Second rail", length: between, x: 325 }),
      at("own.joins", [{ own: "own-1", to: "own-2", how: "screwed" }]),
    );
    const pair = two.ownPairs.find(({ to }) => to === "own-2")!;
    expect([pair.own, pair.count, pair.fits.find(({ how }) => how === "screwed")!.not]).toEqual(["own-1", 1, null]);
    expect(two.joints.find(({ group }) => group === "own-1+own-2")).toMatchObject({ through: 25, count: 1 });
  });
  it("nothing is added to a piece without them", () => {
    expect(plain.ownPairs).toEqual([]);
    expect(plain.verdicts.some(({ id }) => id.startsWith("form.own"))).toBe(false);
  });
});

describe(`how parts lie (seed ${SEED})`, () => {
  const any = fc.record({
    length: fc.integer({ min: 30, max: 900 }),
    width: fc.integer({ min: 10, max: 200 }),
    thickness: fc.integer({ min: 8, max: 80 }),
    x: fc.integer({ min: -900, max: 900 }),
    z: fc.integer({ min: -400, max: 400 }),
    height: fc.integer({ min: 0, max: 600 }),
    lean: fc.integer({ min: -80, max: 80 }),
    grain: fc.constantFrom(...OWN_GRAIN),
    rests: fc.constantFrom(...OWN_RESTS),
    lies: fc.constantFrom("flat", "on-edge"),
    times: fc.constantFrom(...OWN_TIMES),
  });
  it("grain and width stand square; the grain climbs by the lean, an upright's leans by it", () =>
    fc.assert(
      fc.property(any, (given) => {
        const { x, y } = lying(given);
        expect(dot(x, y)).toBeCloseTo(0, 12);
        expect([dot(x, x), dot(y, y)]).toEqual([expect.closeTo(1, 12), expect.closeTo(1, 12)]);
        const climbs = (Math.asin(x[1]) * 180) / Math.PI;
        expect(climbs).toBeCloseTo(given.grain === "upright" ? 90 - Math.abs(given.lean) : given.lean, 6);
      }),
      { numRuns: 200, seed: SEED },
    ));
  it("the lowest point stands on the floor or at its height, the highest under the top; mirror images mirror", () =>
    fc.assert(
      fc.property(any, (given) => {
        const parts = ownParts([own(given)], 720);
        const boxes = parts.map((part) => boundsOf(stood(bodyOf(part), part.place)));
        for (const { least, most } of boxes)
          expect(given.rests === "under-top" ? most[1] : least[1]).toBeCloseTo(
            { floor: 0, "under-top": 720, free: given.height }[given.rests],
            6,
          );
        const [first] = boxes;
        parts.forEach((part, i) => {
          const { x, y } = part.place;
          expect(dot(cross(x, y), cross(x, y))).toBeCloseTo(1, 9);
          const [a, b] = [Math.sign(i % 2 === 1 ? -1 : 1), given.times === "corners" && i > 1 ? -1 : 1];
          if (given.times !== "corners") return;
          const middle = (axis: 0 | 2, { least, most }: (typeof boxes)[number]) => (least[axis] + most[axis]) / 2;
          expect(middle(0, boxes[i])).toBeCloseTo(a * middle(0, first), 6);
          expect(middle(2, boxes[i])).toBeCloseTo(b * middle(2, first), 6);
        });
      }),
      { numRuns: 200, seed: SEED },
    ));
  it("the face two boxes share is what their sides have in common", () => {
    const box = fc.record({
      at: fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 300 }))),
      size: fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 20, max: 200 }))),
    });
    const partOf = (id: string, from: readonly number[], [length, width, thickness]: readonly number[]) =>
      ({
        ...{ id, kind: id, name: id, letter: id, role: "rail", make: "solid", note: "", adds: [], cuts: [] },
        ...{ shape: { length, width, thickness }, opens: [0, 0, 0] },
        place: { at: from as unknown as Vec, x: [1, 0, 0], y: [0, 1, 0] },
      }) as AssemblyPart;
    let shared = 0;
    fc.assert(
      fc.property(box, box, fc.constantFrom(0, 1, 2), (one, two, axis) => {
        // the second is moved until it stands against the first along one axis
        const from = two.at.map((value, i) => (i === axis ? one.at[i] + one.size[i] : value));
        const spans = [0, 1, 2].map(
          (i) => Math.min(one.at[i] + one.size[i], from[i] + two.size[i]) - Math.max(one.at[i], from[i]),
        );
        const sides = spans.filter((_, i) => i !== axis).sort((a, b) => b - a);
        const found = sharedFace(partOf("A", one.at, one.size), partOf("B", from, two.size));
        if (sides[1] <= 0 || sides[0] * sides[1] <= 150) {
          expect(found).toBeNull();
          return;
        }
        shared += 1;
        expect([found!.section.width, found!.section.thickness]).toEqual(sides.map((each) => expect.closeTo(each, 6)));
        expect([found!.own, found!.other]).toEqual([one.size[axis], two.size[axis]]);
        expect([found!.end, found!.full]).toEqual([axis === 0, expect.closeTo(1, 6)]);
        expect(found!.face.x[axis]).toBeCloseTo(1, 9);
      }),
      { numRuns: 300, seed: SEED },
    );
    expect(shared).toBeGreaterThan(40);
  });
  it("any parts at all plan without an error", () =>
    fc.assert(
      fc.property(
        fc.array(any, { minLength: 1, maxLength: 4 }),
        fc.constantFrom("screwed", "loose-tenons"),
        (all, how) => {
          const parts = all.map((each, i) => own({ ...each, id: `own-${i + 1}` } as Partial<OwnPart>));
          const joins = parts.flatMap(({ id }) =>
            ["leg", "long-rail", "end-rail", "top", "own-1"].map((to) => ({ own: id, to, how })),
          );
          const made = plan(at("own", { parts, joins }));
          expect(made.failures).toEqual([]);
          expect(structuredClone(made)).toEqual(made);
        },
      ),
      { numRuns: 14, seed: SEED },
    ));
});
