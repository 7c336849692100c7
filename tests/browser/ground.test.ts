import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ElementHandle } from "puppeteer-core";
import { Client } from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { crashCluster } from "../../bin/cluster.mjs";
import { loadDemo, Served, serve, startDatabase } from "../../bin/harness.mjs";
import type { Piece } from "../../core/piece/schema";
import { SPECIES } from "../../core/wood/species";
import {
  address,
  fileOf,
  go,
  Maker,
  makePiece,
  choose,
  piecesByName,
  post,
  press,
  saved,
  sitDown,
  typeDimension,
  until,
  useServer,
  words,
} from "./maker";

let maker: Maker;
let server: Served;
let database: Awaited<ReturnType<typeof startDatabase>>;
let client: Client;
/** A value no arithmetic takes: whatever reckons with it throws. */
const THROWS = { valueOf: 1, toString: 1 };

beforeAll(async () => {
  database = await startDatabase();
  loadDemo(database.url);
  server = await serve(database.url);
  useServer(server.address);
  client = new Client({ connectionString: database.url });
  client.on("error", () => undefined);
  await client.connect();
  const ash = { ...SPECIES[0], source: "own" };
  for (const body of [
    { ...ash, id: "own-brittle", name: "Brittle wood", kind: THROWS },
    { ...ash, id: "own-void", name: "Void wood", density: THROWS },
    { ...ash, id: "own-pale", name: "Pale wood", colour: null },
  ])
    await client.query("insert into species (workshop_id, id, body) select id, $1, $2 from workshop", [
      body.id,
      JSON.stringify(body),
    ]);
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  await client.end().catch(() => undefined);
  await server.stop();
  database.remove();
});

const upload = async (name: string, text: string, label: string) => {
  const path = join(mkdtempSync(join(tmpdir(), "taller-")), name);
  writeFileSync(path, text);
  await (
    (await maker.page.waitForSelector(`input[type="file"][aria-label="${label}"]`)) as ElementHandle<HTMLInputElement>
  ).uploadFile(path);
};

describe("a fault of Taller", () => {
  it("at a stage is a verdict that names the stage and the change to take back; the rest of the plan stands", async () => {
    const { page } = maker;
    const { boards } = (await (await fetch(`${address()}/api/rack/page?species=european-ash&free=1`)).json()) as {
      boards: { id: string }[];
    };
    const strips = boards
      .slice(0, 6)
      .map(({ id: board }) => ({ board, face: "bark-up" as const, turned: false, slide: 0, width: null }));
    const desk = JSON.parse(await fileOf((await piecesByName())["Dining table"])) as Piece;
    const { id } = (await (
      await post("/api/pieces", {
        kind: "import",
        text: JSON.stringify({ ...desk, name: "Brittle", panels: { top: { ...desk.panels.top, strips } } }),
      })
    ).json()) as { id: string };
    await go(page, `/pieces/${id}/form`);
    await choose(page, "Species", "own-brittle");
    await typeDimension(page, "Top length", "2050");
    expect((await page.$$("[data-verdict]")).length).toBeGreaterThan(2);
    await page.keyboard.press("6");
    await page.waitForSelector('[data-verdict="fault.glue-up"]');
    expect(await words(page, '[data-verdict="fault.glue-up"]')).toMatch(
      /Glue-up could not be worked out to the end[\s\S]*Taller failed at glueUp/,
    );
    await page.keyboard.press("8");
    await page.waitForSelector('[data-verdict="fault.build"]');
    expect(await words(page, '[data-verdict="fault.build"]')).toMatch(/It builds on glueUp/);
    await press(page, "Take back “Species” and 1 after it");
    await until(page, () => document.querySelector('[data-verdict^="fault."]') === null);
    await saved(page);
    expect(JSON.parse(await fileOf(id))).toMatchObject({ species: "european-ash", form: { top: { length: 2100 } } });
  });
  it("at what all rests on leaves the piece open, with the way back; the bench calls it not planned and it is kept to be repeated", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Void" }));
    await go(page, `/pieces/${id}/form`);
    await typeDimension(page, "Top length", "2040");
    await choose(page, "Species", "own-void");
    await page.waitForSelector("[data-unplanned]");
    await saved(page);
    for (const path of ["form", "sheets", "cards", "sources", "brief"]) {
      const answer = await go(page, `/pieces/${id}/${path}`);
      expect([path, answer, (await page.$("[data-unplanned]")) !== null]).toEqual([path, 200, true]);
    }
    await go(page, "/");
    await page.waitForSelector(`[data-piece="${id}"][data-planned="not"]`, { timeout: 20_000 });
    expect(await words(page, `[data-piece="${id}"]`)).toMatch(/Not planned: Taller fails at it/);
    const { rows } = await client.query(
      "select stage, message, inputs #>> '{piece,species}' as species from plan_failure where piece_id = $1",
      [id],
    );
    expect(rows[0]).toMatchObject({
      stage: "topCourse",
      species: "own-void",
      message: expect.stringMatching(/primitive/),
    });
    await go(page, `/pieces/${id}/history`);
    await page.waitForSelector('[data-state="3"]');
    expect(await words(page, '[data-state="3"]')).toMatch(/Species[\s\S]*It stands here/);
    await page.click('[data-state="2"] button');
    await until(page, () => document.querySelector('g[aria-label^="Top length: 2040"]') !== null);
    await saved(page);
    await go(page, "/");
    await page.waitForSelector(`[data-piece="${id}"][data-planned="yes"]`, { timeout: 20_000 });
  });
  it("in a drawing stays in its place", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Pale" }));
    await go(page, `/pieces/${id}/form`);
    await choose(page, "Species", "own-pale");
    await until(page, () => document.body.innerText.includes("can’t be drawn"));
    await saved(page);
    expect(await go(page, `/pieces/${id}/form`)).toBe(200);
    expect((await page.$$("[data-verdict]")).length).toBeGreaterThan(2);
    await press(page, "Undo “Species”");
    await until(page, () => document.querySelector('g[aria-label^="Top length"]') !== null);
    await saved(page);
  });
});

