import { ESLint } from "eslint";
import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { DAY } from "../../bin/harness.mjs";
import { readPiece } from "../../core/formats/piece-file";
import { readRack } from "../../core/formats/rack-csv";
import { planPiece } from "../../core/plan";
import { USUAL_SHOP } from "../../core/piece/shop";
import { SPECIES } from "../../core/wood/species";

const taller = (...args: string[]) => spawnSync("npx", ["taller", ...args], { encoding: "utf8", maxBuffer: 1 << 26 });
/** The same without npx in front, which takes as long as the rest. */
const straight = (...args: string[]) =>
  spawnSync(process.execPath, ["bin/taller.mjs", ...args], { encoding: "utf8", maxBuffer: 1 << 26 });
const FILE = "demo/pieces/1-dining-table.json";

describe("npx taller", () => {
  it("plan prints the whole derived plan, the same as the core's", () => {
    const { stdout, status } = taller("plan", FILE, "--rack", "demo/rack.csv", "--today", DAY);
    expect(status).toBe(0);
    const piece = readPiece(readFileSync(FILE, "utf8"));
    const rack = readRack(readFileSync("demo/rack.csv", "utf8"), SPECIES, DAY).boards.map((board) => ({
      ...board,
      reservedBy: null,
    }));
    if (!piece.ok) throw new Error(piece.message);
    expect(JSON.parse(stdout)).toEqual(
      JSON.parse(JSON.stringify(planPiece({ piece: piece.piece, shop: USUAL_SHOP, rack, ownSpecies: [], today: DAY }))),
    );
  });
  it("schema prints the schema", () =>
    expect(JSON.parse(taller("schema").stdout)).toMatchObject({ type: "object", $id: "urn:taller:piece:4" }));
  it("says in a sentence what is wrong, and ends with 2", () => {
    const bad = join(mkdtempSync(join(tmpdir(), "taller-")), "bad.json");
    writeFileSync(bad, "{");
    for (const [args, message] of [
      [["plan", bad], /cut off/],
      [["plan", `${bad}.none`], /can't be read/],
      [["plan"], /taller plan FILE/],
      [["paint"], /taller plan FILE/],
      [["plan", FILE, "--today", "monday"], /should be a date/],
    ] as [string[], RegExp][]) {
      const { status, stderr, stdout } = straight(...args);
      expect(status).toBe(2);
      expect(stdout).toBe("");
      expect(stderr).toMatch(message);
    }
  });
});

describe("the house", () => {
  const eslint = new ESLint();
  const faults = async (file: string, code: string) =>
    (await eslint.lintText(code, { filePath: file }))[0].messages.map((each) => each.message).join(" ");

  it.each([
    ["core/units/x.ts", 'import { pool } from "../../store/database"; export const x = pool;'],
    ["core/units/x.ts", 'import { useState } from "react"; export const x = useState;'],
    ["core/units/x.ts", 'import { Pool } from "pg"; export const x = Pool;'],
    ["ui/stick/x.ts", 'import { bench } from "../../store/pieces"; export const x = bench;'],
    ["store/x.ts", 'import { Sign } from "../ui/twice/Sign"; export const x = Sign;'],
    ["workers/x.ts", 'import { bench } from "../store/pieces"; export const x = bench;'],
    ["app/x.ts", 'import { Pool } from "pg"; export const x = Pool;'],
  ])("an arrow the wrong way is an error: %s", async (file, code) =>
    expect(await faults(file, code)).toMatch(/lean on|does without/),
  );
  it("an arrow toward the core is not", async () =>
    expect(
      await faults("ui/stick/x.ts", 'import { planPiece } from "../../core/plan"; export const x = planPiece;'),
    ).toBe(""));
  it("the core has no clock and no chance", async () =>
    expect(await faults("core/units/x.ts", "export const x = Math.random() + Date.now();")).toMatch(
      /Use a seed.*Today is an input/,
    ));
  it("names no one: no word of the list stands in the project", () => {
    let out = "";
    try {
      out = execFileSync("node", ["../shared/tools/names-check.mjs", "."], { encoding: "utf8" });
    } catch (error) {
      const said = error as { stdout?: string; code?: string };
      if (said.stdout) throw new Error(said.stdout);
      return;
    }
    expect(out).toMatch(/no banned names/);
  });
});
