import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { Client } from "pg";

/** Applies the numbered SQL files that the database has not seen, in order, each in a transaction; others wait meanwhile. */
export async function migrate(url: string, folder = join(process.cwd(), "store/migrations")): Promise<string[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  const applied: string[] = [];
  try {
    await client.query(
      "create table if not exists migration (name text primary key, applied_at timestamptz not null default now())",
    );
    await client.query("select pg_advisory_lock(7201)");
    const seen = new Set(
      (await client.query<{ name: string }>("select name from migration")).rows.map((row) => row.name),
    );
    for (const name of (await readdir(folder)).filter((file) => file.endsWith(".sql")).sort()) {
      if (seen.has(name)) continue;
      await client.query("begin");
      try {
        await client.query(await readFile(join(folder, name), "utf8"));
        await client.query("insert into migration (name) values ($1)", [name]);
        await client.query("commit");
      } catch (error) {
        await client.query("rollback");
        throw new Error(`Migration ${name} failed: ${String(error)}`);
      }
      applied.push(name);
    }
  } finally {
    await client.end();
  }
  return applied;
}
