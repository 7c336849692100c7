import type { TestProject } from "vitest/node";
import { removeCluster, startCluster, testFolder } from "../../bin/cluster.mjs";

/** A cluster for the database tests alone, removed when they end. */
export default async function setup(project: TestProject) {
  const folder = testFolder();
  const url = await startCluster(folder);
  project.provide("databaseUrl", url);
  return () => removeCluster(folder);
}

declare module "vitest" {
  export interface ProvidedContext {
    databaseUrl: string;
    addresses: string[];
    serverLog: string;
  }
}
