import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { toPiece } from "../../../assembly/place";
import { BENT_WAYS } from "../../../piece/bent-choices";
import type { Patch } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";
import type { Bent } from "./place";

const SEED = Number(process.env.SEED ?? 20261126);
const set = (path: string, value: unknown) => at(`form.bent.${path}`, value);
/** A low table 1200 by 600, 450 high and 25 thick; bends 60 in from the sides and 200 from the ends, 8° of splay. */
const TABLE: Patch[] = [
  ...[at("form.kind", "bent"), at("form.use", "low"), at("joints.fastening", "slotted"), at("form.height", 450)],
  ...[at("form.top.length", 1200), at("form.top.width", 600), at("form.top.thickness", 25)],
  ...[set("setIn.end", 200), set("setIn.side", 60), set("arm.length", 200)],
];
const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));
const rad = (degrees: number) => (degrees * Math.PI) / 180;

describe("four bent legs across a low table, worked by hand", () => {
  const plan = table();
  const g = plan.geometry as Bent;
  const part = (id: string) => plan.assembly.parts.find((each) => each.id === id)!;
  const body = (id: string) => stood(bodyOf(part(id)), part(id).place);
  it("the mitre halves the 98° between arm and leg: 60 deep, it is 79.5 long and 52.16 short on the inner edge", () => {
    const [joint] = plan.joints;
    if (joint.kind !== "mitre") throw new Error("It is a mitre.");
    expect(joint.section.thickness).toBeCloseTo(60 / Math.sin(rad(49)), 9);
    expect(joint.section.thickness).toBeCloseTo(79.5, 1);
    expect(g.shape.inner).toBeCloseTo(60 / Math.tan(rad(49)), 9);
    expect(g.shape.inner).toBeCloseTo(52.16, 2);
    expect(plan.cards[0].lines).toContainEqual({
      what: "Mitre",
      setting: expect.stringMatching(/^41\.0° off square, half of 98\.0°/),
    });
  });
  it("the leg is 425 / cos 8° on its outer edge, and its foot stands 425 tan 8° outside its bend", () => {
    expect(g.shape.outside).toBeCloseTo(425 / Math.cos(rad(8)), 9);
    const { least, most } = boundsOf(body("L2"));
    // its outer corner under the top at z 240, its outside on the floor 59.7 farther
    expect(most[2]).toBeCloseTo(240 + 425 * Math.tan(rad(8)), 6);
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(425, 6)]);
    // two thick bodies lie in one upright plane 400 from the middle
    expect([least[0], most[0]]).toEqual([expect.closeTo(382, 6), expect.closeTo(418, 6)]);
  });
  it("the arm lies under the top, 200 to its long point", () => {
    const { least, most } = boundsOf(body("H2"));
    expect([least[1], most[1]]).toEqual([expect.closeTo(365, 6), expect.closeTo(425, 6)]);
    expect([least[2], most[2]]).toEqual([expect.closeTo(40, 6), expect.closeTo(240, 6)]);
  });
  it("closed, both halves and the spline fill the bend: nothing shared, nothing gone but the groove's last mm", () => {
    const [arm, leg] = [bulkOf(body("H2")).volume, bulkOf(body("L2")).volume];
    // outlines by the shoelace formula, less the groove in each
    const { inner, outside, inside } = g.shape;
    const shoelace = (points: number[][]) =>
      points.reduce((sum, [a, b], i) => {
        const [c, d] = points[(i + 1) % points.length];
        return sum + (a * d - b * c) / 2;
      }, 0);
    const [joint] = plan.joints;
    if (joint.kind !== "mitre") throw new Error("It is a mitre.");
    const groove = 36 * joint.thickness * (joint.reach + 1);
    const armFace = shoelace([
      [0, 30],
      [200 - inner, 0],
      [200, 60],
      [0, 60],
    ]);
    const legFace = shoelace([
      [0, 0],
      [outside, 0],
      [inside, 35],
      [inner, 60],
    ]);
    expect(leg).toBeCloseTo(36 * legFace - groove, 3);
    // screw holes and slots of the top's fastening are in the arm too
    const bare = preview(tableWith(...TABLE).form, tableWith(...TABLE).joints, USUAL_SHOP);
    const plainArm = bare.assembly.parts.find(({ id }) => id === "H2")!;
    expect(bulkOf(bodyOf(plainArm)).volume).toBeCloseTo(36 * armFace - groove, 3);
    expect(arm).toBeLessThanOrEqual(36 * armFace - groove + 1e-3);
    expect(plan.small.filter(({ name }) => name === "Spline")).toHaveLength(4);
  });
  it("is glued bend by bend before anything is tapered, and the top ties the four", () => {
    const ids = plan.steps.map(({ id }) => id);
    for (const [first, then] of [
      ["mitres", "splines"],
      ["splines", "taper"],
      ["taper", "glue-base"],
      ["glue-base", "cut-feet"],
      ["cut-feet", "attach"],
    ])
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
    expect(find(plan, "form.bent-held").level).toBe("holds");
  });
});

