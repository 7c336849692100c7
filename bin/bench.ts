/**
 * npm run bench: speed as ratios within one run, since timings on shared machines drift.
 * (a) a full re-plan after one dimension changes, against a structuredClone of the resulting plan, for the dining table and for a
 *     trestle with a shelf; (j) drawing all views after it, against the re-plan;
 * (c) three years of moisture in 60 different parts, against summing as many array elements, once a simulated day and layer;
 * (d) what one step of the dragged month draws, against a structuredClone of the plan;
 * (b) the panel search on the demo rack and 20 seeded racks, against the highs solver on the same model;
 * (h) the panel search on forty racks so small that every panel can be tried;
 * (f) a rack of ten thousand boards: its first page against a `select 1`, and scrolling; (g) fifty clients that reserve twenty of its boards;
 * (k) the first picture of a piece in space, against an empty scene of three on the same page;
 * `--quick`: (a) and (j) only; `--space`: (k) only.
 * (e) all parts from all boards on six seeded racks, `--all` sixty, against the highs solver on the same model.
 */
import highsLoader from "highs";
import { readFileSync } from "node:fs";
import { cuts } from "./bench-cuts";
import { rackOfTenThousand } from "./bench-rack";
import { largeShop } from "./bench-shop";
import { space } from "./bench-space";
import { median, timed, typing } from "./bench-typing";
import { dailyAir, moistureYear } from "../core/climate/year";
import { closeUp } from "../core/drawing/close-up";
import { endGrainScene, movementScene } from "../core/drawing/top";
import { COURSE_DAYS, moistureCourse } from "../core/movement/course";
import { CELLS } from "../core/movement/diffusion";
import { findFilm } from "../core/movement/finish";
import { readPiece } from "../core/formats/piece-file";
import { readRack } from "../core/formats/rack-csv";
import { panelCandidates } from "../core/layout/candidates";
import { BEAUTY_BUDGET, ComposeInputs, Composed, composePanel } from "../core/layout/compose";
import { USUAL_SHOP } from "../core/piece/shop";
import { createPlanner } from "../core/plan";
import type { RackBoard } from "../core/stock/board";
import { prizedBoards } from "../core/stock/prized";
import { allPanels, SMALL_PANEL } from "../core/testing/all-panels";
import { coverModel } from "../core/testing/cover-model";
import { randomRack } from "../core/testing/boards";
import { SPECIES } from "../core/wood/species";

const DAY = "2026-11-23";
const demoRack: RackBoard[] = readRack(readFileSync("demo/rack.csv", "utf8"), SPECIES, DAY).boards.map((board) => ({
  ...board,
  reservedBy: null,
}));

let failed = false;
const judge = (what: string, value: number, most: number) => {
  const ok = value <= most;
  failed ||= !ok;
  console.log(`${ok ? "holds" : "FAILS"}  ${what}: ${value.toFixed(value < 10 ? 3 : 1)} (at most ${most})`);
};
/** Sixty parts, no two alike, from shop to room: every step of the course with its layers, against the plainest loop over as many numbers. */
function diffusion(): void {
  const year = moistureYear({ kind: "typical", id: "heated-temperate" });
  const still = dailyAir(
    year,
    Array.from({ length: 12 }, () => 0),
  );
  const ash = SPECIES.find((each) => each.id === "european-ash")!;
  const parts = Array.from({ length: 60 }, (_, i) => 12 + 1.3 * i);
  const run = () =>
    parts.map((thickness) =>
      moistureCourse({
        thickness,
        species: ash,
        start: { value: 9, on: DAY },
        delivered: "2026-12-23",
        shop: still,
        room: { above: still, below: still },
        films: { above: findFilm("oil-wax"), below: findFilm("oil-wax") },
        year,
      }),
    );
  const layers = new Float64Array(CELLS).fill(1.5);
  let kept = 0;
  const plain = () => {
    let sum = 0;
    for (let day = 0; day < COURSE_DAYS * parts.length; day += 1) for (let i = 0; i < CELLS; i += 1) sum += layers[i];
    kept += sum;
  };
  for (let i = 0; i < 3; i += 1) {
    run();
    plain();
  }
  const ratios = Array.from({ length: 9 }, () => timed(run) / timed(plain));
  if (!(kept > 0)) throw new Error("nothing was summed");
  judge(
    `(c) three years of 60 parts ÷ summing ${CELLS} elements a day and part, median of 9 rounds`,
    median(ratios),
    40,
  );
}

function drag(): void {
  const reading = readPiece(readFileSync("demo/pieces/4-reading-table.json", "utf8"));
  if (!reading.ok) throw new Error(reading.message);
  const plan = createPlanner()({ piece: reading.piece, shop: USUAL_SHOP, rack: demoRack, ownSpecies: [], today: DAY });
  const draw = () => {
    for (let at = 0; at < 200; at += 1) {
      movementScene(plan, reading.piece, at, 8);
      closeUp(plan, reading.piece, at);
      endGrainScene(plan, false, at, 8);
    }
  };
  const clone = () => {
    for (let i = 0; i < 200; i += 1) structuredClone(plan);
  };
  for (let i = 0; i < 2; i += 1) {
    draw();
    clone();
  }
  const ratios = Array.from({ length: 7 }, () => timed(draw) / timed(clone));
  judge(
    "(d) the drawings of one step of the dragged month ÷ structuredClone of the plan, median of 7 rounds",
    median(ratios),
    1,
  );
}

