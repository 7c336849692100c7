import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, extentOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { Staked } from "../../../joinery/staked";
import { applyPatches, Patch } from "../../../piece/patch";
import { clashesInPoses, partOf } from "../../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../../testing/plans";
import type { StakedLegs } from "./place";
import { legStress } from "./stress";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.staked.${path}`, value);
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** A bench 1200 by 320 and 45 thick, 440 high, on four round legs of 50, leaning 12° to the ends and 9° to the sides. */
const BENCH: Patch[] = [
  ...[at("form.kind", "staked"), at("form.use", "bench"), at("form.height", 440), at("brief.topHeight", 440)],
  ...[at("form.top.length", 1200), at("form.top.width", 320), at("form.top.thickness", 45)],
  ...[set("splay", { end: 12, side: 9, out: 10 }), set("setIn", { end: 200, side: 80, rim: 100 })],
  ...[set("section", 50), set("foot", 36), set("tenon.size", 30)],
];
/** A round top of 400, 40 thick and 450 high, on three legs. */
const STOOL: Patch[] = [
  ...[at("form.kind", "staked"), at("form.use", "stool"), at("form.height", 450), at("brief.topHeight", 450)],
  ...[at("form.top.length", 400), at("form.top.width", 400), at("form.top.thickness", 40)],
  ...[at("form.top.outline", "ellipse"), set("stand", "round"), set("splay.out", 12), set("setIn.rim", 90)],
];
/** Four blocks of 90 glued from two, square tenons stopped in a slab of 80. */
const BLOCKS: Patch[] = [
  ...[at("form.kind", "staked"), at("form.use", "low"), at("form.height", 420), at("brief.topHeight", 420)],
  ...[at("form.top.length", 1100), at("form.top.width", 600), at("form.top.thickness", 80)],
  ...[set("splay", { end: 0, side: 0, out: 0 }), set("setIn", { end: 110, side: 110, rim: 110 })],
  ...[set("section", 90), set("foot", 90), set("shape", "square"), set("make", "laminated")],
  ...[set("tenon", { shape: "square", size: null, ends: "blind", proud: 0 })],
];
const placeOf = (plan: ReturnType<typeof planOf>) => plan.geometry as StakedLegs;
const jointOf = (plan: ReturnType<typeof planOf>) =>
  plan.joints.find((each): each is Staked => each.kind === "staked")!;

describe("a bench on four legs that lean both ways, worked by hand", () => {
  const plan = planOf(tableWith(...BENCH));
  const place = placeOf(plan);
  const tan = Math.hypot(Math.tan(rad(12)), Math.tan(rad(9)));
  it("each leans by tan² R = tan² 12° + tan² 9°: 14.85°, seen 36.7° from the line along the top", () => {
    expect(place.lean.degrees).toBeCloseTo((Math.atan(tan) * 180) / Math.PI, 9);
    expect(place.lean.degrees).toBeCloseTo(14.846, 3);
    expect(find(plan, "form.splay").text).toContain("sight lines 36.7° from the line along the top");
  });
  it("its middle goes from 400 and 80 under the top to 395 tan 12° and 395 tan 9° further out on the floor", () => {
    const [, leg] = place.legs;
    expect([leg.from.x, leg.from.z]).toEqual([400, 80]);
    const foot = place.feet[1];
    expect(foot.x).toBeCloseTo(400 + 395 * Math.tan(rad(12)), 6);
    expect(foot.z).toBeCloseTo(80 + 395 * Math.tan(rad(9)), 6);
  });
  it("stands on the floor and comes up through the top, flush with it", () => {
    const leg = partOf(plan, "L2");
    const { least, most } = boundsOf(stood(bodyOf(leg), leg.place));
    expect(least[1]).toBeCloseTo(0, 6);
    expect(most[1]).toBeCloseTo(440, 6);
  });
  it("the tenon is a cylinder of 30 cut level: 45 / cos R long in its middle, and so is its hole", () => {
    const joint = jointOf(plan);
    expect(joint.reach).toBeCloseTo(45 / Math.cos(Math.atan(tan)), 9);
    const solid = 1200 * 320 * 45;
    const hole = Math.PI * 15 ** 2 * joint.reach;
    // a circle drawn by chords is a little smaller than one
    expect((solid - bulkOf(bodyOf(partOf(plan, "T"))).volume) / (4 * hole)).toBeCloseTo(1, 2);
  });
  it("the kerf stands across the grain: its wedge opens it along the top, whichever way the leg leans", () => {
    for (const { id, place: wedge } of plan.small.filter(({ name }) => name === "Wedge")) {
      // its thickness is what opens: in the plane of the top it points along it
      const [x, y] = [wedge.x, wedge.y];
      const opens = [x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]];
      expect(Math.abs(opens[2]), id).toBeLessThan(1e-6);
    }
    expect(plan.small.filter(({ name }) => name === "Wedge")).toHaveLength(4);
  });
  it("nothing stands in anything, and the top is free to move: no leg is tied to another", () => {
    expect(clashesInPoses(plan)).toEqual([]);
    expect(plan.verdicts.filter(({ id, level }) => id.startsWith("movement") && level === "fix")).toEqual([]);
  });
  it("the cards say bit, bevel and kerf", () => {
    const card = plan.cards.find(({ joint }) => joint === "top+staked-leg")!;
    expect(card.title).toBe("Leg into the top, 4 times");
    expect(card.lines.map(({ setting }) => setting)).toEqual(
      expect.arrayContaining(["30 mm bit", "14.8° from upright, along each leg’s sight line", "trimmed flush"]),
    );
  });
});

describe("a stool on three legs", () => {
  const plan = planOf(tableWith(...STOOL));
  it("stands 120° apart, its feet 410 tan 12° outside mortises 110 from the middle", () => {
    const place = placeOf(plan);
    for (const leg of place.legs) expect(Math.hypot(leg.from.x, leg.from.z)).toBeCloseTo(110, 6);
    expect(Math.hypot(place.feet[0].x, place.feet[0].z)).toBeCloseTo(110 + 410 * Math.tan(rad(12)), 6);
  });
  it("has two kerfs: that of the front leg along its lean, the others’ 30° off their own", () => {
    const turns = plan.joints.filter((each): each is Staked => each.kind === "staked");
    expect(turns.map(({ count }) => count)).toEqual([1, 2]);
    expect(Math.abs(turns[0].kerfAt)).toBeCloseTo(90, 6);
    // the grain seen along the leg, its lean shortened by cos 12°
    expect(Math.abs(turns[1].kerfAt)).toBeCloseTo(
      (Math.atan2(0.5 * Math.cos(rad(12)), Math.cos(rad(30))) * 180) / Math.PI,
      6,
    );
  });
});

describe("blocks under a slab", () => {
  const plan = planOf(tableWith(...BLOCKS));
  it("stop 10 below its face: a tenon of 54 goes 68 into 80, its mortise 2 deeper", () => {
    const joint = jointOf(plan);
    expect([joint.size, joint.reach]).toEqual([54, 68]);
    expect(joint.walls.find(({ where }) => where.startsWith("above"))!.left).toBeCloseTo(10, 9);
    expect(plan.parts.find(({ id }) => id === "staked-leg")!.finished.length).toBeCloseTo(340 + 68, 6);
  });
  it("are glued from two, each half as thick and trued after", () => {
    expect(plan.parts.find(({ id }) => id === "staked-leg")!.stock.map(({ thickness }) => thickness)).toEqual([46, 46]);
  });
});

describe("judged", () => {
  it("a push of 300 N on three legs 410 high bends a tenon of 30 by M / W and presses it by 6 M / d l²", () => {
    const moment = (300 * 410) / 3;
    const { bends, pressed } = legStress(
      { size: 30, shape: "round", through: true, behind: 40, reach: 40 },
      { under: 410, legs: [1, 2, 3] as never },
    );
    expect(bends).toBeCloseTo(moment / ((Math.PI * 27000) / 32), 9);
    expect(pressed).toBeCloseTo((6 * moment) / (30 * 1600), 9);
  });
  it.each([
    ["form.staked-top", [at("form.field", "slats")], "no one panel"],
    ["form.ends-fit", [set("setIn.side", 5)], "runs out of the top"],
    ["form.ends-fit", [set("setIn.side", 120)], "between two legs"],
    ["form.splay", [set("splay.end", 29)], "lean 30"],
    ["form.feet-out", [set("setIn.end", 40), set("splay.end", 25)], "past the top’s edge"],
    [
      "form.feet-out",
      [at("form.top.outline", "ellipse"), set("stand", "round"), set("splay.out", 20), set("setIn.rim", 60)],
      "past the top’s edge",
    ],
    ["form.racking", [at("form.top.thickness", 25)], "work loose"],
    ["form.racking", [set("tenon.size", 16)], "bend when"],
    ["form.turned", [set("make", "laminated")], "glue line"],
    ["form.turned", [set("tenon.shape", "square")], "square tenon"],
    ["form.leg", [set("section", 20)], "slight"],
  ])("%s: %j", (id, patches, text) => {
    const verdict = find(planOf(tableWith(...BENCH, ...(patches as Patch[]))), id);
    expect(verdict.level).not.toBe("holds");
    expect(verdict.text).toContain(text);
    expect(remediesThatFail(tableWith(...BENCH, ...(patches as Patch[])), id)).toEqual([]);
  });
  it("a bench whose feet stand far in is tipped by who sits at its end: splayed wider it stands", () => {
    const piece = tableWith(...BENCH, set("setIn.end", 240), set("splay", { end: 4, side: 6, out: 10 }));
    const verdict = find(planOf(piece), "form.tips");
    expect(verdict.level).toBe("fix");
    expect(remediesThatFail(piece, "form.tips")).toEqual([]);
  });
  it("a stool on three legs is tipped between two of them: by more splay, or more legs, it stands", () => {
    const piece = tableWith(...STOOL);
    const verdict = find(planOf(piece), "form.tips");
    expect(verdict.level).not.toBe("holds");
    const after = verdict.remedies.map(({ patches }) => find(planOf(applyPatches(piece, patches)), "form.tips"));
    expect(after.length).toBeGreaterThan(0);
    for (const { actual } of after) expect(Number(actual)).toBeLessThan(Number(verdict.actual));
  });
  it("a table tops over when its legs stand far in", () => {
    const plan = planOf(
      tableWith(
        ...STOOL,
        at("form.top.length", 900),
        at("form.top.width", 900),
        set("setIn.rim", 330),
        set("splay.out", 0),
      ),
    );
    expect(find(plan, "form.tips").level).toBe("fix");
  });
});

it("any of them: foot on the floor, nothing in anything, wood where the plan says", { timeout: 120_000 }, () => {
  fc.assert(
    fc.property(
      fc.record({
        stand: fc.constantFrom("corners", "round"),
        legs: fc.integer({ min: 3, max: 6 }),
        turn: fc.integer({ min: 0, max: 359 }),
        end: fc.integer({ min: 0, max: 15 }),
        side: fc.integer({ min: 0, max: 15 }),
        shape: fc.constantFrom("round", "square"),
        tenon: fc.constantFrom("round", "square"),
        ends: fc.constantFrom("wedged", "blind"),
        proud: fc.integer({ min: 0, max: 10 }),
        foot: fc.integer({ min: 25, max: 50 }),
      }),
      ({ stand, legs, turn, end, side, shape, tenon, ends, proud, foot }) => {
        const plan = planOf(
          tableWith(
            ...[at("form.kind", "staked"), at("form.height", 600), at("form.top.thickness", 45)],
            ...[at("form.top.length", 900), at("form.top.width", 700)],
            ...[set("stand", stand), set("legs", legs), set("turn", turn), set("splay", { end, side, out: end })],
            ...[set("shape", shape), set("foot", foot), set("setIn", { end: 150, side: 130, rim: 120 })],
            set("tenon", { shape: tenon, size: null, ends, proud }),
          ),
        );
        expect(clashesInPoses(plan)).toEqual([]);
        for (const part of plan.assembly.parts.filter(({ kind }) => kind === "staked-leg")) {
          const { least, most } = boundsOf(stood(bodyOf(part), part.place));
          expect(least[1]).toBeCloseTo(0, 4);
          if (ends === "wedged") expect(most[1]).toBeCloseTo(600 + proud, 4);
          else expect(most[1]).toBeLessThan(600);
        }
        for (const joint of plan.joints.filter((each): each is Staked => each.kind === "staked")) {
          // what it leaves above, and what it adds to the leg's own length
          for (const { where, left } of joint.walls) if (where.startsWith("above")) expect(left).toBeGreaterThan(9.99);
          const leg = plan.assembly.parts.find(({ kind }) => kind === "staked-leg")!;
          expect(extentOf(leg).length).toBeCloseTo(leg.shape.length + joint.length, 4);
        }
      },
    ),
    { seed: SEED, numRuns: 40 },
  );
});
