import { Cut, searchCuts, SearchInputs } from "../core/layout/search";

/** A queue of searches, whoever keeps it. `report` says whether to go on. */
export interface SearchQueue<T extends { inputs: SearchInputs; best: Cut | null }> { take: () => Promise<T | null>; report: (job: T, best: Cut) => Promise<boolean> }

/** How long a runner rests when nothing waits, ms. Ours. */
const REST = 400;

/** Runs searches one after another until told to stop; a job that was begun elsewhere goes on from its last round. */
export async function runSearches<T extends { inputs: SearchInputs; best: Cut | null }>(queue: SearchQueue<T>, stopped: () => boolean): Promise<void> {
  while (!stopped()) {
    const job = await queue.take();
    if (!job) { await new Promise((resolve) => setTimeout(resolve, REST)); continue; }
    for (const cut of searchCuts(job.inputs, job.best)) {
      if (!(await queue.report(job, cut)) || stopped()) break;
    }
  }
}
