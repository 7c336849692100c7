import { describe, expect, it } from "vitest";
import { at, find, planOf, tableWith } from "../testing/plans";
import { mitreGap } from "./flat";
import { governing } from "./governing";

const of = (...patches: Parameters<typeof tableWith>) => {
  const piece = tableWith(...patches);
  return { piece, plan: planOf(piece) };
};

describe("steel channels", () => {
  const { plan } = of(at("form.stiffener", "channels"));
  it("bolts travel by their distance from the fixed one (by hand)", () => {
    const held = plan.stiffeners!.bolts.find((each) => each.fixed)!;
    for (const bolt of plan.stiffeners!.bolts)
      expect(bolt.wet).toBeCloseTo(
        Math.abs(bolt.at - held.at) * plan.top.coefficient * (plan.top.wet.moisture - plan.top.start.value),
        6,
      );
    expect(held.at).toBe(425);
  });
  it("the groove is longer than the steel by its room at both ends", () =>
    expect(plan.stiffeners!.groove - plan.stiffeners!.length).toBe(20));
  it("slots set off for the season give where the travel goes", () => {
    const { plan: off } = of(
      at("form.stiffener", "channels"),
      at("form.channel.setOff", true),
      at("moisture.value", 7),
    );
    const bolt = off.stiffeners!.bolts[0];
    expect(bolt.room.wet - bolt.room.dry).toBeCloseTo(bolt.wet + bolt.dry, 6);
    expect(bolt.room.wet + bolt.room.dry).toBeCloseTo(12, 9);
  });
});

describe("slats", () => {
  it("fill the width with their gaps, and each gap takes one slat's change (by hand)", () => {
    const { plan, piece } = of(at("form.field", "slats"), at("brief.climate.id", "porch-temperate"));
    const { count, gap } = piece.form.slats;
    expect(count * plan.slats!.width + (count - 1) * gap).toBeCloseTo(850, 9);
    expect(plan.slats!.gap.wet).toBeCloseTo(gap - plan.top.wet.change, 9);
    expect(plan.slats!.gap.dry).toBeGreaterThanOrEqual(gap);
  });
  it("are sawn out one by one, with nothing to glue", () => {
    const { plan } = of(at("form.field", "slats"));
    expect(plan.parts.find((part) => part.id === "slat")!.count).toBe(5);
    expect([plan.glueUp, plan.panel.laid]).toEqual([[], []]);
    expect(plan.steps.some((step) => step.id.startsWith("glue-panel") || step.id === "flatten")).toBe(false);
  });
  it("one screw lets a slat move, two without room stop it in the graph", () => {
    const load = (...patches: Parameters<typeof tableWith>) =>
      Math.max(
        0,
        ...of(at("form.field", "slats"), ...patches).plan.stopped.flatMap((stop) =>
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
    const { plan } = of(at("form.ends", "frame"));
    expect(plan.framed!.room.wet.need).toBeCloseTo(plan.top.wet.change / 2, 9);
    expect(plan.top.width).toBe(850 - 2 * 80 + 2 * (14 - 5));
  });
  it("a mitre opens by ε b √2 (derived): 1 % of 80 mm is 1.13", () => expect(mitreGap(0.8)).toBeCloseTo(1.131, 3));
  it("glued in, it is found stopped and one press frees it", () => {
    const patches = [at("form.ends", "frame"), at("form.frame.panel", "glued")];
    const verdict = planOf(tableWith(...patches)).verdicts.find((each) => each.text.includes("glue in its groove"))!;
    expect(verdict.level).toBe("fix");
    expect(find(planOf(tableWith(...patches, ...verdict.remedies[0].patches)), "movement.stopped").level).toBe("holds");
  });
});

describe("what would stop the top first", () => {
  it.each([
    ["breadboards", [at("form.ends", "breadboards")], /outermost peg/],
    ["channels", [at("form.stiffener", "channels")], /bolt of a channel/],
    ["battens", [at("form.stiffener", "battens")], /screw of a batten/],
    ["slats", [at("form.field", "slats")], /each slat/],
    ["slats between breadboards", [at("form.field", "slats"), at("form.ends", "breadboards")], /each slat/],
    ["slats in a frame", [at("form.field", "slats"), at("form.ends", "frame")], /each slat/],
    ["a panel in a frame", [at("form.ends", "frame")], /the panel at each groove/],
    ["nothing", [], /end button/],
  ] as const)("of a top with %s", (_, patches, what) => {
    const { plan, piece } = of(...patches);
    const found = governing(plan, piece);
    expect(found.what).toMatch(what);
    expect(found.travel).toHaveLength(plan.top.course.mean.length);
    expect(found.travel[0]).toBeCloseTo(0, 9);
  });
  it("its most is the travel the verdicts speak of", () => {
    const { plan, piece } = of(at("form.ends", "breadboards"));
    expect(Math.max(...governing(plan, piece).travel)).toBeCloseTo(
      Math.max(...plan.breadboards!.pegs.map((each) => each.wet)),
      1,
    );
  });
});
