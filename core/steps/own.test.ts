import { describe, expect, it } from "vitest";
import type { BaseWork } from "../construction/base/base";
import type { OwnStanding } from "../construction/own";
import type { OwnJoin } from "../piece/own-choices";
import { withOwn } from "./own";
import { stepOf } from "./step";

const step = (id: string, after: string[] = []) => stepOf({ id, title: id, detail: "", parts: [], after, hours: 1 });
const base: BaseWork = {
  steps: [step("cut"), step("glue-base", ["cut"])],
  levelling: [step("cut-feet", ["glue-base"])],
  ...{ apart: ["cut", "glue-base"], closing: "glue-base", closed: ["glue-base"], standing: ["cut-feet"], seen: [] },
};
const part = (id: string, kind: string) =>
  ({ id, kind, name: kind === "own-1" ? "Foot rest" : "Cleat" }) as OwnStanding["parts"][number];
const own = (...joins: [kind: string, to: string, how: OwnJoin["how"]][]): OwnStanding => ({
  parts: [...new Set(joins.map(([kind]) => kind))].map((kind, i) => part(`N${i + 1}`, kind)),
  pairs: joins.map(([kind, to, how]) => ({ own: kind, to, how, name: "", said: to, count: 1, fits: [] })),
  ...{ joints: [], meetings: [] },
});
const after = (work: BaseWork, id: string) => work.steps.find((each) => each.id === id)?.after;

describe("what was added, in the order of a base", () => {
  it("nothing added, nothing changed", () =>
    expect(withOwn(base, { parts: [], pairs: [], joints: [], meetings: [] }, ["mill"])).toBe(base));
  it.each(["tenoned", "loose-tenons"] as const)("%s into the base: in hand when it is closed", (how) => {
    const work = withOwn(base, own(["own-1", "leg", how]), ["mill"]);
    expect(after(work, "cut-own")).toEqual(["mill"]);
    expect(after(work, "glue-base")).toEqual(["cut", "cut-own"]);
    expect(work.closed).toEqual(["glue-base"]);
    expect(after(work, "fit-own")).toBeUndefined();
  });
  it("screwed on, or only to the top: after the base is closed, and finished with it", () => {
    for (const join of [
      ["own-1", "leg", "screwed"],
      ["own-1", "top", "tenoned"],
    ] as const) {
      const work = withOwn(base, own([...join]), ["mill"]);
      expect(after(work, "fit-own")).toEqual(["glue-base"]);
      expect(work.closed).toEqual(["glue-base", "fit-own"]);
      expect(after(work, "glue-base")).toEqual(["cut"]);
    }
  });
  it("each goes its own way, by its name and its mark", () => {
    const work = withOwn(base, own(["own-1", "leg", "tenoned"], ["own-2", "leg", "screwed"]), ["mill"]);
    const detail = (id: string) => work.steps.find((each) => each.id === id)!.detail;
    expect(detail("cut-own")).toMatch(/^Foot rest \(N1\)/);
    expect(detail("fit-own")).toMatch(/^Cleat \(N2\)/);
  });
});
