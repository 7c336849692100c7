// npm test: installs what is missing, then format, lint, types, unit, database and browser tests. Extra words go to vitest.
import { execFile, execFileSync } from "node:child_process";
import { join } from "node:path";
import { checkout, installChromium, installPackages, installPostgres } from "./install.mjs";

installPackages();
installPostgres();
installChromium();
const bin = (name) => join(checkout, "node_modules", name);
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };

/** Runs one of them and shows what it says when it ends, so that two side by side don't speak at once. */
const begin = (what, ...args) =>
  new Promise((resolve) => {
    execFile(process.execPath, args, { cwd: checkout, env, maxBuffer: 1 << 26 }, (error, out, said) => {
      console.log(`\n== ${what}\n${out}${said}`);
      if (error) console.error(`${what} failed`);
      resolve(!error);
    });
  });

// building type-checks every file of the project, tests and tools too
const firm = await Promise.all([
  begin("build and types", bin("next/dist/bin/next"), "build"),
  begin("format", bin("prettier/bin/prettier.cjs"), "--check", "--log-level", "warn", ".").then(
    async (ok) => (await begin("lint", bin("eslint/bin/eslint.js"), ".", "--max-warnings", "0")) && ok,
  ),
]);
if (!firm.every(Boolean)) process.exit(1);

console.log("\n== tests");
try {
  execFileSync(process.execPath, [bin("vitest/vitest.mjs"), "run", ...process.argv.slice(2)], {
    ...{ cwd: checkout, env },
    stdio: ["ignore", "inherit", "inherit"],
  });
} catch {
  console.error("tests failed");
  process.exit(1);
}
