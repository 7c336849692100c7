/** Splayed legs whose heads stand outside a round rim, each with a rebate that takes the top's edge. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { toPiece } from "../../../assembly/place";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { travelOn } from "../../../movement/year";
import type { Patch } from "../../../piece/patch";
import { clashesInPoses, partOf } from "../../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../../testing/plans";
import { rimBeside } from "./beside";
import type { Splayed } from "./place";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.splayed.${path}`, value);
const tan = Math.tan((5 * Math.PI) / 180);
const cos = Math.cos((5 * Math.PI) / 180);
/** A round top of 900, 30 thick, on three legs of 60 splayed 5° that stand 20 outside it at its underside and level with its face. */
const THREE: Patch[] = [
  ...[at("form.kind", "splayed"), at("form.height", 740), at("form.top.outline", "ellipse")],
  ...[at("form.top.thickness", 30), at("form.top.length", 900), at("form.top.width", 900)],
  ...[at("joints.fastening", "oversized"), set("legs", 3), set("turn", 90), set("hub", "mitred")],
  ...[set("joint", "tenon"), set("splay", 5), set("section", 60), set("foot", 60)],
  set("rim", { kind: "beside", proud: 20, above: 0, gap: 4 }),
];
const table = (...patches: Patch[]) => planOf(tableWith(...THREE, ...patches));

