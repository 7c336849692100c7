import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, it, vi } from "vitest";
import { keepUp } from "../../bin/supervise.mjs";

const folder = mkdtempSync(join(tmpdir(), "taller-"));
const program = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

it("what ends is started again, and given up after so many quick ends", async () => {
  const said = vi.spyOn(console, "error").mockImplementation(() => undefined);
  const log = join(folder, "log");
  const ends = program(
    "ends.mjs",
    `import { appendFileSync } from "node:fs"; appendFileSync(${JSON.stringify(log)}, "up\\n"); process.exit(3);`,
  );
  expect(await keepUp("It", [ends], process.env, { most: 3 }).gaveUp).toBe(3);
  expect(readFileSync(log, "utf8")).toBe("up\nup\nup\n");
  expect(said.mock.calls.flat()).toEqual([
    "It ended (3); it is started again in 300 ms.",
    "It ended (3); it is started again in 600 ms.",
    "It ended 3 times in a row; it is not started again.",
  ]);
  said.mockRestore();
});

it("what is killed comes back, and stays down when it is stopped", async () => {
  const said = vi.spyOn(console, "error").mockImplementation(() => undefined);
  const up = keepUp("It", [program("stays.mjs", "setInterval(() => {}, 1000);")], process.env);
  const first = up.pid()!;
  process.kill(first, "SIGKILL");
  await vi.waitFor(() => expect(up.pid()).not.toBe(first), 5000);
  expect(await up.stop()).toBe(0);
  expect(() => process.kill(up.pid()!, 0)).toThrow();
  said.mockRestore();
});
