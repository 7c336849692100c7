import highsLoader from "highs";
import { problemOf } from "../core/layout/problem";
import { Cut, searchCuts, SearchInputs } from "../core/layout/search";
import { USUAL_SHOP } from "../core/piece/shop";
import { cuttingModel, randomCutting } from "../core/testing/cutting-model";

/** Seconds the solver is given on each rack, and rounds our search takes. */
const SECONDS = 20;
const ROUNDS = 7;
/** What a missing piece weighs against its wood, as in the search. */
const MISSING = 40;

/** All parts from all boards, against the highs solver on the same model, on so many seeded racks. */
export async function cuts(judge: (what: string, value: number, most: number) => void, racks: number): Promise<void> {
  let [ours, theirs, worst, atLeast, within, unproved] = [0, 0, 0, 0, 0, 0];
  for (let seed = 1; seed <= racks; seed += 1) {
    const inputs: SearchInputs = { ...randomCutting(seed), taken: [], shop: USUAL_SHOP, sequence: "least-waste", seed: 1, rounds: ROUNDS };
    const from = performance.now();
    let cut: Cut | null = null;
    for (const found of searchCuts(inputs)) cut = found;
    const mine = performance.now() - from;
    const { cost, net, missing } = cut!;
    const problem = problemOf(inputs);
    const lost = missing.reduce((sum, id) => sum + MISSING * (inputs.pieces.find((piece) => piece.id === id)!.net ?? 0), 0);
    const all = inputs.pieces.reduce((sum, piece) => sum + (piece.net ?? 0), 0);
    // a fresh solver each time: its memory is not given back
    const highs = await highsLoader();
    const model = cuttingModel(problem, MISSING);
    const start = performance.now();
    const solved = highs.withModel({ format: "lp", data: model }, (each) => { each.options.set({ time_limit: SECONDS, output_flag: false, mip_rel_gap: 0 }); each.run(); return { best: each.getObjectiveValue(), bound: Number(each.info.get("mip_dual_bound")) }; });
    const solver = performance.now() - start;
    const ratio = (cost + lost - all) / (solved.bound * 1e6 - all);
    const beats = (cost + lost) / 1e6 <= solved.best * (1 + 1e-9) + 1e-6;
    ours += mine;
    theirs += solver;
    const proved = Number.isFinite(solved.best) && solved.bound > 0;
    if (proved) worst = Math.max(worst, ratio); else unproved += 1;
    if (beats) atLeast += 1;
    if (proved && ratio <= 1.02) within += 1;
    console.log(`       rack ${String(seed).padStart(2)}: ${String(inputs.rack.length).padStart(2)} boards, ${String(inputs.pieces.length).padStart(2)} parts, ${String(problem.sections.length).padStart(4)} sections; waste ${((cost - net) / 1e6).toFixed(2)} l, ÷ proved bound ${proved ? ratio.toFixed(4) : "none"}, highs' best ${((solved.best * 1e6 - all) / 1e6).toFixed(2)} l${beats ? "" : " is better"}; ${mine.toFixed(0)} ms ÷ ${solver.toFixed(0)} ms`);
  }
  judge(`(e) waste ÷ the bound highs proves in ${SECONDS} s, worst of ${racks} racks`, worst, 1.02);
  console.log(`       (e) within 2 % of that bound on ${within} of ${racks} racks; on ${unproved} it proved none in that time`);
  judge(`(e) racks on which highs' best answer is better, of ${racks}`, racks - atLeast, Math.floor(racks / 10));
  judge("(e) time ÷ highs, all racks together", ours / theirs, 1 / 20);
}
