/** A case whose front bows out from side to side. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { polygonOf } from "../../../assembly/outline";
import { bulkOf } from "../../../assembly/solid";
import { templatesOf } from "../../../templates/templates";
import type { Patch } from "../../../piece/patch";
import { bays, caseOf, chest, eight, EIGHT, listed, rows, set } from "../../../testing/cases";
import { clashesInPoses, partOf } from "../../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../../testing/plans";
import { bowAt, bowMost } from "./bow-arc";

const SEED = Number(process.env.SEED ?? 20261127);
const BOW = [set("bow", 40), at("form.overhang.side", 50)];
/** (420² + 40²) / 80, from −420 to 420 between the sides */
const RADIUS = 2225;

describe("a chest of three drawers that bows out 40, worked by hand", () => {
  const plan = chest(...BOW);
  const bow = caseOf(plan).bow!;
  it("its arc stands 40 out in the middle and nothing at the sides", () => {
    expect(bow).toEqual({ from: -420, to: 420, rise: 40, radius: RADIUS });
    expect(bowAt(bow, 0)).toBeCloseTo(40, 9);
    expect(bowAt(bow, 420)).toBe(0);
    expect(bowAt(bow, 210)).toBeCloseTo(Math.sqrt(RADIUS ** 2 - 210 ** 2) - (RADIUS - 40), 9);
  });
  it("fronts come out of stock 40 thicker, rails and bottom out of boards 40 wider, sides stay as they are", () => {
    const flat = chest(at("form.overhang.side", 50));
    for (const [id, , more] of [
      ["drawer-front", "", [0, 0, 40]],
      ["case-bottom", "", [0, 40, 0]],
      ["case-side", "", [0, 0, 0]],
    ] as const) {
      const now = listed(plan, plan.parts.find((part) => part.id.startsWith(id))!.id);
      const before = listed(flat, flat.parts.find((part) => part.id.startsWith(id))!.id);
      expect(
        now.map((each, i) => Math.round(10 * (each - before[i])) / 10),
        id,
      ).toEqual([...more]);
    }
  });
  it("the list says what is sawn thicker and what wider; the rail behind stays as narrow as it was", () => {
    const note = (id: string) => plan.parts.find((part) => part.id === id)!.note;
    expect(note("drawer-front")).toContain("Its face bows out");
    expect(note("case-bottom")).toContain("Its front edge bows out");
    expect(note("case-bottom")).not.toContain("stay straight");
    expect(note("case-rail-bowed")).toContain("Its front edge bows out");
    expect(note("case-rail")).not.toContain("bows");
    const wide = (id: string) => plan.parts.find((part) => part.id === id)!;
    expect([wide("case-rail-bowed").count, Math.round(wide("case-rail-bowed").finished.width)]).toEqual([1, 100]);
    expect([wide("case-rail").count, wide("case-rail").finished.width]).toEqual([1, 60]);
  });
  it("the bottom is more by the segment of its circle", () => {
    const volume = (made: ReturnType<typeof chest>) => bulkOf(bodyOf(partOf(made, "Q"))).volume;
    const half = Math.asin(420 / RADIUS);
    const segment = (RADIUS ** 2 * (2 * half - Math.sin(2 * half))) / 2;
    const more = volume(plan) - volume(chest(at("form.overhang.side", 50)));
    expect(more / 18 / segment).toBeCloseTo(1, 3);
  });
  it("stands in nothing, shut and drawn out; a knob stands on the bow", () => {
    expect(clashesInPoses(plan)).toEqual([]);
    expect(plan.verdicts.filter(({ id, level }) => id.startsWith("form.case-bow") && level === "fix")).toEqual([]);
    const knobs = chest(...BOW, set("drawers.pull", { kind: "knob", centres: 96 }), bays(rows([null, "drawer"])));
    const knob = knobs.small.find(({ id }) => id.startsWith("pull-1"))!;
    expect(knob.place.at[2]).toBeGreaterThan(caseOf(knobs).deep.to + 30);
  });
  it("its front has a template: half of the arc, 60 deep behind it", () => {
    const [template] = templatesOf(plan.assembly.parts).filter(({ id }) => id === "front-bow");
    expect(template).toMatchObject({ half: true, length: 840, size: { length: 420, width: 100 } });
    const spots = polygonOf(template.outline.outer, 0.01);
    for (const [x, y] of spots.filter(([, up]) => up > 59))
      expect(y).toBeCloseTo(60 + Math.sqrt(RADIUS ** 2 - (x - 420) ** 2) - (RADIUS - 40), 1);
    expect(Math.max(...spots.map(([, y]) => y))).toBeCloseTo(100, 1);
    expect(template.parts).toEqual(expect.arrayContaining(["C1", "C2", "C3", "Q"]));
  });
  it("edges are sawn before anything is joined; fronts are faired when their stops are in", () => {
    const order = plan.steps.map(({ id }) => id);
    for (const [a, b] of [
      ["bow", "case-housings"],
      ["drawers-stops", "drawers-bow"],
      ["drawers-bow", "back"],
    ])
      expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b));
  });
  it.each([
    ["form.case-bow", [set("corners", "through")]],
    ["form.case-bow", [bays(rows([null, "doors"]))]],
    ["form.case-bow", [set("bow", 150)]],
    ["form.case-bow-top", [at("form.overhang.side", 20)]],
  ] as [string, Patch[]][])("%s is told, and its remedies mend it", (id, patches) => {
    const piece = tableWith(...EIGHT, bays(rows([140, "drawer"], [null, "drawer"])), ...BOW, ...patches);
    expect(find(planOf(piece), id).level).toBe("fix");
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

describe("any front that bows out", () => {
  it("stands in nothing, of boards and of sheet, in every pose; no front is thinner than it was", () =>
    fc.assert(
      fc.property(
        fc.record({
          bow: fc.integer({ min: 2, max: 90 }),
          bays: fc.integer({ min: 1, max: 2 }),
          drawers: fc.integer({ min: 0, max: 2 }),
          of: fc.constantFrom("solid", "plywood"),
          corners: fc.constantFrom("rails", "sub-top"),
          on: fc.constantFrom("runners", "hung", "slides"),
          pull: fc.constantFrom("knob", "bar", "none"),
        }),
        (given) => {
          const held = [
            ...Array.from({ length: given.drawers }, (): [number, "drawer"] => [110, "drawer"]),
            [null, "nothing"] as [null, "nothing"],
          ];
          const plan = eight(
            bays(...Array.from({ length: given.bays }, () => rows(...held))),
            ...[set("bow", given.bow), at("form.overhang.side", given.bow + 10), set("of", given.of)],
            ...[set("corners", given.corners), set("drawers.on", given.on)],
            set("drawers.pull", { kind: given.pull, centres: 64 }),
          );
          expect(clashesInPoses(plan)).toEqual([]);
          const { bow, drawers } = caseOf(plan);
          for (const { front } of drawers)
            expect(bowMost(bow!, front.across.from, front.across.to)).toBeGreaterThanOrEqual(0);
          expect(plan.verdicts.filter(({ id }) => id.startsWith("fault."))).toEqual([]);
        },
      ),
      { numRuns: 9, seed: SEED },
    ));
});
