/** A lid that slides out of an end of the top. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import type { Patch } from "../../piece/patch";
import { boxOfPart, clashesInPoses, partOf } from "../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const set = (path: string, value: unknown) => at(`form.hatch.${path}`, value);
/** A table 1400 by 700, 27 thick, 740 high, 120 past its legs; a lid 300 by 200 out of its right end, 50 behind its middle, a gap of 2. */
const TABLE: Patch[] = [
  ...[at("form.use", "desk"), at("form.top.length", 1400), at("form.top.width", 700), at("form.top.thickness", 27)],
  ...[at("form.height", 740), at("brief.topHeight", 740), at("form.overhang.end", 40)],
  ...[set("kind", "slides-right"), set("length", 300), set("width", 200), set("y", 50), set("gap", 2)],
];
const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));

describe("a lid that slides out of a table's end, worked by hand", () => {
  const plan = table();
  it("is its opening less the gap on three sides, level with the top and with its end", () => {
    expect(boxOfPart(plan, "HL")).toEqual({ least: [402, 713, -148], most: [700, 740, 48] });
    // the opening, and a groove 9.5 deep and 9.4 high on either side of it
    const hole = 1400 * 700 * 27 - bulkOf(bodyOf(partOf(plan, "T"))).volume;
    expect(hole).toBeCloseTo(300 * 200 * 27 + 2 * 300 * 9.5 * 9.4, 0);
  });
  it("its slips sit 8 in it and reach 8 into the top: 18 wide, a third of the top thick, in its middle", () => {
    expect(boxOfPart(plan, "HS1")).toEqual({ least: [402, 722, 40], most: [700, 731, 58] });
    expect(boxOfPart(plan, "HS2")).toEqual({ least: [402, 722, -158], most: [700, 731, -140] });
  });
  it("slid out four fifths of it stand beyond the end, nothing else moves", () => {
    const pose = plan.assembly.poses!.find(({ id }) => id === "hatch-out")!;
    expect(Object.keys(pose.places).sort()).toEqual(["HL", "HS1", "HS2"]);
    const lid = posed(plan.assembly.parts, pose).find(({ id }) => id === "HL")!;
    expect(boundsOf(stood(bodyOf(lid), lid.place)).most[0]).toBeCloseTo(700 + 0.8 * 298, 6);
    expect(clashesInPoses(plan)).toEqual([]);
  });
  it("wants wood for its slips and none for itself; nothing screws it down", () => {
    expect(plan.cutting.missing.map(({ part }) => part)).not.toContain("hatch");
    expect(plan.parts.find(({ id }) => id === "hatch-slip")!.finished).toEqual({
      ...{ length: 298, width: 18, thickness: 9 },
    });
    const under = plan.fasteners.filter(({ x, z }) => x > 400 && Math.abs(z + 50) < 100);
    expect(under).toEqual([]);
  });
  it("its steps stand in order", () => {
    const order = plan.steps.map(({ id }) => id);
    for (const [a, b] of [
      ["flatten", "hatch-saw"],
      ["hatch-saw", "hatch-slips"],
      ["hatch-slips", "sand-top"],
      ["attach", "hatch-hang"],
    ])
      expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b));
  });
  it("the left end has it the other way round", () => {
    expect(boxOfPart(table(set("kind", "slides-left")), "HL")).toEqual({
      ...{ least: [-700, 713, -148], most: [-402, 740, 48] },
    });
  });
  it("sides that stick out beyond the base are beams: 4 F l³ / (E b t³)", () => {
    const far = table(at("form.overhang.end", 260), set("length", 500), set("width", 500), set("y", 0));
    const verdict = find(far, "form.hatch-sides");
    // legs come up to the top 440 from its middle: 260 of each side, 100 wide, stick out
    const down = (4 * 300 * 260 ** 3) / (far.species.stiffness * 1000 * 100 * 27 ** 3);
    expect(verdict.actual).toBeCloseTo(down, 1);
    expect(down).toBeGreaterThan(0.5);
  });
  it.each([
    ["form.hatch", [at("form.ends", "breadboards")]],
    ["form.hatch", [at("form.top.outline", "soft")]],
    ["form.hatch", [set("width", 640)]],
    [
      "form.hatch-sides",
      [at("form.overhang.end", 350), at("form.top.thickness", 20), set("length", 400), set("width", 560)],
    ],
    ["form.hatch-cheeks", [at("form.top.thickness", 10)]],
    ["form.hatch-gap", [set("gap", 0.5)]],
  ] as [string, Patch[]][])("%s is told, and its remedies mend it", (id, patches) => {
    const piece = tableWith(...TABLE, ...patches);
    expect(find(planOf(piece), id).level).toBe("fix");
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

describe("any lid that slides", () => {
  const choices = fc.record({
    kind: fc.constantFrom("slides-right", "slides-left"),
    length: fc.integer({ min: 60, max: 900 }),
    width: fc.integer({ min: 60, max: 400 }),
    y: fc.integer({ min: -150, max: 150 }),
    thickness: fc.integer({ min: 18, max: 45 }),
    gap: fc.integer({ min: 1, max: 6 }),
  });
  it("stands in nothing, in and out", () =>
    fc.assert(
      fc.property(choices, ({ thickness, ...hatch }) => {
        const plan = table(
          at("form.top.thickness", thickness),
          ...Object.entries(hatch).map(([key, value]) => set(key, value)),
        );
        const fixes = plan.verdicts.filter(({ level }) => level === "fix").map(({ id }) => id);
        if (!fixes.some((id) => id.startsWith("form."))) expect(clashesInPoses(plan)).toEqual([]);
        const [lid, slip] = [boxOfPart(plan, "HL"), boxOfPart(plan, "HS1")];
        expect([slip.least[0], slip.most[0]]).toEqual([lid.least[0], lid.most[0]]);
      }),
      { numRuns: 20, seed: SEED },
    ));
});
