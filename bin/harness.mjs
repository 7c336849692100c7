// A server on a cluster of its own with the demo data, for tests and pictures: started, used, removed. It never touches the demo's.
import { execFileSync, spawn } from "node:child_process";
import { join } from "node:path";
import { freePort, removeCluster, startCluster, testFolder } from "./cluster.mjs";
import { checkout } from "./install.mjs";

/** The day on which tests and pictures take place. */
export const DAY = "2026-11-23";

export async function startDatabase() {
  const folder = testFolder();
  const url = await startCluster(folder);
  return { url, folder, remove: () => removeCluster(folder) };
}

export function loadDemo(url) {
  execFileSync(process.execPath, ["bin/run.mjs", "demo/load.ts", "--reset"], {
    cwd: checkout,
    env: { ...process.env, DATABASE_URL: url },
    stdio: ["ignore", "ignore", "inherit"],
  });
}

/** Serves what was last built, on a port of its own or the one that is asked for. Resolves when it answers; `kill` ends it at once, in the middle of whatever it does. */
export async function serve(url, wanted) {
  const port = wanted ?? (await freePort());
  const env = { ...process.env, DATABASE_URL: url, TALLER_TODAY: DAY, NEXT_TELEMETRY_DISABLED: "1" };
  const child = spawn(
    process.execPath,
    [join(checkout, "node_modules/next/dist/bin/next"), "start", "-H", "127.0.0.1", "-p", String(port)],
    { cwd: checkout, env, stdio: ["ignore", "pipe", "pipe"] },
  );
  const runner = spawn(process.execPath, ["bin/run.mjs", "bin/runner.ts"], {
    cwd: checkout,
    env,
    stdio: ["ignore", "ignore", "pipe"],
  });
  let said = "";
  for (const stream of [child.stdout, child.stderr, runner.stderr])
    stream.on("data", (text) => {
      said += text;
    });
  const end = (signal) =>
    new Promise((resolve) => {
      runner.kill("SIGKILL");
      if (child.exitCode !== null || child.signalCode !== null) {
        resolve(undefined);
        return;
      }
      child.once("exit", () => resolve(undefined));
      child.kill(signal);
    });
  const address = `http://127.0.0.1:${port}`;
  for (let i = 0; i < 600; i += 1) {
    if (child.exitCode !== null) throw new Error(`The server stopped: ${said}`);
    try {
      if ((await fetch(`${address}/icon.svg`)).status < 500)
        return {
          address,
          port,
          pid: child.pid,
          said: () => said,
          stop: () => end("SIGTERM"),
          kill: () => end("SIGKILL"),
        };
    } catch {
      /* not up yet */
    }
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  child.kill("SIGKILL");
  throw new Error(`The server does not answer: ${said}`);
}

export const CHROMIUM_FLAGS = [
  "--no-sandbox",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  "--font-render-hinting=none",
];
