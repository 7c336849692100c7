import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, stood } from "../../../assembly/solid";
import type { Patch } from "../../../piece/patch";
import { clashes } from "../../../testing/clashes";
import { bays, caseOf, eight, listed, rows, set } from "../../../testing/cases";
import { at, find } from "../../../testing/plans";

/** The case of eight parts, its bottom 1400 above the floor, hung by four screws: 2040 to its top. */
const UP: Patch[] = [
  ...[set("stands", "wall"), set("lift", 1400), at("form.height", 2040), at("brief.topHeight", 2040)],
  set("hang", { rail: 90, wall: "masonry", fixings: 4, studs: 600, pulls: 40, bears: 60 }),
];
const hung = (...patches: Patch[]) => eight(...UP, ...patches);
const bounds = (plan: ReturnType<typeof eight>, id: string) => {
  const part = plan.assembly.parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
};

describe("a case that hangs on a wall, worked by hand", () => {
  const plan = hung();
  it("sides of 640 less the top end with the bottom, and nothing touches the floor", () => {
    expect(listed(plan, "case-side")).toEqual([2040 - 20 - 1400, 390, 20]);
    expect(caseOf(plan).feet).toEqual([]);
    for (const { id } of plan.assembly.parts) expect(bounds(plan, id).least[1]).toBeGreaterThanOrEqual(1400 - 1e-9);
  });
  it("its rail of 90 lies against the back between the sides, 12 below the rail under the top, on stub tenons", () => {
    // 880 less two sides of 20, and a tenon at each end
    const joint = plan.joints.find(({ id }) => id === "case-side+hang-rail")!;
    expect(joint.kind).toBe("blind-tenon");
    expect(listed(plan, "hang-rail")).toEqual([840 + 2 * joint.length, 90, 18]);
    const { least, most } = bounds(plan, "WR");
    expect([least[1], most[1]]).toEqual([2020 - 18 - 12 - 90, 2020 - 18 - 12]);
    expect(least[2]).toBe(caseOf(plan).insideBack);
    expect(
      plan.assembly.parts.find(({ id }) => id === "WR")!.cuts.filter(({ by }) => by === "wall screw"),
    ).toHaveLength(4);
    expect(clashes(plan.assembly.parts)).toEqual([]);
    expect(plan.verdicts.filter(({ text }) => /face to face/.test(text))).toEqual([]);
  });
  it("what hangs on its screws, by moments: itself and its contents across, turned about the lower edge", () => {
    const { why, actual } = find(plan, "form.hang-load");
    // two shelves of 840 at 25.5 kg a metre
    const inIt = (2 * 840 * 0.25) / 9.81;
    const own = plan.weight + inIt;
    // from the bottom's underside to the rail's middle
    const lever = 2020 - 18 - 12 - 45 - 1400;
    const pull = (own * 195 + 25 * 390) / lever;
    const share = (pull / 40 + (own + 25) / 60) / 4;
    expect(actual).toBe(Math.round(100 * share));
    expect(why).toContain(`${Math.round(pull)} kg pull at them, ${lever} mm above the edge`);
    expect(find(plan, "form.hang-load").level).toBe("holds");
  });
  it("is judged as no case that stands: no tipping, no kick board, no feet; its height is where it hangs", () => {
    const ids = plan.verdicts.map(({ id }) => id);
    for (const id of ["form.tips", "form.kick", "form.plinth", "form.frame-height"]) expect(ids).not.toContain(id);
    expect(find(plan, "form.height").level).toBe("holds");
    expect(plan.verdicts.filter(({ stage, level }) => stage === "form" && level === "fix")).toEqual([]);
  });
  it("is drilled flat, glued, and hung on a batten at its own height, empty", () => {
    const with2 = hung(bays(rows([180, "nothing"], [null, "drawer"]), rows([null, "door-left"])));
    const of = (id: string) => with2.steps.findIndex((step) => step.id === id);
    expect(of("hang-holes")).toBeLessThan(of("glue-base"));
    expect(of("glue-base")).toBeLessThan(of("cut-feet"));
    const last = with2.steps[of("cut-feet")];
    expect(last.title).toBe("Hang the case on its wall");
    expect(last.detail).toMatch(/upper edge 1400 mm above the floor.*Drawers and doors go in when it hangs/);
    expect(with2.steps.some(({ id }) => id === "wall")).toBe(false);
  });
  it("in two bays a rail each, tenons from both sides of the divider leave its middle", () => {
    const two = hung(bays(rows([null, "nothing"]), rows([null, "nothing"])));
    expect(caseOf(two).onWall!.rails.map(({ id }) => id)).toEqual(["WR1", "WR2"]);
    expect(clashes(two.assembly.parts)).toEqual([]);
    const [left, right] = ["hang-rail", "hang-rail-2"].map(
      (kind) => two.joints.find(({ id }) => id === `divider+${kind}`)!.length,
    );
    expect(left + right).toBeLessThan(18);
  });
  it("as many screws as are asked for, shared by the rails' lengths, one at least in each", () => {
    const three = (fixings: number) =>
      caseOf(hung(bays(...[1, 2, 3].map(() => rows([null, "nothing"]))), set("hang.fixings", fixings))).onWall!.fixings
        .length;
    expect([1, 3, 4, 5, 8].map(three)).toEqual([3, 3, 4, 5, 8]);
    // in one rail of 840: 40 from each end, evenly between
    expect(caseOf(plan).onWall!.fixings.map(Math.round)).toEqual([-380, -127, 127, 380]);
  });
  it("studs say where the screws go: as many as the rail crosses, two in each", () => {
    const studs = hung(set("hang.wall", "studs"), set("hang.studs", 400));
    // 840 less 40 at each end hold two at 400, one behind the other
    expect(caseOf(studs).onWall!.fixings).toEqual([-200, 200]);
    expect(find(studs, "form.hang-load").text).toMatch(/^4 screws/);
    const rail = studs.assembly.parts.find(({ id }) => id === "WR")!;
    const holes = rail.cuts
      .filter(({ by }) => by === "wall screw")
      .map(({ shape, place }) => boundsOf(stood(bodyOf({ shape, adds: [], cuts: [] }), place)));
    // one above the other at each stud: a quarter of 90 from both edges
    expect(holes.map(({ least, most }) => [(least[0] + most[0]) / 2, (least[1] + most[1]) / 2])).toEqual([
      [expect.closeTo(220, 6), expect.closeTo(22.5, 6)],
      [expect.closeTo(220, 6), expect.closeTo(67.5, 6)],
      [expect.closeTo(620, 6), expect.closeTo(22.5, 6)],
      [expect.closeTo(620, 6), expect.closeTo(67.5, 6)],
    ]);
    const step = (plan: typeof studs, id: string) => plan.steps.find((each) => each.id === id)!.detail;
    expect(step(studs, "hang-holes")).toContain("two at each place");
    expect(step(studs, "hang-holes")).toContain("220 mm and 620 mm from the left side’s inner face");
    expect(step(studs, "cut-feet")).toContain("400 mm apart; two screws in each");
    expect(step(plan, "hang-holes")).toContain("in the middle of its height, 40 mm, 293 mm, 547 mm and 800 mm");
    expect(step(plan, "cut-feet")).toContain("never in a joint");
  });
  it("closer studs are offered only where they would carry it", () => {
    const weak = hung(set("hang.wall", "studs"), set("hang.studs", 850), set("hang.pulls", 2), set("hang.bears", 5));
    expect(find(weak, "form.hang-load").level).toBe("fix");
    expect(find(weak, "form.hang-load").remedies).toEqual([]);
  });
});

