import { describe, expect, it } from "vitest";
import { bodyOf } from "../assembly/part";
import { bulkOf } from "../assembly/solid";
import { solidOf } from "../assembly/shape";
import { USUAL_TENON } from "../piece/base-choices";
import { USUAL_SHOP } from "../piece/shop";
import { boxed, boxOf, set } from "../testing/boxes";
import { set as inCase, eight, listed, bays, rows } from "../testing/cases";
import { at, planOf, tableWith } from "../testing/plans";
import { cardOf } from "./kinds";
import { mitre, mitreBodies } from "./mitre";
import type { Mitre, MitreHolding } from "./mitred";
import type { Rebated } from "./rebated";

const made = (held: MitreHolding, more: { angle?: number; board?: number } = {}) =>
  mitre({
    meets: { id: "a+b", group: "a+b", receives: "a", enters: "b", name: "Corner", count: 2 },
    ...{ width: 300, board: 20, setting: USUAL_TENON, shop: USUAL_SHOP, set: [], held, ...more },
  });
const volume = (shape: Parameters<typeof solidOf>[0]) => bulkOf(solidOf(shape)).volume;

describe("keys across a corner, worked by hand", () => {
  const joint = made("keys");
  it("four in 300, as thick as the saw cuts, 18 into a cut 28.3 long", () => {
    expect(joint).toMatchObject({ tenons: 4, reach: 18, thickness: USUAL_SHOP.kerf });
    expect(joint.section.thickness).toBeCloseTo(20 * Math.SQRT2, 9);
    expect(joint.walls).toMatchObject([{ left: expect.closeTo(20 * Math.SQRT2 - 18, 9) }]);
  });
  it("each is a triangle: as far out to both sides as it is deep, 18 by 18 by its thickness", () => {
    const { brings } = mitreBodies(joint);
    expect(brings).toHaveLength(4);
    for (const { shape } of brings!) expect(volume(shape)).toBeCloseTo(18 * 18 * joint.thickness, 6);
  });
  it("at another angle its faces leave the cut by half of that", () => {
    const wide = made("keys", { angle: 120 });
    const [{ shape }] = mitreBodies(wide).brings!;
    expect(shape.length / 2).toBeCloseTo(wide.reach * Math.tan(Math.PI / 3), 9);
  });
  it("its card says where and how deep", () => {
    const said = cardOf(joint).lines.map(({ what, setting }) => `${what}: ${setting}`);
    expect(said).toContain(
      "Keys, once the corner is glued: 4, the first 37.5 mm from the edge, 75.0 mm from one to the next",
    );
    expect(said.find((line) => line.startsWith("Their cuts"))).toContain("18 mm into the corner");
  });
});

describe("dowels through a corner, worked by hand", () => {
  const joint = made("dowels");
  it("three in 300, of those the shop has, 13 along the cut from the outside corner", () => {
    expect(joint).toMatchObject({ tenons: 3, reach: 13 });
    expect(USUAL_SHOP.dowels.map(({ diameter }) => diameter)).toContain(joint.thickness);
  });
  it("a hole comes out on both outer faces: at 45° its middle line is twice as long as it lies deep", () => {
    const { cuts, own, brings } = mitreBodies(joint);
    const holes = [...cuts, ...own].filter(({ when }) => when === "closed");
    expect(holes).toHaveLength(6);
    for (const { shape } of holes) expect(shape.length).toBeGreaterThan(joint.reach + joint.tenonWidth / 2);
    expect(brings![0].sold!.length).toBe(2 * 13 + 10);
    expect(cardOf(joint).lines.find(({ what }) => what.startsWith("Their holes"))!.setting).toContain(
      "18.4 mm along the face",
    );
  });
});

describe("what corners lose once they are glued", () => {
  const lost = (plan: ReturnType<typeof planOf>, kinds: readonly string[]) =>
    plan.assembly.parts
      .filter(({ kind }) => kinds.includes(kind))
      .reduce((sum, part) => {
        const before = { ...part, cuts: part.cuts.filter(({ when }) => when !== "closed") };
        return sum + bulkOf(bodyOf(before)).volume - bulkOf(bodyOf(part)).volume;
      }, 0);
  const walls = ["box-end", "box-front", "box-back"];
  it("is what a box's keys fill, in all four of them", () => {
    const plan = boxed(set("corner", "keyed"));
    const joint = plan.joints.find(({ id }) => id === "box-end+box-front") as Mitre;
    const { reach, thickness, tenons } = joint;
    expect(lost(plan, walls)).toBeCloseTo(4 * tenons * reach * reach * thickness, 0);
    expect(plan.steps.find(({ id }) => id === "corners-held")!.after).toEqual(["glue-base"]);
    expect(plan.steps.find(({ id }) => id === "box-bottom")!.after).toContain("corners-held");
  });
  it("is what a case's dowels fill: a cylinder as long as its middle line", () => {
    const plan = eight(inCase("corners", "mitred"), inCase("mitre", "dowels"));
    const { reach, tenonWidth, tenons } = plan.joints.find(({ id }) => id === "top+case-side") as Mitre;
    const filled = 2 * tenons * Math.PI * (tenonWidth / 2) ** 2 * 2 * reach;
    expect(Math.abs(lost(plan, ["top", "case-side"]) / filled - 1)).toBeLessThan(0.01);
  });
  it("plank ends are keyed once they are glued, before their feet are levelled", () => {
    const plan = planOf(
      tableWith(at("form.kind", "plank"), at("form.plank.joint", "mitred"), at("form.plank.mitre", "keys")),
    );
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("glue-base")).toBeLessThan(of("corners-held"));
    expect(of("corners-held")).toBeLessThan(of("cut-feet"));
    expect(plan.joints.find(({ id }) => id === "top+plank-end")).toMatchObject({ held: "keys" });
  });
});

describe("a rebated corner, worked by hand", () => {
  it("a side stands 13 in a top of 20, pinned 25 beyond its shoulder", () => {
    const plan = eight(inCase("corners", "rebated"), bays(rows([null, "nothing"])));
    const joint = plan.joints.find(({ id }) => id === "top+case-side") as Rebated;
    expect(joint).toMatchObject({ kind: "rebated", length: 13, pins: 5, pin: 6 });
    // 700 less 20, and 13 of it in the rebate
    expect(listed(plan, "case-side")).toEqual([693, 400, 20]);
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const taken = bulkOf(bodyOf({ ...top, cuts: [] })).volume - bulkOf(bodyOf(top)).volume;
    const pins = 2 * 5 * Math.PI * (joint.hole / 2) ** 2 * 25;
    expect(Math.abs((taken - 2 * 13 * 20 * 400) / pins - 1)).toBeLessThan(0.02);
    expect(plan.stopped.filter(({ load }) => load > 0.3)).toEqual([]);
  });
  it("a box's front wall is as long as what lies between the rebates, with them", () => {
    const plan = boxed(set("corner", "rebated"));
    const { inside, wall } = boxOf(plan);
    const front = plan.assembly.parts.find(({ kind }) => kind === "box-front")!;
    expect(front.shape.length).toBe(inside.x.to - inside.x.from);
    expect(plan.joints.find(({ id }) => id === "box-end+box-front")).toMatchObject({ length: 13 });
    const { finished } = plan.parts.find(({ id }) => id === "box-front")!;
    expect(finished.length).toBeCloseTo(front.shape.length + 2 * Math.round((wall * 2) / 3), 6);
  });
});