describe("a way back from everything", () => {
  it("a piece is put away, opened from an old tab, got back, put away and deleted for good", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Old" }));
    await go(page, `/pieces/${id}/form`);
    expect((await post(`/api/pieces/${id}/away`, { away: true })).status).toBe(200);
    await typeDimension(page, "Top length", "2030");
    await page.waitForSelector("[data-put-away]");
    await press(page, "Get it back");
    await until(page, () => document.querySelector("[data-put-away]") === null);
    await post(`/api/pieces/${id}/away`, { away: true });
    await go(page, "/?away");
    await page.waitForSelector(`[data-piece="${id}"]`);
    for (const answer of ["Keep it", "Delete it"]) {
      await page.$eval(`[data-piece="${id}"]`, (card) =>
        [...card.querySelectorAll("button")].find((each) => each.textContent === "Delete for good")!.click(),
      );
      await press(page, answer);
      if (answer === "Keep it") expect((await fetch(`${address()}/api/pieces/${id}/file`)).status).toBe(200);
    }
    await until(page, (gone) => document.querySelector(`[data-piece="${gone}"]`) === null, id);
    expect((await fetch(`${address()}/api/pieces/${id}/file`)).status).toBe(404);
  });
  it("a stored value from before its bound opens mended, says so, and is saved so with the next change", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "From before" }));
    await client.query(
      "update piece_state set body = jsonb_set(body, '{joints,buttons,spacing}', '0.02') where piece_id = $1",
      [id],
    );
    await go(page, `/pieces/${id}/movement`);
    expect(await words(page, "[data-mended]")).toMatch(/joints.buttons.spacing was 0.02/);
    await page.keyboard.press("2");
    await until(page, () => document.querySelector("main")?.dataset.stage === "form");
    await typeDimension(page, "Top length", "2020");
    await saved(page);
    await until(page, () => document.querySelector("[data-mended]") === null);
    expect(JSON.parse(await fileOf(id)).joints.buttons.spacing).toBeGreaterThan(1);
  });
  it("a piece whose boards are someone else's comes in fitted, and says what it lost", async () => {
    const { page } = maker;
    const file = await fileOf((await piecesByName())["Writing desk"]);
    await go(page, "/");
    await upload("taller-desk.json", file, "Piece file");
    await page.waitForSelector('[role="status"] li');
    expect(await words(page, '[role="status"]:has(li)')).toMatch(
      /is reserved for Writing desk, and is free of this piece/,
    );
    await page.click('[role="status"] a.button');
    await until(page, () => location.pathname.endsWith("/brief"));
  });
  it("a list that is long, wrong or not one is read in its worker and answered", async () => {
    const { page } = maker;
    await go(page, "/rack");
    await upload("wood.csv", `id,${"wood ".repeat(20_000)}\nB1,x`, "Rack file");
    await until(page, () =>
      /letters long/.test(document.querySelector('section[aria-label="Import"]')?.textContent ?? ""),
    );
    await press(page, "Leave it");
    await upload(
      "many.csv",
      `id,species,length,width,thickness,qty\n${Array.from({ length: 5 }, (_, i) => `M${i},European ash,2400,150,38,500`).join("\n")}`,
      "Rack file",
    );
    await press(page, "Put 2500 boards on the rack");
    await until(page, () => /2500 boards are new/.test(document.body.innerText));
    await go(page, `/pieces/${(await piecesByName())["Dining table"]}/boards`);
    await page.waitForSelector("[data-looked][data-total]");
    expect(Number(await page.$eval("[data-looked]", (each) => (each as HTMLElement).dataset.looked))).toBeLessThan(
      1100,
    );
  });
});

describe("while the database restarts", () => {
  it("pages say so and go on by themselves; what is typed meanwhile is kept and saved", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Through it" }));
    await go(page, `/pieces/${id}/form`);
    const crash = new Promise<void>((resolve) =>
      setTimeout(() => {
        crashCluster(database.folder);
        resolve();
      }, 30),
    );
    await crash;
    await typeDimension(page, "Top length", "1980");
    await saved(page);
    expect(JSON.parse(await fileOf(id)).form.top.length).toBe(1980);
    const { stopCluster, startCluster } = await import("../../bin/cluster.mjs");
    stopCluster(database.folder);
    const answer = await page.goto(`${address()}/rack`, { waitUntil: "domcontentloaded" });
    expect(answer!.status()).toBe(500);
    await page.waitForSelector('[data-resting="away"]', { timeout: 20_000 });
    expect((await fetch(`${address()}/api/health`)).status).toBe(503);
    await startCluster(database.folder);
    await page.waitForSelector("[data-board]", { timeout: 20_000 });
  });
});

it("no page had a fault of its own, and none broke the policy", () => {
  const expected =
    /status of 5\d\d|can't be planned|can’t be planned|primitive|reading '0'|plan of state|ERR_CONNECTION|Minified React error #(418|419|423|441)|Switched to client rendering|NEXT_|digest|An error occurred in the Server Components render/;
  expect(maker.faults.filter((each) => !expected.test(each))).toEqual([]);
});
