import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { bays, caseOf, chest, eight, listed, rows, set } from "../../../testing/cases";
import { find } from "../../../testing/plans";

type Planned = ReturnType<typeof eight>;
const bounds = (plan: Planned, id: string) => {
  const part = plan.assembly.parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, adds: [], cuts: [] }), part.place));
};

describe("a case on a frame of legs, worked by hand", () => {
  const raised = eight(set("stands", "frame"), set("lift", 160));
  it("sides end with the bottom at 160, whose tails of 15 go into sides of 20", () => {
    expect(listed(raised, "case-side")).toEqual([700 - 20 - 160, 390, 20]);
    expect(listed(raised, "case-bottom")).toEqual([840 + 2 * 15, 384, 18]);
    expect(raised.joints.find(({ id }) => id === "case-side+case-bottom")!.kind).toBe("dovetail");
  });
  it("legs 152 below a gap of 8, rails of one length between their shoulders", () => {
    // 880 by 390 less two legs of 45; tenons of 34 that meet in a mitre
    expect(listed(raised, "stand-leg")).toEqual([152, 45, 45]);
    expect(listed(raised, "stand-rail")).toEqual([790 + 2 * 34, 60, 22]);
    expect(listed(raised, "stand-end")).toEqual([300 + 2 * 34, 60, 22]);
    expect(bounds(raised, "Q").least[1]).toBe(160);
    expect(bounds(raised, "FF1").most[1]).toBe(160);
    expect(bounds(raised, "P1").least[1]).toBe(160);
  });
  it("the bottom moves over the frame: tight in front, slots behind, and nothing is held", () => {
    const joint = (id: string) => raised.joints.find((each) => each.id === id)!;
    expect(joint("case-bottom+stand-strip")).toMatchObject({ slot: null });
    expect(joint("case-bottom+stand-strip-back")).toMatchObject({ slot: 12, slotWay: "across" });
    expect(raised.stopped.filter(({ load }) => load > 0.5)).toEqual([]);
    const tight = eight(set("stands", "frame"), set("lift", 160), set("slot", 5));
    expect(tight.stopped.some(({ link, excess }) => link.id.includes("strip") && excess > 0)).toBe(true);
  });
  it("is glued before the frame is put under it; the bottom goes in from below", () => {
    const of = (id: string) => raised.steps.findIndex((step) => step.id === id);
    expect(of("frame-glue")).toBeLessThan(of("frame-strips"));
    expect(of("glue-base")).toBeLessThan(of("cut-feet"));
    expect(of("frame-strips")).toBeLessThan(of("cut-feet"));
    expect(raised.steps[of("case-dovetails")].detail).toContain("go in from below");
    expect(raised.steps[of("dry-fit")].detail).toContain("the bottom up into them from below");
  });
  it("too low for its rails it is told, and raised by one press", () => {
    const low = find(eight(set("stands", "frame")), "form.frame-height");
    expect(low.level).toBe("fix");
    const { patches } = low.remedies.find(({ label }) => label === "Raise the bottom to 160 mm")!;
    expect(find(eight(set("stands", "frame"), ...patches), "form.frame-height").level).toBe("holds");
  });
});

describe("a case on a plinth, worked by hand", () => {
  const plan = eight(set("stands", "plinth"), set("lift", 80), set("setBack", 40));
  it("four boards 18 thick and 80 high: 880 less 12 at each end, 390 less 4 behind and 40 in front", () => {
    expect(listed(plan, "plinth-front")).toEqual([856, 80, 18]);
    expect(listed(plan, "plinth-back")).toEqual([856, 80, 18]);
    expect(listed(plan, "plinth-side")).toEqual([346, 80, 18]);
    expect(listed(plan, "case-side")).toEqual([700 - 20 - 80, 390, 20]);
    expect(bounds(plan, "KF").most[2]).toBeCloseTo(190 - 40, 9);
    expect(bounds(plan, "Q").least[1]).toBe(80);
  });
  it("the bottom moves over it: tight in front, slots along the sides and across behind", () => {
    const joint = (id: string) => plan.joints.find((each) => each.id === id)!;
    expect(joint("plinth-front+case-bottom")).toMatchObject({ slot: null });
    expect(joint("plinth-back+case-bottom")).toMatchObject({ slot: 12, slotWay: "across" });
    expect(joint("plinth-side+case-bottom")).toMatchObject({ slot: 12, slotWay: "along" });
    expect(plan.stopped.filter(({ load }) => load > 0.5)).toEqual([]);
    expect(plan.verdicts.filter(({ stage, level }) => stage === "form" && level !== "holds")).toEqual([]);
  });
  it("is mitred, glued and under the case before the top goes on", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("plinth")).toBeLessThan(of("cut-feet"));
    expect(of("cut-feet")).toBeLessThan(of("attach"));
    expect(plan.steps[of("cut-feet")].title).toBe("Set the case on its plinth");
  });
  it("too low, or level with the front, it is told, and mended by one press", () => {
    for (const [patch, label] of [
      [set("lift", 20), "Raise the bottom to 60 mm"],
      [set("setBack", 0), "Set it 40 mm back"],
    ] as const) {
      const on = [set("stands", "plinth"), set("lift", 80), patch];
      const said = find(eight(...on), "form.plinth");
      expect([said.level, said.remedies[0].label]).toEqual(["tight", label]);
      expect(find(eight(...on, ...said.remedies[0].patches), "form.plinth").level).toBe("holds");
    }
  });
});