async function panels(): Promise<void> {
  const highs = await highsLoader();
  const racks: [string, readonly RackBoard[], ComposeInputs["need"]][] = [
    ["demo", demoRack, { length: 2100, width: 900, thickness: 30 }],
    ...Array.from({ length: 20 }, (_, i): [string, readonly RackBoard[], ComposeInputs["need"]] => [
      `seed ${i + 1}`,
      randomRack(i + 1, 20 + 2 * i),
      { length: 1800, width: 850, thickness: 28 },
    ]),
  ];
  let [ours, theirs, worst] = [0, 0, 0];
  let slower = 0;
  for (const [name, rack, need] of racks) {
    const choice = { strips: [], pinned: [], banned: [], crosscutFirst: true, sawnFace: null };
    const inputs: ComposeInputs = {
      name: "top",
      rack,
      species: "european-ash",
      need,
      shop: USUAL_SHOP,
      frame: { width: need.width, overhang: 40, leg: 75 },
      choice,
      rings: "alternate",
      sets: 300,
      seed: 1,
    };
    const { candidates } = panelCandidates(rack, inputs.species, need, { shop: USUAL_SHOP, choice });
    const model = coverModel(candidates, need.width, Math.min(16, Math.ceil(need.width / 55)));
    let panel: Composed | null = null;
    const times = { ours: [] as number[], theirs: [] as number[] };
    let optimum = NaN;
    for (let round = 0; round < 3; round += 1) {
      times.ours.push(
        timed(() => {
          for (const found of composePanel(inputs)) {
            if ("none" in found) throw new Error(found.none);
            panel = found;
          }
        }),
      );
      times.theirs.push(
        timed(() => {
          const solved = highs.solve(model, { mip_rel_gap: 0 });
          if (solved.Status !== "Optimal") throw new Error(`highs: ${solved.Status}`);
          optimum = solved.ObjectiveValue * 1e6;
        }),
      );
    }
    const { cost, net, tried } = panel!;
    const ratio = (cost - net) / (optimum - net);
    worst = Math.max(worst, ratio);
    const [mine, solver] = [median(times.ours), median(times.theirs)];
    if (mine > solver) slower += 1;
    ours += mine;
    theirs += solver;
    console.log(
      `       ${name.padEnd(8)} ${String(candidates.length).padStart(3)} candidates, waste ÷ optimum ${ratio.toFixed(4)}, time ÷ highs ${(mine / solver).toFixed(2)}, ${tried} orders`,
    );
  }
  judge("(b) waste ÷ the optimum highs proves, worst of 21 racks", worst, 1.03);
  judge("(b) time ÷ highs, all 21 racks together", ours / theirs, 1);
  console.log(`       (b) racks on which it was slower than highs: ${slower} of ${racks.length}`);
}

/** Least waste and best look, against every panel there is. */
function smallPanels(): void {
  const { need, frame, boards } = SMALL_PANEL;
  let [off, orders] = [0, 0];
  for (let seed = 1; seed <= 40; seed += 1) {
    const rack = randomRack(200 + seed, boards);
    const choice = { strips: [], pinned: [], banned: [], crosscutFirst: true, sawnFace: null };
    let panel: Composed | null = null;
    for (const found of composePanel({
      name: "top",
      rack,
      species: "european-ash",
      need,
      shop: USUAL_SHOP,
      frame,
      choice,
      rings: "alternate",
      sets: 1e6,
      seed: 1,
    }))
      if (!("none" in found)) panel = found;
    const { candidates } = panelCandidates(rack, "european-ash", need, { shop: USUAL_SHOP, choice });
    const net = need.length * need.width * need.thickness;
    const all = allPanels(
      candidates,
      need.width,
      { ...frame, prized: prizedBoards(rack, "european-ash").map((each) => each.id) },
      (least) => least + BEAUTY_BUDGET * (least - net),
    );
    orders += all.orders;
    if (
      Number.isFinite(all.cost) !== (panel !== null) ||
      (panel && (Math.abs(panel.bound - all.cost) > 1 || panel.fault > all.fault + 1e-9))
    )
      off += 1;
  }
  console.log(`       (h) ${orders} panels within the budget tried one by one`);
  judge("(h) small racks, of 40, on which the panel search is not optimal", off, 0);
}

const only = process.argv.includes("--space");
if (only) await space(judge);
else typing(judge, demoRack);
if (!only && !process.argv.includes("--quick")) {
  diffusion();
  drag();
  await panels();
  smallPanels();
  await space(judge);
  await rackOfTenThousand(judge);
  await largeShop(judge);
  await cuts(judge, process.argv.includes("--all") ? 60 : 6);
}
process.exitCode = failed ? 1 : 0;
