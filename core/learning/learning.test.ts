import { describe, expect, it } from "vitest";
import { at, find, plainRack, planOf, strips, tableWith } from "../testing/plans";
import { seeded } from "../units/seeded";
import { fitCoefficient, FIT_NEEDS, MEASURING } from "./fit";
import { corrected } from "./meter";
import { learned, taken } from "./offers";

/** Two uniforms to one normal number. @source Box and Muller */
const normal = (next: () => number) => Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next());

describe("a pin meter's correction (Garrahan's form, from memory)", () => {
  it("leaves a reading near 20 °C as it is, lowers warm wood's and raises cold wood's", () => {
    expect(corrected(10, 20, 0)).toBeCloseTo(10, 0);
    expect(corrected(10, 35, 0)).toBeLessThan(9.5);
    expect(corrected(10, 5, 0)).toBeGreaterThan(10.6);
    expect(corrected(10, 20, -0.7)).toBeCloseTo(corrected(10, 20, 0) - 0.7, 12);
  });
});

describe("a coefficient from measured widths", () => {
  it("is the slope, exactly, when nothing is uncertain (by hand)", () => {
    const fit = fitCoefficient(
      [6, 8, 10, 12].map((moisture) => ({ what: "B1", width: 200 * (1 + 0.003 * (moisture - 9)), moisture })),
    );
    expect(fit.ok && fit.coefficient).toBeCloseTo(0.003, 9);
  });
  it("its uncertainty holds the truth in about 95 of 100 trials with a caliper's and a meter's errors (400 seeded)", () => {
    const next = seeded(5);
    let inside = 0;
    for (let trial = 0; trial < 400; trial += 1) {
      const truth = 0.002 + 0.002 * next();
      const fit = fitCoefficient(
        [7, 8, 9, 10, 11, 12].map((moisture) => ({
          what: "B1",
          width: 180 * (1 + truth * (moisture - 9)) + MEASURING.width * normal(next),
          moisture: moisture + MEASURING.moisture * normal(next),
        })),
      );
      if (fit.ok && Math.abs(fit.coefficient - truth) <= fit.uncertainty) inside += 1;
    }
    expect(inside / 400).toBeGreaterThan(0.9);
    expect(inside / 400).toBeLessThan(1);
  });
  it("boards of a bundle share one slope and keep each its own width", () => {
    const fit = fitCoefficient(
      [
        ["B1", 150],
        ["B2", 210],
      ].flatMap(([what, width]) =>
        [7, 11].map((moisture) => ({
          what: String(what),
          width: Number(width) * (1 + 0.0026 * (moisture - 9)),
          moisture,
        })),
      ),
    );
    expect(fit.ok && fit.coefficient).toBeCloseTo(0.0026, 6);
  });
  it("says what is missing rather than guess", () => {
    expect(fitCoefficient([])).toMatchObject({ ok: false });
    const near = fitCoefficient([9, 9.2, 9.4].map((moisture) => ({ what: "B1", width: 200, moisture })));
    expect(near.ok ? "" : near.why).toMatch(new RegExp(`wait until they are ${FIT_NEEDS.spread} %`));
    const wrong = fitCoefficient([7, 9, 11].map((moisture) => ({ what: "B1", width: 220 - moisture, moisture })));
    expect(wrong.ok ? "" : wrong.why).toMatch(/shrink as the wood gets wetter/);
  });
});

describe("what the log teaches is offered, never applied unasked", () => {
  const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
  const width = (id: number, what: string, on: string, [value, moisture]: [mm: number, percent: number | null]) => ({
    kind: "width",
    id: String(id),
    on,
    value,
    text: "",
    what,
    moisture,
  });
  const log = at("log", [
    width(1, "top", "2026-11-23", [850, 8.5]),
    width(2, "top", "2027-03-01", [847.7, 7]),
    width(3, "top", "2027-08-10", [853.8, 11]),
  ]);
  const plan = planOf(tableWith(seven, log));
  it("the plan stays on the table's coefficient until it is taken, then follows the measured one", () => {
    const offer = plan.learned.find((each) => each.what === "top")!;
    expect(offer.fit.ok && offer.fit.coefficient).toBeCloseTo(0.0018, 4);
    expect(plan.top.coefficient).toBeGreaterThan(0.0025);
    const piece = tableWith(seven, log);
    const after = planOf({ ...piece, fitted: taken(piece, offer, "2027-08-10") });
    expect(after.top.coefficient).toBeCloseTo(0.0018, 4);
  });
  it("its verdict gives both numbers and one press, and holds once taken", () => {
    const verdict = find(plan, "log.learned.top");
    expect(verdict.level).toBe("tight");
    expect(verdict.remedies[0].label).toMatch(/^Use 0\.0017/);
  });
  it("boards of one tree are offered together", () => {
    const boards = at(
      "log",
      ["B1", "B2"].flatMap((what, i) => [
        width(10 * i, what, "2026-11-23", [130, 8.5]),
        width(10 * i + 1, what, "2027-08-10", [130.9, 11]),
      ]),
    );
    const rack = plainRack().map((board) => ({ ...board, tree: "A" }));
    const bundle = planOf(tableWith(seven, boards), rack).learned.find((each) => each.what === "tree:A")!;
    expect(bundle.boards).toEqual(expect.arrayContaining(["B1", "B2", "B7"]));
    expect(bundle.fit.ok).toBe(true);
    expect(learned({ log: [], fitted: [] }, [], rack, () => 0.003)).toEqual([]);
  });
});
