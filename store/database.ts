import { Pool, PoolClient } from "pg";

declare global {
  var tallerPool: Pool | undefined;
}

/** The one pool of this process; Next's development server reloads modules, so it is kept beside them. */
export function pool(): Pool {
  if (!process.env.DATABASE_URL) throw new Error("DATABASE_URL is not set: start Taller with npm run demo.");
  globalThis.tallerPool ??= listening(new Pool({ connectionString: process.env.DATABASE_URL, max: 10 }));
  return globalThis.tallerPool;
}

/** Ends the pool; whoever asks again gets another. */
export async function endPool(): Promise<void> {
  const ended = globalThis.tallerPool;
  globalThis.tallerPool = undefined;
  await ended?.end();
}

/** An idle connection that is lost says so here; the pool makes another when one is asked for. */
function listening(made: Pool): Pool {
  made.on("error", (error) => console.error(`A connection to the database was lost: ${error.message}`));
  // a client that is checked out when its connection goes tells its own caller as well
  made.on("connect", (client) => client.on("error", () => undefined));
  return made;
}

/** How often a transaction that lost a race, or its connection before it was committed, is run again. */
const TRIES = 6;
/** Wait before the first try again, ms; twice as long before each further one, and never quite the same. */
const PAUSE = 15;

/**
 * Runs `work` in one transaction; whatever it throws undoes all of it. Deadlocks, failed serialisations and connections lost before
 * the commit are run again from the beginning, so `work` may do nothing but ask the database.
 */
export async function transaction<T>(work: (client: PoolClient) => Promise<T>): Promise<T> {
  for (let tried = 1; ; tried += 1) {
    const ran = await once(work);
    if (ran.ok) return ran.value;
    if (tried === TRIES || !ran.again) throw ran.error;
    await new Promise((resolve) => setTimeout(resolve, PAUSE * 2 ** tried * (0.5 + Math.random())));
  }
}

async function once<T>(
  work: (client: PoolClient) => Promise<T>,
): Promise<{ ok: true; value: T } | { ok: false; error: unknown; again: boolean }> {
  let client: PoolClient;
  try {
    client = await pool().connect();
  } catch (error) {
    return { ok: false, error, again: isAway(error) };
  }
  let committing = false;
  try {
    await client.query("begin");
    const value = await work(client);
    committing = true;
    await client.query("commit");
    client.release();
    return { ok: true, value };
  } catch (error) {
    // what a lost connection leaves can't be asked to roll back: the server does that by itself
    const lost = await client.query("rollback").then(
      () => false,
      () => true,
    );
    client.release(lost);
    // whether a commit that was not answered took place is not known: running it again might do it twice
    return {
      ok: false,
      error,
      again: codeOf(error) === "40P01" || codeOf(error) === "40001" || (!committing && isAway(error)),
    };
  }
}

const codeOf = (error: unknown) =>
  error !== null && typeof error === "object" && "code" in error ? String(error.code) : "";

/** Whether an error says that the database is not there, or was stopped under us: it comes back by itself. @source PostgreSQL's error codes, classes 08 and 57 */
export function isAway(error: unknown): boolean {
  const message = error instanceof Error ? error.message : "";
  return (
    /^(08|57P0)/.test(codeOf(error)) ||
    ["ECONNREFUSED", "ECONNRESET", "EPIPE", "ETIMEDOUT"].includes(codeOf(error)) ||
    /connection terminated|connection ended|client has encountered a connection error|not queryable|timeout exceeded when trying to connect/i.test(
      message,
    )
  );
}
