import { railsOf } from "../construction/base/leg-and-apron/joints";
import type { LegAndApron } from "../construction/base/leg-and-apron/place";
import type { RailTenon } from "../joinery/rail-tenon";
import { Course, sampleDate } from "../movement/course";
import { freshPiece } from "../piece/fresh";
import { applyPatches, Patch } from "../piece/patch";
import type { Piece } from "../piece/schema";
import { Shop, USUAL_SHOP } from "../piece/shop";
import { Plan, planPiece } from "../plan";
import type { RackBoard } from "../stock/board";
import type { Verdict } from "../verdict/verdict";
import { demoBoard } from "./boards";

export const TODAY = "2026-11-23";

/** A usual table with changes laid over it. */
export function tableWith(...patches: Patch[]): Piece {
  return applyPatches(freshPiece("Test table", TODAY), patches);
}

export const at = (path: string, value: unknown): Patch => ({
  path: path.split(".").map((step) => (/^\d+$/.test(step) ? Number(step) : step)),
  value,
});

/** Seven flat ash boards for the top, and stock for legs and rails. */
export function plainRack(): RackBoard[] {
  return [
    ...Array.from({ length: 7 }, (_, i) => demoBoard({ id: `B${i + 1}`, width: 130 + 5 * i })),
    ...Array.from({ length: 4 }, (_, i) => demoBoard({ id: `R${i + 1}`, thickness: 32, width: 130, length: 2200 })),
    ...Array.from({ length: 3 }, (_, i) => demoBoard({ id: `L${i + 1}`, thickness: 90, width: 100, length: 1700 })),
  ];
}

export const strips = (...boards: string[]): Piece["panels"]["top"]["strips"] =>
  boards.map((board, i) => ({ board, face: i % 2 ? "bark-down" : "bark-up", turned: false, slide: 0, width: null }));

export function planOf(
  piece: Piece,
  rack: readonly RackBoard[] = plainRack(),
  shop: Shop = USUAL_SHOP,
  today = TODAY,
): Plan {
  return planPiece({ piece, shop, rack, ownSpecies: [], today });
}

/** The geometry of legs and rails; throws when the plan has another base. */
export function legs(plan: Plan): LegAndApron {
  if (plan.geometry.kind !== "leg-and-apron") throw new Error(`It stands on a ${plan.geometry.kind}.`);
  return plan.geometry;
}

/** Its joints between legs and rails. */
export const railJoints = (plan: Plan): RailTenon[] => (legs(plan), railsOf(plan.joints));

/** What its sections are drawn from. */
export const sectionOf = (plan: Plan) => ({ at: legs(plan), joints: railJoints(plan), species: plan.species });

export function find(plan: Plan, id: string): Verdict {
  const found = plan.verdicts.find((each) => each.id === id);
  if (!found) throw new Error(`No verdict ${id}; there are ${plan.verdicts.map((each) => each.id).join(", ")}`);
  return found;
}

/** Remedies of a verdict, each pressed by itself, that leave it something to fix: none should, and there should be one at least. */
export function remediesThatFail(piece: Piece, id: string): string[] {
  const { remedies } = find(planOf(piece), id);
  if (remedies.length === 0) return ["there is none"];
  return remedies
    .filter(({ patches }) => {
      const after = planOf(applyPatches(piece, patches)).verdicts.find((each) => each.id === id);
      return after?.level === "fix";
    })
    .map(({ label }) => label);
}

/** A course of one moisture after another, a sample each, for tests that know what the wood holds. */
export function courseOf(moistures: readonly number[], from = TODAY): Course {
  const day = (at: number) => ({ at, ...sampleDate(from, at), moisture: moistures[at] });
  const best = (better: (a: number, b: number) => boolean) =>
    day(moistures.reduce((found, each, i) => (better(each, moistures[found]) ? i : found), 0));
  return {
    from,
    delivered: 0,
    mean: [...moistures],
    moment: moistures.map(() => 0),
    driest: best((a, b) => a < b),
    wettest: best((a, b) => a > b),
    follows: 0,
    half: 1,
    most: 3,
  };
}
