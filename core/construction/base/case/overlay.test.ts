/** Doors that close before the case: what they cover, where their hinges are bored, how they stand open. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../../assembly/part";
import { boundsOf, stood } from "../../../assembly/solid";
import { smallList } from "../../../assembly/small";
import { applyPatches, Patch } from "../../../piece/patch";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import type { Case } from "./case";

const SEED = Number(process.env.SEED ?? 20261126);
const doors = (path: string, value: unknown) => at(`form.case.doors.${path}`, value);
const row = (holds: string) => ({ height: null, holds, shelves: 1 });
/** 1000 wide and 800 high over all, sides and divider of 20, two bays: a door in the left one, two in the right one. */
const CUPBOARD: Patch[] = [
  ...[at("form.kind", "case"), at("form.use", "case"), at("form.height", 800), at("form.top.length", 1000)],
  ...[at("form.top.width", 420), at("form.top.thickness", 20), at("form.overhang", { end: 0, side: 30 })],
  ...[at("joints.fastening", "oversized"), at("form.case.thickness", 20), at("form.case.inner", 20)],
  at("form.case.bays", [
    { width: null, rows: [row("door-left")] },
    { width: null, rows: [row("doors")] },
  ]),
  doors("mount", "overlay"),
];
const cupboard = (...patches: Patch[]) => planOf(tableWith(...CUPBOARD, ...patches));

describe("doors before a case of two bays, worked by hand", () => {
  const plan = cupboard();
  const { doors: all } = plan.geometry as Case;
  const span = ({ from, to }: { from: number; to: number }) => [from, to].map((each) => Math.round(each * 10) / 10);

  it("cover the sides to 2 of their edges, and share the divider with 2 between them", () => {
    // inside from −480 to 480, a divider of 20 about 0: the left door from −498 to −1, the right pair from 1 to 498
    expect(all.map(({ across }) => span(across))).toEqual([
      [-498, -1],
      [1, 248.5],
      [250.5, 498],
    ]);
    // from the bottom's underside at 60, 2 shown, to the rails' upper edge at 780, 2 shown
    for (const { high } of all) expect(span(high)).toEqual([62, 778]);
    // the case ends 30 before the top's front edge, a bumper of 1, and 20 of door
    for (const { face } of all) expect(face).toBe(420 / 2 - 30 + 21);
  });

  it("have cups bored from behind, and no leaf let in anywhere", () => {
    const cups = plan.assembly.parts
      .filter(({ kind }) => kind.startsWith("door-stile"))
      .flatMap(({ cuts }) => cuts.filter(({ by }) => by === "hinge"));
    expect(cups).toHaveLength(6);
    for (const { shape } of cups) expect([shape.length, shape.width]).toEqual([12.5, 35]);
    // in the left door's hinged stile: from its back at 181 forward, 22 from its edge to the cup's middle
    const stile = plan.assembly.parts.find(({ id }) => id === "RS1")!;
    const [first] = stile.cuts.filter(({ by }) => by === "hinge");
    const cup = stood(stood(bodyOf({ shape: first.shape, adds: [], cuts: [] }), first.place), stile.place);
    const { least, most } = boundsOf(cup);
    expect([least[2], most[2]]).toEqual([expect.closeTo(181, 6), expect.closeTo(193.5, 6)]);
    expect((least[0] + most[0]) / 2).toBeCloseTo(-498 + 22, 6);
    expect(
      plan.assembly.parts
        .filter(({ kind }) => kind === "case-side")
        .flatMap(({ cuts }) => cuts.filter(({ by }) => by === "hinge")),
    ).toEqual([]);
    expect(smallList(plan.small).find(({ name }) => name === "Cup hinges")!.count).toBe(6);
    expect(plan.steps.find(({ id }) => id === "doors-hang")!.detail).toContain(
      "6 cup hinges: a cup of 35 mm 12.5 mm deep",
    );
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.touching");
  });

  it("stand open within their own width, and meet nothing", () => {
    const pose = plan.assembly.poses!.find(({ id }) => id === "doors")!;
    const open = posed(plan.assembly.parts, pose);
    const stile = open.find(({ id }) => id === "RS2")!;
    const { least, most } = boundsOf(stood(bodyOf(stile), stile.place));
    // the left door turned about its left edge: 20 thick from −498 inward, its far stile 497 before the case
    expect([least[0], most[0]].map((each) => Math.round(each))).toEqual([-498, -478]);
    expect(Math.round(most[2])).toBe(181 + 497);
    expect(find(plan, "form.opens").level).toBe("holds");
  });
});

describe("what cups ask of a door", () => {
  it.each([
    ["thin doors", [doors("thickness", 14)], "Doors 17 mm thick"],
    ["narrow stiles", [doors("stile", 45)], "stiles 53 mm wide"],
    ["both", [doors("thickness", 14), doors("stile", 45)], "Doors 17 mm thick, stiles 53 mm wide"],
  ])("%s are told with the way out", (_, patches, label) => {
    const piece = tableWith(...CUPBOARD, ...patches);
    const verdict = find(planOf(piece), "form.door-cups");
    expect(verdict.level).not.toBe("holds");
    expect(verdict.remedies.map((each) => each.label)).toEqual([label]);
    expect(find(planOf(applyPatches(piece, verdict.remedies[0].patches)), "form.door-cups").level).toBe("holds");
  });
  it("inset doors have none", () => {
    expect(cupboard(doors("mount", "inset")).verdicts.map(({ id }) => id)).not.toContain("form.door-cups");
  });
});

describe("any doors before a case", () => {
  it("never meet one another, closed, and stand in nothing", () => {
    const holds = fc.constantFrom("nothing", "door-left", "door-right", "doors");
    fc.assert(
      fc.property(
        fc.array(fc.array(holds, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 900, max: 2000 }),
        (bays, gap, length) => {
          const plan = cupboard(
            at("form.top.length", length),
            doors("gap", gap),
            at(
              "form.case.bays",
              bays.map((rows) => ({ width: null, rows: rows.map(row) })),
            ),
          );
          expect(plan.failures).toEqual([]);
          expect(find(plan, "form.fit").level).toBe("holds");
          const { doors: all } = plan.geometry as Case;
          for (const [i, a] of all.entries())
            for (const b of all.slice(i + 1)) {
              const apart = Math.max(
                a.across.from - b.across.to,
                b.across.from - a.across.to,
                a.high.from - b.high.to,
                b.high.from - a.high.to,
              );
              expect(apart).toBeGreaterThanOrEqual(gap - 1e-6);
            }
        },
      ),
      { seed: SEED, numRuns: 20 },
    );
  });
});
