import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { toPiece } from "../../../assembly/place";
import { solidOf } from "../../../assembly/shape";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { cross, dot, unit, Vec } from "../../../assembly/vector";
import type { Patch } from "../../../piece/patch";
import { clashes } from "../../../testing/clashes";
import { at, find } from "../../../testing/plans";
import { ROUND, set, table } from "../../../testing/splays";
import { innerAt, Ring, SplayedLegs } from "./legs";
import type { SplayedFrame } from "./place";
import { behindFace, railsRound } from "./ring";
import { endCut, levelOf, shoulderOf } from "./sticks";

const SEED = Number(process.env.SEED ?? 20261127);
const rad = (degrees: number) => (degrees * Math.PI) / 180;
const [S, C, T] = [Math.sin(rad(10)), Math.cos(rad(10)), Math.tan(rad(10))];
const round = (...patches: Patch[]) => table(...ROUND, ...patches);
const roundOf = (plan: ReturnType<typeof round>) =>
  plan.geometry as SplayedFrame & { legs: SplayedLegs & { ring: Ring } };

describe("a round side table on three legs splayed 10° under rails from one to the next, worked by hand", () => {
  const plan = round();
  const g = roundOf(plan);
  const part = (id: string) => plan.assembly.parts.find((each) => each.id === id)!;
  it("each leg leans straight out: a foot stands 530 tan 10° out from its head, 530 / cos 10° along every edge", () => {
    expect(plan.assembly.parts.filter(({ kind }) => kind === "splayed-leg").map(({ id }) => id)).toEqual([
      "L1",
      "L2",
      "L3",
    ]);
    const { least, most } = boundsOf(stood(solidOf(part("L1").shape), part("L1").place));
    // the first stands toward the front
    expect(most[2]).toBeCloseTo(350 - 70 + 530 * T, 6);
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(530, 6)]);
    expect([least[0], most[0]]).toEqual([expect.closeTo(-25, 6), expect.closeTo(25, 6)]);
    expect(part("L1").place.x[1]).toBeCloseTo(C, 9);
  });
  it("a level cut is a house: a square 50 by 50 / cos 10°, less two triangles down to a ridge of 120°", () => {
    // both triangles: half the width by what the roof is deep, cot 60° of it
    const house = (50 * 50) / C - (50 * 25 * Math.tan(rad(30))) / 2;
    expect(bulkOf(solidOf(part("L2").shape)).volume).toBeCloseTo(530 * house, 2);
    expect([part("L2").shape.width, part("L2").shape.thickness]).toEqual([
      expect.closeTo(50, 9),
      expect.closeTo(50, 9),
    ]);
    // square to its grain the roof is flatter: tan = tan 30° cos 10°
    expect(g.legs.backed).toBeCloseTo((Math.atan(Math.tan(rad(30)) * C) * 180) / Math.PI, 9);
  });
  it("rails run at 60° to one another; their ends are 8.63° off square with the blade 0.75° over, their faces lean 5.04°", () => {
    const [a, b] = g.rails;
    expect(Math.abs(dot([a.way[0], 0, a.way[1]], [b.way[0], 0, b.way[1]]))).toBeCloseTo(0.5, 9);
    // the leg leans outward; along a rail it goes sin 60° of that, out of it cos 60°
    const [end, out] = [Math.atan(T * Math.sin(rad(60))), Math.atan(T / 2)];
    expect(a.slope).toBeCloseTo(Math.tan(out), 9);
    expect(endCut(a).gauge).toBeCloseTo((Math.atan(Math.tan(end) * Math.cos(out)) * 180) / Math.PI, 9);
    expect(endCut(a).blade).toBeCloseTo((Math.asin(Math.sin(end) * Math.sin(out)) * 180) / Math.PI, 9);
    expect(endCut(a).blade).toBeCloseTo(0.76, 2);
    // from ridge to ridge, level under the top: a chord of the circle they stand on
    expect(2 * a.reach).toBeCloseTo(Math.sqrt(3) * (280 - 50 / C), 9);
  });
  it("every shoulder lies on a face planed for it, from end to end, and nothing stands in anything else", () => {
    for (const stick of g.rails)
      for (const sign of [1, -1] as const) {
        const { face } = shoulderOf(stick, sign);
        const leg = g.legs.ring.spokes.find(({ id }) => id === stick.holders[sign < 0 ? 0 : 1])!;
        const grain = unit([-leg.x * T, 1, -leg.z * T] as Vec);
        // square to the leg's own grain, and level along the rail's face
        expect(dot(face.x, grain)).toBeCloseTo(0, 9);
        expect(dot(face.x, [stick.out[0], 0, stick.out[1]])).toBeCloseTo(0, 9);
        const far = dot(face.at, [stick.way[0], 0, stick.way[1]]);
        expect(far * sign).toBeCloseTo(innerAt(g.legs, g.legs.end, face.at[1]), 6);
      }
    expect(clashes(plan.assembly.parts)).toEqual([]);
  });
  it("tenons of both rails stay on their own side of the leg's middle plane, a millimetre each", () => {
    const joint = plan.joints[0];
    if (joint.kind !== "blind-tenon") throw new Error("It is a loose tenon.");
    const leg = g.legs.ring.spokes[0];
    // which way is aside, seen from outside
    const aside: Vec = [-leg.z, 0, leg.x];
    for (const [i, sign] of [
      [0, 1],
      [2, -1],
    ] as const) {
      const rail = part(g.rails[i].id);
      const corners = plan.assembly.parts
        .find(({ id }) => id === "L1")!
        .cuts.filter(({ by }) => by.startsWith("splayed-leg+splay-rail"))
        .map(({ place, shape }) =>
          [0, shape.length].flatMap((x) =>
            [0, shape.width].flatMap((y) =>
              [0, shape.thickness].map((z) => dot(toPiece(part("L1").place, toPiece(place, [x, y, z])), aside)),
            ),
          ),
        );
      expect(rail.kind).toBe("splay-rail");
      const mine = corners.filter((all) => sign * (all[0] + all[7]) > 0);
      expect(mine).toHaveLength(1);
      expect(Math.min(...mine[0].map((each) => sign * each))).toBeGreaterThan(0.9);
    }
  });
  it("is set out and cut from these numbers", () => {
    expect(plan.cards[0].lines.slice(0, 6)).toEqual([
      { what: "Rail, both ends", setting: "8.6° off square, the blade 0.8° over" },
      { what: "Both edges bevelled, parallel", setting: "5.0°" },
      {
        what: "Shoulder to shoulder, upper edge and lower edge",
        setting: `${(Math.sqrt(3) * (280 - 50 / C)).toFixed(1)} mm and ${(Math.sqrt(3) * (280 - 50 / C) + 140 * T * Math.sin(rad(60))).toFixed(1)} mm`,
      },
      { what: "Leg, both ends, a side on the table", setting: "10.0° off square" },
      { what: "Leg, along each edge", setting: "538 mm" },
      {
        what: "Leg, two faces planed off the inner one, to a ridge in its middle",
        setting: `29.6°, each ${(25 / Math.cos(Math.atan(Math.tan(rad(30)) * C))).toFixed(1)} mm wide`,
      },
    ]);
    const ids = plan.steps.map(({ id }) => id);
    expect(ids).not.toContain("glue-ends");
    for (const [first, then] of [
      ["set-out", "back-legs"],
      ["back-legs", "ends"],
      ["ends", "slots"],
      ["slots", "dry-fit"],
      ["dry-fit", "glue-base"],
    ])
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
  });
  it("buttons sit inside the rails, in grooves that follow their inner faces", () => {
    const rail = g.rails[0];
    const inward: Vec = [-rail.out[0], 0, -rail.out[1]];
    const mine = plan.fasteners.filter(({ bearer }) => bearer === "A1");
    expect(mine.length).toBeGreaterThan(0);
    for (const { x, z } of mine) expect(-dot([x, 0, z], inward)).toBeLessThan(rail.outer - levelOf(rail));
    const [groove] = part("A1").cuts.filter(({ by }) => by === "fastening");
    const up = unit([-rail.out[0] * rail.slope, 1, -rail.out[1] * rail.slope] as Vec);
    expect(dot(groove.place.y, [0, 1, 0])).toBeGreaterThan(0);
    // its frame stands in the rail's: as high as the groove is, square to the face
    const faces = [0, groove.shape.thickness].map((z) =>
      dot(toPiece(part("A1").place, toPiece(groove.place, [0, 0, z])), unit(cross(up, [rail.way[0], 0, rail.way[1]]))),
    );
    expect(Math.abs(faces[1] - faces[0])).toBeCloseTo(13, 6);
  });
  it("buttons go in and out of every rail, in grooves and no slots: whichever way it runs, the top goes no farther across it", () => {
    expect([...new Set(plan.fasteners.map(({ run }) => run))]).toEqual(["along"]);
    expect(find(plan, "movement.long-buttons-wet").level).toBe("holds");
    expect(plan.steps.find(({ id }) => id === "groove")!.detail).not.toMatch(/slots/);
    expect(plan.steps.find(({ id }) => id === "attach")!.detail).not.toMatch(/slots|ends/);
  });
  it("behind a mortise the leg is as deep as its outer face lets it be, or its far side", () => {
    // from the ridge 25 along the face, 5 at the nearer cheek: out to the back, or across to the side
    const back = (50 / C - 25 * Math.cos(rad(60))) / Math.sin(rad(60));
    const side = (25 + 5 * Math.sin(rad(60))) / Math.cos(rad(60));
    expect(behindFace(g.legs, { least: 5, most: 25 }, 530)).toBeCloseTo(Math.min(back, side), 9);
  });
  it("moves along its rails as wood is long, not as it is wide", () => {
    expect(plan.verdicts.some(({ id }) => id.startsWith("movement.stopped."))).toBe(false);
  });
});

