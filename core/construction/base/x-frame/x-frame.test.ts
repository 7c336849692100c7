import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { Patch } from "../../../piece/patch";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import type { Wall } from "../../../joinery/joint";
import { leanOf } from "./lean";
import type { XFrame } from "./place";
import { setOutScene } from "./set-out";

const x = (...patches: Patch[]) => planOf(tableWith(at("form.kind", "x-frame"), ...patches));
const set = (path: string, value: unknown) => at(`form.xFrame.${path}`, value);
const radians = (degrees: number) => (degrees * Math.PI) / 180;

describe("the lean of an X", () => {
  it("a strip 70 wide, 710 high, 700 across the floor and 600 across the top leans 51.7°", () =>
    expect(leanOf({ height: 710, floor: 700, head: 600, width: 70 }).degrees).toBeCloseTo(51.7, 1));
  it("puts one edge through the outside of the foot and the other through the outside of the head", () =>
    fc.assert(
      fc.property(
        fc.record({
          height: fc.double({ min: 200, max: 1000, noNaN: true }),
          floor: fc.double({ min: 300, max: 1200, noNaN: true }),
          head: fc.double({ min: 300, max: 1200, noNaN: true }),
          width: fc.double({ min: 20, max: 120, noNaN: true }),
        }),
        (given) => {
          const { degrees } = leanOf(given);
          // turned until the strip lies flat, the two points lie a width apart
          const a = -radians(degrees);
          const across = (z: number, y: number) => z * Math.sin(a) + y * Math.cos(a);
          const foot = across(-given.floor / 2, 0);
          const head = across(given.head / 2, given.height);
          expect(foot - head).toBeCloseTo(given.width, 6);
        },
      ),
    ));
  it("crosses in the middle of an even X, and lower where it spreads less below", () => {
    expect(leanOf({ height: 700, floor: 600, head: 600, width: 80 }).crossing).toBeCloseTo(350, 9);
    expect(leanOf({ height: 700, floor: 500, head: 700, width: 80 }).crossing).toBeLessThan(350);
  });
});

/** A table of 1800 by 850, 750 high: 677 under bearers of 45, feet 75 in, heads 120 in; legs 80 by 45. */
describe("two X frames worked by hand", () => {
  const plan = x();
  const geometry = plan.geometry as unknown as { lean: ReturnType<typeof leanOf>; floor: number; head: number };
  const leg = plan.assembly.parts.find(({ kind }) => kind === "x-leg")!;
  it("spread 700 below and 610 above, lean 50.8° and cross 366 above the floor", () => {
    expect([geometry.floor, geometry.head]).toEqual([700, 610]);
    expect(geometry.lean.degrees).toBeCloseTo(50.8, 1);
    // level cuts of 80 / sin 50.8° are 103.2: 677 · (700 − 103.2) / (1310 − 206.4)
    expect(geometry.lean.crossing).toBeCloseTo(366.1, 0);
  });
  it("four legs of one kind, 938.6 over both points: 677 / sin 50.8° and 80 / tan 50.8°", () => {
    const listed = plan.parts.find(({ id }) => id === "x-leg")!;
    expect(listed.count).toBe(4);
    const a = radians(geometry.lean.degrees);
    expect(listed.finished.length).toBeCloseTo(677 / Math.sin(a) + 80 / Math.tan(a), 6);
    expect(listed.markedFrom).toBe("the glued X on its drawing");
  });
  it("each stands from the floor to its bearer, from outside to outside", () => {
    const { least, most } = boundsOf(stood(bodyOf(leg), leg.place));
    const expected = [
      [-860, 0, -350],
      [-815, 677, 305],
    ];
    [least, most].forEach((corner, i) => corner.forEach((v, axis) => expect(v).toBeCloseTo(expected[i][axis], 6)));
  });
  it("its wood is its prism less half the lap, a slot and a share of the mortise", () => {
    const a = radians(geometry.lean.degrees);
    const head = plan.joints.find(({ id }) => id === "bearer+x-leg") as unknown as {
      thickness: number;
      tenonWidth: number;
      mortiseDepth: number;
    };
    const prism = (677 / Math.sin(a)) * 80 * 45;
    const lap = ((80 * 80) / Math.sin(2 * a)) * 22.5;
    const slot = head.thickness * head.tenonWidth * head.mortiseDepth;
    const mortise = 20 * 54 * 22.5;
    expect(bulkOf(bodyOf(leg)).volume).toBeCloseTo(prism - lap - slot - mortise, 2);
  });
  it("nothing stands in anything else once its joints are cut", () =>
    expect(find(plan, "form.fit").level).toBe("holds"));
  it("the heads' loose tenon is the one that glues most before the sloping edge, 8 of wood left beside it", () => {
    const { walls } = plan.joints.find(({ id }) => id === "bearer+x-leg")! as { walls: Wall[] };
    const wall = walls.find(({ where }) => where.startsWith("beside its slot"))!;
    expect(wall.left).toBeGreaterThanOrEqual(wall.good - 1e-9);
    expect(find(plan, "joints.walls").level).toBe("holds");
  });
  it("is drawn full size: half of each spread, the height, the crossing and a level cut stand on it", () => {
    const scene = setOutScene(plan.geometry as unknown as XFrame, plan.species);
    const said = scene.items.flatMap((item) => (item.kind === "dimension" ? [Math.round(item.value * 10) / 10] : []));
    expect(said).toEqual([350, 103.2, 305, 677, Math.round(geometry.lean.crossing * 10) / 10]);
  });
  it("its card draws it full size", () => {
    const lines = plan.cards.find(({ joint }) => joint === "x-leg+x-leg")!.lines.map(({ setting }) => setting);
    for (const said of ["677 mm apart; 350 mm below, 305 mm above", "50.8°", "39.2°, parallel", "22.5 mm"])
      expect(lines).toContain(said);
  });
});

