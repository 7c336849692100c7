/** What is computed while a maker types: a re-plan, and all views after it. */
import { readFileSync } from "node:fs";
import { frontScene, planScene, sideScene } from "../core/drawing/elevations";
import { readPiece } from "../core/formats/piece-file";
import { applyPatches } from "../core/piece/patch";
import type { Piece } from "../core/piece/schema";
import { USUAL_SHOP } from "../core/piece/shop";
import { createPlanner } from "../core/plan";
import type { RackBoard } from "../core/stock/board";

type Judge = (what: string, value: number, most: number) => void;
interface Bench {
  judge: Judge;
  rack: readonly RackBoard[];
}
const DAY = "2026-11-23";

export function demoPiece(file: string) {
  const read = readPiece(readFileSync(`demo/pieces/${file}.json`, "utf8"));
  if (!read.ok) throw new Error(read.message);
  return read.piece;
}
export const median = (values: number[]) => values.slice().sort((a, b) => a - b)[Math.floor(values.length / 2)];
export const timed = (work: () => void) => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

function replan(name: string, given: Piece, { judge, rack }: Bench): void {
  const planner = createPlanner();
  const at = (length: number) =>
    planner({
      piece: applyPatches(given, [{ path: ["form", "top", "length"], value: length }]),
      shop: USUAL_SHOP,
      rack,
      ownSpecies: [],
      today: DAY,
    });
  for (let i = 0; i < 200; i += 1) structuredClone(at(2000 + i));
  const ratios: number[] = [];
  for (let round = 0; round < 15; round += 1) {
    const plan = at(1999 - round);
    const plans = timed(() => {
      for (let i = 0; i < 20; i += 1) at(2000 + i + round * 0.5);
    });
    const clones = timed(() => {
      for (let i = 0; i < 20; i += 1) structuredClone(plan);
    });
    ratios.push(plans / clones);
  }
  judge(
    `(a) ${name}: re-plan after the top's length changes ÷ structuredClone of the plan, median of 15 rounds`,
    median(ratios),
    5,
  );
}

/** Plan, front and end after the top's length changes. */
function views(name: string, given: Piece, { judge, rack }: Bench): void {
  const planner = createPlanner();
  const ratios: number[] = [];
  for (let i = 0; i < 120; i += 1) {
    const changed = applyPatches(given, [{ path: ["form", "top", "length"], value: 2000 + i }]);
    const inputs = { piece: changed, shop: USUAL_SHOP, rack, ownSpecies: [], today: DAY };
    let plan = planner(inputs);
    const replanned = timed(() => {
      plan = planner({
        ...inputs,
        piece: applyPatches(changed, [{ path: ["form", "top", "length"], value: 2000.5 + i }]),
      });
    });
    const drawable = { ...plan, form: changed.form };
    const drawn = timed(() => {
      planScene(drawable);
      frontScene(drawable);
      sideScene(drawable);
    });
    if (i >= 60) ratios.push(drawn / replanned);
  }
  judge(`(j) ${name}: drawing all views ÷ a re-plan, median of 60`, median(ratios), 1);
}

/** `--quick`: only what is computed while a maker types. */
export function typing(judge: Judge, rack: readonly RackBoard[]): void {
  const trestle = applyPatches(demoPiece("6-refectory-table"), [{ path: ["form", "shelf", "kind"], value: "solid" }]);
  for (const [name, given] of [
    ["dining table", demoPiece("1-dining-table")],
    ["trestle with a shelf", trestle],
  ] as const) {
    replan(name, given, { judge, rack });
    views(name, given, { judge, rack });
  }
}
