import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: "unit",
          // nothing in them keeps what another could find changed: the core is loaded once a worker, not once a file
          isolate: false,
          maxWorkers: 2,
          include: [
            "core/**/*.test.ts",
            "app/**/*.test.ts",
            "ui/**/*.test.ts",
            "tests/command/**/*.test.ts",
            "tests/random/**/*.test.ts",
            "tests/trade/**/*.test.ts",
            "tests/goldens/**/*.test.ts",
            "tests/house/**/*.test.ts",
          ],
          globalSetup: "tests/scratch.ts",
          testTimeout: 30_000,
        },
      },
      {
        test: {
          name: "database",
          include: ["tests/database/**/*.test.ts"],
          globalSetup: ["tests/scratch.ts", "tests/database/cluster.ts"],
          testTimeout: 60_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
      {
        test: {
          name: "browser",
          include: ["tests/browser/**/*.test.ts"],
          globalSetup: ["tests/scratch.ts", "tests/browser/server.ts"],
          testTimeout: 90_000,
          hookTimeout: 240_000,
          maxWorkers: 2,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
