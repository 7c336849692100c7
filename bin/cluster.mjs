// A PostgreSQL cluster of our own on loopback. As root its tools run as the system user postgres, which must reach the data
// folder, so that lies outside the checkout; otherwise everything runs as yourself. No dependencies: it runs before npm ci.
import { execFileSync } from "node:child_process";
import { randomBytes, createHash } from "node:crypto";
import { chmodSync, chownSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { homedir, tmpdir } from "node:os";
import { join } from "node:path";

const asRoot = process.getuid?.() === 0;

/** Folder of PostgreSQL's programs, newest major first, or null. */
export function findPostgres() {
  const base = "/usr/lib/postgresql";
  const versions = existsSync(base)
    ? readdirSync(base)
        .filter((each) => Number(each) >= 15)
        .sort((a, b) => Number(b) - Number(a))
    : [];
  const found = versions.map((each) => join(base, each, "bin")).find((bin) => existsSync(join(bin, "initdb")));
  return found ?? null;
}

/** Folder of the demo's cluster for this checkout: the same checkout finds the same data again. */
export function demoFolder(checkout) {
  const mark = createHash("sha256").update(checkout).digest("hex").slice(0, 10);
  return join(asRoot ? "/var/lib/taller" : join(homedir(), ".local", "share", "taller"), mark);
}

export function testFolder() {
  return join(asRoot ? "/var/lib/taller" : tmpdir(), `taller-test-${process.pid}-${randomBytes(3).toString("hex")}`);
}

/** Makes the cluster if it is not there, starts it if it does not run; returns its address. Data is kept. */
export async function startCluster(folder) {
  const bin = findPostgres();
  if (!bin) throw new Error("PostgreSQL 15 or newer is not installed. Install Debian's package postgresql.");
  const data = join(folder, "data");
  const secret = join(folder, "secret");
  if (!existsSync(join(data, "PG_VERSION"))) {
    rmSync(data, { recursive: true, force: true });
    mkdirSync(folder, { recursive: true });
    const password = randomBytes(18).toString("hex");
    writeFileSync(secret, password, { mode: 0o600 });
    if (asRoot) {
      const [uid, gid] = ids();
      chmodSync(join(folder, ".."), 0o755);
      chownSync(folder, uid, gid);
      chownSync(secret, uid, gid);
    }
    postgres(
      bin,
      "initdb",
      [
        "-D",
        data,
        "-U",
        "taller",
        "--auth=scram-sha-256",
        `--pwfile=${secret}`,
        "--encoding=UTF8",
        "--no-locale",
        "--no-instructions",
      ],
      folder,
    );
  }
  const portFile = join(folder, "port");
  if (!running(bin, data, folder)) {
    const port = await portAgain(portFile);
    writeFileSync(portFile, String(port));
    const options = `-c port=${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c fsync=${folder.includes("taller-test-") ? "off" : "on"}`;
    postgres(bin, "pg_ctl", ["-D", data, "-l", join(folder, "log"), "-w", "-t", "60", "-o", options, "start"], folder);
  }
  const port = readFileSync(portFile, "utf8").trim();
  return `postgres://taller:${readFileSync(secret, "utf8").trim()}@127.0.0.1:${port}/postgres`;
}

export function stopCluster(folder) {
  const bin = findPostgres();
  const data = join(folder, "data");
  if (bin && running(bin, data, folder)) postgres(bin, "pg_ctl", ["-D", data, "-m", "fast", "-w", "stop"], folder);
}

/** Stops every process of the cluster at once, as a crash does, and starts it again on the same port: it recovers from its log. */
export function crashCluster(folder) {
  postgres(
    findPostgres(),
    "pg_ctl",
    ["-D", join(folder, "data"), "-l", join(folder, "log"), "-m", "immediate", "-w", "-t", "60", "restart"],
    folder,
  );
}

export function removeCluster(folder) {
  stopCluster(folder);
  rmSync(folder, { recursive: true, force: true });
}

/** The port it had before, where that is still free: whoever knows its address finds it again. */
async function portAgain(portFile) {
  const before = existsSync(portFile) ? Number(readFileSync(portFile, "utf8")) : 0;
  return before > 0 ? freePort(before).catch(() => freePort()) : freePort();
}

export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once("error", reject);
    server.listen(wanted, "127.0.0.1", () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

function running(bin, data, folder) {
  if (!existsSync(join(data, "PG_VERSION"))) return false;
  try {
    postgres(bin, "pg_ctl", ["-D", data, "status"], folder);
    return true;
  } catch {
    return false;
  }
}

function postgres(bin, program, args, folder) {
  const [command, rest] = asRoot
    ? ["runuser", ["-u", "postgres", "--", join(bin, program), ...args]]
    : [join(bin, program), args];
  try {
    // a server that inherits our pipes would keep them open: it writes to its own log
    execFileSync(command, rest, {
      cwd: existsSync(folder) ? folder : "/",
      stdio: ["ignore", "ignore", "pipe"],
      env: { ...process.env, LC_ALL: "C" },
    });
  } catch (error) {
    throw new Error(`${program} failed: ${String(error.stderr ?? error.message).trim()}`);
  }
}

function ids() {
  const id = (flag) => Number(execFileSync("id", [flag, "postgres"], { encoding: "utf8" }).trim());
  return [id("-u"), id("-g")];
}
