import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { Dovetail } from "../../../joinery/dovetail";
import { applyPatches } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { bays, caseOf, EIGHT, eight, listed, rows, set } from "../../../testing/cases";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";

const SEED = Number(process.env.SEED ?? 20261127);
const two = bays(rows([null, "drawer"], [null, "nothing"]), rows([null, "nothing"]));
const boundsFor = (plan: ReturnType<typeof eight>, id: string) => {
  const part = plan.assembly.parts.find((each) => each.id === id)!;
  return boundsOf(stood(bodyOf({ ...part, cuts: [] }), part.place));
};

describe("a case whose top is dovetailed to its sides, 900 by 400, 700 high, worked by hand", () => {
  const plan = eight(set("corners", "through"), two);
  it("stands as far out as its top, its sides' tails come through the top", () => {
    // 20 and 20 of side
    expect(caseOf(plan).inside).toEqual({ from: -430, to: 430 });
    expect(caseOf(plan).high).toEqual({ from: 78, to: 680 });
    expect(listed(plan, "case-side")).toEqual([700, 400, 20]);
    const { least, most } = boundsFor(plan, "P1");
    expect([least[1], most[1]]).toEqual([expect.closeTo(0, 6), expect.closeTo(700, 6)]);
    expect(plan.parts.some(({ id }) => id === "case-rail" || id === "kicker")).toBe(false);
  });
  it("what the tails fill is what the top loses", () => {
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const side = plan.assembly.parts.find(({ id }) => id === "P1")!;
    const tails = side.adds.filter(({ by }) => by === "top+case-side");
    const joint = plan.joints.find(({ id }) => id === "top+case-side") as Dovetail;
    expect(joint.count).toBe(2);
    expect(tails.length).toBeGreaterThanOrEqual(5);
    const sockets = { ...top, cuts: top.cuts.filter(({ by }) => by === "top+case-side") };
    const lost = bulkOf(bodyOf({ ...top, cuts: [] })).volume - bulkOf(bodyOf(sockets)).volume;
    const filled = bulkOf(bodyOf({ ...side, cuts: [] })).volume - 20 * 400 * 680;
    expect(lost).toBeCloseTo(2 * filled, 0);
  });
  it("a divider is let into the top and into the bottom, stopped before the front", () => {
    expect(plan.joints.find(({ id }) => id === "top+divider")).toMatchObject({ kind: "housing", count: 1 });
    // 602 between them, 6 into the bottom and 6 into the top: a third of 18 and of 20
    expect(listed(plan, "divider")[0]).toBe(602 + 6 + 6);
  });
  it("the back is screwed along both sides, nothing fastens the top, and all is glued at once", () => {
    expect(plan.joints.some(({ id }) => id === "case-side+case-back")).toBe(true);
    expect(plan.fasteners).toEqual([]);
    const glue = plan.steps.find(({ id }) => id === "glue-base")!;
    expect(glue.parts).toContain("top");
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("flatten")).toBeLessThan(of("case-dovetails"));
    expect(of("sand-top")).toBeLessThan(of("glue-base"));
    expect(plan.steps.find(({ id }) => id === "attach")!.title).toBe("Set it up");
    expect(plan.failures).toEqual([]);
  });
  it("top and sides move alike: the graph finds nothing that stops them there", () => {
    const held = plan.stopped.filter(({ link }) => link.id.startsWith("top+case-side"));
    for (const { strain } of held) expect(Math.abs(strain)).toBeLessThan(1e-4);
    expect(find(plan, "form.case-top").level).toBe("holds");
  });
});

describe("dovetailed half-blind", () => {
  const plan = eight(set("corners", "half-blind"), two);
  it("its sides' tails stop under the top's upper face, and their blanks are as much shorter", () => {
    // 680 to the top's underside; a tail of 15 in 20, a lap of 5 over it
    const blank = caseOf(plan).panels!.find(({ id }) => id === "side-1")!;
    expect(blank.length).toBe(680 + 15);
    expect(boundsFor(plan, "P1").most[1]).toBeCloseTo(695, 6);
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const through = boundsOf(stood(bodyOf(top), top.place));
    expect(through.most[1]).toBeCloseTo(700, 6);
  });
});

