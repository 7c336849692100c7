import { Pool, PoolClient } from "pg";

declare global { var tallerPool: Pool | undefined }

/** The one pool of this process; Next's development server reloads modules, so it is kept beside them. */
export function pool(): Pool {
  if (!process.env.DATABASE_URL) throw new Error("DATABASE_URL is not set: start Taller with npm run demo.");
  globalThis.tallerPool ??= new Pool({ connectionString: process.env.DATABASE_URL, max: 10 });
  return globalThis.tallerPool;
}

/** Runs `work` in one transaction; whatever it throws undoes all of it. */
export async function transaction<T>(work: (client: PoolClient) => Promise<T>): Promise<T> {
  const client = await pool().connect();
  try {
    await client.query("begin");
    const result = await work(client);
    await client.query("commit");
    return result;
  } catch (error) {
    await client.query("rollback");
    throw error;
  } finally {
    client.release();
  }
}
