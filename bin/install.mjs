// Installs what is missing: our packages as the lock file has them, and Debian's PostgreSQL and Chromium where apt can be used.
// npm install and not npm ci: where a registry lacks the builds for other systems, npm ci refuses the lock file altogether.
import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { findPostgres } from "./cluster.mjs";

export const checkout = join(dirname(fileURLToPath(import.meta.url)), "..");

export function installPackages() {
  const stamp = join(checkout, "node_modules", ".taller-lock");
  const lock = createHash("sha256")
    .update(readFileSync(join(checkout, "package-lock.json")))
    .digest("hex");
  if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== lock) {
    console.log("Installing packages");
    execFileSync("npm", ["install", "--no-save", "--no-audit", "--no-fund", "--loglevel=error"], {
      cwd: checkout,
      stdio: "inherit",
    });
    writeFileSync(stamp, lock);
  }
  // npx taller finds our own command among the packages' commands
  const link = join(checkout, "node_modules", ".bin", "taller");
  mkdirSync(dirname(link), { recursive: true });
  rmSync(link, { force: true });
  symlinkSync("../../bin/taller.mjs", link);
}

export function installPostgres() {
  if (!findPostgres()) debian("postgresql", "PostgreSQL");
  if (!findPostgres()) throw new Error("PostgreSQL 15 or newer is needed and could not be found after installing it.");
}

export function chromiumPath() {
  return ["/usr/bin/chromium", "/usr/bin/chromium-browser"].find((path) => existsSync(path)) ?? null;
}

export function installChromium() {
  if (!chromiumPath()) debian("chromium", "Chromium");
  if (!chromiumPath()) throw new Error("Chromium is needed and could not be found after installing it.");
}

function debian(name, called) {
  const root = process.getuid?.() === 0;
  console.log(`Installing Debian's package ${name}`);
  const apt = (...args) =>
    execFileSync(root ? "apt-get" : "sudo", root ? args : ["-n", "apt-get", ...args], {
      stdio: ["ignore", "ignore", "inherit"],
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
  try {
    apt("update", "-qq");
    apt("install", "-y", "-qq", "--no-install-recommends", name);
  } catch {
    throw new Error(
      `${called} is missing and can't be installed from here. Run once, as root: apt-get install ${name}`,
    );
  }
}
