import { USUAL_LEG } from "../piece/base-choices";
import { describe, expect, it } from "vitest";
import { at, find, planOf, strips, tableWith } from "../testing/plans";
import { scheduled } from "./schedule";
import type { Step } from "./step";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
const step = (id: string, after: string[] = [], hours = 1, wait = 0): Step => ({
  id,
  title: id,
  detail: "",
  parts: [],
  after,
  hours,
  wait,
  waitFor: "",
  clamps: 0,
  clampHours: 0,
  caution: "",
  check: "",
});

describe("the order of work", () => {
  const plans = [
    tableWith(seven),
    tableWith(seven, at("choices.stages", "halves")),
    tableWith(at("form.leg", { ...USUAL_LEG, section: 80, taper: "four-faces", foot: 50, make: "laminated" })),
    tableWith(at("form.crossRails", 0), at("form.cornerBlocks", false)),
  ].map((piece) => planOf(piece));

  it("no step begins before what it waits for is ready", () => {
    for (const { steps } of plans) {
      const ready = new Map(steps.map((each) => [each.id, each.ready]));
      steps.forEach((each, i) =>
        each.after.forEach((id) => {
          expect(
            steps.findIndex((other) => other.id === id),
            `${each.id} after ${id}`,
          ).toBeLessThan(i);
          expect(each.starts >= ready.get(id)!).toBe(true);
        }),
      );
    }
  });
  it("nobody works on a Saturday or a Sunday", () => {
    for (const { steps } of plans)
      for (const each of steps) expect([0, 6]).not.toContain(new Date(`${each.starts}T00:00:00Z`).getUTCDay());
  });
  it.each([
    ["mortise", "taper"],
    ["cross", "glue-base"],
    ["blocks", "screw-blocks"],
    ["groove", "glue-ends"],
    ["glue-ends", "glue-base"],
    ["laminate", "mortise"],
    ["sand-top", "coat-1"],
    ["coat-2", "attach"],
    ["cut-feet", "attach"],
  ])("%s comes before %s", (first, then) => {
    for (const { steps } of plans) {
      const [a, b] = [first, then].map((id) => steps.findIndex((each) => each.id === id));
      if (a >= 0 && b >= 0) expect(a).toBeLessThan(b);
    }
    expect(plans.some(({ steps }) => [first, then].every((id) => steps.some((each) => each.id === id)))).toBe(true);
  });
  it("has only the steps the design calls for", () => {
    const ids = (i: number) => plans[i].steps.map((each) => each.id);
    expect(ids(0)).not.toContain("taper");
    expect(ids(2)).toContain("taper");
    expect(ids(3)).not.toContain("cross");
    expect(ids(3)).not.toContain("screw-blocks");
    expect(ids(1)).toContain("glue-last");
  });
  it("boards out of the room's range are acclimatised first", () => {
    expect(planOf(tableWith(at("moisture.value", 14))).steps[0].id).toBe("acclimatise");
  });
});

describe("dates", () => {
  it("an eight hour job begun on a Friday ends on Monday", () => {
    const [, after] = scheduled([step("long", [], 8), step("next", ["long"])], "2026-11-27", []);
    expect(after.starts).toBe("2026-11-30");
  });
  it("other work goes on while glue cures, the longest chain first", () => {
    const steps = scheduled([step("short"), step("glue", [], 1, 72), step("finish", ["glue"])], "2026-11-23", []);
    expect(steps.map((each) => each.id)).toEqual(["glue", "short", "finish"]);
    expect(steps[2].starts).toBe("2026-11-26");
  });
  it("work that begins on a Sunday begins on Monday", () =>
    expect(scheduled([step("a")], "2026-11-29", [])[0].starts).toBe("2026-11-30"));
  it("steps that wait for each other are a mistake of ours", () => {
    expect(() => scheduled([step("a", ["b"]), step("b", ["a"])], "2026-11-23", [])).toThrow(/waits for itself/);
  });
  it("a deadline too near is to fix; ticking steps shows progress", () => {
    expect(find(planOf(tableWith(at("brief.deadline", "2026-11-27"))), "build.deadline").level).toBe("fix");
    expect(find(planOf(tableWith(at("brief.deadline", "2027-03-01"))), "build.deadline").level).toBe("holds");
    expect(find(planOf(tableWith(at("done", ["rough-cut"]))), "build.day").text).toMatch(/^1 of \d+ steps done$/);
  });
});
