/** A star low between splayed legs: as long as their inner faces let it be, at any height. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { solidOf } from "../../../assembly/shape";
import { boundsOf, stood } from "../../../assembly/solid";
import { toPiece } from "../../../assembly/place";
import type { Patch } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";
import { leaningPlace, legLean } from "../leaning";
import { innerFace, outAt } from "./lean";
import type { Splayed } from "./place";

const SEED = Number(process.env.SEED ?? 20261126);
const set = (path: string, value: unknown) => at(`form.splayed.${path}`, value);
const tan = Math.tan((8 * Math.PI) / 180);
const cos = Math.cos((8 * Math.PI) / 180);
/** A square top of 900 on four legs of 50, not tapered, below lapped arms; a star 45 deep, 160 above the floor. */
const FOUR: Patch[] = [
  ...[at("form.kind", "splayed"), at("form.height", 740), at("form.top.length", 900), at("form.top.width", 900)],
  ...[set("legs", 4), set("turn", 45), set("joint", "loose"), set("section", 50), set("foot", 50)],
  ...[set("star.kind", "star"), at("joints.fastening", "oversized")],
];

describe("a star under four legs, worked by hand", () => {
  const plan = planOf(tableWith(...FOUR));
  const g = plan.geometry as Splayed;
  it("reaches from inner face to inner face: the foot’s outside, less its slope at 160 and a level cut of the leg", () => {
    const reach = g.arms[0].foot - 160 * tan - 50 / cos;
    const stick = plan.assembly.parts.find(({ id }) => id === "SR1")!;
    expect(stick.shape.length).toBeCloseTo(2 * reach, 6);
    const { least, most } = boundsOf(stood(bodyOf(stick), stick.place));
    expect([least[1], most[1]]).toEqual([expect.closeTo(160, 6), expect.closeTo(205, 6)]);
    // along the diagonal from corner to corner
    expect(most[0] - least[0]).toBeGreaterThan((2 * reach) / Math.SQRT2);
  });
  it("against tapered legs its shoulder is the taper's own slope: both its corners lie on the line from 30 at the foot", () => {
    const tapered = planOf(tableWith(...FOUR, set("foot", 30)));
    const at4 = tapered.geometry as Splayed;
    const stick = tapered.assembly.parts.find(({ id }) => id === "SR1")!;
    const leg = leaningPlace(at4, at4.arms[0]);
    const origin = toPiece(leg, [0, 0, 0]);
    // the leg's inner side in its own frame: 10 in at the foot's level cut, nothing where the taper begins, 10 below the arm
    const { lean, arm } = at4;
    const start = 40 * lean.tan;
    const begins = 50 * lean.tan + lean.edge - arm.depth / lean.cos - 10;
    const { least, most } = boundsOf(solidOf(stick.shape));
    const shoulder = solidOf(stick.shape)
      .flatMap(({ corners }) => corners)
      .filter(([x]) => x > (least[0] + most[0]) / 2 + 100);
    expect(shoulder.length).toBeGreaterThan(3);
    for (const corner of shoulder) {
      const [x, y, z] = toPiece(stick.place, corner);
      const [along, width] = [leg.x, leg.y].map(
        (way) => (x - origin[0]) * way[0] + (y - origin[1]) * way[1] + (z - origin[2]) * way[2],
      );
      expect(width).toBeCloseTo((10 * (begins - along)) / (begins - start), 6);
    }
  });
  it("is two stretchers that lap, four loose tenons in the legs", () => {
    expect(plan.parts.find(({ id }) => id === "star")).toMatchObject({ count: 2 });
    expect(plan.joints.filter(({ enters }) => enters === "star").map(({ kind, count }) => [kind, count])).toEqual([
      ["blind-tenon", 4],
      ["half-lap", 1],
    ]);
  });
  it("nothing touches that isn’t joined, and the legs close on it before the arms come down", () => {
    expect(plan.verdicts.filter(({ id, level }) => id.startsWith("form.") && level === "fix")).toEqual([]);
    expect(plan.steps.find(({ id }) => id === "glue-base")!.detail).toContain("onto the star first");
    const ids = plan.steps.map(({ id }) => id);
    expect(ids.indexOf("star")).toBeGreaterThan(ids.indexOf("heads"));
  });
  it("in forks it can’t close, and too high it lies in the arms: told, and mended", () => {
    const forked = find(planOf(tableWith(...FOUR, set("joint", "bridle"))), "form.star-order");
    expect([forked.level, forked.remedies[0].label]).toEqual(["fix", "Stand the legs below their arms"]);
    const high = find(planOf(tableWith(...FOUR, set("star.height", 640))), "form.stretcher");
    expect(high.level).toBe("fix");
    expect(
      find(planOf(tableWith(...FOUR, set("star.height", 640), ...high.remedies[0].patches)), "form.stretcher").level,
    ).not.toBe("fix");
  });
});

