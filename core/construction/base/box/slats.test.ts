import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, stood } from "../../../assembly/solid";
import { applyPatches, Patch } from "../../../piece/patch";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import type { Box } from "./place";

const set = (path: string, value: unknown) => at(`form.box.${path}`, value);
/** A bench box 1000 by 400, 440 high with its lid of 22, walls 20, slats of about 70 with 10 between, 12 thick. */
const BENCH: Patch[] = [
  ...[at("form.kind", "box"), at("form.use", "bench"), at("form.height", 440), at("brief.topHeight", 440)],
  ...[at("form.top.length", 1000), at("form.top.width", 400), at("form.top.thickness", 22)],
  ...[at("form.overhang", { end: 0, side: 0 }), set("stands", "floor"), set("bottom.of", "slats")],
];
const bench = (...patches: Patch[]) => tableWith(...BENCH, ...patches);

describe("a box with a slatted bottom, worked by hand", () => {
  const plan = planOf(bench());
  const { bottom, inside } = plan.geometry as Box;

  it("960 between its walls and 9.5 into the rebates at both ends: twelve slats, all alike", () => {
    expect(bottom.rest).toBe(10);
    // 979 and a gap more, shared by 80: 12.4
    expect(bottom.slats).toHaveLength(12);
    for (const { from, to } of bottom.slats) expect(to - from).toBeCloseTo((979 - 110) / 12, 9);
    expect(bottom.slats[0].from).toBeCloseTo(inside.x.from - 9.5, 9);
    expect(bottom.slats.at(-1)!.to).toBeCloseTo(inside.x.to + 9.5, 9);
  });
  it("each lies in the rebates in front and behind, held by one screw at each end, and nothing holds its width", () => {
    const slat = plan.assembly.parts.find(({ id }) => id === "BQ3")!;
    const { least, most } = boundsOf(stood(bodyOf({ ...slat, cuts: [] }), slat.place));
    expect([least[2], most[2]]).toEqual([expect.closeTo(inside.z.from - 9.5, 6), expect.closeTo(inside.z.to + 9.5, 6)]);
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(12, 6)]);
    expect(plan.joints.filter(({ enters }) => enters === "box-slat").map(({ count }) => count)).toEqual([12, 12]);
    for (const { strain, members } of plan.stopped)
      if (members.some(({ id }) => id.startsWith("BQ"))) expect(Math.abs(strain)).toBeLessThan(1e-9);
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(plan.verdicts.some(({ id }) => id === "form.touching")).toBe(false);
    expect(plan.failures).toEqual([]);
  });
  it("comes from boards, not from a sheet, and is screwed in once the box is glued", () => {
    expect(plan.parts.find(({ id }) => id === "box-slat")!.count).toBe(12);
    expect(plan.parts.some(({ role }) => role === "sheet")).toBe(false);
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("glue-base")).toBeLessThan(of("box-bottom"));
    expect(plan.steps[of("box-bottom")].parts).toEqual(["box-slat"]);
    expect(of("cut-sheets")).toBe(-1);
  });
  it.each([
    ["on a frame of legs", [set("stands", "frame"), set("high", 200)], "fix"],
    ["slats too narrow", [set("bottom.slats.width", 22)], "tight"],
    ["gaps things fall through", [set("bottom.slats.gap", 40)], "tight"],
  ] as const)("%s is told, and each remedy mends it", (_, patches, level) => {
    const piece = bench(...patches);
    const plan = planOf(piece);
    expect(plan.failures).toEqual([]);
    const said = find(plan, "form.box-slats");
    expect(said.level).toBe(level);
    for (const remedy of said.remedies) {
      const after = planOf(applyPatches(piece, remedy.patches)).verdicts.find(({ id }) => id === "form.box-slats");
      expect(after?.level ?? "holds").toBe("holds");
    }
  });
});
