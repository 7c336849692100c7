import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { toPiece, turned } from "../../../assembly/place";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { solidOf } from "../../../assembly/shape";
import { dot, unit, Vec } from "../../../assembly/vector";
import type { Patch } from "../../../piece/patch";
import { USUAL_SPLAYED_FRAME } from "../../../piece/splayed-frame-choices";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find } from "../../../testing/plans";
import { set, table } from "../../../testing/splays";
import { CORNERS, innerAt, legBody, legCut, legsOf } from "./legs";
import type { SplayedFrame } from "./place";
import { endCut, halfAt, levelOf, shoulderOf, Stick, stickBody, widthOf } from "./sticks";

const SEED = Number(process.env.SEED ?? 20261126);
const boxOf = ({ length, width, thickness }: { length: number; width: number; thickness: number }): Vec[] =>
  [0, length].flatMap((x) => [0, width].flatMap((y) => [0, thickness].map((z): Vec => [x, y, z])));
const rad = (degrees: number) => (degrees * Math.PI) / 180;
const [S, C, T] = [Math.sin(rad(8)), Math.cos(rad(8)), Math.tan(rad(8))];

describe("a side table whose legs splay 8° each way under rails that lean with them, worked by hand", () => {
  const plan = table();
  const g = plan.geometry as SplayedFrame;
  const part = (id: string) => plan.assembly.parts.find((each) => each.id === id)!;
  it("each leg leans 11.24° and is 530 × 1.0196 along its edges; its two end faces are 1.11° off square", () => {
    expect(g.legs.resultant).toBeCloseTo(11.24, 2);
    expect(g.legs.under * g.legs.stretch).toBeCloseTo(530 * Math.sqrt(1 + 2 * T * T), 9);
    expect(g.legs.backed).toBeCloseTo((Math.asin(S * S) * 180) / Math.PI, 9);
    expect(g.legs.backed).toBeCloseTo(1.11, 2);
    expect(legCut(g.legs).gauge).toBeCloseTo(7.92, 2);
    expect(legCut(g.legs).blade).toBeCloseTo(8, 9);
  });
  it("a leg comes out of a blank 40 square, and is a rectangle of one size wherever it is cut level", () => {
    const { shape } = part("L2");
    expect([shape.width, shape.thickness]).toEqual([expect.closeTo(40, 9), expect.closeTo(40, 9)]);
    const backed = rad(g.legs.backed);
    const level = (40 * (Math.cos(backed) - Math.sin(backed))) / C;
    expect(g.legs.end.level).toBeCloseTo(level, 9);
    // a sheared prism holds what an upright one of the same level cut does
    expect(bulkOf(solidOf(shape)).volume).toBeCloseTo(530 * level * (40 / C), 3);
    const { least, most } = boundsOf(stood(solidOf(shape), part("L2").place));
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(530, 6)]);
    expect(most[0]).toBeCloseTo(350 - 90 + 530 * T, 6);
    expect(most[2]).toBeCloseTo(250 - 80 + 530 * T, 6);
    expect(least[0]).toBeCloseTo(260 - level, 6);
  });
  it("a rail is ripped 70 / cos 8° + 20 tan 8° wide, sawn 7.92° off square with the blade 1.11° over, and 19.7 longer below", () => {
    const rail = g.rails.find(({ id }) => id === "A1")!;
    expect(widthOf(rail)).toBeCloseTo(70 / C + 20 * T, 9);
    expect(part("A1").shape.width).toBeCloseTo(73.5, 1);
    expect(endCut(rail).gauge).toBeCloseTo((Math.atan(T * C) * 180) / Math.PI, 9);
    expect(endCut(rail).blade).toBeCloseTo(g.legs.backed, 9);
    expect(2 * rail.reach).toBeCloseTo(2 * (260 - g.legs.end.level), 9);
    expect(part("A1").shape.length - 2 * rail.reach).toBeCloseTo(2 * 70 * T, 9);
    // upright it would be 20 thick: level it is 20 / cos 8°
    const middle = 2 * halfAt(rail, 495);
    expect(bulkOf(solidOf(part("A1").shape)).volume).toBeCloseTo(70 * (20 / C) * middle, 3);
    expect(plan.cards[0].lines.slice(0, 3)).toEqual([
      { what: "Rail, both ends", setting: "7.9° off square, the blade 1.1° over" },
      { what: "Both edges bevelled, parallel", setting: "8.0°" },
      {
        what: "Shoulder to shoulder, upper edge and lower edge",
        setting: `${(2 * rail.reach).toFixed(1)} mm and ${(2 * rail.reach + 140 * T).toFixed(1)} mm`,
      },
    ]);
  });
  it("every shoulder lies on its leg's face: nothing shared, no gap, and tenons fill both slots", () => {
    const bodies = bodiesOfParts(plan.assembly.parts);
    expect(clashes(plan.assembly.parts, bodies)).toEqual([]);
    for (const stick of g.rails)
      for (const sign of [1, -1] as const) {
        const { face } = shoulderOf(stick, sign);
        const leg = CORNERS.find(({ id }) => id === stick.holders[sign < 0 ? 0 : 1])!;
        const way = stick.run === "along" ? g.legs.end : g.legs.side;
        const out = stick.run === "along" ? face.at[0] * leg.x : face.at[2] * leg.z;
        expect(out).toBeCloseTo(innerAt(g.legs, way, face.at[1]), 6);
      }
    expect(plan.small.filter(({ name }) => name === "Loose tenon").length).toBeGreaterThanOrEqual(8);
  });
  it("what is cut in a leaning rail for the top follows its inner face", () => {
    const buttoned = table(
      ...[at("joints.fastening", "button"), at("form.top.length", 1300), at("form.top.width", 900)],
    );
    const frame = buttoned.geometry as SplayedFrame;
    for (const stick of frame.rails) {
      const rail = buttoned.assembly.parts.find((each) => each.id === stick.id)!;
      const grooves = rail.cuts.filter(({ by }) => by === "fastening");
      expect(grooves.length, stick.id).toBeGreaterThan(0);
      const [up, out] = [unit([0, 1, -stick.slope] as Vec), unit([0, stick.slope, 1] as Vec)];
      // from the inner face's upper edge, up the face and out of it away from the middle
      const seen = ([x, y, z]: Vec): Vec => [
        0,
        y - frame.under,
        stick.out[0] * x + stick.out[1] * z - (stick.outer - levelOf(stick)),
      ];
      for (const { place, shape } of grooves) {
        const corners = boxOf(shape).map((corner) => seen(toPiece(rail.place, toPiece(place, corner))));
        const [along, deep] = [up, out].map((way) => corners.map((corner) => dot(corner, way)));
        expect([Math.min(...deep), Math.max(...deep)]).toEqual([expect.closeTo(0, 6), expect.closeTo(13, 6)]);
        expect([Math.max(...along), Math.min(...along)]).toEqual([expect.closeTo(-12, 6), expect.closeTo(-22, 6)]);
      }
    }
  });
  it("holes for the top's screws run along a leaning rail, in its middle from edge to edge", () => {
    const screwed = table(at("joints.fastening", "oversized"), at("form.top.length", 1300), at("form.top.width", 900));
    for (const stick of (screwed.geometry as SplayedFrame).rails) {
      const rail = screwed.assembly.parts.find((each) => each.id === stick.id)!;
      const holes = rail.cuts.filter(({ by }) => by === "fastening");
      expect(holes.length, stick.id).toBeGreaterThan(0);
      for (const { place, shape } of holes) {
        // its axis in the rail's own frame: up the face, halfway through it but for what the bevel sets off
        expect(Math.abs(place.x[1])).toBeCloseTo(1, 9);
        const [, , middle] = toPiece(place, [0, shape.width / 2, shape.thickness / 2]);
        expect(middle).toBeCloseTo(10, 6);
      }
    }
  });
  it("is backed, sawn and slotted before it is tapered, and the end frames are glued first", () => {
    const ids = table(set("foot", 28)).steps.map(({ id }) => id);
    for (const [first, then] of [
      ["set-out", "back-legs"],
      ["back-legs", "ends"],
      ["ends", "slots"],
      ["shoulders", "slots"],
      ["slots", "taper"],
      ["taper", "dry-fit"],
      ["glue-ends", "glue-base"],
      ["glue-base", "cut-feet"],
    ])
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
  });
});

