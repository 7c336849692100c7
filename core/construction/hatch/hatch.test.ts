import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import type { Patch } from "../../piece/patch";
import { boxOfPart, clashesInPoses, partOf } from "../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.hatch.${path}`, value);
/** A desk 1400 by 700, 26 thick, 740 high; a lid 320 by 120 behind its middle, a gap of 2.5 all round. */
const DESK: Patch[] = [
  ...[at("form.use", "desk"), at("form.top.length", 1400), at("form.top.width", 700), at("form.top.thickness", 26)],
  ...[at("form.height", 740), at("brief.topHeight", 740), at("form.crossRails", 0), at("form.apron.depth", 90)],
  ...[set("kind", "hinged-back"), set("y", 150)],
];
const desk = (...patches: Patch[]) => planOf(tableWith(...DESK, ...patches));

describe("a lid sawn out of a desk, worked by hand", () => {
  const plan = desk();
  it("is its opening less the gap all round, level with the top", () => {
    expect(boxOfPart(plan, "HL")).toEqual({ least: [-157.5, 714, -207.5], most: [157.5, 740, -92.5] });
    const hole = 1400 * 700 * 26 - bulkOf(bodyOf(partOf(plan, "T"))).volume;
    expect(hole).toBeCloseTo(320 * 120 * 26, 0);
  });
  it("comes down on two strips along the grain: 25 under the top, the gap, 12 under the lid; 30 beyond both ends", () => {
    expect(boxOfPart(plan, "HE1")).toEqual({ least: [-190, 699, -104.5], most: [190, 714, -65] });
    expect(boxOfPart(plan, "HE2")).toEqual({ least: [-190, 699, -235], most: [190, 714, -195.5] });
  });
  it("open it stands 100° up about the face at its back edge: its front edge highest, nothing of it below", () => {
    const [pose] = plan.assembly.poses!;
    expect(pose.name).toBe("the lid in the top up");
    const lid = posed(plan.assembly.parts, pose).find(({ id }) => id === "HL")!;
    const { least, most } = boundsOf(stood(bodyOf(lid), lid.place));
    // from the hinge's line 740 high: 115 and half the gap out, 26 thick
    const [s, c] = [Math.sin((100 * Math.PI) / 180), Math.cos((100 * Math.PI) / 180)];
    expect(most[1]).toBeCloseTo(740 + 116.25 * s - 26 * c, 6);
    expect(least[1]).toBeCloseTo(740 + 1.25 * s, 6);
    expect(most[2]).toBeCloseTo(-208.75 + 1.25 * c + 26 * s, 6);
    expect(least[2]).toBeCloseTo(-208.75 + 116.25 * c, 6);
  });
  it("wants no board of its own: it comes out of the top", () => {
    expect(plan.cutting.missing.map(({ part }) => part)).not.toContain("hatch");
    expect(plan.cutting.placed.map(({ piece }) => piece.part)).not.toContain("hatch");
    expect(plan.parts.find(({ id }) => id === "hatch")!.finished).toEqual({ length: 315, width: 115, thickness: 26 });
  });
  it("everything holds, in every pose; sawn when the top is flat, hung when it stands", () => {
    expect(["form.hatch", "form.hatch-clear", "form.hatch-gap"].map((id) => find(plan, id).level)).toEqual([
      "holds",
      "holds",
      "holds",
    ]);
    expect(clashesInPoses(plan)).toEqual([]);
    const order = plan.steps.map(({ id }) => id);
    for (const [a, b] of [
      ["flatten", "hatch-saw"],
      ["hatch-saw", "hatch-ledges"],
      ["hatch-ledges", "sand-top"],
      ["attach", "hatch-hang"],
    ])
      expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b));
  });
  it("of a striped top it has the strips it is sawn from, as wide as they are in it", () => {
    const striped = desk(at("form.field", "stripes"));
    const [top, lid] = [partOf(striped, "T"), partOf(striped, "HL")];
    expect(lid.strips!.reduce((sum, { width }) => sum + width, 0)).toBeCloseTo(115, 6);
    // the lid's front edge lies 92.5 behind the middle: 442.5 from the front
    const over = top.strips!.filter(({ from, width }) => from + width > 442.5 && from < 557.5);
    expect(lid.strips!.map(({ kind, mark }) => [kind, mark])).toEqual(over.map(({ kind, mark }) => [kind, mark]));
    expect(lid.strips![0].from).toBe(0);
  });
  it("hinged, all it swells by shows at its front: 1.5 percent of 120", () => {
    const moves = 120 * plan.species.tangential * 1.5;
    expect(find(plan, "form.hatch-gap").actual).toBeCloseTo(2.5 - moves, 1);
    expect(find(desk(set("kind", "lifts-out")), "form.hatch-gap").actual).toBeCloseTo(2.5 - moves / 2, 1);
  });
  it("hinged in front it stands up in front", () => {
    const front = desk(set("kind", "hinged-front"));
    const lid = posed(front.assembly.parts, front.assembly.poses![0]).find(({ id }) => id === "HL")!;
    const { least, most } = boundsOf(stood(bodyOf(lid), lid.place));
    expect(most[1]).toBeGreaterThan(850);
    expect(least[2]).toBeGreaterThan(-120);
    expect(clashesInPoses(front)).toEqual([]);
  });
});

