// npm run demo: installs what is missing, starts our PostgreSQL, loads the demo shop, builds and serves.
// --dev serves with reloading instead; --reset loads the demo data afresh; PORT chooses the port.
import { spawn, execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { demoFolder, freePort, startCluster, stopCluster } from "./cluster.mjs";
import { serveDevices } from "./devices.mjs";
import { checkout, installPackages, installPostgres } from "./install.mjs";

const dev = process.argv.includes("--dev");
installPackages();
installPostgres();
const folder = demoFolder(checkout);
const url = await startCluster(folder);
const env = { ...process.env, DATABASE_URL: url, NEXT_TELEMETRY_DISABLED: "1" };
const run = (...args) => execFileSync(process.execPath, args, { cwd: checkout, env, stdio: "inherit" });
run("bin/run.mjs", "demo/load.ts", ...(process.argv.includes("--reset") ? ["--reset"] : []));

const next = join(checkout, "node_modules/next/dist/bin/next");
if (!dev && !built()) { run(next, "build"); remember(); }

const devices = await serveDevices().catch((error) => { if (error.code === "EADDRINUSE") return null; throw error; });
const port = process.env.PORT ?? String(await portNear(3000));
const server = spawn(process.execPath, [next, dev ? "dev" : "start", "-H", "127.0.0.1", "-p", port], { cwd: checkout, env, stdio: ["ignore", "inherit", "inherit"] });
const searches = spawn(process.execPath, ["bin/run.mjs", "bin/searches.ts"], { cwd: checkout, env, stdio: ["ignore", "inherit", "inherit"] });
await answering(`http://127.0.0.1:${port}/`);
console.log(devices ? "Simulated bench devices answer on port 7377" : "Port 7377 is taken: another Taller's devices answer there");
console.log(`\nTaller is at http://127.0.0.1:${port}  (Ctrl C stops it; the data stays in ${folder})\n`);
let stopping = false;
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => { stopping = true; devices?.close(); searches.kill("SIGTERM"); server.kill("SIGTERM"); });
server.on("exit", (code) => { searches.kill("SIGKILL"); stopCluster(folder); process.exit(stopping ? 0 : code ?? 1); });

/** A fingerprint of the sources, so that a second start does not build again. */
function fingerprint() {
  const files = execFileSync("git", ["ls-files", "-co", "--exclude-standard", "app", "ui", "core", "store", "workers", "package-lock.json", "next.config.ts", "postcss.config.mjs"], { cwd: checkout, encoding: "utf8" }).split("\n").filter(Boolean);
  const hash = createHash("sha256");
  for (const file of files) hash.update(file).update(existsSync(join(checkout, file)) ? readFileSync(join(checkout, file)) : "");
  return hash.digest("hex");
}
function built() {
  const mark = join(checkout, ".next", "taller-sources");
  return existsSync(mark) && existsSync(join(checkout, ".next", "BUILD_ID")) && readFileSync(mark, "utf8") === fingerprint();
}
function remember() { writeFileSync(join(checkout, ".next", "taller-sources"), fingerprint()); }

async function portNear(wanted) {
  const { createServer } = await import("node:net");
  const free = await new Promise((resolve) => {
    const probe = createServer().once("error", () => resolve(false)).listen(wanted, "127.0.0.1", () => probe.close(() => resolve(true)));
  });
  return free ? wanted : freePort();
}
async function answering(address) {
  for (let i = 0; i < 120; i += 1) {
    try { if ((await fetch(address)).status < 500) return; } catch { /* not up yet */ }
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  throw new Error(`The server does not answer at ${address}.`);
}
