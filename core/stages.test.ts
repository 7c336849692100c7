import { describe, expect, it } from "vitest";
import { createPlanner, PlanFailed, planPiece } from "./plan";
import { USUAL_SHOP } from "./piece/shop";
import { stageList } from "./stages";
import { plainRack, strips, tableWith, at, TODAY } from "./testing/plans";

describe("a list of stages", () => {
  const calls: string[] = [];
  const list = stageList<{ a: number; b: number }>()
    .stage(
      "doubled",
      "form",
      ({ a }) => ({ a }),
      ({ a }) => {
        calls.push("doubled");
        return 2 * a;
      },
    )
    .stage(
      "inverse",
      "joints",
      ({ b }) => ({ b }),
      ({ b }) => {
        calls.push("inverse");
        if (b === 0) throw new Error("nothing to divide by");
        return 1 / b;
      },
    )
    .stage(
      "sum",
      "boards",
      ({ doubled, inverse }) => ({ x: doubled, y: inverse }),
      ({ x, y }) => x + y,
    )
    .stage(
      "last",
      "log",
      ({ doubled }) => ({ x: doubled }),
      ({ x }) => x + 1,
    );

  it("runs each stage from what it reads, and again only when that changes", () => {
    const run = list.runner();
    calls.length = 0;
    expect(run({ a: 1, b: 2 }).values).toEqual({ doubled: 2, inverse: 0.5, sum: 2.5, last: 3 });
    run({ a: 1, b: 4 });
    expect(calls).toEqual(["doubled", "inverse", "inverse"]);
  });
  it("keeps what a failing stage said, names who waits for it, and lets the others stand", () => {
    const run = list.runner();
    const { values, failures, waiting } = run({ a: 1, b: 0 });
    expect(values).toEqual({ doubled: 2, last: 3 });
    expect(failures).toMatchObject([{ stage: "inverse", mark: "joints", message: "nothing to divide by" }]);
    expect(waiting).toEqual([{ stage: "sum", mark: "boards", for: "inverse" }]);
    expect(run({ a: 1, b: 1 }).values.sum).toBe(3);
  });
});

describe("a plan in which something fails", () => {
  const piece = tableWith(at("panels.top.strips", strips("B1", "B2", "B3")));
  const inputs = { piece, shop: USUAL_SHOP, rack: plainRack(), ownSpecies: [], today: TODAY };
  // a board no version of Taller would have written
  const broken = { ...inputs, rack: [...plainRack(), { ...plainRack()[0], id: "X1", defects: null as never }] };

  it("says so where it belongs and where it is waited for, and all else is as without it", () => {
    const plan = planPiece(broken);
    const sound = planPiece(inputs);
    expect(plan.failures[0]).toMatchObject({ stage: "found", mark: "boards" });
    expect(plan.failures[0].stack).toContain("candidates.ts");
    const faults = plan.verdicts.filter((each) => each.id.startsWith("fault."));
    expect(faults.map((each) => [each.stage, each.level])).toEqual(
      expect.arrayContaining([
        ["boards", "fix"],
        ["glue-up", "fix"],
      ]),
    );
    expect(faults[0].why).toMatch(/fault of Taller, not of the piece/);
    for (const same of ["geometry", "joints", "year", "proposal"] as const) expect(plan[same]).toEqual(sound[same]);
    expect(plan.verdicts.filter((each) => each.stage === "joints")).toEqual(
      sound.verdicts.filter((each) => each.stage === "joints"),
    );
  });
  it("comes right again with the inputs, in the same planner", () => {
    const planner = createPlanner();
    planner(broken);
    expect(planner(inputs)).toEqual(planPiece(inputs));
  });
  it("one rule that throws takes no other with it", () => {
    const plan = planPiece({ ...inputs, shop: { ...USUAL_SHOP, routerBits: null as never, chisels: [10] } });
    expect(plan.failures.length).toBeGreaterThan(0);
    expect(plan.verdicts.filter((each) => each.stage === "brief").length).toBeGreaterThan(2);
  });
  it("without a geometry there is no plan, in a sentence", () => {
    expect(() => planPiece({ ...inputs, piece: { ...piece, form: { ...piece.form, top: null as never } } })).toThrow(
      PlanFailed,
    );
  });
});
