// npm run demo: installs what is missing, starts our PostgreSQL, loads the demo shop, builds and serves.
// --dev serves with reloading instead; --reset loads the demo data afresh; PORT chooses the port.
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { demoFolder, freePort, startCluster, stopCluster } from "./cluster.mjs";
import { serveDevices } from "./devices.mjs";
import { sourcesFingerprint } from "./fingerprint.mjs";
import { checkout, installPackages, installPostgres } from "./install.mjs";
import { keepUp } from "./supervise.mjs";

const dev = process.argv.includes("--dev");
installPackages();
installPostgres();
const folder = demoFolder(checkout);
const url = await startCluster(folder);
const env = { ...process.env, DATABASE_URL: url, NEXT_TELEMETRY_DISABLED: "1" };
const run = (...args) => execFileSync(process.execPath, args, { cwd: checkout, env, stdio: "inherit" });
run("bin/run.mjs", "demo/load.ts", ...(process.argv.includes("--reset") ? ["--reset"] : []));

const next = join(checkout, "node_modules/next/dist/bin/next");
if (!dev && !built()) {
  run(next, "build");
  remember();
}

const devices = await serveDevices().catch((error) => {
  if (error.code === "EADDRINUSE") return null;
  throw error;
});
const port = process.env.PORT ?? String(await portNear(3000));
const server = keepUp("The server", [next, dev ? "dev" : "start", "-H", "127.0.0.1", "-p", port], env, { most: 5 });
const runner = keepUp("The runner", ["bin/run.mjs", "bin/runner.ts"], env);
await answering(`http://127.0.0.1:${port}/`);
console.log(
  devices ? "Simulated bench devices answer on port 7377" : "Port 7377 is taken: another Taller's devices answer there",
);
console.log(`\nTaller is at http://127.0.0.1:${port}  (Ctrl C stops it; the data stays in ${folder})\n`);
for (const signal of ["SIGINT", "SIGTERM"])
  process.on(signal, () => {
    devices?.close();
    void server.stop();
  });
const code = await server.gaveUp;
await runner.stop("SIGKILL");
stopCluster(folder);
process.exit(code);

/** What the build is made of. */
function fingerprint() {
  return sourcesFingerprint([
    "app",
    "ui",
    "core",
    "store",
    "workers",
    "proxy.ts",
    "package-lock.json",
    "next.config.ts",
    "postcss.config.mjs",
  ]);
}
function built() {
  const mark = join(checkout, ".next", "taller-sources");
  return (
    existsSync(mark) && existsSync(join(checkout, ".next", "BUILD_ID")) && readFileSync(mark, "utf8") === fingerprint()
  );
}
function remember() {
  writeFileSync(join(checkout, ".next", "taller-sources"), fingerprint());
}

async function portNear(wanted) {
  const { createServer } = await import("node:net");
  const free = await new Promise((resolve) => {
    const probe = createServer()
      .once("error", () => resolve(false))
      .listen(wanted, "127.0.0.1", () => probe.close(() => resolve(true)));
  });
  return free ? wanted : freePort();
}
async function answering(address) {
  for (let i = 0; i < 120; i += 1) {
    try {
      if ((await fetch(address)).status < 500) return;
    } catch {
      /* not up yet */
    }
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  throw new Error(`The server does not answer at ${address}.`);
}