describe("three legs outside a round rim, worked by hand", () => {
  const plan = table();
  const g = plan.geometry as Splayed;
  it("the wall stands 454 from the middle; 16 less 30 tan 5° stay outside it, the floor bears the rest of the head", () => {
    expect(g.beside!.walls).toEqual([454, 454, 454].map((each) => expect.closeTo(each, 9)));
    expect(g.beside!.left).toBeCloseTo(16 - 30 * tan, 9);
    // the rim falls 450 − √(450² − 30²) = 1.00 away at the leg's edges
    expect(g.beside!.curve).toBeCloseTo(450 - Math.sqrt(450 ** 2 - 30 ** 2), 9);
    expect(g.beside!.ledge).toBeCloseTo(60 / cos - 20 - g.beside!.curve, 9);
    expect(g.arms[0].foot).toBeCloseTo(470 + 710 * tan, 9);
  });
  it("each leg runs from the floor to the top's face: a prism less its rebate", () => {
    for (const id of ["L1", "L2", "L3"]) {
      const leg = partOf(plan, id);
      const body = stood(bodyOf({ ...leg, adds: [], cuts: [] }), leg.place);
      expect([boundsOf(body).least[1], boundsOf(body).most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(740, 6)]);
      // level everywhere: as high as it is, a level cut long; the rebate 30 high and from the inner face to the wall, whose mean grows as the face leans in
      const taken = 30 * (454 - (470 - 60 / cos) + 15 * tan) * 60;
      expect(bulkOf(body).volume).toBeCloseTo(740 * (60 / cos) * 60 - taken, 3);
    }
  });
  it("stands in nothing, the rebate's floor in the top's underside", () => {
    expect(clashesInPoses(plan)).toEqual([]);
    const { shape, place } = partOf(plan, "L1");
    const floor = shape
      .face!.outer.map(({ at: [x, y] }) => toPiece(place, [x, y, 0]))
      .filter(([, up]) => Math.abs(up - 710) < 1e-6);
    expect(floor).toHaveLength(2);
    expect(
      plan.verdicts.filter(({ level, stage }) => level === "fix" && !["boards", "cutting"].includes(stage)),
    ).toEqual([]);
  });
  it("its rebates are sawn before its arms are shouldered, and the top comes down between the heads", () => {
    const order = plan.steps.map(({ id }) => id);
    expect(order.indexOf("ends")).toBeLessThan(order.indexOf("rebates"));
    expect(order.indexOf("rebates")).toBeLessThan(order.indexOf("arm-ends"));
    expect(plan.steps.find(({ id }) => id === "attach")!.title).toBe("Let the top down between the heads");
  });
  it("through the year the gap is what the rim's own travel leaves of it along the arm", () => {
    const verdict = find(plan, "movement.rebated");
    const moves = plan.top.changes.flatMap((_, i) =>
      [90, 210, 330].map((degrees) => {
        const z = 450 * Math.sin((degrees * Math.PI) / 180);
        return travelOn(plan.top, 450 + z, 450, i) * Math.abs(Math.sin((degrees * Math.PI) / 180));
      }),
    );
    expect(verdict.limit).toBeCloseTo(Math.max(0, ...moves), 1);
  });
  it("what is too little is what its bar shows: wall, floor, or what the rim falls away", () => {
    const bar = (...patches: Patch[]) => {
      const { limit, actual, sense } = find(table(...patches), "form.rebates");
      return { limit, actual: Math.round(actual as number), sense };
    };
    expect(bar(set("rim.proud", 4))).toEqual({ limit: 8, actual: -3, sense: "at least" });
    expect(bar(set("rim.proud", 54))).toEqual({ limit: 15, actual: 5, sense: "at least" });
    expect(bar(set("section", 200), at("form.top.length", 700), at("form.top.width", 700))).toMatchObject({
      limit: 3,
      sense: "at most",
    });
  });
  it("held at its front edge only the legs behind are pushed: by 675 of its width, half of it along their arms", () => {
    const held = table(at("choices.fixedLine", "front-edge"));
    const moves = held.top.changes.map((_, i) => travelOn(held.top, 675, 0, i) / 2);
    expect(find(held, "movement.rebated").limit).toBeCloseTo(Math.max(0, ...moves), 1);
    expect(find(held, "movement.rebated").limit).not.toBeCloseTo(find(plan, "movement.rebated").limit as number, 1);
  });
  it.each([
    ["form.heads-beside", [set("joint", "bridle")]],
    ["form.heads-beside", [at("form.top.outline", "rectangle")]],
    ["form.rebates", [set("rim.proud", 4)]],
    ["form.rebates", [set("rim.proud", 54)]],
    ["form.rebates", [set("section", 26), set("foot", 26)]],
    ["form.rebates", [set("section", 200), at("form.top.length", 700), at("form.top.width", 700)]],
    ["form.rebates", [at("form.top.length", 1300), set("turn", 45)]],
    ["form.feet-out", [set("splay", 20)]],
    ["movement.rebated", [set("rim.gap", 0)]],
  ] as [string, Patch[]][])("%s is told, and its remedies mend it", (id, patches) => {
    const piece = tableWith(...THREE, ...patches);
    expect(find(planOf(piece), id).level).toBe("fix");
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

describe("heads beside any round rim", () => {
  const choices = fc.record({
    length: fc.integer({ min: 500, max: 1600 }),
    narrower: fc.integer({ min: 0, max: 300 }),
    legs: fc.integer({ min: 3, max: 6 }),
    turn: fc.integer({ min: 0, max: 359 }),
    splay: fc.integer({ min: 0, max: 12 }),
    section: fc.integer({ min: 45, max: 90 }),
    proud: fc.integer({ min: 8, max: 40 }),
    above: fc.integer({ min: 0, max: 60 }),
    star: fc.boolean(),
  });
  it("no leg stands in the top or in another part, and none is nearer to the rim than its gap", () =>
    fc.assert(
      fc.property(choices, ({ length, narrower, legs, turn, splay, section, proud, above, star }) => {
        const plan = table(
          ...[at("form.top.length", length), at("form.top.width", length - narrower), set("legs", legs)],
          ...[set("turn", turn), set("splay", splay), set("section", section), set("foot", section - 10)],
          ...[set("rim", { kind: "beside", proud, above, gap: 2 }), set("star.kind", star ? "star" : "none")],
        );
        const { arms, beside } = plan.geometry as Splayed;
        const fixes = plan.verdicts.filter(({ level }) => level === "fix").map(({ id }) => id);
        if (!fixes.some((id) => id.startsWith("form."))) expect(clashesInPoses(plan)).toEqual([]);
        // the rim's points by its angle: none within the leg's width passes the wall less its gap
        for (const [i, { x, z }] of arms.entries())
          for (let k = 0; k < 720; k++) {
            const [a, b] = [
              (length / 2) * Math.cos((k * Math.PI) / 360),
              ((length - narrower) / 2) * Math.sin((k * Math.PI) / 360),
            ];
            if (Math.abs(b * x - a * z) <= section / 2) expect(a * x + b * z).toBeLessThan(beside!.walls[i] - 1.98);
          }
      }),
      { numRuns: 25, seed: SEED },
    ));
  it("the rim beside a way lies on the ellipse, or the way passes it by", () =>
    fc.assert(
      fc.property(
        fc.record({ length: fc.integer({ min: 200, max: 3000 }), width: fc.integer({ min: 200, max: 1500 }) }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: -200, max: 200, noNaN: true }),
        (top, angle, aside) => {
          const [x, z] = [Math.cos(angle), Math.sin(angle)];
          const far = rimBeside({ x, z }, top, aside);
          const on = (p: number) =>
            ((p * x - aside * z) / (top.length / 2)) ** 2 + ((p * z + aside * x) / (top.width / 2)) ** 2;
          if (far === null) for (let p = -2000; p <= 2000; p += 7) expect(on(p)).toBeGreaterThan(1);
          else expect(on(far)).toBeCloseTo(1, 9);
        },
      ),
      { numRuns: 200, seed: SEED },
    ));
});
