/** What is said of the wood itself: its kind, its moisture, and when it may be milled. */
import { execFileSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { writePiece } from "../../core/formats/piece-file";
import { applyPatches } from "../../core/piece/patch";
import { USUAL_SHOP } from "../../core/piece/shop";
import { planPiece } from "../../core/plan";
import { SPECIES } from "../../core/wood/species";
import { at, find, plainRack, planOf, strips, tableWith, TODAY } from "../../core/testing/plans";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));

describe("16: an unknown wood is never another without a word", () => {
  const strange = tableWith(at("species", "moon-wood"));
  it("is told, with what stands in for it and a way out", () => {
    const verdict = find(planOf(strange), "form.species");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toBe("The wood of the piece, moon-wood, is not known here");
    const mended = planOf(applyPatches(strange, verdict.remedies[0].patches));
    expect(mended.verdicts.map(({ id }) => id)).not.toContain("form.species");
  });
  it("of a kind of part too", () =>
    expect(
      find(
        planOf(tableWith(at("kinds.leg", { species: "moon-wood", moisture: null, finish: null, edges: null }))),
        "form.species",
      ).text,
    ).toBe("The wood of the leg, moon-wood, is not known here"));
  it("is known when the shop has it among its own", () => {
    const own = [{ ...SPECIES[3], id: "moon-wood", name: "Moon wood" }];
    const plan = planPiece({ piece: strange, shop: USUAL_SHOP, rack: [], ownSpecies: own, today: TODAY });
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.species");
    expect(plan.species.name).toBe("Moon wood");
  });
  it("is refused on the command line in a sentence, with what may have been meant", () => {
    const file = join(mkdtempSync(join(tmpdir(), "taller-")), "piece.json");
    writeFileSync(file, writePiece(tableWith(at("species", "red-moon-oak"))));
    let [code, said] = [0, ""];
    try {
      execFileSync(process.execPath, ["bin/taller.mjs", "plan", file], { stdio: ["ignore", "pipe", "pipe"] });
    } catch (error) {
      const { status, stderr } = error as { status: number; stderr: Buffer };
      [code, said] = [status, stderr.toString()];
    }
    expect(code).toBe(2);
    expect(said).toMatch(/^The wood of the piece, "red-moon-oak", is not known\. Did you mean [\w-]*oak/);
  });
});

describe("19: boards are judged by their own readings, and stand as long as they need", () => {
  const wet = (moisture: number, thickness?: number) =>
    plainRack().map((board) => ({ ...board, moisture, thickness: thickness ?? board.thickness }));
  const told = (rack = wet(14)) => {
    const plan = planOf(tableWith(seven), rack);
    return { verdict: find(plan, "movement.acclimatised"), step: plan.steps.find(({ id }) => id === "acclimatise") };
  };
  it("at 14 % for a room that never is, though the piece says nothing", () => {
    const { verdict, step } = told();
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toMatch(/^B1 at 14 % is wetter than the room ever is, and \d+ more/);
    expect(step!.detail).toMatch(/^B1, /);
  });
  it("not seven days: a square of the thickness, as diffusion has it", () => {
    // above 50 the inside lags: twice as thick takes more than twice as long
    const [thin, thick] = [told(wet(14, 32)).step!, told(wet(14, 64)).step!];
    expect(thin.wait).not.toBe(7 * 24);
    expect(thick.wait / thin.wait).toBeGreaterThanOrEqual(2);
    expect(thick.detail).toMatch(/inside a fresh cut/);
    expect(thin.caution).toMatch(/rusts the saw/);
  });
  it("boards that suit the room wait for nothing", () => expect(told(wet(8.5)).step).toBeUndefined());
});