describe("its order of work", () => {
  const ids = (...patches: Patch[]) => x(...patches).steps.map(({ id }) => id);
  const before = (list: string[], a: string, b: string) => list.indexOf(a) < list.indexOf(b);
  it("feet and heads are cut in one when the lap is dry, or before it is cut", () => {
    expect(before(ids(), "glue-laps", "ends")).toBe(true);
    expect(before(ids(set("ends", "before")), "ends", "laps")).toBe(true);
  });
  it("the crossing is mortised when its lap is glued, and the stretcher comes last", () => {
    const all = ids();
    expect(before(all, "glue-laps", "crossings") && before(all, "glue-ends", "glue-base")).toBe(true);
    expect(ids(set("stretcher.kind", "none"))).not.toContain("glue-base");
  });
});

describe("what can't be", () => {
  it.each<[string, string, Patch[]]>([
    ["legs that meet at their heads", "form.lean", [set("inAbove", 340)]],
    ["a bearer shorter than the heads reach", "form.heads", [set("bearer.setIn", 145)]],
    ["a bearer that shows", "form.brace", [set("bearer.setIn", 0)]],
    ["no stretcher", "form.racking", [set("stretcher.kind", "none")]],
    ["legs 12 thick", "form.leg", [set("thickness", 12)]],
    ["a stretcher deeper than its bearer", "form.stretcher", [set("stretcher.kind", "heads")]],
    ["feet set in so far that it tips", "form.tips", [set("inBelow", 330), set("inAbove", 60)]],
    ["a bearer higher than the table", "form.ends-fit", [set("bearer.height", 200), at("form.height", 200)]],
  ])("%s is told, and its remedies mend it", (_, id, patches) => {
    const verdict = find(x(...patches), id);
    expect(verdict.level).not.toBe("holds");
    for (const remedy of verdict.remedies.slice(0, 1))
      if (id !== "form.ends-fit") expect(find(x(...patches, ...remedy.patches), id).level).toBe("holds");
  });
  it("a stretcher too thick for the crossing leaves the legs no wall", () =>
    expect(find(x(set("stretcher.depth", 130)), "joints.walls").level).toBe("fix"));
});

it("every choice changes what is cut", () => {
  const cut = (...patches: Patch[]) => {
    const { parts, steps, cards } = x(...patches);
    return JSON.stringify([parts, steps.map(({ id, detail }) => [id, detail]), cards]);
  };
  const plain = cut();
  for (const patch of [
    set("frames", 3),
    set("width", 90),
    set("thickness", 50),
    set("inBelow", 60),
    set("inAbove", 100),
    set("bearer.setIn", 100),
    set("bearer.height", 50),
    set("bearer.thickness", 70),
    set("stretcher.kind", "heads"),
    set("stretcher.depth", 60),
    set("stretcher.thickness", 36),
    set("stretcher.proud", 0),
    set("ends", "before"),
  ])
    expect(cut(patch), patch.path.join(".")).not.toBe(plain);
});

it("three frames carry a middle one whose mortises meet from both sides", () => {
  const plan = x(set("frames", 3), set("thickness", 80), set("stretcher.thickness", 40));
  expect(plan.parts.filter(({ id }) => id.endsWith("x-leg")).map(({ id, count }) => [id, count])).toEqual([
    ["x-leg", 4],
    ["middle-x-leg", 2],
  ]);
  expect(find(plan, "form.fit").level).toBe("holds");
  expect(find(plan, "joints.length").level).toBe("holds");
});
