/** Pieces that are made several times: what is cut, glued and counted is for all, what is judged is one. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEMO_PIECES, DEMO_RACK, DEMO_SHOP } from "../tests/generators/pieces";
import { smallList } from "./assembly/small";
import { composeAll } from "./layout/compose-all";
import { panelsToCompose } from "./panels/composing";
import { boardsOf } from "./piece/copy";
import type { Piece } from "./piece/schema";
import { USUAL_SHOP } from "./piece/shop";
import { planPiece, Plan } from "./plan";
import { SETTING_UP, stepsMade } from "./steps/times";
import { stepOf } from "./steps/step";
import { at, planOf, plainRack, tableWith, TODAY } from "./testing/plans";

const made = (piece: Piece, times: number): Plan =>
  planPiece({ piece: { ...piece, times }, shop: DEMO_SHOP, rack: DEMO_RACK, ownSpecies: [], today: TODAY });

describe("four stools alike, by hand", () => {
  const stool = tableWith(
    at("form.use", "stool"),
    at("form.height", 450),
    at("form.top.length", 420),
    at("form.top.width", 300),
    at("form.crossRails", 0),
    at("form.leg.section", 40),
    at("form.apron", { depth: 60, thickness: 20, reveal: 5, arch: 0 }),
    at("times", 4),
  );
  const plan = planOf(stool);
  const marks = (id: string) => plan.parts.find((part) => part.id === id)?.marks;

  it("has sixteen legs, eight rails of each kind and four tops, the first called as if it were alone", () => {
    expect(marks("leg")).toEqual(
      ["", "2", "3", "4"].flatMap((copy) => ["L1", "L2", "L3", "L4"].map((mark) => `${copy}${mark}`)),
    );
    expect(plan.parts.filter(({ role }) => role === "rail").map(({ count }) => count)).toEqual([8, 8]);
    expect(marks("top")).toEqual(["T", "2T", "3T", "4T"]);
    expect(plan.cutting.pieces.filter(({ part }) => part === "leg")).toHaveLength(16);
  });

  it("asks for four panels, and each joint four times", () => {
    expect(plan.panels.map(({ place }) => [place.id, place.name])).toEqual([
      ["2.top", "top of the second"],
      ["3.top", "top of the third"],
      ["4.top", "top of the fourth"],
    ]);
    expect(plan.cards.find(({ title }) => title.includes("times"))?.title).toMatch(/, 16 times$/);
    expect(plan.joints.map(({ count }) => count)).toEqual([4, 4, 4, 4]);
  });

  it("weighs, moves and stands as one", () => {
    const one = planOf({ ...stool, times: 1 });
    expect(plan.weight).toBe(one.weight);
    expect(plan.top).toEqual(one.top);
    expect(plan.assembly).toEqual(one.assembly);
  });
});

describe("two benches from one rack", () => {
  const piece = { ...tableWith(at("form.top.width", 230), at("form.top.length", 800)), times: 2 };
  const rack = plainRack();
  const [{ panels }] = [...composeAll(panelsToCompose(piece, planOf(piece), rack, USUAL_SHOP))].slice(-1);
  const { top, ...others } = Object.fromEntries(
    panels.map(({ id, strips }) => [id, { ...piece.panels.top, strips }]),
  ) as Piece["panels"];
  const composed: Piece = { ...piece, panels: { top, ...others } };
  const plan = planOf(composed, rack);

  it("both tops are composed, and no board is in both", () => {
    expect(panels.map(({ id }) => id).sort()).toEqual(["2.top", "top"]);
    const boards = boardsOf(composed);
    expect(new Set(boards).size).toBe(boards.length);
    expect(plan.cutting.strips.map(({ board }) => board).sort()).toEqual(boards.sort());
  });

  it("each top is glued by itself, and both are flat before either is sanded", () => {
    expect(plan.glueUp.map(({ id }) => id)).toEqual(["panel", "2.top-panel"]);
    expect(plan.steps.filter(({ title }) => title.startsWith("Glue the top")).map(({ title }) => title)).toEqual([
      "Glue the top: the whole panel",
      "Glue the top of the second: the whole panel",
    ]);
    expect(plan.steps.find(({ id }) => id === "flatten")?.after).toEqual(["glue-panel", "glue-2.top-panel"]);
  });

  it("made once again, the second's boards are free; its choice is kept", () => {
    const one = { ...composed, times: 1 };
    expect(boardsOf(one)).toEqual(top.strips.map(({ board }) => board));
    expect(planOf(one, rack).panel.candidates.map(({ board }) => board)).toEqual(
      expect.arrayContaining(composed.panels["2.top"].strips.map(({ board }) => board)),
    );
  });

  it("the second's own outline and size are the first's: a remedy there reaches both", () => {
    const wide = planOf({ ...composed, form: { ...piece.form, top: { ...piece.form.top, width: 320 } } }, rack);
    const narrow = wide.verdicts.filter(({ id }) => id.startsWith("boards.width"));
    expect(narrow.map(({ id }) => id)).toEqual(["boards.width", "boards.width.2.top"]);
    expect(narrow[1].text).toMatch(/^Top of the second: /);
  });
});

describe("any piece of the demo, so many times", () => {
  it("volume, joints' bodies and sheets' pieces are so many; what is judged of one stays", () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_PIECES), fc.integer({ min: 2, max: 5 }), (piece, times) => {
        const [one, all] = [made({ ...piece, done: [] }, 1), made({ ...piece, done: [] }, times)];
        const volume = ({ parts }: Plan) =>
          parts.reduce((sum, { count, finished: f }) => sum + count * f.length * f.width * f.thickness, 0);
        expect(volume(all) / volume(one)).toBeCloseTo(times, 9);
        for (const { count, marks } of all.parts) expect(marks).toHaveLength(count);
        const sheets = (plan: Plan) =>
          plan.sheets.flatMap((each) => [
            ...each.sheets.flatMap(({ strips }) => strips.flatMap(({ pieces }) => pieces)),
            ...each.tooLarge,
          ]);
        expect(sheets(all)).toHaveLength(times * sheets(one).length);
        const brought = (plan: Plan, n: number) => smallList(plan.small, n).reduce((sum, { count }) => sum + count, 0);
        expect(brought(all, times)).toBe(times * brought(one, 1));
        expect(all.stopped).toEqual(one.stopped);
        expect(all.fasteners).toEqual(one.fasteners);
        expect(all.failures).toEqual([]);
      }),
      { numRuns: 8, seed: 3 },
    );
  }, 60_000);
});

describe("hours and clamps", () => {
  const glue = stepOf({ id: "glue-base", title: "", detail: "", hours: 2, clamps: 4, clampHours: 1, wait: 24 });

  it("setting up is done once: 10 h for one are 10 (0.3 + 0.7 · 4) = 31 h for four", () => {
    expect(SETTING_UP).toBe(0.3);
    expect(stepsMade([stepOf({ id: "a", title: "", detail: "", hours: 10 })], 4, 8)[0].hours).toBeCloseTo(31, 12);
  });

  it("ten clamps hold two frames at once: three are glued in two rounds, and the last waits for the first's clamps", () => {
    const [all] = stepsMade([glue], 3, 10);
    expect(all).toMatchObject({ clamps: 8, wait: 25, clampHours: 2 });
    expect(all.detail).toContain("2 rounds");
  });

  it("with clamps for all, nothing waits", () => {
    expect(stepsMade([glue], 2, 8)[0]).toMatchObject({ clamps: 8, wait: 24, clampHours: 1, detail: "" });
  });

  it("what is told panel by panel, or done once for all, stays as it is", () => {
    const once = stepOf({ id: "deliver", title: "", detail: "", hours: 2, once: true });
    expect(stepsMade([once], 5, 1)).toEqual([once]);
  });
});