describe("what is wrong is said, and mended", () => {
  it.each([
    ["arms that meet", set("arm.length", 260), "form.ends-fit", /run into one another by 40 mm/],
    ["arms too short", set("arm.length", 80), "form.bent-arm", /80 mm long/],
    ["splayed too far", set("splay", 20), "form.splay", /lean 20\.0°/],
    ["a foot beyond the top", set("setIn.side", 0), "form.feet-out", /stand 59\.5 mm past/],
    ["a mitre too slight", set("section", 30), "form.bent-mitre", /MPa$/],
    ["held by clips", at("joints.fastening", "z-clip"), "form.bent-held", /screwed to the top by nothing/],
  ])("%s", (_, patch, id, text) => {
    const { level, text: said, remedies } = find(table(patch), id);
    expect(level).not.toBe("holds");
    expect(said).toMatch(text);
    const mended = table(patch, ...(remedies[0].patches as Patch[]));
    expect(find(mended, id).level).toBe("holds");
  });
  it.each(BENT_WAYS)("%s: feet set in as the remedy says stand under the top, and wider feet do not tip", (way) => {
    const out = table(set("way", way), set("setIn.end", 0), set("setIn.side", 0), set("arm.length", 180));
    const { level, remedies } = find(out, "form.feet-out");
    if (way === "across" || way === "along") expect(level).not.toBe("holds");
    const once = [
      set("way", way),
      set("setIn.end", 0),
      set("setIn.side", 0),
      ...(remedies[0]?.patches ?? []),
    ] as Patch[];
    const again = find(table(...once, set("arm.length", 180)), "form.feet-out");
    const more = again.level === "holds" ? [] : (again.remedies[0].patches as Patch[]);
    expect(find(table(...once, set("arm.length", 180), ...more), "form.feet-out").level).toBe("holds");
    const narrow = [set("way", way), set("setIn.side", 220), set("arm.length", 60)];
    const tipsy = find(table(...narrow), "form.tips");
    if (tipsy.remedies.length === 0) return;
    const mended = find(table(...narrow, ...(tipsy.remedies[0].patches as Patch[])), "form.tips");
    expect(mended.actual ?? Infinity).toBeGreaterThan(tipsy.actual!);
    expect(mended.level === "holds" || mended.text.includes("end edge")).toBe(true);
  });
  it("under a narrow top the arms run along it", () => {
    const bench = [at("form.top.width", 300), set("setIn.side", 100)];
    const { level, remedies } = find(table(...bench), "form.ends-fit");
    expect([level, remedies[0].label]).toEqual(["fix", "Run the arms along the top"]);
    expect(find(table(...bench, ...(remedies[0].patches as Patch[])), "form.ends-fit").level).toBe("holds");
  });
  it("a push of 300 N on four mitres, by hand", () => {
    // 75 N on 425: 31.9 Nm over 36 · 79.5² / 6
    const stress = (75 * 425) / ((36 * (60 / Math.sin(rad(49))) ** 2) / 6);
    expect(find(table(), "form.bent-mitre").actual).toBeCloseTo(stress, 1);
  });
});

describe(`bent legs of any choices (seed ${SEED})`, () => {
  const choices = fc.record({
    way: fc.constantFrom(...BENT_WAYS),
    splay: fc.integer({ min: 0, max: 30 }),
    section: fc.integer({ min: 30, max: 90 }),
    foot: fc.integer({ min: 12, max: 90 }),
    thickness: fc.integer({ min: 20, max: 60 }),
    joint: fc.constantFrom("spline", "loose"),
  });
  it("stand on the floor, end under the top, share no wood; the cut's ends are one point on both", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const piece = tableWith(...TABLE, ...Object.entries(given).map(([path, value]) => set(path, value)));
        const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
        const { shape } = geometry as Bent;
        const bodies = bodiesOfParts(assembly.parts);
        expect(clashes(assembly.parts, bodies)).toEqual([]);
        const angle = rad(90 + given.splay) / 2;
        for (const i of [1, 2, 3, 4]) {
          const [leg, arm] = ["L", "H"].map((letter) => assembly.parts.find(({ id }) => id === `${letter}${i}`)!);
          const { least, most } = boundsOf(bodies.get(leg.id)!);
          expect([least[1], most[1]]).toEqual([expect.closeTo(0, 5), expect.closeTo(425, 5)]);
          const inner = toPiece(leg.place, [shape.inner, shape.section, 0]);
          const same = toPiece(arm.place, [shape.arm.length - shape.inner, 0, shape.thickness]);
          inner.forEach((value, k) => expect(value).toBeCloseTo(same[k], 6));
          // by rotation: the inner corner lies half the angle off both outer faces
          const outer = toPiece(leg.place, [0, 0, 0]);
          const cut = Math.hypot(...inner.map((value, k) => value - outer[k]));
          expect(cut).toBeCloseTo(given.section / Math.sin(angle), 6);
        }
      }),
      { numRuns: 24, seed: SEED },
    ));
  it("plan without an error, and are told to go with the top", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const plan = table(...Object.entries(given).map(([path, value]) => set(path, value)));
        expect(plan.failures).toEqual([]);
        expect(plan.fasteners.length).toBeGreaterThan(4);
      }),
      { numRuns: 10, seed: SEED },
    ));
});
