import highsLoader from "highs";
import { Problem, problemOf } from "../core/layout/problem";
import { Cut, searchCuts, SearchInputs } from "../core/layout/search";
import { USUAL_SHOP } from "../core/piece/shop";
import { cuttingModel, randomCutting, relaxed } from "../core/testing/cutting-model";

/** Seconds the solver is given on each rack, and rounds our search takes. */
const SECONDS = 20;
const ROUNDS = 12;
/** What a missing piece weighs against its wood, as in the search. */
const MISSING = 40;

/** All parts from all boards, against the highs solver on the same model, on so many seeded racks. Waste is what is used up and is not in a part, litres. */
export async function cuts(judge: (what: string, value: number, most: number) => void, racks: number): Promise<void> {
  const [ours, theirs, ratios, waste]: [number[], number[], number[], { mine: number; bound: number }[]] = [
    [],
    [],
    [],
    [],
  ];
  let [better, betterHelped] = [0, 0];
  // once unmeasured, as the solver comes compiled
  for (const _found of searchCuts({
    ...randomCutting(99),
    taken: [],
    shop: USUAL_SHOP,
    sequence: "least-waste",
    seed: 1,
    rounds: 2,
  }));
  for (let seed = 1; seed <= racks; seed += 1) {
    const inputs: SearchInputs = {
      ...randomCutting(seed),
      taken: [],
      shop: USUAL_SHOP,
      sequence: "least-waste",
      seed: 1,
      rounds: ROUNDS,
    };
    const from = performance.now();
    let cut: Cut | null = null;
    for (const found of searchCuts(inputs)) cut = found;
    ours.push(performance.now() - from);
    const problem = problemOf(inputs);
    const lost = cut!.missing.reduce(
      (sum, id) => sum + MISSING * (inputs.pieces.find((piece) => piece.id === id)!.net ?? 0),
      0,
    );
    const mine = (cut!.cost + lost) / 1e6;
    const net = inputs.pieces.reduce((sum, piece) => sum + (piece.net ?? 0), 0) / 1e6;
    const start = performance.now();
    const alone = await solve(cuttingModel(problem, MISSING));
    theirs.push(performance.now() - start);
    const helped = alone.bound >= alone.best - 1e-6 ? alone : await solveHelped(problem, mine);
    const solved = { best: Math.min(alone.best, helped.best), bound: Math.max(alone.bound, helped.bound) };
    const beaten = (best: number) => mine > best * (1 + 1e-9) + 1e-6;
    if (beaten(alone.best)) better += 1;
    if (beaten(solved.best)) betterHelped += 1;
    const proved = Number.isFinite(solved.bound) && solved.bound > net;
    const ratio = (mine - net) / (solved.bound - net);
    if (proved) {
      ratios.push(ratio);
      waste.push({ mine: mine - net, bound: solved.bound - net });
    }
    console.log(
      `       rack ${String(seed).padStart(2)}: ${String(inputs.rack.length).padStart(2)} boards, ${String(inputs.pieces.length).padStart(2)} parts, ${String(problem.sections.length).padStart(4)} sections; waste ${(mine - net).toFixed(2)} l, ÷ proved bound ${proved ? ratio.toFixed(4) : "none"}, highs' best ${(alone.best - net).toFixed(2)} l${beaten(alone.best) ? " is better" : ""}, helped ${(helped.best - net).toFixed(2)} l${beaten(helped.best) ? " is better" : ""}; ${ours.at(-1)!.toFixed(0)} ms ÷ ${theirs.at(-1)!.toFixed(0)} ms`,
    );
  }
  const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
  judge(
    `(e) total waste ÷ the bounds highs proves in ${SECONDS} s, ${waste.length} racks together`,
    sum(waste.map((each) => each.mine)) / sum(waste.map((each) => each.bound)),
    1.02,
  );
  judge("(e) the same, worst single rack", Math.max(...ratios), 1.02);
  console.log(
    `       (e) within 2 % of that bound on ${ratios.filter((each) => each <= 1.02).length} of ${racks} racks; on ${racks - ratios.length} it proved none in that time`,
  );
  judge(`(e) racks on which highs' best answer is better, of ${racks}`, better, Math.floor(racks / 10));
  console.log(
    `       (e) with choices that can't win taken out for it and as much time again, highs' answer is better on ${betterHelped}`,
  );
  judge("(e) time ÷ highs, all racks together", sum(ours) / sum(theirs), 1 / 20);
}

/** The solver's best answer and bound on a model, litres. */
async function solve(model: string): Promise<{ best: number; bound: number }> {
  // a fresh solver each time: its memory is not given back
  return (await highsLoader()).withModel({ format: "lp", data: model }, (each) => {
    each.options.set({ time_limit: SECONDS, output_flag: false, mip_rel_gap: 0 });
    each.run();
    return { best: each.getObjectiveValue(), bound: Number(each.info.get("mip_dual_bound")) };
  });
}

/**
 * The same with as much time again where it proved nothing to the end: its own linear relaxation first names the choices that are in no answer
 * better than `known`. Without them it gets further, and what it proves holds for the whole model.
 */
async function solveHelped(problem: Problem, known: number): Promise<{ best: number; bound: number }> {
  const linear = (await highsLoader()).solve(relaxed(cuttingModel(problem, MISSING)), { output_flag: false });
  const slack = known - linear.ObjectiveValue + 1e-6;
  const columns = linear.Columns as Record<string, { Dual?: number }>;
  const fits = problem.fits.map((list, run) =>
    list.filter((section) => (columns[`u${section}_${run}`].Dual ?? 0) <= slack),
  );
  const { best, bound } = await solve(cuttingModel({ ...problem, fits }, MISSING));
  // an answer that needs a choice left out costs at least what is known
  return { best, bound: Math.max(linear.ObjectiveValue, Math.min(bound, known)) };
}