it("heads turned to the rim lie under it with all their corners: a corner is 25 aside of 300", () => {
  const near = round(set("ring", { legs: 4, turn: 45, splay: 6, setIn: 30 }));
  const g = roundOf(near);
  const far = Math.max(...g.posts.flatMap(({ corners = [] }) => corners.map(({ x, z }) => Math.hypot(x, z))));
  expect(far).toBeCloseTo(Math.hypot(320, 25), 6);
  expect(find(near, "boards.outline").level).toBe("holds");
  expect(find(round(set("ring.setIn", 0)), "boards.outline").level).toBe("fix");
});

describe("however many legs there are", () => {
  it.each([
    [3, 60, 120],
    [4, 90, 90],
    [5, 108, 72],
    [6, 120, 60],
  ])("of %i legs, rails meet at %i° and the ridge between the faces is %i° level", (legs, between, ridge) => {
    const g = roundOf(round(set("ring.legs", legs)));
    const [a, b] = railsRound(g.legs.ring);
    const angle = (180 * Math.acos(-(a.way[0] * b.way[0] + a.way[1] * b.way[1]))) / Math.PI;
    expect(angle).toBeCloseTo(between, 6);
    // what is planed, laid back from the leg's own section to a level one
    const level = (180 * Math.atan(Math.tan(rad(g.legs.backed)) / C)) / Math.PI;
    expect(180 - 2 * level).toBeCloseTo(ridge, 6);
  });
  it("tapered legs stay houses to the foot", () => {
    const plan = round(set("foot", 30));
    const g = roundOf(plan);
    const leg = plan.assembly.parts.find(({ id }) => id === "L1")!;
    const { least, most } = boundsOf(stood(solidOf(leg.shape), leg.place));
    const feet = g.feet[0];
    expect(feet.length).toBeCloseTo(30, 6);
    expect(feet.width).toBeCloseTo(30 / C, 6);
    expect(feet.z + feet.width / 2).toBeCloseTo(most[2], 6);
    expect(least[1]).toBeCloseTo(0, 6);
    expect(g.legs.ring.lean.taper).toBeCloseTo(T + 20 / C / g.legs.taperFrom, 9);
    expect(S).toBeGreaterThan(0);
  });
});

