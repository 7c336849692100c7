/** One folder for whatever tests write beside the checkout, browsers' profiles and drawn files: gone when they have run. */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

export default function scratch(): (() => void) | undefined {
  // all projects of one run share it: whoever made it takes it away
  if (process.env.TALLER_SCRATCH) return undefined;
  const [before, folder] = [process.env.TMPDIR, mkdtempSync(join(tmpdir(), "taller-tests-"))];
  Object.assign(process.env, { TALLER_SCRATCH: folder, TMPDIR: folder });
  return () => {
    rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    delete process.env.TALLER_SCRATCH;
    if (before === undefined) delete process.env.TMPDIR;
    else process.env.TMPDIR = before;
  };
}
