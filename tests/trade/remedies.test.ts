/** A remedy is a promise: it mends what it stands under, and says what it makes worse before it is pressed. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { applyPatches } from "../../core/piece/patch";
import { createPlanner, planPiece } from "../../core/plan";
import { triedRemedy } from "../../core/tried";
import type { Level, Verdict } from "../../core/verdict/verdict";
import { at, find, planOf, tableWith } from "../../core/testing/plans";
import { drawsOf } from "../generators/holds";
import { DEMO_PIECES, DEMO_RACK, DEMO_SHOP, randomPiece, TODAY } from "../generators/pieces";

const SEED = Number(process.env.SEED ?? 20261125);
const DRAWS = drawsOf(150);
const WORSE: Level[] = ["holds", "tight", "fix"];
const inputsOf = (piece: (typeof DEMO_PIECES)[number]) => ({
  ...{ piece, shop: DEMO_SHOP, rack: DEMO_RACK, ownSpecies: [], today: TODAY },
});
const rank = (verdicts: readonly Verdict[], id: string) =>
  WORSE.indexOf(verdicts.find((each) => each.id === id)?.level ?? "holds");

/** Of all remedies drawn, so many may turn out not to mend in a piece as odd as these: those are not offered. Measured on this seed: 45 of 472, mostly panels whose boards are not there. */
const MOST_USELESS = 0.1;

describe(`17: remedies over random pieces (seed ${SEED}, ${DRAWS} draws)`, () => {
  it("each that is offered mends its verdict, and names every other it makes worse, as a plan from nothing has it", () => {
    let [all, useless] = [0, 0];
    for (const piece of [...DEMO_PIECES, ...fc.sample(randomPiece, { numRuns: DRAWS, seed: SEED })]) {
      const inputs = inputsOf(piece);
      const plan = planPiece(inputs);
      const planner = createPlanner();
      for (const verdict of plan.verdicts)
        for (const remedy of verdict.remedies) {
          const tried = triedRemedy({ inputs, plan, planner }, verdict, remedy);
          all += 1;
          if (!tried.mends) {
            useless += 1;
            continue;
          }
          const after = planPiece(inputsOf(applyPatches(piece, remedy.patches))).verdicts;
          const was = rank(plan.verdicts, verdict.id);
          // under what holds it is an offer, and must leave it so
          expect(rank(after, verdict.id), `${verdict.text}: ${remedy.label}`).toBeLessThan(Math.max(1, was));
          const worse = after
            .filter(({ id }) => id !== verdict.id && rank(after, id) > rank(plan.verdicts, id))
            .map(({ id }) => id);
          expect(tried.worse.map(({ id }) => id)).toEqual(worse);
        }
    }
    expect(all).toBeGreaterThan(2 * DRAWS);
    expect(useless / all).toBeLessThan(MOST_USELESS);
  }, 300_000);

  it("no two verdicts have one name, and labels under one verdict differ", () => {
    for (const piece of fc.sample(randomPiece, { numRuns: DRAWS / 4, seed: SEED })) {
      const { verdicts } = planPiece(inputsOf(piece));
      const ids = verdicts.map(({ id }) => id);
      expect(ids.filter((id, i) => ids.indexOf(id) < i)).toEqual([]);
      for (const { id, remedies } of verdicts)
        expect(new Set(remedies.map(({ label }) => label)).size, id).toBe(remedies.length);
    }
  }, 60_000);
});

describe("17: the four that were found by hand", () => {
  it("an overhang that is too small is never answered by a smaller one", () => {
    for (const side of [2, 8, 12]) {
      const piece = tableWith(at("form.overhang.side", side), at("moisture.value", 14));
      for (const { patches } of find(planOf(piece), "movement.overhang").remedies)
        expect(patches[0].value).toBeGreaterThan(side);
    }
  });
  it("flush at mid-season is offered only where half the year's movement is not seen", () => {
    const piece = tableWith(at("form.ends", "breadboards"), at("form.top.width", 1100));
    const verdict = find(planOf(piece), "movement.breadboard-length");
    for (const { patches } of verdict.remedies)
      expect(WORSE.indexOf(find(planOf(applyPatches(piece, patches)), verdict.id).level)).toBeLessThan(
        WORSE.indexOf(verdict.level),
      );
  });
  it("a groove made shallower says when its tongues then push the rails out", () => {
    const piece = tableWith(at("form.apron.thickness", 18), at("joints.buttons.grooveDepth", 13));
    const inputs = { ...inputsOf(piece), rack: [] };
    const plan = planPiece(inputs);
    const verdict = find(plan, "joints.groove");
    const tried = triedRemedy({ inputs, plan, planner: createPlanner() }, verdict, verdict.remedies[0]);
    expect(tried.mends).toBe(true);
    expect(tried.worse.map(({ id }) => id)).toContain("movement.long-buttons-wet");
  });
  it("a groove made deeper says when it leaves too little rail", () => {
    const piece = tableWith(at("form.apron.thickness", 18), at("joints.buttons.engaged", 12));
    const inputs = { ...inputsOf(piece), rack: [] };
    const plan = planPiece(inputs);
    const verdict = find(plan, "movement.long-buttons-wet");
    const tried = triedRemedy({ inputs, plan, planner: createPlanner() }, verdict, verdict.remedies[0]);
    expect(tried.worse.map(({ id }) => id)).toContain("joints.groove");
  });
});
