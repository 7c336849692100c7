import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { applyPatches } from "../../../piece/patch";
import { bays, caseOf, chest, EIGHT, eight, listed, rows, set } from "../../../testing/cases";
import { find, planOf, tableWith } from "../../../testing/plans";

const part = (plan: ReturnType<typeof eight>, id: string) => plan.assembly.parts.find((each) => each.id === id)!;
/** Wood that the cuts of one joint take from a part, mm³. */
const taken = (plan: ReturnType<typeof eight>, id: string, by: string) => {
  const whole = { ...part(plan, id), cuts: [] };
  const cuts = part(plan, id).cuts.filter((cut) => cut.by === by);
  return bulkOf(bodyOf(whole)).volume - bulkOf(bodyOf({ ...whole, cuts })).volume;
};

describe("dust panels of a chest of three drawers, worked by hand", () => {
  const plan = chest(set("dust", true));
  it("two sheets, 5.5 into grooves of 6 in rail and runners, from behind", () => {
    // 840 between the sides less two runners of 32; from 3 before the back to the rail's back edge at 130
    expect(listed(plan, "dust-panel")).toEqual([840 - 64 + 11, 130 + 191 + 5.5, 6]);
    expect(plan.parts.find(({ id }) => id === "dust-panel")!.count).toBe(2);
  });
  it("each runner and each rail is grooved where they lie, and nothing stands in anything", () => {
    // a groove 6 deep and 6.4 high along 321 of runner, and on through its tenon; along 787 of rail
    const runner = taken(plan, "Y1", "dust-panel");
    expect(runner).toBeGreaterThanOrEqual(6 * 6.4 * 321 - 0.1);
    expect(runner).toBeLessThanOrEqual(6 * 6.4 * 327);
    expect(taken(plan, "W1", "dust-panel")).toBeCloseTo(6 * 6.4 * 787, 0);
    expect(find(plan, "form.fit").level).toBe("holds");
    expect(find(plan, "form.dust").text).toBe("2 dust panels lie between the drawers");
    expect(plan.verdicts.some(({ id }) => id === "form.touching")).toBe(
      chest().verdicts.some(({ id }) => id === "form.touching"),
    );
  });
  it("they slide in once the runners are set, before the back is on", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("runners")).toBeLessThan(of("dust"));
    expect(of("cut-sheets")).toBeLessThan(of("dust"));
    expect(of("dust")).toBeLessThan(of("back"));
    expect(plan.steps[of("cut-sheets")].parts).toContain("dust-panel");
  });
  it("runners too thin for a groove are told, and so are panels that lie nowhere", () => {
    const thin = tableWith(
      ...EIGHT,
      bays(rows([null, "drawer"], [null, "drawer"])),
      set("dust", true),
      set("inner", 13),
    );
    expect(find(planOf(thin), "form.dust").level).toBe("tight");
    for (const remedy of find(planOf(thin), "form.dust").remedies) {
      const after = planOf(applyPatches(thin, remedy.patches)).verdicts.find(({ id }) => id === "form.dust");
      expect(after?.level ?? "holds").toBe("holds");
    }
    expect(find(eight(set("dust", true)), "form.dust").text).toMatch(/^No dust panel lies anywhere/);
    const hung = chest(set("dust", true), set("drawers.on", "hung"));
    expect(hung.parts.some(({ id }) => id === "dust-panel")).toBe(false);
    expect(hung.failures).toEqual([]);
  });
});

describe("a skirting behind a case", () => {
  it("low ones: the sides are notched round it with air, and stand before it", () => {
    const plan = eight(set("skirting", { height: 50, depth: 15 }));
    // 3 above and 2 behind
    for (const id of ["P1", "P2"]) expect(taken(plan, id, "skirting")).toBeCloseTo(20 * 53 * 17, 0);
    const { feet, deep } = caseOf(plan);
    expect(Math.min(...feet.map(({ z, width }) => z - width / 2))).toBeCloseTo(deep.from + 17, 6);
    expect(find(plan, "form.skirting")).toMatchObject({ level: "holds", limit: 53, actual: 60 });
    expect(plan.steps.find(({ id }) => id === "case-housings")!.detail).toContain("53 mm high and 17 mm deep");
  });
  it("on a plinth or a frame of legs those stand before it, the case above", () => {
    const plinth = eight(set("skirting", { height: 50, depth: 15 }), set("stands", "plinth"));
    const { least } = boundsOf(stood(bodyOf(part(plinth, "KB")), part(plinth, "KB").place));
    expect(least[2]).toBeCloseTo(caseOf(plinth).deep.from + 17 + 4, 6);
    expect(part(plinth, "P1").cuts.some(({ by }) => by === "skirting")).toBe(false);
    const legs = eight(set("skirting", { height: 50, depth: 15 }), set("stands", "frame"), set("lift", 220));
    const legsBack = Math.min(...caseOf(legs).feet.map(({ z, width }) => z - width / 2));
    expect(legsBack).toBeGreaterThanOrEqual(caseOf(legs).deep.from + 17 - 1e-9);
  });
  it("higher than the bottom it keeps the case off its wall: raised, or the top reaches over it", () => {
    const high = tableWith(...EIGHT, set("skirting", { height: 110, depth: 18 }));
    const said = find(planOf(high), "form.skirting");
    expect([said.level, said.remedies.map(({ label }) => label)]).toEqual([
      "fix",
      ["Raise the bottom to 113 mm", "Let the top overhang by 20 mm behind"],
    ]);
    for (const remedy of said.remedies)
      expect(find(planOf(applyPatches(high, remedy.patches)), "form.skirting").level).toBe("holds");
    const over = planOf(applyPatches(high, said.remedies[1].patches));
    expect(part(over, "P1").cuts.some(({ by }) => by === "skirting")).toBe(false);
  });
});