describe("the inner face of a leg", () => {
  const legs = fc.record({
    height: fc.integer({ min: 300, max: 900 }),
    splay: fc.integer({ min: 0, max: 20 }),
    section: fc.integer({ min: 30, max: 80 }),
    share: fc.double({ min: 0.4, max: 1, noNaN: true }),
    up: fc.double({ min: 0, max: 250, noNaN: true }),
  });
  it("leans as the leg where that is not tapered: the outside less a level cut", () =>
    fc.assert(
      fc.property(legs, ({ height, splay, section, up }) => {
        const lean = legLean({ height, splay, section });
        const face = innerFace({ lean, section, footSection: section, foot: 500, taperFrom: null }, up);
        expect(outAt(face, up)).toBeCloseTo(500 - up * lean.tan - lean.level, 6);
        expect(face.section).toBe(section);
      }),
    ));
  it("lies on the leg’s own body, tapered or not, whatever the height", () =>
    fc.assert(
      fc.property(legs, ({ height, splay, section, share, up }) => {
        const piece = tableWith(
          ...FOUR,
          ...[at("form.height", height + 28), set("splay", splay), set("section", section)],
          ...[set("foot", Math.round(section * share)), set("star.height", up)],
        );
        const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
        const place = geometry as Splayed;
        fc.pre(place.lean.edge > place.arm.depth + 100 && up + 45 < place.arm.from);
        const stick = assembly.parts.find(({ id }) => id === "SR1")!;
        const arm = place.arms[0];
        // the shoulder’s lower corner lies on the leg’s inner face: in the leg’s own frame between its taper and its plain side
        const { section: s, footSection: f } = place;
        const out = stick.shape.length / 2;
        const [dx, dz] = [arm.x * out, arm.z * out];
        const leg = leaningPlace(place, arm);
        const origin = toPiece(leg, [0, 0, 0]);
        const width = (dx - origin[0]) * leg.y[0] + (up - origin[1]) * leg.y[1] + (dz - origin[2]) * leg.y[2];
        expect(width).toBeGreaterThan(-0.01);
        expect(width).toBeLessThan((s - f) / 2 + 0.01);
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("joined, no two bodies share wood: three to six legs, lapped or pointed", () =>
    fc.assert(
      fc.property(
        fc.record({
          legs: fc.integer({ min: 3, max: 6 }),
          splay: fc.integer({ min: 0, max: 14 }),
          foot: fc.integer({ min: 30, max: 50 }),
          height: fc.integer({ min: 80, max: 350 }),
          hub: fc.constantFrom("mitred", "lapped"),
        }),
        ({ height, ...given }) => {
          const piece = tableWith(
            ...FOUR,
            ...Object.entries(given).map(([path, value]) => set(path, value)),
            set("star.height", height),
          );
          const { assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
          expect(clashes(assembly.parts, bodiesOfParts(assembly.parts))).toEqual([]);
        },
      ),
      { numRuns: 30, seed: SEED },
    ));
});
