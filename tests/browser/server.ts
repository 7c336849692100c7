import type { TestProject } from "vitest/node";
import { loadDemo, serve, startDatabase } from "../../bin/harness.mjs";

/** The real server on a database of its own with the demo data, for all browser tests. */
export default async function setup(project: TestProject) {
  const database = await startDatabase();
  loadDemo(database.url);
  const server = await serve(database.url);
  project.provide("address", server.address);
  return async () => {
    await server.stop();
    database.remove();
    const said = server.said();
    if (/\bError\b|⨯/.test(said)) throw new Error(`The server reported errors:\n${said}`);
  };
}
