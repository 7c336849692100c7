import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { serveDevices } from "../../bin/devices.mjs";
import { choose, fileOf, go, level, Maker, makePiece, press, saved, sitDown, typeField, until } from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

const folder = mkdtempSync(join(tmpdir(), "taller-movement-"));
const give = async (page: Maker["page"], label: string, name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  const input = await page.$(`input[type="file"][aria-label="${label}"]`);
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
};

describe("the reading table's years", () => {
  let id: string;
  beforeAll(async () => {
    id = await makePiece((piece) => ({ ...piece, name: "Years" }), "Reading table");
  });

  it("its pegs bind in the close-up when the month is dragged to August; one press mends them", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/movement`);
    await page.waitForSelector(".recharts-line");
    expect(await level(page, "movement.pegs")).toBe("fix");
    await page.focus('[data-chart="year"]');
    await page.keyboard.press("Home");
    await until(page, () => document.querySelector("[data-sample]")?.getAttribute("data-sample") === "0");
    expect(await page.$eval('[data-scene="close-up"] title', (each) => each.textContent)).not.toMatch(/binds/);
    for (let i = 0; i < 9; i += 1) await page.keyboard.press("PageUp");
    await until(
      page,
      () =>
        document.querySelector('[data-chart="year"]')?.getAttribute("aria-valuetext")?.startsWith("August 2027") ??
        false,
    );
    expect(await page.$eval('[data-scene="close-up"] title', (each) => each.textContent)).toMatch(
      /The outermost peg in August: .*it binds/,
    );
    await press(page, "Cut each slot as long as it needs");
    await until(
      page,
      () => document.querySelector('[data-verdict="movement.pegs"]')?.getAttribute("data-level") === "holds",
    );
    await until(page, () => !document.querySelector('[data-scene="close-up"] title')?.textContent?.includes("binds"));
    await saved(page);
    expect(JSON.parse(await fileOf(id)).form.breadboard.slots).toBe("computed");
  });

  it("plays the years, and stops", async () => {
    const { page } = maker;
    await press(page, "Play the years");
    const before = await page.$eval("[data-sample]", (each) => each.getAttribute("data-sample"));
    await until(page, (was) => document.querySelector("[data-sample]")?.getAttribute("data-sample") !== was, before!);
    await press(page, "Stop");
  });

  it("sets another choice beside it, names what changes, and takes it by one press", async () => {
    const { page } = maker;
    await page.select("[data-compare] select", "Finish-varnish");
    await page.waitForSelector("[data-compare] table");
    expect(await page.$$eval("[data-compare] [data-scene]", (all) => all.length)).toBe(2);
    expect(await page.$eval("[data-compare] table", (each) => each.textContent)).toMatch(
      /Half of a change goes through in\d+ days\d+ days/,
    );
    await press(page, "Take it: varnish, three coats");
    await saved(page);
    expect(JSON.parse(await fileOf(id)).finish).toBe("varnish");
  });

  it("every construction and fastening draws and is judged", async () => {
    const { page } = maker;
    for (const [label, choice] of [
      ["At its ends", "none"],
      ["Kept flat by", "channels"],
      ["Kept flat by", "battens"],
      ["Kept flat by", "none"],
      ["At its ends", "frame"],
      ["Top made of", "slats"],
      ["At its ends", "breadboards"],
      ["Top made of", "solid"],
    ]) {
      await choose(page, label, choice);
      await page.waitForSelector('[data-scene="movement"]');
      expect(await page.$$eval("[data-verdict]", (all) => all.length), `${label} ${choice}`).toBeGreaterThan(6);
    }
    for (const fastening of ["figure-8", "z-clip", "oversized", "loose", "screwed", "button", "slotted"]) {
      await choose(page, "Top fastened by", fastening);
      await until(
        page,
        (kind) =>
          document.querySelector(
            kind === "screwed"
              ? '[data-verdict^="movement.stopped.screws"]'
              : kind === "button"
                ? '[data-verdict="movement.end-buttons"]'
                : '[data-verdict^="movement.fastening"]',
          ) !== null,
        fastening,
      );
    }
    await saved(page);
  });

  it("a drawer is added, its gap judged, and a ring angle, a moisture or a coefficient that can't be is refused in words", async () => {
    const { page } = maker;
    await press(page, "Drawer");
    await page.waitForSelector('[data-inset="drawer"]');
    await typeField(page, "Gap above", "0");
    await until(
      page,
      () => document.querySelector('[data-verdict^="movement.inset"]')?.getAttribute("data-level") === "fix",
    );
    await typeField(page, "Measured moisture", "90");
    expect(await (await page.waitForSelector('[role="alert"]'))!.evaluate((each) => each.textContent)).toMatch(
      /Measured moisture: .*runs from 1 to 60/,
    );
    await typeField(page, "Measured moisture", "45");
    await until(
      page,
      () => document.querySelector('[data-verdict="movement.range"]')?.textContent?.includes("green") ?? false,
    );
    await saved(page);
  });

  it("this piece's numbers stand on its sources page, and where it leaves a range", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/sources`);
    expect(await page.$$eval('[data-table="worked"] tbody tr', (rows) => rows.length)).toBeGreaterThan(7);
    expect(await page.$eval("main", (each) => each.textContent)).toMatch(
      /the wood is green; nothing shrinks above 30 %/,
    );
    await go(page, "/sources");
    expect(await page.$$eval("article[id]", (all) => all.length)).toBeGreaterThanOrEqual(12);
    expect(await page.$$eval('section[aria-label="Species"] tbody tr', (rows) => rows.length)).toBeGreaterThanOrEqual(
      45,
    );
  });
});