describe("splayed one way only", () => {
  const plan = table(set("splay.end", 0));
  it("its legs stay square, rails are square at their ends and end rails upright", () => {
    const g = plan.geometry as SplayedFrame;
    expect(g.legs.backed).toBe(0);
    expect(plan.steps.some(({ id }) => id === "back-legs")).toBe(false);
    const [rail, end] = ["along", "across"].map((run) => g.rails.find((each) => each.run === run)!);
    expect(endCut(rail)).toEqual({ gauge: 0, blade: 0 });
    expect(endCut(end).gauge).toBeCloseTo(8, 9);
    expect(end.slope).toBe(0);
    expect(legCut(g.legs)).toEqual({ gauge: 0, blade: expect.closeTo(8, 9) });
  });
});

const choices = fc.record({
  end: fc.double({ min: 0, max: 20, noNaN: true }),
  side: fc.double({ min: 0, max: 20, noNaN: true }),
  section: fc.integer({ min: 40, max: 80 }),
  share: fc.double({ min: 0.5, max: 1, noNaN: true }),
  depth: fc.integer({ min: 40, max: 100 }),
  thickness: fc.integer({ min: 14, max: 26 }),
  leaning: fc.boolean(),
  low: fc.constantFrom("none" as const, "box" as const, "h" as const),
});
type Drawn = typeof choices extends fc.Arbitrary<infer D> ? D : never;
const drawn = ({ end, side, section, share, depth, thickness, leaning, low }: Drawn): Patch[] => [
  ...[set("splay", { end, side }), set("section", section), set("foot", Math.floor(section * share))],
  set("rail", { depth, thickness, reveal: 3, stands: leaning ? "leaning" : "plumb" }),
  set("low", { kind: low, height: 120, depth: 34, thickness: 20 }),
];

