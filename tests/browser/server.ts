import type { TestProject } from "vitest/node";
import { loadDemo, serve, startDatabase } from "../../bin/harness.mjs";

/** The real server on a database of its own with the demo data, one for each of the test files that run side by side. */
export default async function setup(project: TestProject) {
  const desks = await Promise.all(Array.from({ length: Number(project.config.maxWorkers) }, desk));
  project.provide(
    "addresses",
    desks.map(({ server }) => server.address),
  );
  return async () => {
    for (const { server, database } of desks) {
      await server.stop();
      database.remove();
    }
    const said = desks.map(({ server }) => server.said()).join("\n");
    if (/\bError\b|⨯/.test(said)) throw new Error(`The server reported errors:\n${said}`);
  };
}

async function desk() {
  const database = await startDatabase();
  loadDemo(database.url);
  return { database, server: await serve(database.url) };
}