describe("drawers from both sides, worked by hand", () => {
  const both = eight(
    set("back", "none"),
    bays(rows([150, "drawers-through"], [null, "drawers-through"]), rows([null, "nothing"])),
  );
  const { drawers, deep } = caseOf(both);
  it("meet back to back: 390 deep, half of it less 15 each", () => {
    expect(drawers.map(({ n, turned }) => [n, turned !== null])).toEqual([
      [1, false],
      [2, true],
      [3, false],
      [4, true],
    ]);
    // 195 less 15 behind is 180, the front 20, and 15 of tails in it
    expect(listed(both, "drawer-side")).toEqual([180 - 20 + 15, 147, 12]);
    expect(both.parts.find(({ id }) => id === "drawer-side")!.count).toBe(4);
  });
  it("one is the other after half a turn about the case’s middle", () => {
    const middle = (deep.from + deep.to) / 2;
    for (const [front, behind] of [
      ["C1", "C2"],
      ["V1", "V3"],
      ["V2", "V4"],
      ["VB1", "VB2"],
      ["X1", "X2"],
    ]) {
      const [a, b] = [bounds(both, front), bounds(both, behind)];
      expect(b.least[1]).toBeCloseTo(a.least[1], 9);
      expect(b.most[2] + a.least[2]).toBeCloseTo(2 * middle, 9);
      expect(b.least[2] + a.most[2]).toBeCloseTo(2 * middle, 9);
    }
    expect(bounds(both, "C2").least[2]).toBeCloseTo(deep.from, 9);
  });
  it("run on one pair of runners between two rails, and come out on their own side", () => {
    expect(both.parts.find(({ id }) => id === "drawer-rail")!.count).toBe(2);
    expect(both.parts.find(({ id }) => id === "runner")!.count).toBe(2);
    const pose = both.assembly.poses!.find(({ id }) => id === "drawer-2")!;
    const shut = both.assembly.parts.find(({ id }) => id === "C2")!.place.at;
    expect(pose.places.C2.at[2]).toBeLessThan(shut[2]);
    expect(find(both, "form.opens").level).toBe("holds");
    expect(find(both, "form.drawers-behind").level).toBe("holds");
  });
  it("a back shuts them in: by its rule, and by its body", () => {
    const shut = eight(bays(rows([null, "drawers-through"])));
    expect(find(shut, "form.drawers-behind")).toMatchObject({
      level: "fix",
      text: "The back shuts in the drawer that should open there",
    });
    expect(find(shut, "form.fit").level).toBe("fix");
    const [mended] = find(shut, "form.drawers-behind").remedies;
    expect(find(eight(bays(rows([null, "drawers-through"])), ...mended.patches), "form.drawers-behind").level).toBe(
      "holds",
    );
    // where drawers open behind no back is offered for stiffness
    expect(find(both, "form.racking").remedies).toEqual([]);
  });
});

it("every part stands where its body is drawn: a drawer’s bottom lies in its grooves, not in wood", () => {
  const { parts } = chest().assembly;
  const [side, bottom] = ["V1", "X1"].map((id) => parts.find((part) => part.id === id)!);
  const whole = bulkOf(stood(bodyOf({ ...side, cuts: [] }), side.place)).volume;
  // the groove runs through the side and its tail: 5 by 6 over all its length
  expect(whole - bulkOf(bodyOf({ ...side, cuts: side.cuts.slice(0, 1) })).volume).toBeCloseTo(
    5 * 6 * (12 + 337 + 15),
    1,
  );
  expect(bottom.sheet).toEqual({ material: "plywood", thickness: 6, turns: true });
});
