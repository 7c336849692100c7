import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { smallList } from "../../../assembly/small";
import { add, times, Vec } from "../../../assembly/vector";
import { clashesIn, clashesOf } from "../../../assembly/clashes";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { boxed, BOX_OF, boxOf, set } from "../../../testing/boxes";
import { listed } from "../../../testing/cases";
import { at, find, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";
import { boxPoses, lidOf, OPEN } from "./lid";
import type { Box } from "./place";

const SEED = Number(process.env.SEED ?? 20261127);
const GRAVITY = 9.81;

describe("a box on a frame of legs, worked by hand", () => {
  const plan = boxed();
  it("walls from outside to outside, mitred; the bottom on 10 of each", () => {
    // 900 less 10 at each end; 500 less 10 in front; 450 less 22 less the gap of 2 is 426, less 240 is 186, less 8 is 178
    expect(listed(plan, "box-front")).toEqual([880, 240, 20]);
    expect(listed(plan, "box-back")).toEqual([880, 240, 20]);
    expect(listed(plan, "box-end")).toEqual([490, 240, 20]);
    // 840 by 450 inside, 10 on each wall less half a mm
    expect(listed(plan, "box-bottom")).toEqual([859, 469, 12]);
    expect(listed(plan, "stand-leg")).toEqual([178, 45, 45]);
    // 790 between the legs, two tenons that meet in a mitre: 45 − (3 + 7) − 1 = 34 for a tenon of 8 off a rail of 22
    expect(listed(plan, "stand-rail")).toEqual([858, 60, 22]);
    expect(listed(plan, "stand-end")).toEqual([468, 60, 22]);
    expect(listed(plan, "stand-strip")).toEqual([790, 49, 8]);
    expect(plan.failures).toEqual([]);
  });
  it("a mitred wall is its board less two wedges; four make the ring they enclose", () => {
    const walls = plan.assembly.parts.filter(({ id }) => /^[PW]\d$/.test(id));
    const whole = walls.reduce(
      (sum, part) =>
        sum + bulkOf(bodyOf({ ...part, cuts: part.cuts.filter(({ shows }) => shows && part.id !== "W1") })).volume,
      0,
    );
    // W1 is taken without its cuts: two wedges of 20 by 20 by 240 too much
    const ring = (880 * 490 - 840 * 450) * 240;
    expect(whole).toBeCloseTo(ring + 20 * 20 * 240, 0);
  });
  it("stands on four legs, its rails and walls where they were asked", () => {
    const part = (id: string) => plan.assembly.parts.find((each) => each.id === id)!;
    const bounds = (id: string) => boundsOf(stood(bodyOf({ ...part(id), adds: [], cuts: [] }), part(id).place));
    expect(bounds("W2")).toEqual({ least: [-440, 186, 220], most: [440, 426, 240] });
    expect(bounds("FL3")).toEqual({ least: [-440, 0, 195], most: [-395, 178, 240] });
    expect(bounds("FA2")).toEqual({ least: [-395, 118, 215], most: [395, 178, 237] });
    expect(bounds("FF2")).toEqual({ least: [-395, 178, 183], most: [395, 186, 232] });
  });
  it("wants hinges, bumpers, splines and screws", () => {
    expect(smallList(plan.small).map(({ name, count }) => [name, count])).toEqual(
      expect.arrayContaining([
        ["Butt hinges", 3],
        ["Bumpers", 2],
        ["Splines", 4],
      ]),
    );
  });
  it("is made in an order that can be done: insides finished before it is closed, the lid last", () => {
    const order = [
      "box-corners",
      "box-rebate",
      "dry-fit",
      "sand-base",
      "glue-base",
      "box-bottom",
      "cut-feet",
      "attach",
    ];
    const places = order.map((id) => plan.steps.findIndex((step) => step.id === id));
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(plan.steps.find(({ id }) => id === "attach")!.title).toBe("Hang the lid");
  });
  it("on the floor its walls reach down, and nothing is left of the frame", () => {
    const low = boxed(set("stands", "floor"));
    expect(listed(low, "box-front")).toEqual([880, 426, 20]);
    expect(low.parts.some(({ id }) => id.startsWith("stand-"))).toBe(false);
  });
  it("dovetailed, front and back have their tails and the ends their pins; the boards are as long as before", () => {
    const tailed = boxed(set("corner", "dovetailed"));
    expect(listed(tailed, "box-front")).toEqual([880, 240, 20]);
    const joint = tailed.joints.find(({ id }) => id === "box-end+box-front")!;
    expect([joint.kind, joint.count, joint.length]).toEqual(["dovetail", 2, 20]);
  });
});

describe("a lid", () => {
  it("up, every corner of it keeps its distance from the hinges’ line and lies behind the box or over it", () => {
    const plan = boxed();
    const g = boxOf(plan);
    const [pose] = plan.assembly.poses!;
    const far = ([, y, z]: Vec) => Math.hypot(y - g.under, z - g.outside.z.from);
    for (const part of lidOf(plan.assembly.parts)) {
      const corners = (place: typeof part.place): Vec[] =>
        [0, 1].flatMap((i) =>
          [0, 1].map((j) =>
            add(place.at, add(times(place.x, i * part.shape.length), times(place.y, j * part.shape.width))),
          ),
        );
      const [shut, open] = [corners(part.place), corners(pose.places[part.id])];
      shut.forEach((corner, i) => {
        expect(far(open[i])).toBeCloseTo(far(corner), 6);
        expect(open[i][0]).toBeCloseTo(corner[0], 9);
      });
      expect(Math.max(...open.map(([, y]) => y))).toBeGreaterThan(g.under + 480);
    }
    expect(OPEN).toBeGreaterThan(90);
    expect(find(plan, "form.opens").level).toBe("holds");
  });
  it("that stands over behind its hinges meets the back wall: told by the bodies and by the rule, which mends it", () => {
    const over = boxed(set("behind", 30));
    expect(find(over, "form.opens")).toMatchObject({ level: "fix" });
    expect(find(over, "form.opens").text).toMatch(
      /^With its lid up, (back wall W1 stands in top T|top T stands in back wall W1)$/,
    );
    expect(find(over, "form.lid-back").remedies[0].patches).toEqual([{ path: ["form", "box", "behind"], value: 0 }]);
  });
  it("weighs what its wood and its steel do, and is weighed against what lifts it", () => {
    const lift = (...more: ReturnType<typeof set>[]) => boxed(set("lid.way", "lift"), ...more);
    // European ash: 900 by 500 by 22 of 680 to 690 kg/m³
    const bare = lift();
    const wood = 0.9 * 0.5 * 0.022 * bare.species.density;
    expect(find(bare, "form.lid-load")).toMatchObject({ level: "fix", actual: Math.round(wood * 10) / 10, limit: 9 });
    expect(find(bare, "form.lid-load").remedies[0].label).toBe("Put 2.5 kg of steel under it");
    const steel = lift(set("lid.ballast", 2.5));
    expect(find(steel, "form.lid-load").level).toBe("holds");
    const plate = steel.assembly.parts.find(({ id }) => id === "YB")!;
    expect(bulkOf(bodyOf(plate)).volume * 7.85e-6).toBeCloseTo(2.5, 6);
    expect(steel.weight - bare.weight).toBeCloseTo(2.5, 6);
    expect(find(lift(set("lid.ballast", 12)), "form.lid-load")).toMatchObject({
      level: "fix",
      limit: 13,
      sense: "at most",
    });
  });
  it("goes up and forward as its brackets say, ballast with it and nothing else", () => {
    const plan = boxed(set("lid.way", "lift"), set("lid.ballast", 2.5));
    const [pose] = plan.assembly.poses!;
    expect(Object.keys(pose.places).sort()).toEqual(["T", "YB"]);
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    expect(pose.places.T.at.map((each, i) => each - top.place.at[i])).toEqual([0, 160, 330]);
  });
  it("tips the box as the moments of the very bodies say", () => {
    for (const patches of [[], [set("lid.way", "lift"), set("lid.ballast", 2.5)], [set("stands", "floor")]]) {
      const plan = boxed(...patches);
      const g = boxOf(plan);
      const lifted = g.choices.lid.way === "lift";
      const foot = (side: 1 | -1) => side * Math.max(...g.feet.map(({ z, width }) => side * z + width / 2));
      const edge = foot(lifted ? 1 : -1);
      const moment = posed(plan.assembly.parts, plan.assembly.poses![0]).reduce((sum, part) => {
        const { volume, centre } = bulkOf(stood(bodyOf(part), part.place));
        const density = part.sheet ? 650e-9 : plan.species.density * 1e-9;
        const mass = part.bought ? part.bought.mass : volume * density;
        return sum + mass * GRAVITY * (lifted ? edge - centre[2] : centre[2] - edge);
      }, 0);
      const lever = lifted ? g.top.width / 2 + g.choices.lid.bracket.forward - edge : g.under + g.top.width;
      // the rule takes box and lid each at its own middle: within a twentieth of what the bodies give
      expect(find(plan, "form.lid-tips").actual! / (moment / lever)).toBeGreaterThan(0.9);
      expect(find(plan, "form.lid-tips").actual! / (moment / lever)).toBeLessThan(1.1);
    }
  });
});

describe("what is wrong is said, with what mends it", () => {
  const lift = (...more: ReturnType<typeof set>[]) => boxed(set("lid.way", "lift"), set("lid.ballast", 2.5), ...more);
  it.each([
    ["form.lid-room", [set("lid.bracket.height", 260)], /keep the lid 30 mm from closing/, "Make the box 270 mm high"],
    ["form.lid-room", [set("lid.bracket.length", 600)], /155 mm too shallow/, "Hang the lid on hinges"],
    ["form.lid-flange", [set("lid.bracket.flange", 4)], /hold the lid off its bumpers/, "Set bumpers of 4.0 mm"],
    ["form.lid-screws", [set("lid.bracket.screw", 25)], /come through a lid of 22 mm/, "Take screws of 19 mm"],
    ["form.frame-height", [set("high", 380)], /deeper than its legs|clear below/, null],
    ["form.box-rebate", [set("wall", 12)], /lies 6.0 mm on the walls/, "Make the walls 18 mm thick"],
  ] as const)("%s", (id, patches, text, label) => {
    const verdict = find(lift(...patches), id);
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toMatch(text);
    if (label) expect(verdict.remedies.map((each) => each.label)).toContain(label);
  });
  it("a hinged lid without a stay falls; reckoned from the middle, its hinges are told", () => {
    expect(find(boxed(set("lid.stay", false)), "form.lid-falls")).toMatchObject({
      level: "fix",
      remedies: [{ label: "Give it a stay" }],
    });
    expect(find(boxed(at("choices.fixedLine", "centre")), "movement.hung").level).toBe("fix");
    expect(find(boxed(), "movement.hung").level).toBe("holds");
    // what it shrinks is all lost in front, and 1 mm there does not outlast the dry month
    const slight = find(boxed(at("form.overhang", { end: 1, side: 1 })), "movement.overhang");
    expect([slight.level, slight.actual! < 1]).toEqual(["fix", true]);
    expect(find(boxed(), "movement.overhang").actual).toBeLessThan(10);
  });
});

describe(`boxes of any choices (seed ${SEED})`, () => {
  const choices = fc.record({
    corner: fc.constantFrom("splined", "loose-tenons", "keyed", "dowelled", "dovetailed", "rebated"),
    stands: fc.constantFrom("floor", "frame"),
    wall: fc.integer({ min: 14, max: 40 }),
    high: fc.integer({ min: 160, max: 300 }),
    "bottom.of": fc.constantFrom("sheet", "solid"),
    "bottom.thickness": fc.integer({ min: 6, max: 24 }),
    "lid.way": fc.constantFrom("hinged", "lift", "loose"),
    "lid.gap": fc.integer({ min: 0, max: 8 }),
    "lid.ballast": fc.integer({ min: 0, max: 6 }),
    "lid.bracket.length": fc.integer({ min: 100, max: 300 }),
    "lid.bracket.rise": fc.integer({ min: 20, max: 250 }),
    "frame.leg": fc.integer({ min: 32, max: 70 }),
    "frame.setIn": fc.integer({ min: 0, max: 40 }),
    "frame.gap": fc.integer({ min: 4, max: 25 }),
  });
  it("closed or open, no two parts fill the same room; walls, bottom and frame touch where they meet", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const piece = tableWith(
          ...BOX_OF,
          at("form.height", 520),
          ...Object.entries(given).map(([p, value]) => set(p, value)),
        );
        const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
        expect(clashesOf(assembly.parts)).toEqual([]);
        for (const pose of boxPoses(geometry as Box, assembly.parts))
          expect(clashesIn(assembly.parts, pose)).toEqual([]);
        const bounds = (id: string) => {
          const part = assembly.parts.find((each) => each.id === id)!;
          return boundsOf(stood(bodyOf({ ...part, cuts: [] }), part.place));
        };
        // the bottom is flush below, and lies on what stands
        expect(bounds("Q").least[1]).toBeCloseTo(bounds("P1").least[1], 6);
        if (given.stands === "frame") expect(bounds("FF1").most[1]).toBeCloseTo(bounds("Q").least[1], 6);
        else expect(bounds("P1").least[1]).toBeCloseTo(0, 6);
        expect(bounds("T").least[1] - bounds("P1").most[1]).toBeCloseTo(given["lid.gap"], 6);
      }),
      { numRuns: 30, seed: SEED },
    ));
  it("and none do by their whole bodies", () => {
    for (const patches of [[], [set("corner", "dovetailed"), set("bottom.of", "solid"), set("lid.way", "lift")]]) {
      const { parts } = boxed(...patches).assembly;
      expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
    }
  });
});
