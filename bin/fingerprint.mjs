// What the sources are now, as one word: whoever kept something made by other sources knows it is old.
import { createHash } from "node:crypto";
import { readdirSync, readFileSync, statSync } from "node:fs";
import { join } from "node:path";
import { checkout } from "./install.mjs";

export function sourcesFingerprint(places) {
  const hash = createHash("sha256");
  const walk = (path) => {
    const full = join(checkout, path);
    const found = statSync(full, { throwIfNoEntry: false });
    if (found?.isDirectory()) for (const name of readdirSync(full).sort()) walk(join(path, name));
    else if (found && !/\.test\.tsx?$/.test(path)) hash.update(path).update(readFileSync(full));
  };
  for (const place of places) walk(place);
  return hash.digest("hex");
}
