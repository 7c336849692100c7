import fc from "fast-check";
import Module, { ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { BlindTenon } from "../../../joinery/blind-tenon";
import type { Bridle } from "../../../joinery/bridle";
import type { Patch } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";
import { armWays, legLean } from "../leaning";
import { halfBetween } from "./lean";
import type { Splayed } from "./place";
import { pushAt } from "../tips-between-feet";

const SEED = Number(process.env.SEED ?? 20261126);
const set = (path: string, value: unknown) => at(`form.splayed.${path}`, value);
const radians = (degrees: number) => (degrees * Math.PI) / 180;
const cos = Math.cos(radians(8));
const tan = Math.tan(radians(8));

/** A round top of 1100, 740 high and 28 thick, on three legs of 55 splayed 8°, their heads 90 in from the rim; arms 60 by 45. */
const ROUND: Patch[] = [
  ...[at("form.kind", "splayed"), at("form.height", 740), at("form.top.outline", "ellipse")],
  ...[at("form.top.length", 1100), at("form.top.width", 1100), at("joints.fastening", "oversized")],
  ...[set("legs", 3), set("turn", 90), set("hub", "mitred"), set("foot", 55)],
];

describe("three legs under a round top, worked by hand", () => {
  const plan = planOf(tableWith(...ROUND));
  const g = plan.geometry as Splayed;
  const leg = plan.assembly.parts.find(({ id }) => id === "L1")!;
  it("712 high, an edge is 712 / cos 8° and both points lie 55 tan 8° further apart", () => {
    expect(g.lean.edge).toBeCloseTo(712 / cos, 9);
    expect(plan.parts.find(({ id }) => id === "splayed-leg")!.finished.length).toBeCloseTo(712 / cos + 55 * tan, 6);
    expect(g.lean.out).toBeCloseTo(712 * tan, 9);
    expect(g.arms.map(({ head, foot }) => [head, foot])).toEqual(
      Array.from({ length: 3 }, () => [expect.closeTo(460, 6), expect.closeTo(560.07, 2)]),
    );
  });
  it("the first, turned 90°, leans toward the front: from the floor to the top, its foot's outside at 560", () => {
    const { least, most } = boundsOf(stood(bodyOf(leg), leg.place));
    expect(least[1]).toBeCloseTo(0, 6);
    expect(most[1]).toBeCloseTo(712, 6);
    expect(most[2]).toBeCloseTo(460 + 712 * tan, 6);
    expect([least[0], most[0]]).toEqual([expect.closeTo(-27.5, 6), expect.closeTo(27.5, 6)]);
  });
  it("a third of 55 is tongue: its leg is its prism less a slot 18.5 wide and 60 deep", () => {
    const fork = plan.joints.find(({ id }) => id === "splayed-leg+arm") as Bridle;
    expect(fork.thickness).toBe(18.5);
    expect(bulkOf(bodyOf(leg)).volume).toBeCloseTo(55 * 55 * (712 / cos) - (18.5 * 55 * 60) / cos, 2);
  });
  it("arms come to points 30° off square, and their mitres are 22.5 / sin 60° long", () => {
    const hub = plan.joints.find(({ id }) => id === "arm+arm") as BlindTenon;
    expect(hub.section.thickness).toBeCloseTo(22.5 / Math.sin(radians(60)), 6);
    expect(plan.assembly.parts.find(({ id }) => id === "H1")!.note).toContain("30.0° off square from both sides");
    const arm = plan.assembly.parts.find(({ id }) => id === "H1")!;
    // shoulder to shoulder: a pentagon 60 deep, its outer end along the leg; the tongue beyond it
    const shoulder = 460 - 55 / cos;
    const plain = { ...arm, adds: [], cuts: [] };
    const half = 22.5;
    const flat = 45 * (shoulder + 30 * tan) - half * half * Math.tan(radians(30));
    expect(bulkOf(bodyOf(plain)).volume).toBeCloseTo(60 * flat, 2);
  });
  it("it stands in nothing of itself, and nothing touches that isn't joined", () => {
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(plan.verdicts.filter(({ id }) => id === "form.touching")).toEqual([]);
  });
  it("tips between two feet: half of their distance from the middle inside, the rim beyond it", () => {
    const push = pushAt(g, 30, true);
    expect(push.out).toBeCloseTo(g.arms[0].foot / 2, 6);
    expect(push.beyond).toBeCloseTo(550 - g.arms[0].foot / 2, 6);
    expect(push.newtons).toBeCloseTo((30 * 9.81 * push.out) / push.beyond, 6);
    expect(find(plan, "form.tips").level).not.toBe("holds");
    expect(find(plan, "form.tips").remedies.map(({ label }) => label)).toContain("Stand it on 4 legs");
  });
  it("its top is held by one screw near the middle and by screws that give along three arms", () => {
    const arms = new Set(plan.fasteners.map(({ bearer }) => bearer));
    expect([...arms].sort()).toEqual(["H1", "H2", "H3"]);
    for (const { bearer, x, z } of plan.fasteners) {
      const arm = g.arms[Number(bearer.slice(1)) - 1];
      // on the arm's own middle line
      expect(x * arm.z - z * arm.x).toBeCloseTo(0, 6);
    }
    expect(plan.stopped.filter(({ link }) => link.name === "the fixed screw")).toEqual([]);
  });
  it("is cut in this order: forks while legs are square, ends, tongues to the forks, legs glued last", () => {
    const ids = plan.steps.map(({ id }) => id);
    for (const order of [
      ["set-out", "forks", "tongues", "dry-fit", "glue-ends", "glue-base", "cut-feet"],
      ["forks", "ends", "dry-fit"],
    ]) {
      expect(order.every((id) => ids.includes(id))).toBe(true);
      expect(order.map((id) => ids.indexOf(id))).toEqual(order.map((id) => ids.indexOf(id)).sort((a, b) => a - b));
    }
    expect(plan.parts.find(({ id }) => id === "arm")!.finished).toMatchObject({
      width: expect.closeTo(60, 6),
      // from the middle to the fork's outside, along its longer edge
      length: expect.closeTo(460 + 60 * tan, 6),
    });
  });
});

describe("where the arms point", () => {
  it("every 120°, or along a rectangle's diagonals", () => {
    const three = armWays(3, 0, { length: 900, width: 900 });
    expect(three.map(({ angle }) => Math.round((angle * 180) / Math.PI))).toEqual([0, 120, -120]);
    const [four] = armWays(4, 45, { length: 1600, width: 800 });
    expect(four.z / four.x).toBeCloseTo(0.5, 9);
  });
  it("what lies between neighbours all round makes a full turn", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 6 }),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 400, max: 2500 }),
        (n, turn, length) => {
          const ways = armWays(n, turn, { length, width: 700 });
          const whole = ways.reduce((sum, way, i) => sum + 2 * halfBetween(way, ways[(i + 1) % n]), 0);
          expect(whole).toBeCloseTo(2 * Math.PI, 9);
        },
      ),
    ));
  it("a leg turned upright by its splay is as high as the top's underside (rotation)", () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 25, noNaN: true }), fc.integer({ min: 300, max: 900 }), (splay, height) => {
        const lean = legLean({ height, splay, section: 50 });
        const s = radians(splay);
        // the edge's ends, turned by the splay: one rises straight over the other
        const foot = [lean.out, 0];
        const turned = (p: number[]) => p[0] * Math.cos(s) + p[1] * Math.sin(s);
        expect(turned(foot)).toBeCloseTo(turned([0, height]), 6);
        expect(Math.hypot(lean.out, height)).toBeCloseTo(lean.edge, 6);
      }),
    ));
});