describe("whatever is chosen", () => {
  const opts = { seed: SEED, numRuns: 25 };
  it("a leg fits its square blank, with level ends and faces that run with its rails", () => {
    fc.assert(
      fc.property(choices, (c) => {
        const legs = legsOf(
          { ...USUAL_SPLAYED_FRAME, splay: c, section: c.section, foot: c.section },
          { length: 1200, width: 800 },
          600,
        );
        for (const corner of CORNERS) {
          const { shape, place } = legBody(legs, corner);
          expect(shape.width).toBeCloseTo(c.section, 6);
          expect(shape.thickness).toBeCloseTo(c.section, 6);
          expect(bulkOf(solidOf(shape)).volume).toBeCloseTo(600 * legs.end.level * legs.side.level, 2);
          // by the turn of its grain from upright alone
          expect(place.x[1]).toBeCloseTo(Math.cos(rad(legs.resultant)), 9);
        }
      }),
      opts,
    );
  });
  it("the saw's settings give the cut they are for: a plane turned by gauge and blade is the leg's face", () => {
    fc.assert(
      fc.property(choices, ({ end, side, leaning }) => {
        const stick: Stick = {
          ...{
            id: "A1",
            kind: "rail",
            run: "along",
            way: [1, 0],
            out: [0, 1],
            holders: ["L1", "L2"],
            lower: 500,
            upper: 580,
          },
          ...{
            thickness: 20,
            outer: 200,
            slope: leaning ? Math.tan(rad(side)) : 0,
            reach: 300,
            end: Math.tan(rad(end)),
          },
        };
        const { gauge, blade } = endCut(stick);
        const { place } = stickBody(stick);
        // in the rail's own frame, its face on the table: turn by the gauge in the face, then lean by the blade
        const [cg, sg, cb, sb] = [
          Math.cos(rad(gauge)),
          Math.sin(rad(gauge)),
          Math.cos(rad(blade)),
          Math.sin(rad(blade)),
        ];
        const cut: Vec = [cg * cb, sg * cb, 0];
        const face = unit([1, stick.end, 0] as Vec);
        const seen = [dot(face, place.x), dot(face, place.y)];
        expect(seen[0]).toBeCloseTo(cut[0], 9);
        expect(seen[1]).toBeCloseTo(cut[1], 9);
        expect(Math.abs(dot(face, turned(place, [0, 0, 1])))).toBeCloseTo(sb, 9);
        expect(bulkOf(solidOf(stickBody(stick).shape)).volume).toBeCloseTo(
          80 * levelOf(stick) * 2 * halfAt(stick, 540),
          2,
        );
      }),
      opts,
    );
  });
  it("no part fills another's room, and every part reaches no lower than the floor, no higher than the top", () => {
    fc.assert(
      fc.property(choices, (c) => {
        const plan = table(at("form.top.length", 1400), at("form.top.width", 900), at("form.height", 720), ...drawn(c));
        const parts = plan.assembly.parts.filter(({ kind }) => kind.startsWith("spl"));
        if (
          find(plan, "form.rail-in-leg").level !== "holds" ||
          plan.verdicts.some(({ id, level }) => id === "joints.cuts-meet" && level === "fix")
        )
          return;
        expect(clashes(parts)).toEqual([]);
        for (const part of parts) {
          const { least, most } = boundsOf(stood(bodyOf(part), part.place));
          expect(least[1]).toBeGreaterThan(-1e-6);
          expect(most[1]).toBeLessThan(700 + 1e-6);
        }
      }),
      { ...opts, numRuns: 8 },
    );
  });
});