describe("mitred at its upper corners", () => {
  const plan = eight(set("corners", "mitred"), two);
  it("its sides are as thick as its top and as high as the whole", () => {
    expect(listed(plan, "case-side")).toEqual([700, 400, 20]);
    const side = plan.assembly.parts.find(({ id }) => id === "P2")!;
    const mitred = { ...side, cuts: side.cuts.filter(({ by, shows }) => by === "top+case-side" && shows) };
    // a side of 20, its outside 700 high and its inside 680
    expect(bulkOf(bodyOf(mitred)).volume).toBeCloseTo(20 * 400 * 690, 0);
  });
  it("with the top they fill their corner and no more", () => {
    const { parts } = plan.assembly;
    expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
    expect(plan.joints.find(({ id }) => id === "top+case-side")).toMatchObject({ kind: "mitre", count: 2 });
  });
});

describe("a sub-top under the top", () => {
  const plan = eight(set("corners", "sub-top"), two, at("form.overhang", { end: 25, side: 15 }));
  it("is one board from side to side, dovetailed in; the top overhangs it", () => {
    // 900 − 50 − 40 between the sides, and a tail of 15 at each end: 20 less a lap of 5
    expect(listed(plan, "sub-top")).toEqual([810 + 2 * 15, 400 - 15 - 6, 18]);
    expect(plan.joints.find(({ id }) => id === "case-side+sub-top")).toMatchObject({ kind: "dovetail", count: 2 });
    expect(plan.parts.some(({ id }) => id === "case-rail" || id === "kicker")).toBe(false);
    expect(find(plan, "form.fit").level).toBe("holds");
  });
  it("two rows of screws go up through it, drilled before it is glued, dividers in before it", () => {
    expect(new Set(plan.fasteners.map(({ bearer }) => bearer))).toEqual(new Set(["A"]));
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("rail-holes")).toBeGreaterThan(-1);
    expect(of("rail-holes")).toBeLessThan(of("glue-base"));
    // not before it has its size
    expect(plan.steps[of("rail-holes")].after).toEqual(["sub-top-size"]);
    expect(plan.steps[of("rail-holes")].parts).toEqual(["sub-top"]);
    expect(plan.steps[of("rail-holes")].title).toBe("Drill the sub-top for the top's screws");
    const sub = plan.assembly.parts.find(({ id }) => id === "A")!;
    // the fixed one in front, all others give: each hole 30 in from its edge
    const holes = (by: string) =>
      sub.cuts.filter((cut) => cut.by === by).map(({ place, shape }) => Math.round(place.at[1] + shape.width / 2));
    expect(new Set(holes("fixed screw"))).toEqual(new Set([30]));
    expect(new Set(holes("fastening"))).toEqual(new Set([30, 379 - 30]));
    expect(holes("fastening")).toHaveLength(plan.fasteners.length);
    expect(plan.joints.some(({ id }) => id === "sub-top+divider")).toBe(true);
  });
});

describe("what is wrong is said", () => {
  it.each([
    ["slats over it", at("form.field", "slats")],
    ["breadboards", at("form.ends", "breadboards")],
    ["an oval", at("form.top.outline", "ellipse")],
  ])("%s", (_, patch) => {
    const piece = tableWith(...EIGHT, set("corners", "through"), patch);
    const plan = planOf(piece);
    expect(plan.failures).toEqual([]);
    const said = find(plan, "form.case-top");
    expect(said.level).toBe("fix");
    for (const remedy of said.remedies)
      expect(find(planOf(applyPatches(piece, remedy.patches)), "form.case-top").level).toBe("holds");
  });
  it("a thin top over one wide bay sags", () => {
    const piece = tableWith(...EIGHT, set("corners", "through"), at("form.top.length", 1500));
    const said = find(planOf(piece), "form.case-top-sag");
    expect(said.level).not.toBe("holds");
    expect(find(planOf(applyPatches(piece, said.remedies[0].patches)), "form.case-top-sag").level).toBe("holds");
  });
});

