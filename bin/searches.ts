// The search runner: takes searches from the database and runs them. Any number may run; killing one loses at most a round.
import { RUNNER, reportJob, takeJob } from "../store/jobs";
import { pool } from "../store/database";
import { runSearches } from "../workers/run-searches";

process.env.PGAPPNAME = RUNNER;
let stopped = false;
for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => { stopped = true; });
await runSearches({ take: takeJob, report: reportJob }, () => stopped);
await pool().end();