describe("what is wrong is said, and mended", () => {
  it.each([
    ["too few screws", [set("hang.fixings", 1)], "form.hang-load", /^1 screw carries/],
    [
      "hung on the floor",
      [set("lift", 60), at("form.height", 700), at("brief.topHeight", 700)],
      "form.hang-where",
      /60 mm above/,
    ],
    [
      "out of reach",
      [set("lift", 1800), at("form.height", 2400), at("brief.topHeight", 2400)],
      "form.hang-where",
      /nobody reaches/,
    ],
    [
      "no room for the rail",
      [bays(rows([45, "nothing"], [null, "nothing"]))],
      "form.hang-where",
      /leave the hanging rail 31 mm/,
    ],
    ["drawers into the wall", [bays(rows([null, "drawers-through"]))], "form.hang-where", /open into the wall/],
    [
      "studs too far apart",
      [set("hang.wall", "studs"), set("hang.studs", 850), set("hang.pulls", 26)],
      "form.hang-load",
      /carry/,
    ],
  ] as [string, Patch[], string, RegExp][])("%s", (_, patches, id, text) => {
    const { level, text: said, remedies } = find(hung(...patches), id);
    expect(level).not.toBe("holds");
    expect(said).toMatch(text);
    expect(find(hung(...patches, ...remedies[0].patches), id).level).toBe("holds");
  });
  it("heavier than two people lift is said", () => {
    const heavy = hung(at("form.top.length", 2400), set("thickness", 28), set("inner", 25));
    expect(find(heavy, "form.hang-lift")).toMatchObject({ level: "tight" });
    expect(find(heavy, "form.hang-lift").text).toMatch(/more than two people/);
  });
});