describe("the room's own air", () => {
  it("a logger's file is looked at, its faults named, and used; one with two units is refused and nothing changes", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Aired" }));
    await go(page, `/pieces/${id}/brief`);
    const before = await fileOf(id);
    await give(
      page,
      "Logger file",
      "two-units.csv",
      `date,temp,humidity\n${Array.from({ length: 60 }, (_, i) => `2026-0${1 + Math.floor(i / 28)}-${String(1 + (i % 28)).padStart(2, "0")} 12:00,${i % 2 ? "20 C" : "68 F"},45`).join("\n")}`,
    );
    await page.waitForSelector('[data-log-read="false"]');
    expect(await page.$eval('[data-log-read="false"]', (each) => each.textContent)).toMatch(/two units, °C and °F/);
    expect(await fileOf(id)).toBe(before);
    const lines = Array.from(
      { length: 360 },
      (_, i) =>
        `${new Date(Date.UTC(2026, 0, 1 + i, 12)).toISOString().slice(0, 16)},${i === 40 ? "20,140" : `20,${(45 + 15 * Math.sin(i / 58)).toFixed(1)}`}`,
    );
    await give(page, "Logger file", "year.csv", `Time,Temperature °C,Humidity %\n${lines.join("\n")}`);
    await page.waitForSelector('[data-log-read="true"]');
    expect(await page.$eval('[data-log-read="true"]', (each) => each.textContent)).toMatch(
      /359 readings.*Line 42: A relative humidity of 140 % can't be/,
    );
    await press(page, "Use these readings");
    await saved(page);
    const { climate } = JSON.parse(await fileOf(id)).brief;
    expect([climate.kind, climate.readings]).toEqual(["log", 359]);
  });
  it("a house is built from the air outside", async () => {
    const { page } = maker;
    await choose(page, "Air from", "house");
    await typeField(page, "Heated to", "21");
    await saved(page);
    await typeField(page, "Heated to", "60");
    expect(await (await page.waitForSelector('[role="alert"]'))!.evaluate((each) => each.textContent)).toMatch(
      /Heated to: .*runs from 5 to 30/,
    );
  });
});

describe("what was measured", () => {
  let id: string;
  let devices: { close: () => void } | null = null;
  beforeAll(async () => {
    id = await makePiece((piece) => ({ ...piece, name: "Measured", log: [] }));
    // another Taller on this machine may have them switched on already
    devices = await serveDevices().catch(() => null);
  });
  afterAll(() => devices?.close());

  it("the meter, the caliper and the logger on the bench are read into the form", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/log`);
    for (const [kind, button] of [
      ["moisture", "Read the meter"],
      ["width", "Read the caliper"],
      ["air", "Read the logger"],
    ]) {
      await page.select("form select", kind);
      await press(page, button);
      await until(page, () =>
        /^\d/.test((document.querySelectorAll("form input.input")[1] as HTMLInputElement)?.value ?? ""),
      );
      await press(page, "Write it down");
      await page.waitForSelector(`[data-log="${kind}"]`);
    }
    await saved(page);
    const { log } = JSON.parse(await fileOf(id));
    expect(log.map((each: { kind: string }) => each.kind)).toEqual(["moisture", "width", "air"]);
    expect(log[0].meter.reading).toBeGreaterThan(4);
    await page.waitForSelector('[data-chart="width"] .recharts-line');
  });
  it("widths from a CSV teach a coefficient that is offered, taken by one press and given back", async () => {
    const { page } = maker;
    id = await makePiece((piece) => ({ ...piece, name: "Taught", log: [] }));
    await go(page, `/pieces/${id}/log`);
    await give(
      page,
      "Readings file",
      "widths.csv",
      "date,what,width,moisture\n2026-11-24,top,900,8.5\n2027-02-20,top,897.9,7.1\n2027-08-20,top,904.1,11.2\n2027-99-01,top,900,9\n",
    );
    await press(page, "Write 6 down");
    await until(
      page,
      () => document.querySelector('[data-verdict="log.learned.top"]')?.getAttribute("data-level") === "tight",
    );
    // offered once it is tried
    const button = await page.waitForSelector('[data-verdict="log.learned.top"] button');
    const offer = await button!.evaluate((each) => each.textContent!);
    expect(JSON.parse(await fileOf(id)).fitted).toEqual([]);
    await press(page, offer);
    await until(
      page,
      () => document.querySelector('[data-verdict="log.learned.top"]')?.getAttribute("data-level") === "holds",
    );
    await saved(page);
    expect(JSON.parse(await fileOf(id)).fitted[0].coefficient).toBeCloseTo(0.0017, 3);
    await press(page, "Back to the table’s");
    await until(
      page,
      () => document.querySelector('[data-verdict="log.learned.top"]')?.getAttribute("data-level") === "tight",
    );
    await saved(page);
  });
  it("devices that are off are a sentence, not a fault", async () => {
    const answer = await fetch(new URL("/api/devices/thermometer", maker.page.url()));
    expect(answer.status).toBe(404);
    expect((await answer.json()).message).toMatch(/no such device/);
  });
});
