import type { Cut, SearchInputs } from "../core/layout/search";
import { pool, transaction } from "./database";

export type JobState = "waiting" | "running" | "done" | "stopped" | "failed";
export interface Job {
  id: string;
  state: JobState;
  best: Cut | null;
  rounds: number;
  message: string | null;
  runners: boolean;
}
/** A search as a runner takes it; `best` is where an earlier runner got to. */
export interface TakenJob {
  workshop: string;
  id: string;
  holder: string;
  inputs: SearchInputs;
  best: Cut | null;
}

/** A runner that has not reported for so many seconds is taken for dead, and its job goes on elsewhere. Ours: a round takes under two. */
const LEASE = 8;
/** A job that has killed so many runners is given up. Ours. */
const ATTEMPTS = 5;
/** How runners call themselves to the database, so that a page can say when none is up. */
export const RUNNER = "taller-searches";

/** Queues a search for a piece; an earlier one that is still open is stopped. */
export async function openJob(workshop: string, piece: string, inputs: SearchInputs): Promise<string> {
  return transaction(async (client) => {
    await client.query(
      "update search_job set state = 'stopped' where workshop_id = $1 and piece_id = $2 and state in ('waiting', 'running')",
      [workshop, piece],
    );
    const { rows } = await client.query<{ id: string }>(
      "insert into search_job (workshop_id, piece_id, inputs) values ($1, $2, $3) returning id",
      [workshop, piece, inputs],
    );
    return rows[0].id;
  });
}

/** The newest job of a piece, or null. */
export async function jobOf(workshop: string, piece: string): Promise<Job | null> {
  const { rows } = await pool().query<Job>(
    `select id, state, best, (inputs ->> 'rounds')::int as rounds, message, exists (select 1 from pg_stat_activity where application_name = $3) as runners
       from search_job where workshop_id = $1 and piece_id = $2 order by created_at desc limit 1`,
    [workshop, piece, RUNNER],
  );
  return rows[0] ?? null;
}

export async function stopJob(workshop: string, piece: string): Promise<void> {
  await pool().query(
    "update search_job set state = 'stopped' where workshop_id = $1 and piece_id = $2 and state in ('waiting', 'running')",
    [workshop, piece],
  );
}

/** Takes the oldest job that waits or whose runner has died; two runners never get the same. Null when there is none. */
export async function takeJob(): Promise<TakenJob | null> {
  await pool().query(
    "update search_job set state = 'failed', message = 'The search stopped ' || attempts || ' times without an answer. Send it again; if it fails again, search in the browser.' where state = 'running' and lease_until < now() and attempts >= $1",
    [ATTEMPTS],
  );
  const { rows } = await pool().query<TakenJob>(
    `update search_job set state = 'running', attempts = attempts + 1, holder = gen_random_uuid(), lease_until = now() + make_interval(secs => $1)
      where (workshop_id, id) = (select workshop_id, id from search_job where state = 'waiting' or (state = 'running' and lease_until < now()) order by created_at for update skip locked limit 1)
      returning workshop_id as workshop, id, holder, inputs, best`,
    [LEASE],
  );
  return rows[0] ?? null;
}

/** Keeps the best so far and the runner's hold on the job; false when it was stopped meanwhile, or another runner has it. */
export async function reportJob(job: TakenJob, best: Cut): Promise<boolean> {
  const { rowCount } = await pool().query(
    "update search_job set best = $3, state = $4, attempts = 0, lease_until = now() + make_interval(secs => $5) where workshop_id = $1 and id = $2 and state = 'running' and holder = $6",
    [job.workshop, job.id, JSON.stringify(best), best.done ? "done" : "running", LEASE, job.holder],
  );
  return rowCount === 1;
}
