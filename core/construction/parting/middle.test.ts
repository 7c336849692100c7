/** Two halves of a top with a piece between them whose grain runs across. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { bulkOf } from "../../assembly/solid";
import { floatsAlong, Floating } from "../../joinery/floating";
import { fixedScrews } from "../../movement/fixed";
import { boardCoefficient } from "../../movement/coefficient";
import { travel, UNKNOWN_RINGS } from "../../movement/year";
import { findSpecies } from "../../wood/species";
import type { Patch } from "../../piece/patch";
import { boxOfPart, clashesInPoses, partOf } from "../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.parting.${path}`, value);
/** A table 1800 by 800 and 30 thick, a piece of 140 across its middle. */
const TABLE: Patch[] = [
  ...[at("form.top.length", 1800), at("form.top.width", 800), at("form.top.thickness", 30)],
  ...[set("kind", "middle"), set("middle", { width: 140, slide: 6 })],
];
const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));

describe("a piece of 140 across the middle of a table, worked by hand", () => {
  const plan = table();
  const joints = plan.joints.filter((joint): joint is Floating => joint.kind === "floating");
  it("the halves are 830 long, the piece between them as long as the top is wide, its grain across", () => {
    const { under } = plan.geometry;
    expect(boxOfPart(plan, "T1")).toEqual({ least: [-900, under, -400], most: [-70, under + 30, 400] });
    expect(boxOfPart(plan, "TM")).toEqual({ least: [-70, under, -400], most: [70, under + 30, 400] });
    expect(boxOfPart(plan, "T2")).toEqual({ least: [70, under, -400], most: [900, under + 30, 400] });
    expect(partOf(plan, "TM").place.x.map(Math.abs)).toEqual([0, 0, 1]);
    expect(plan.parts.find(({ id }) => id === "middle-piece")!.finished).toEqual({
      ...{ length: 800, width: 140, thickness: 30 },
    });
  });
  it("tenons of 40 stand evenly from the middle to 20 and their slide from the edges: tight in it, 12 longer in the halves", () => {
    // 400 − 20 − 6 − 20 = 354 each way, 3 of about 140 each
    expect(joints).toHaveLength(2);
    expect(floatsAlong(joints[0])).toEqual([46, 164, 282, 400, 518, 636, 754].map((each) => expect.closeTo(each, 9)));
    const wide = (id: string) =>
      partOf(plan, id)
        .cuts.filter(({ by }) => by.startsWith("middle-piece+top"))
        .map(({ shape }) => shape.width);
    expect(wide("TM")).toEqual(Array(14).fill(40));
    expect(wide("T1")).toEqual([52, 52, 52, 40, 52, 52, 52]);
  });
  it("every part has lost its mortises: seven each side of the middle piece, seven in each half", () => {
    const lost = (id: string, whole: number) => whole - bulkOf(bodyOf(partOf(plan, id))).volume;
    const { thickness } = joints[0];
    // 27 deep
    const tight = 40 * 27 * thickness;
    expect(lost("TM", 140 * 800 * 30)).toBeCloseTo(14 * tight, 2);
    for (const id of ["T1", "T2"]) expect(lost(id, 830 * 800 * 30)).toBeCloseTo(tight + (6 * tight * 52) / 40, 2);
  });
  it("stands in nothing; nothing is stopped that would move; one screw holds all of it", () => {
    expect(clashesInPoses(plan)).toEqual([]);
    // the glue about its middle is 50 long: a fifth of what breaks it
    const held = plan.stopped.filter(({ link }) => [link.a, link.b].includes("TM"));
    expect(Math.max(...held.map(({ load }) => load))).toBeLessThan(0.25);
    const fixed = fixedScrews(tableWith(...TABLE), plan.geometry);
    expect(fixed).toHaveLength(1);
    expect(Math.abs(fixed[0].x)).toBeLessThan(1);
  });
  it("its tenons travel as the boards do from the middle to the outermost", () => {
    const { dry, wet } = travel(plan.top, 46, 400);
    expect(find(plan, "movement.middle").limit).toBeCloseTo(Math.max(Math.abs(dry), Math.abs(wet)), 1);
  });
  it("of another wood it grows along the table as that does", () => {
    const grows = (made: ReturnType<typeof planOf>) =>
      /it goes from (.*?): one half/.exec(find(made, "movement.middle-edges").why)![1];
    const own = { species: "black-locust", moisture: null, finish: null, edges: null, curve: null };
    const mixed = table(at("kinds.middle-piece", own));
    expect(grows(mixed)).not.toBe(grows(plan));
    const { top } = mixed;
    const wood = findSpecies("black-locust")!;
    const coefficient = boardCoefficient(wood, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
    const dry = 140 * coefficient * (top.dry.moisture - top.start.value);
    expect(grows(mixed)).toContain(dry.toFixed(1).replace("-", "−"));
  });
  it("tenons that come near their slots’ ends are told as that, not as a split", () => {
    const limit = find(plan, "movement.middle").limit as number;
    const near = find(table(set("middle.slide", limit + 0.3)), "movement.middle");
    expect([near.level, /come within 0\.\d mm/.test(near.text)]).toEqual(["tight", true]);
  });
  it("glued when it is slotted, before it is sanded; one when it goes on its frame", () => {
    const order = plan.steps.map(({ id }) => id);
    expect(order.indexOf("seam-pins")).toBeLessThan(order.indexOf("seam-glue"));
    expect(order.indexOf("seam-glue")).toBeLessThan(order.indexOf("sand-top"));
  });
  it.each([
    ["movement.middle", [set("middle.slide", 0)]],
    ["movement.middle-line", [at("choices.fixedLine", "front-edge")]],
    ["form.parting-can", [at("form.top.outline", "ellipse")]],
    ["form.parting-borne", [at("form.kind", "trestle"), at("form.trestle.ties.count", "none")]],
  ] as [string, Patch[]][])("%s is told, and its remedies mend it", (id, patches) => {
    const piece = tableWith(...TABLE, ...patches);
    expect(find(planOf(piece), id).level).toBe("fix");
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

describe("any piece across", () => {
  it("stands in nothing, holds nothing back once its tenons slide far enough", () =>
    fc.assert(
      fc.property(
        fc.record({
          width: fc.integer({ min: 80, max: 300 }),
          top: fc.integer({ min: 500, max: 1100 }),
          thickness: fc.integer({ min: 20, max: 45 }),
          kind: fc.constantFrom("leg-and-apron", "splayed-frame", "trestle"),
        }),
        ({ width, top, thickness, kind }) => {
          const plan = table(
            ...[set("middle", { width, slide: 12 }), at("form.top.width", top), at("form.top.thickness", thickness)],
            at("form.kind", kind),
          );
          if (!plan.geometry.parting) return;
          expect(clashesInPoses(plan)).toEqual([]);
          const held = plan.stopped.filter(({ load, link }) => load > 0.5 && [link.a, link.b].includes("TM"));
          expect(held).toEqual([]);
        },
      ),
      { numRuns: 12, seed: SEED },
    ));
});
