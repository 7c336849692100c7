// The runner: plans what the bench shows, and runs long searches, as the database has them waiting. Any number may run; killing one loses at
// most a round of a search. While the database is away it waits and goes on by itself.
import { summarise } from "../core/summary";
import { isAway, pool } from "../store/database";
import { RUNNER, reportJob, takeJob } from "../store/jobs";
import { savedInputs } from "../store/inputs";
import { keepFailures, keepSummary, takeStale } from "../store/summaries";
import { workshopOf } from "../store/workshops";
import { runSearches } from "../workers/run-searches";
import { sourcesFingerprint } from "./fingerprint.mjs";

process.env.PGAPPNAME = RUNNER;
/** How long to wait before the database is asked again when it is away, ms. */
const PATIENCE = 500;
const taller = sourcesFingerprint(["core"]);
let stopped = false;
for (const signal of ["SIGINT", "SIGTERM"] as const)
  process.on(signal, () => {
    stopped = true;
  });

/** Asks until the database answers; what else goes wrong ends the runner, and whoever watches over it starts another. */
async function patiently<T>(ask: () => Promise<T>, gaveUp: T): Promise<T> {
  for (;;) {
    try {
      return await ask();
    } catch (error) {
      if (stopped) return gaveUp;
      if (!isAway(error)) throw error;
      await new Promise((resolve) => setTimeout(resolve, PATIENCE));
    }
  }
}

const today = () => process.env.TALLER_TODAY ?? new Date().toISOString().slice(0, 10);

/** Plans one piece whose card is old; renewals take at most half of the runner's time. */
async function renewOne(): Promise<number | null> {
  const from = performance.now();
  const day = today();
  const stale = await takeStale(taller, day);
  if (!stale) return null;
  const workshop = await workshopOf(stale.workshop);
  const saved = workshop && (await savedInputs(workshop, stale.id, day));
  if (!saved) return 0;
  const { opened, inputs } = saved;
  const { card, failures } = summarise(inputs);
  if (failures.length > 0) {
    console.error(
      `A plan failed: piece ${stale.id}, state ${opened.head}, ${failures.map((each) => `${each.stage}: ${each.message}`).join("; ")}. npm run failures tells how to repeat it.`,
    );
    await keepFailures(stale.workshop, stale.id, { state: opened.head, failures, inputs });
  }
  await keepSummary(stale, { revision: opened.revision, card, species: inputs.piece.species, taller, today: day });
  return stale.renewal ? performance.now() - from : 0;
}

await runSearches(
  { take: () => patiently(takeJob, null), report: (job, best) => patiently(() => reportJob(job, best), false) },
  () => stopped,
  () => patiently(renewOne, null),
);
await pool().end();
