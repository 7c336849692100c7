import { describe, expect, it } from "vitest";
import { at, find, planOf, tableWith } from "../testing/plans";
import { mitreGap } from "./flat";
import { governing } from "./governing";

const of = (...patches: Parameters<typeof tableWith>) => {
  const piece = tableWith(...patches);
  return { piece, plan: planOf(piece) };
};

describe("steel channels", () => {
  const { plan } = of(at("form.construction", "channel"));
  it("bolts travel by their distance from the fixed one (by hand)", () => {
    const held = plan.channels!.bolts.find((each) => each.fixed)!;
    for (const bolt of plan.channels!.bolts)
      expect(bolt.wet).toBeCloseTo(
        Math.abs(bolt.at - held.at) * plan.top.coefficient * (plan.top.wet.moisture - plan.top.start.value),
        6,
      );
    expect(held.at).toBe(425);
  });
  it("the groove is longer than the steel by its room at both ends", () =>
    expect(plan.channels!.groove - plan.channels!.length).toBe(20));
  it("slots set off for the season give where the travel goes", () => {
    const { plan: off } = of(
      at("form.construction", "channel"),
      at("form.channel.setOff", true),
      at("moisture.value", 7),
    );
    const bolt = off.channels!.bolts[0];
    expect(bolt.room.wet - bolt.room.dry).toBeCloseTo(bolt.wet + bolt.dry, 6);
    expect(bolt.room.wet + bolt.room.dry).toBeCloseTo(12, 9);
  });
});

describe("slats", () => {
  it("fill the width with their gaps, and each gap takes one slat's change (by hand)", () => {
    const { plan, piece } = of(at("form.construction", "slatted"), at("brief.climate.id", "porch-temperate"));
    const { count, gap } = piece.form.slats;
    expect(count * plan.slats!.width + (count - 1) * gap).toBeCloseTo(850, 9);
    expect(plan.slats!.gap.wet).toBeCloseTo(gap - plan.top.wet.change, 9);
    expect(plan.slats!.gap.dry).toBeGreaterThanOrEqual(gap);
  });
  it("are sawn out one by one, with nothing to glue", () => {
    const { plan } = of(at("form.construction", "slatted"));
    expect(plan.parts.find((part) => part.id === "slat")!.count).toBe(5);
    expect([plan.glueUp, plan.panel.laid]).toEqual([[], []]);
    expect(plan.steps.some((step) => step.id.startsWith("glue-panel") || step.id === "flatten")).toBe(false);
  });
  it("one screw lets a slat move, two without room stop it in the graph", () => {
    const load = (...patches: Parameters<typeof tableWith>) =>
      Math.max(
        0,
        ...of(at("form.construction", "slatted"), ...patches).plan.stopped.flatMap((stop) =>
          stop.link.name === "the screws through it" ? [stop.load] : [],
        ),
      );
    expect(load()).toBeLessThan(0.05);
    expect(load(at("form.slats", { count: 3, gap: 5, screws: "two", screwSpread: 200, clearance: 0 }))).toBeGreaterThan(
      0.5,
    );
  });
});

describe("a panel in a frame", () => {
  it("goes half of its change into each groove (by hand)", () => {
    const { plan } = of(at("form.construction", "framed"));
    expect(plan.framed!.room.wet.need).toBeCloseTo(plan.top.wet.change / 2, 9);
    expect(plan.top.width).toBe(850 - 2 * 80 + 2 * (14 - 5));
  });
  it("a mitre opens by ε b √2 (derived): 1 % of 80 mm is 1.13", () => expect(mitreGap(0.8)).toBeCloseTo(1.131, 3));
  it("glued in, it is found stopped and one press frees it", () => {
    const patches = [at("form.construction", "framed"), at("form.frame.panel", "glued")];
    const verdict = planOf(tableWith(...patches)).verdicts.find((each) => each.text.includes("glue in its groove"))!;
    expect(verdict.level).toBe("fix");
    expect(find(planOf(tableWith(...patches, ...verdict.remedies[0].patches)), "movement.stopped").level).toBe("holds");
  });
});

describe("what would stop the top first", () => {
  it.each([
    ["breadboard", /outermost peg/],
    ["channel", /bolt of a channel/],
    ["slatted", /each slat/],
    ["framed", /the panel at each groove/],
    ["solid", /end button/],
  ] as const)("of a %s top", (kind, what) => {
    const { plan, piece } = of(at("form.construction", kind));
    const found = governing(plan, piece);
    expect(found.what).toMatch(what);
    expect(found.travel).toHaveLength(plan.top.course.mean.length);
    expect(found.travel[0]).toBeCloseTo(0, 9);
  });
  it("its most is the travel the verdicts speak of", () => {
    const { plan, piece } = of(at("form.construction", "breadboard"));
    expect(Math.max(...governing(plan, piece).travel)).toBeCloseTo(
      Math.max(...plan.breadboards!.pegs.map((each) => each.wet)),
      1,
    );
  });
});
