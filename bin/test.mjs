// npm test: installs what is missing, then format, lint, types, unit, database and browser tests. Extra words go to vitest.
import { execFileSync } from "node:child_process";
import { join } from "node:path";
import { checkout, installChromium, installPackages, installPostgres } from "./install.mjs";

installPackages();
installPostgres();
installChromium();
const bin = (name) => join(checkout, "node_modules", name);
const run = (what, ...args) => {
  console.log(`\n== ${what}`);
  try {
    execFileSync(process.execPath, args, {
      cwd: checkout,
      stdio: ["ignore", "inherit", "inherit"],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
    });
  } catch {
    console.error(`${what} failed`);
    process.exit(1);
  }
};
run("build", bin("next/dist/bin/next"), "build");
run("format", bin("prettier/bin/prettier.cjs"), "--check", "--log-level", "warn", ".");
run("lint", bin("eslint/bin/eslint.js"), ".", "--max-warnings", "0");
run("types", bin("typescript/bin/tsc"), "--noEmit");
run("tests", bin("vitest/vitest.mjs"), "run", ...process.argv.slice(2));