const choices = fc.record({
  legs: fc.integer({ min: 3, max: 6 }),
  turn: fc.integer({ min: 0, max: 359 }),
  splay: fc.double({ min: 0, max: 20, noNaN: true }),
  section: fc.integer({ min: 45, max: 90 }),
  share: fc.double({ min: 0.5, max: 1, noNaN: true }),
  thickness: fc.integer({ min: 14, max: 24 }),
  leaning: fc.boolean(),
  low: fc.constantFrom("none" as const, "box" as const, "h" as const),
});

describe("whatever is chosen", () => {
  it("no part fills another's room, and each stands between floor and top", () => {
    fc.assert(
      fc.property(choices, ({ legs, turn, splay, section, share, thickness, leaning, low }) => {
        const plan = round(
          ...[at("form.top.length", 900), at("form.top.width", 900), set("ring", { legs, turn, splay, setIn: 90 })],
          ...[set("section", section), set("foot", Math.floor(section * share))],
          set("rail", { depth: 70, thickness, reveal: 3, stands: leaning ? "leaning" : "plumb" }),
          set("low", { kind: low, height: 120, depth: 30, thickness: 14 }),
        );
        const parts = plan.assembly.parts.filter(({ kind }) => kind.startsWith("spl"));
        for (const part of parts) {
          const { least, most } = boundsOf(stood(bodyOf(part), part.place));
          expect(least[1]).toBeGreaterThan(-1e-6);
          expect(most[1]).toBeLessThan(530 + 1e-6);
        }
        const wrong = ["form.rail-in-leg", "form.stretcher-in-leg", "form.ends-fit"].some((id) =>
          plan.verdicts.some((each) => each.id === id && each.level !== "holds"),
        );
        if (!wrong) expect(clashes(parts)).toEqual([]);
      }),
      { seed: SEED, numRuns: 14 },
    );
  });
});