describe("what is wrong is said", () => {
  it("three arms can't lap; a foot past the rim is walked into; a wide splay slides", () => {
    const plan = planOf(tableWith(...ROUND, set("hub", "lapped"), set("splay", 24), set("setIn", 40)));
    expect(find(plan, "form.hub").level).toBe("fix");
    expect(find(plan, "form.splay").level).toBe("fix");
    expect(find(plan, "form.feet-out").level).toBe("fix");
  });
  it("legs that meet in the middle are told, and the drawing still stands", () => {
    const plan = planOf(tableWith(...ROUND, set("setIn", 520)));
    expect(find(plan, "form.ends-fit")).toMatchObject({
      level: "fix",
      text: expect.stringContaining("meet in the middle"),
    });
    expect(plan.assembly.parts.length).toBeGreaterThan(6);
  });
});

const choices = fc.record({
  legs: fc.integer({ min: 3, max: 6 }),
  turn: fc.integer({ min: 0, max: 359 }),
  splay: fc.integer({ min: 0, max: 14 }),
  foot: fc.integer({ min: 30, max: 60 }),
  setIn: fc.integer({ min: 60, max: 160 }),
  joint: fc.constantFrom("bridle", "loose"),
  hub: fc.constantFrom("mitred", "lapped"),
  length: fc.integer({ min: 900, max: 1700 }),
  round: fc.boolean(),
});
const made = ({ length, round, ...given }: Record<string, unknown> & { length: number; round: boolean }) => {
  const piece = tableWith(
    ...ROUND,
    ...[at("form.top.length", length), at("form.top.outline", round ? "ellipse" : "rectangle")],
    ...Object.entries(given).map(([path, value]) => set(path, value)),
  );
  const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
  return { at: geometry as Splayed, parts: assembly.parts };
};

describe(`splayed legs of any choices (seed ${SEED})`, () => {
  let kit: ManifoldToplevel;
  beforeAll(async () => {
    kit = await Module();
    kit.setup();
  });
  it("joined, no two bodies share wood", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { parts } = made(given);
        const base = parts.filter(({ role }) => role !== "panel");
        expect(clashes(base, bodiesOfParts(base))).toEqual([]);
      }),
      { numRuns: 30, seed: SEED },
    ));
  it("an arm sawn to a point is its prism between the bisecting planes, to a millionth (manifold-3d)", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { at: g, parts } = made({ ...given, joint: "loose", hub: "mitred" });
        const { arm: size } = g;
        const plain = { ...parts.find(({ id }) => id === "H2")!, adds: [], cuts: [] };
        const arm = g.arms[1];
        const half = size.thickness / 2;
        const end = arm.head + 10;
        const wedge = kit.Manifold.extrude(
          [
            [
              [0, 0],
              [half / Math.tan(arm.before), -half],
              [end, -half],
              [end, half],
              [half / Math.tan(arm.after), half],
            ],
          ],
          size.depth,
        );
        expect(Math.abs(bulkOf(bodyOf(plain)).volume / wedge.volume() - 1)).toBeLessThan(1e-6);
      }),
      { numRuns: 40, seed: SEED },
    ));
  it("every leg stands from the floor to what it bears, and all weigh alike", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { at: g, parts } = made(given);
        const legs = parts.filter(({ kind }) => kind === "splayed-leg");
        const bodies = legs.map((part) => stood(bodyOf(part), part.place));
        for (const body of bodies) {
          expect(boundsOf(body).least[1]).toBeCloseTo(0, 5);
          expect(boundsOf(body).most[1]).toBeCloseTo(g.heads === "below" ? g.arm.from : g.under + g.rise, 5);
          expect(bulkOf(body).volume).toBeCloseTo(bulkOf(bodies[0]).volume, 0);
        }
      }),
      { numRuns: 30, seed: SEED },
    ));
});
