import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { bulkOf } from "../../assembly/solid";
import { asBlank, asTop, behindInBlank } from "../../panels/row";
import { BOUGHT_KINDS } from "../../piece/bought-choices";
import type { Patch } from "../../piece/patch";
import { boxOfPart, clashesInPoses, partOf } from "../../testing/clashes";
import { anyFacing } from "../../testing/facings";
import { demoBoard } from "../../testing/boards";
import { at, find, planOf, remediesThatFail, tableWith } from "../../testing/plans";
import { topMovement } from "../../movement/year";
import { shapedTop } from "../top/outline";
import { BED_KIND } from "./bed";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.facing.${path}`, value);
/** A desk 1400 by 700, 28 thick, with cork 5 thick and 200 wide 3 proud, on a strip between halves of 200 and 300. */
const DESK: Patch[] = [
  ...[at("form.use", "desk"), at("form.top.length", 1400), at("form.top.width", 700), at("form.top.thickness", 28)],
  ...[at("form.height", 740), at("brief.topHeight", 740), set("bed", "strip")],
  ...[set("kind", "cork"), set("thickness", 5), set("width", 200), set("proud", 3), set("from", -50)],
];
const desk = (...patches: Patch[]) => planOf(tableWith(...DESK, ...patches));

describe("cork on a strip of its own between two halves of a desk, worked by hand", () => {
  const plan = desk();
  it("is a half of 200 in front, one of 300 behind, a strip of 26 between them, level below", () => {
    expect(boxOfPart(plan, "T1")).toEqual({ least: [-700, 712, 150], most: [700, 740, 350] });
    expect(boxOfPart(plan, "TS")).toEqual({ least: [-700, 712, -50], most: [700, 738, 150] });
    expect(boxOfPart(plan, "T2")).toEqual({ least: [-700, 712, -350], most: [700, 740, -50] });
    expect(boxOfPart(plan, "FC")).toEqual({ least: [-700, 738, -50], most: [700, 743, 150] });
    expect(bulkOf(bodyOf(partOf(plan, "TS"))).volume).toBeCloseTo(1400 * 200 * 26, 0);
    expect(clashesInPoses(plan)).toEqual([]);
    expect(plan.verdicts.filter(({ id }) => id === "form.touching")).toEqual([]);
  });
  it("the panel that is glued from boards is 506 wide: what is lost where it is sawn apart is in it", () => {
    const blank = asBlank(plan.geometry);
    expect([blank.core.width, blank.top.width, blank.core.length]).toEqual([506, 506, 1400]);
    expect(asTop(blank)).toEqual(plan.geometry);
    // legs in front stay as far from the front edge, those behind as far from the back edge
    const [was, is] = [plan.geometry.posts, blank.posts].map((posts) => posts.map(({ z }) => z));
    is.forEach((z, i) => expect(253 - Math.abs(z)).toBeCloseTo(350 - Math.abs(was[i]), 9));
  });
  it("a cut-out behind the strip lies in the panel as far from the back edge as in the top", () => {
    const cable = { name: "cable", x: 300, y: 260, length: 80, width: 60 };
    const cut = desk(at("form.top.cutouts", [cable]));
    const blank = asBlank(cut.geometry);
    const top = { ...tableWith(...DESK, at("form.top.cutouts", [cable])).form.top };
    expect(253 - shapedTop(top, blank).cutouts[0].y).toBeCloseTo(350 - 260, 9);
    expect(behindInBlank(cut.geometry.inserted!, 100)).toBe(100);
    expect(bulkOf(bodyOf(partOf(cut, "T2"))).volume).toBeCloseTo((1400 * 300 - 80 * 60) * 28, 0);
  });
  it("is sawn apart when it is flat, coloured and glued before anything is sanded", () => {
    const order = plan.steps.map(({ id }) => id);
    for (const [first, then] of [
      ["flatten", "bed-part"],
      ["facing-strip-size", "bed-part"],
      ["bed-part", "bed-glue"],
      ["bed-glue", "sand-top"],
      ["attach", "facing"],
    ])
      expect(order.indexOf(first), `${first} before ${then}`).toBeLessThan(order.indexOf(then));
    expect(order).not.toContain("facing-trench");
    expect(plan.steps.find(({ id }) => id === "flatten")!.detail).toContain("Ripped to 506 mm");
    expect(plan.steps.find(({ id }) => id === "facing-strip-size")!.detail).toContain("its ends stay long");
    expect(plan.steps.find(({ id }) => id === "bed-part")!.detail).toContain("200 mm from the front edge");
  });
  it("its card says how two edges are glued level below, and nothing of planing off", () => {
    const card = plan.cards.find(({ joint }) => joint === "top+facing-strip")!;
    expect(card.lines).toEqual([{ what: "Glued edge", setting: "1400 mm by 26.0 mm" }]);
    expect(card.marked).toMatch(/level below/);
    expect(card.marked).not.toMatch(/veneer|planed flush/);
  });
  it("moves by the sum of three: two halves of one wood, the strip of another", () => {
    const oak = desk(at("kinds.facing-strip", { species: "european-oak", finish: null, edges: null }));
    const own = oak.top.strips.find(({ kind }) => kind === "facing-strip")!;
    expect(oak.top.strips.map(({ from, width }) => [from, width])).toEqual([
      [0, 200],
      [200, 200],
      [400, 300],
    ]);
    const ash = oak.top.strips[0].coefficient;
    expect(own.coefficient).not.toBeCloseTo(ash, 6);
    expect(oak.top.coefficient).toBeCloseTo((500 * ash + 200 * own.coefficient) / 700, 9);
    expect(oak.top.wet.change).toBeCloseTo(
      oak.top.strips.reduce((sum, { wet }) => sum + wet, 0),
      9,
    );
  });
  it("boards laid in the panel are parted where it is: one that lies across the cut has a piece on both sides", () => {
    const { course, start, thickness } = plan.top;
    const strip = { face: "bark-up" as const, turned: false, slide: 0, width: null };
    const board = (id: string, width: number) => ({
      strip: { ...strip, board: id },
      board: demoBoard({ id, width }),
      width,
    });
    const top = topMovement({
      ...{ width: 700, thickness, species: plan.species, start, course },
      inserted: { ...plan.geometry.inserted!, kind: BED_KIND, species: plan.species },
      // 520 after jointing: 7 come off each outer edge of 506
      strips: [board("B1", 170), board("B2", 170), board("B3", 180)],
    });
    expect(top.strips.map(({ board: id, from, width }) => [id, from, width])).toEqual([
      ["B1", 0, 163],
      ["B2", 163, 37],
      [null, 200, 200],
      ["B2", 400, 127],
      ["B3", 527, 173],
    ]);
    expect(top.strips.reduce((sum, { width }) => sum + width, 0)).toBe(700);
  });
});

describe("told, and mended", () => {
  it.each([
    ["form.facing", [at("form.ends", "breadboards")], "can’t be faced"],
    ["form.facing", [at("form.kind", "staked")], "can’t be faced"],
    ["form.facing", [at("form.stiffener", "battens")], "can’t be faced"],
    ["form.facing-lies", [set("thickness", 15), set("proud", 0), at("form.top.thickness", 20)], "only 5.0 mm thick"],
    ["form.facing-lies", [set("width", 660)], "wide stand beside the strip"],
    ["form.facing-lies", [at("form.top.cutouts", [{ name: "cable", x: 0, y: -60, length: 80, width: 60 }])], "cable"],
  ])("%s: %j", (id, patches, words) => {
    const piece = tableWith(...DESK, ...(patches as Patch[]));
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    expect(verdict.text).toContain(words);
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

it.each(BOUGHT_KINDS)("bought %s are bolted to what lies over them: a half, or the strip", (kind) => {
  const plan = desk(at("form.kind", "bought"), at("form.bought.kind", kind));
  expect(plan.failures).toEqual([]);
  const over = plan.meetings.filter(({ joint }) => joint.receives === "top").map(({ receives }) => receives);
  expect(over.filter((id) => !["T1", "T2", "TS"].includes(id))).toEqual([]);
});

it("any strip under any facing plans whole, and lies in nothing", { timeout: 60_000 }, () => {
  fc.assert(
    fc.property(
      anyFacing,
      fc.constantFrom("leg-and-apron", "trestle", "x-frame", "splayed", "splayed-frame", "bent", "bought"),
      fc.constantFrom("button", "oversized", "z-clip"),
      (facing, kind, fastening) => {
        const plan = desk(
          at("form.facing", { ...facing, bed: "strip" }),
          at("form.kind", kind),
          at("joints.fastening", fastening),
        );
        expect(plan.failures).toEqual([]);
        expect(clashesInPoses(plan)).toEqual([]);
      },
    ),
    { seed: SEED, numRuns: 24 },
  );
});