describe("told, and mended", () => {
  it.each([
    ["form.hatch", [at("form.field", "slabs")], "No lid"],
    ["form.hatch", [at("form.parting.kind", "drawn")], "No lid"],
    ["form.hatch", [set("y", 300)], "runs out of the top"],
    ["form.hatch", [set("width", 480), set("y", 0), set("length", 1350)], "stay round the lid"],
    ["form.hatch", [set("length", 60), set("gap", 10), set("width", 40)], "hardly any lid"],
    [
      "form.hatch",
      [at("form.top.cutouts", [{ name: "cable", x: 0, y: 150, length: 40, width: 40 }])],
      "over a cut-out",
    ],
    ["form.hatch-clear", [at("form.crossRails", 1)], "runs into the cross-rail"],
    ["form.hatch-clear", [set("x", 560)], "runs into"],
    ["form.hatch-clear", [at("form.facing.kind", "cork"), set("y", 0)], "facing runs over"],
    ["form.hatch-gap", [set("gap", 1), set("width", 240), set("y", 0)], "stay open beside the lid"],
  ])("%s: %j", (id, patches, words) => {
    const piece = tableWith(...DESK, ...(patches as Patch[]));
    const verdict = find(planOf(piece), id);
    expect(verdict.level).not.toBe("holds");
    expect(verdict.text).toContain(words);
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

it(
  "any lid in any top plans whole; where nothing is told it lies in nothing, shut and open",
  { timeout: 60_000 },
  () => {
    let held = 0;
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom("hinged-back", "hinged-front", "lifts-out", "slides-right", "slides-left"),
          length: fc.integer({ min: 60, max: 900 }),
          width: fc.integer({ min: 40, max: 400 }),
          x: fc.integer({ min: -400, max: 400 }),
          y: fc.integer({ min: -200, max: 200 }),
          gap: fc.integer({ min: 1, max: 8 }),
          ledge: fc.integer({ min: 4, max: 40 }),
          thickness: fc.integer({ min: 6, max: 30 }),
        }),
        fc.constantFrom("none", "breadboards", "frame"),
        (hatch, ends) => {
          const plan = desk(at("form.hatch", hatch), at("form.ends", ends));
          expect(plan.failures).toEqual([]);
          const told = ["form.hatch", "form.hatch-clear"].some((id) => find(plan, id).level === "fix");
          if (told) return;
          held += 1;
          expect(clashesInPoses(plan)).toEqual([]);
        },
      ),
      { seed: SEED, numRuns: 40 },
    );
    expect(held).toBeGreaterThan(5);
  },
);
