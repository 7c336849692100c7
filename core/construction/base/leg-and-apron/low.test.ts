import { describe, expect, it } from "vitest";
import { boundsOf, stood } from "../../../assembly/solid";
import { bodyOf } from "../../../assembly/part";
import { at, find, legs, planOf, tableWith } from "../../../testing/plans";

/** 1800 by 850 over legs of 75 set in by 40: 1570 and 620 between the legs. */
const low = (...patches: Parameters<typeof tableWith>) => planOf(tableWith(at("form.low.kind", "box"), ...patches));
const listed = (plan: ReturnType<typeof planOf>, kind: string) => plan.parts.find((each) => each.id === kind)!;

describe("low stretchers, by hand", () => {
  it("run from leg to leg, and each tenon stops short of the other's in the middle of the leg", () => {
    const plan = low();
    const [long, end] = ["stretcher", "end-stretcher"].map((kind) => plan.joints.find((each) => each.enters === kind)!);
    // 75 / 2, less half a tenon of 8, 2 of a deeper mortise and 3 between them: 28.5
    expect([long, end]).toEqual([
      expect.objectContaining({ thickness: 8, length: 28.5 }),
      expect.objectContaining({ thickness: 8, length: 28.5 }),
    ]);
    expect(listed(plan, "stretcher").finished.length).toBeCloseTo(1570 + 2 * 28.5, 6);
    expect(listed(plan, "end-stretcher").finished.length).toBeCloseTo(620 + 2 * 28.5, 6);
  });
  it("between legs tapered inside they are longer below, by the taper", () => {
    const plan = low(at("form.leg.taper", "two-faces"), at("form.leg.foot", 45));
    const { low: placed, rail } = legs(plan);
    const side = placed!.all.find((each) => each.kind === "stretcher")!;
    // the taper runs from 10 below the rail to the floor and takes 30 there
    const lost = (height: number) => 30 * (1 - height / (rail.lowerEdge - 10));
    expect(side.half.upper).toBeCloseTo(1570 / 2 + lost(120 + 45), 9);
    expect(side.half.lower).toBeCloseTo(1570 / 2 + lost(120), 9);
    expect(plan.steps.some((each) => each.id === "fit-low")).toBe(true);
  });
  it("one between two: from face to face of the end stretchers, and into them", () => {
    const plan = low(at("form.low.kind", "h"));
    const middle = plan.assembly.parts.find((each) => each.kind === "middle-stretcher")!;
    // legs' middles stand 1645 apart, end stretchers are 25 thick
    expect(middle.shape.length).toBeCloseTo(1645 - 25, 9);
    const body = boundsOf(stood(bodyOf(middle), middle.place));
    expect(body.most[0] - body.least[0]).toBeCloseTo(listed(plan, "middle-stretcher").finished.length, 6);
  });
  it("goes in when the base is closed, and is finished with it", () => {
    const plan = low(at("form.low.kind", "h"));
    const step = (id: string) => plan.steps.find((each) => each.id === id)!;
    expect(step("glue-ends").parts).toContain("end-stretcher");
    expect(step("glue-base").parts).toContain("middle-stretcher");
    expect(step("glue-base").detail).toMatch(/can't be put in afterwards/);
    expect(step("coat-1").parts).toContain("middle-stretcher");
  });
});

describe("what low stretchers and arches are judged by", () => {
  const mended = (id: string, ...patches: Parameters<typeof tableWith>) => {
    const verdict = find(planOf(tableWith(...patches)), id);
    expect(verdict.level).not.toBe("holds");
    const again = verdict.remedies[0].patches.map(({ path, value }) => at(path.join("."), value));
    return find(planOf(tableWith(...patches, ...again)), id).level;
  };
  it("stretchers up in the rails come down", () =>
    expect(mended("form.low-stretchers", at("form.low.kind", "box"), at("form.low.height", 640))).toBe("holds"));
  it("stretchers thicker than their legs get thinner", () =>
    expect(mended("form.low-stretchers", at("form.low.kind", "ends"), at("form.low.thickness", 80))).toBe("holds"));
  it("an arch that cuts the rail in two gets lower", () =>
    expect(mended("form.arch", at("form.apron.arch", 95))).toBe("holds"));
  it("as an H they hold as they come, and the mortises are told apart by what they are cut in", () => {
    const plan = low(at("form.low.kind", "h"));
    expect(find(plan, "joints.low-length").level).not.toBe("fix");
    expect(plan.steps.find((each) => each.id === "mortise")!.detail).toMatch(
      / 4 more for the low stretchers\. 2 in the end stretchers\.$/,
    );
  });
  it("their tenons are judged beside the rails'", () => {
    const ids = low().verdicts.map((each) => each.id);
    expect(ids).toContain("joints.low-walls");
    expect(new Set(ids).size).toBe(ids.length);
  });
});
