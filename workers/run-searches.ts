import { Cut, searchCuts, SearchInputs } from "../core/layout/search";

/** A queue of searches, whoever keeps it. `report` says whether to go on. */
export interface SearchQueue<T extends { inputs: SearchInputs; best: Cut | null }> {
  take: () => Promise<T | null>;
  report: (job: T, best: Cut) => Promise<boolean>;
}

/** How long a runner rests when nothing waits, ms. Ours. */
const REST = 400;

/**
 * Runs searches one after another until told to stop; a job that was begun elsewhere goes on from its last round.
 *
 * @param between  short work that is not kept waiting by a long search: done between its rounds, and while nothing is searched; says how long
 *                 to leave it alone now, ms, or null when there was none
 */
export async function runSearches<T extends { inputs: SearchInputs; best: Cut | null }>(
  queue: SearchQueue<T>,
  stopped: () => boolean,
  between: () => Promise<number | null> = async () => null,
): Promise<void> {
  while (!stopped()) {
    const job = await queue.take();
    if (!job) {
      await rest((await between()) ?? REST);
      continue;
    }
    for (const cut of searchCuts(job.inputs, job.best)) {
      if (!(await queue.report(job, cut)) || stopped()) break;
      await between();
    }
  }
}

const rest = (ms: number) => (ms > 0 ? new Promise((resolve) => setTimeout(resolve, ms)) : undefined);