describe("a case mitred round, worked by hand", () => {
  const round = (...patches: Parameters<typeof eight>) =>
    eight(set("corners", "mitred"), set("bottom", "mitred"), two, ...patches);
  const plan = round(set("stands", "plinth"), set("lift", 80));
  it("its bottom is as long as the top and as thick; sides from mitre to mitre", () => {
    expect(listed(plan, "case-bottom")).toEqual([900, 400, 20]);
    expect(listed(plan, "case-side")).toEqual([620, 400, 20]);
    expect(caseOf(plan).high).toEqual({ from: 100, to: 680 });
    expect(plan.joints.find(({ id }) => id === "case-bottom+case-side")).toMatchObject({ kind: "mitre", count: 2 });
  });
  it("what two mitred boards are together is what they are by their long edges less the corner they share", () => {
    const bulk = (id: string) => {
      const part = plan.assembly.parts.find((each) => each.id === id)!;
      const mitres = part.cuts.filter(({ by, shows }) => by === "case-bottom+case-side" && shows);
      return bulkOf(bodyOf({ ...part, adds: [], cuts: mitres })).volume;
    };
    // each loses half of 20 by 20 at a corner: the bottom at two, a side at one
    expect(bulk("Q")).toBeCloseTo(900 * 400 * 20 - 2 * 200 * 400, 2);
    expect(bulk("P1")).toBeCloseTo(620 * 400 * 20 - 200 * 400, 2);
  });
  it("the back lies in a rebate of the bottom too: 10 up its edge, over the back's 6", () => {
    expect(listed(plan, "case-back")).toEqual([860 + 2 * 10, 680 - 90, 6]);
    const bottom = plan.assembly.parts.find(({ id }) => id === "Q")!;
    const [rebate] = bottom.cuts.filter(({ by }) => by === "case-back");
    expect([rebate.shape.length, rebate.shape.width, rebate.shape.thickness]).toEqual([880, 6, 10]);
  });
  it("top and sides shrink together: nothing shows past an edge", () => {
    expect(plan.stopped.filter(({ load }) => load > 0.3)).toEqual([]);
    for (const corners of ["through", "mitred", "rebated"])
      expect(
        eight(set("corners", corners), two).verdicts.some(({ id }) => id === "movement.overhang"),
        corners,
      ).toBe(false);
    expect(eight(two).verdicts.some(({ id }) => id === "movement.overhang")).toBe(true);
  });
  it("on its own sides it is told, and mended three ways", () => {
    const piece = tableWith(...EIGHT, set("corners", "mitred"), set("bottom", "mitred"), two);
    const said = find(planOf(piece), "form.case-round");
    expect(said.level).toBe("fix");
    expect(said.remedies).toHaveLength(3);
    for (const { patches } of said.remedies)
      expect(planOf(applyPatches(piece, patches)).verdicts.find(({ id }) => id === said.id)?.level ?? "holds").toBe(
        "holds",
      );
  });
});

describe(`corners of any case (seed ${SEED})`, () => {
  it("leave no wood to two parts", () =>
    fc.assert(
      fc.property(
        fc.record({
          corners: fc.constantFrom("sub-top", "through", "half-blind", "mitred", "rebated", "butted"),
          mitre: fc.constantFrom("spline", "loose", "keys", "dowels"),
          bottom: fc.constantFrom("let-in", "mitred"),
          thickness: fc.integer({ min: 16, max: 30 }),
          stands: fc.constantFrom("sides", "plinth", "frame", "wall"),
          lift: fc.integer({ min: 70, max: 260 }),
          back: fc.constantFrom("none", "sheet", "boards", "framed"),
        }),
        fc.integer({ min: 18, max: 32 }),
        ({ stands, lift, ...given }, top) => {
          const piece = tableWith(
            ...[...EIGHT, two, at("form.top.thickness", top), set("stands", stands)],
            set("lift", stands === "frame" ? Math.max(200, lift) : lift),
            ...Object.entries(given).map(([path, value]) => set(path, value)),
          );
          const { parts } = preview(piece.form, piece.joints, USUAL_SHOP).assembly;
          expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
        },
      ),
      { numRuns: 24, seed: SEED },
    ));
});
