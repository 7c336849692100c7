import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { weighed } from "../../assembly/weight";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { applyPatches, Patch } from "../../piece/patch";
import { clashes } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";

const edge = (path: string, value: unknown) => at(`form.top.edge.${path}`, value);
/** 1800 by 800 by 30, legs and rails 90 in; bevelled below from 60 in to a rim of 12. */
const TABLE: Patch[] = [
  ...[at("form.top.length", 1800), at("form.top.width", 800), at("form.top.thickness", 30)],
  ...[at("form.overhang", { end: 90, side: 90 }), edge("kind", "bevel-below"), edge("size", 60), edge("rim", 12)],
];
const piece = (...patches: Patch[]) => tableWith(...TABLE, ...patches);
const table = (...patches: Patch[]) => planOf(piece(...patches));
const volume = (plan: ReturnType<typeof table>, kinds: readonly string[]) =>
  plan.assembly.parts
    .filter(({ kind }) => kinds.includes(kind))
    .reduce((sum, part) => sum + bulkOf(bodyOf({ ...part, adds: [], cuts: [] })).volume, 0);
/** A slab less what is planed off below: a frustum from the whole outline to the flat underside. @source prismoid: h/6 (A + 4 M + a) */
const left = (rim: number, inward: number, [length, width, thick] = [1800, 800, 30]) => {
  const [l, w] = [length - 2 * inward, width - 2 * inward];
  const middle = (length - inward) * (width - inward);
  return length * width * rim + ((thick - rim) / 6) * (length * width + 4 * middle + l * w);
};

describe("a top bevelled below, worked by hand", () => {
  it("holds what a plate and a frustum below it do", () => {
    expect(volume(table(), ["top"])).toBeCloseTo(left(12, 60), 2);
  });
  it("by its angle: 18 down at 15° begin 67.2 in", () => {
    const plan = table(edge("angle", 15));
    const inward = 18 / Math.tan((15 * Math.PI) / 180);
    expect(inward).toBeCloseTo(67.18, 2);
    expect(volume(plan, ["top"])).toBeCloseTo(left(12, inward), 2);
    expect(find(plan, "form.bevel").text).toBe("Bevelled below from 67 mm in to a rim of 12.0 mm: 15°");
  });
  it("with nothing typed three fifths of its thickness stay at the rim", () => {
    expect(volume(table(edge("rim", null)), ["top"])).toBeCloseTo(left(18, 60), 2);
  });
  it("breadboards share it: panel and ends together are one frustum", () => {
    const plan = table(at("form.ends", "breadboards"));
    const ends = plan.assembly.parts.filter(({ kind }) => kind === "end-board");
    // the ends are as long as the panel is wide in its season: the frustum is theirs at that width
    for (const end of ends) {
      const { least, most } = boundsOf(stood(bodyOf({ ...end, adds: [], cuts: [] }), end.place));
      expect(most[1] - least[1]).toBeCloseTo(30, 6);
    }
    expect(ends.every(({ shape }) => shape.planes!.length === 3)).toBe(true);
    expect(plan.assembly.parts.find(({ kind }) => kind === "top")!.shape.planes).toHaveLength(2);
  });
  it("a round one is a plate on a frustum of a cone", () => {
    const round = [at("form.kind", "splayed"), at("form.top.outline", "ellipse"), at("form.top.length", 900)];
    const plan = table(
      ...round,
      at("form.top.width", 900),
      at("joints.fastening", "oversized"),
      at("form.splayed.legs", 3),
      at("form.splayed.hub", "mitred"),
      at("form.splayed.setIn", 130),
    );
    const cone = Math.PI * (450 ** 2 * 12 + (18 / 3) * (450 ** 2 + 450 * 390 + 390 ** 2));
    // of chords that leave the circle by half a millimetre
    expect(Math.abs(volume(plan, ["top"]) / cone - 1)).toBeLessThan(0.002);
    expect(find(plan, "form.bevel").level).toBe("holds");
    expect(clashes(plan.assembly.parts)).toEqual([]);
    expect(plan.steps.find(({ id }) => id === "bevel")!.detail).toContain("drawknife");
  });
  it("soft sides are bevelled along their arcs: everywhere 60 in, 18 up", () => {
    const plan = table(
      at("form.top.outline", "soft"),
      at("form.top.bulge", 30),
      at("form.overhang", { end: 120, side: 120 }),
    );
    const flat = plan.assembly.parts.find(({ kind }) => kind === "top")!;
    const body = bodyOf({ ...flat, adds: [], cuts: [] });
    const { least, most } = boundsOf(body.filter(({ corners }) => corners.every(([, , z]) => z < 1e-6)));
    expect([least[0], most[0]]).toEqual([expect.closeTo(60, 1), expect.closeTo(1740, 1)]);
    expect(most[1] - least[1]).toBeCloseTo(800 - 120, 0);
  });
  it("what stands beyond a round rim, though within its length and width, stands at no distance in", () => {
    const said = find(table(at("form.top.outline", "ellipse"), edge("size", 10)), "form.bevel");
    expect(said.level).toBe("fix");
    expect(said.text).toBe("The bevel below reaches 10 mm over what bears the top");
  });
  it("each part weighs the same by its pieces as by its body, and the table less than with square edges", () => {
    const plan = table();
    for (const part of plan.assembly.parts)
      expect(weighed(part).volume / bulkOf(bodyOf(part)).volume).toBeCloseTo(1, 9);
    const square = table(edge("kind", "square"));
    const off = 1800 * 800 * 30 - left(12, 60);
    expect(volume(square, ["top"]) - volume(plan, ["top"])).toBeCloseTo(off, 2);
    expect(clashes(plan.assembly.parts)).toEqual([]);
  });
  it("planed once the top is cut to size, and before it is sanded", () => {
    const plan = table();
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("flatten")).toBeLessThan(of("bevel"));
    expect(of("bevel")).toBeLessThan(of("sand-top"));
    expect(plan.steps[of("bevel")].detail).toContain("16.7°");
  });
});

describe("what is wrong with a bevel is said, and a press mends it", () => {
  it.each([
    ["over what bears the top", [edge("size", 140)], "fix"],
    ["right up to it", [edge("size", 89)], "tight"],
    [
      "right up to the legs at its sides only",
      [at("form.overhang", { end: 250, side: 90 }), edge("size", 89)],
      "tight",
    ],
    ["a rim as thin as a slat", [edge("rim", 4)], "fix"],
    ["a thin rim", [edge("rim", 8)], "tight"],
    ["under legs that stand beyond a round rim", [at("form.top.outline", "ellipse")], "fix"],
    ["round notches", [at("form.top.outline", "notched"), at("form.top.notch", { length: 40, width: 40 })], "fix"],
    ["where leaves hang", [at("form.drop.kind", "both")], "fix"],
    ["where legs come through", [at("form.leg.top", "through")], "fix"],
    ["too flat an angle", [edge("angle", 5)], "fix"],
  ] as const)("%s", (_, patches, level) => {
    const wrong = piece(...patches);
    const said = find(planOf(wrong), "form.bevel");
    expect(said.level).toBe(level);
    expect(said.remedies.length).toBeGreaterThan(0);
    for (const remedy of said.remedies) {
      const mended = planOf(applyPatches(wrong, remedy.patches)).verdicts.find(({ id }) => id === "form.bevel");
      expect(mended?.level ?? "holds").toBe("holds");
    }
  });
  it("other edges hear nothing of it", () => {
    expect(table(edge("kind", "eased")).verdicts.some(({ id }) => id === "form.bevel")).toBe(false);
  });
});
