// Keeps a program up: one that ends is started again, sooner the first time and later if it goes on ending.
import { spawn } from "node:child_process";
import { checkout } from "./install.mjs";

/** The first wait and the longest, ms; a program that was up for so long, ms, begins anew. Ours. */
const [SOON, LATE, STEADY] = [300, 10_000, 30_000];

/**
 * @param most  quick ends in a row after which it is given up; Infinity never
 * @returns `stop` ends it for good; `gaveUp` resolves when it is given up or has been stopped
 */
export function keepUp(
  name,
  args,
  env,
  { most = Infinity, stdio = ["ignore", "inherit", "inherit"], onChild = () => {} } = {},
) {
  let child = null;
  let stopping = false;
  let ends = 0;
  let done = () => {};
  const gaveUp = new Promise((resolve) => {
    done = resolve;
  });
  const start = () => {
    const from = Date.now();
    child = spawn(process.execPath, args, { cwd: checkout, env, stdio });
    onChild(child);
    child.once("exit", (code, signal) => {
      if (stopping) {
        done(0);
        return;
      }
      ends = Date.now() - from > STEADY ? 1 : ends + 1;
      if (ends >= most) {
        console.error(`${name} ended ${ends} times in a row; it is not started again.`);
        done(code ?? 1);
        return;
      }
      const wait = Math.min(LATE, SOON * 2 ** (ends - 1));
      console.error(`${name} ended (${signal ?? code}); it is started again in ${wait} ms.`);
      setTimeout(() => {
        if (stopping) done(0);
        else start();
      }, wait);
    });
  };
  start();
  const end = (signal) => {
    stopping = true;
    if (child.exitCode !== null || child.signalCode !== null) done(0);
    else child.kill(signal);
    return gaveUp;
  };
  return { gaveUp, stop: (signal = "SIGTERM") => end(signal), pid: () => child.pid };
}
