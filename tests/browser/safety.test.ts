import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ElementHandle, HTTPRequest } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import {
  address,
  again,
  fileOf,
  go,
  Maker,
  makePiece,
  newPage,
  piecesByName,
  post,
  press,
  saved,
  sitDown,
  typeDimension,
  typeField,
  until,
} from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

const desk = mkdtempSync(join(tmpdir(), "taller-"));
const choose = async (label: string, name: string, text: string) => {
  writeFileSync(join(desk, name), text);
  const input = (await maker.page.$(`input[type="file"][aria-label="${label}"]`)) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(join(desk, name));
};

describe("two people at one piece", () => {
  it("the second is told, sees what differs, and keeps both", async () => {
    const id = await makePiece((piece) => ({ ...piece, name: "Shared" }));
    const first = maker.page;
    const second = await newPage(maker.browser, maker.faults);
    await go(first, `/pieces/${id}/form`);
    await go(second, `/pieces/${id}/form`);
    await first.bringToFront();
    await typeDimension(first, "Top length", "2000");
    await saved(first);
    await second.bringToFront();
    await typeDimension(second, "Top width", "800");
    const dialog = await second.waitForSelector('[role="dialog"]');
    const words = await dialog!.evaluate((each) => each.textContent);
    for (const part of ["Revision 2 stands", "form, top, length20002100", "form, top, width900800"])
      expect(words).toContain(part);
    expect(JSON.parse(await fileOf(id)).form.top).toMatchObject({ length: 2000, width: 900 });
    await Promise.all([
      second.waitForNavigation({ waitUntil: "load" }),
      press(second, "Go on with mine, theirs stays in the history"),
    ]);
    expect(JSON.parse(await fileOf(id)).form.top).toMatchObject({ length: 2100, width: 800 });
    await press(second, "Undo");
    await until(second, () => document.querySelector('g[aria-label^="Top length: 2000"]') !== null);
    await saved(second);
    expect(JSON.parse(await fileOf(id)).form.top).toMatchObject({ length: 2000, width: 900 });
    await second.close();
  });
  it("or opens theirs and keeps mine as a copy", async () => {
    const id = await makePiece((piece) => ({ ...piece, name: "Shared again" }));
    const second = await newPage(maker.browser, maker.faults);
    await go(second, `/pieces/${id}/form`);
    const file = JSON.parse(await fileOf(id));
    expect(
      (
        await post(`/api/pieces/${id}/save`, {
          revision: 1,
          changes: [{ kind: "edit", n: 2, parent: 1, label: "Elsewhere", piece: { ...file, species: "teak" } }],
        })
      ).status,
    ).toBe(200);
    await typeDimension(second, "Top width", "777");
    await second.waitForSelector('[role="dialog"]');
    await Promise.all([
      second.waitForNavigation({ waitUntil: "load" }),
      press(second, "Open theirs, keep mine as a copy"),
    ]);
    expect(JSON.parse(await fileOf(id)).species).toBe("teak");
    await go(second, "/");
    expect(await second.$$eval("[data-piece] h2", (all) => all.map((each) => each.textContent))).toContain(
      "Shared again, my version",
    );
    await second.close();
  });
  it("going to the bench and back by the browser goes on where one was, without a false alarm", async () => {
    const id = await makePiece((piece) => ({ ...piece, name: "Back again" }));
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    await typeDimension(page, "Top length", "1990");
    await page.click('header a[href="/"]');
    await page.waitForSelector("[data-piece]");
    await page.goBack();
    await until(page, () => document.querySelector('g[aria-label^="Top length: 1990"]') !== null);
    await typeDimension(page, "Top width", "810");
    await until(page, () => document.querySelector('g[aria-label^="Top width: 810"]') !== null);
    await saved(page);
    expect(await page.$('[role="dialog"]')).toBeNull();
    expect(JSON.parse(await fileOf(id)).form.top).toMatchObject({ length: 1990, width: 810 });
  });
  it("what could not be saved is kept through a reload and saved when the server answers", async () => {
    const id = await makePiece((piece) => ({ ...piece, name: "Offline" }));
    const page = await newPage(maker.browser, []);
    await go(page, `/pieces/${id}/form`);
    await page.setRequestInterception(true);
    let down = true;
    page.on("request", (request) => (down && request.url().includes("/save") ? request.abort() : request.continue()));
    await typeDimension(page, "Top length", "1950");
    await page.waitForSelector('[data-save="unreachable"]');
    expect(JSON.parse(await fileOf(id)).form.top.length).toBe(2100);
    down = false;
    await again(page);
    await saved(page);
    await until(page, () => document.querySelector('g[aria-label^="Top length: 1950"]') !== null);
    expect(JSON.parse(await fileOf(id)).form.top.length).toBe(1950);
    await page.close();
  });
});

describe("files", () => {
  it("a save whose answer is lost on the way is no conflict with oneself", async () => {
    const id = await makePiece((piece) => ({ ...piece, name: "Answer lost" }));
    // a request that fails is a line in its console
    const page = await newPage(maker.browser, []);
    await go(page, `/pieces/${id}/form`);
    await page.setRequestInterception(true);
    let lost = 0;
    const lose = (request: HTTPRequest) => {
      if (request.method() !== "POST" || !request.url().endsWith("/save") || lost > 0) return void request.continue();
      lost += 1;
      // the server has it; the browser never hears
      void fetch(request.url(), {
        method: "POST",
        headers: { "content-type": "application/json", origin: new URL(request.url()).origin },
        body: request.postData(),
      }).then(({ status }) => {
        expect(status).toBe(200);
        return request.abort();
      });
    };
    page.on("request", lose);
    await typeDimension(page, "Top length", "2050");
    await saved(page);
    page.off("request", lose);
    await page.setRequestInterception(false);
    expect(lost).toBe(1);
    expect(await page.$('[role="dialog"]')).toBeNull();
    expect(JSON.parse(await fileOf(id)).form.top.length).toBe(2050);
    // and what follows is saved after it
    await typeDimension(page, "Top width", "810");
    await saved(page);
    expect(JSON.parse(await fileOf(id)).form.top).toMatchObject({ length: 2050, width: 810 });
    await page.close();
  });
  it("a piece exports and imports again, identical", async () => {
    const id = await makePiece((piece) => ({ ...piece, name: "Sent by mail" }));
    const text = await fileOf(id);
    const answer = await post("/api/pieces", { kind: "import", text });
    expect(await fileOf(((await answer.json()) as { id: string }).id)).toBe(text);
  });
  it("a file that is no piece is refused in a sentence on the bench", async () => {
    await go(maker.page, "/");
    await choose("Piece file", "taller-cut.json", '{"format": "taller-piece", "version": 1, "na');
    expect(
      await (await maker.page.waitForSelector('main [role="alert"]'))!.evaluate((each) => each.textContent),
    ).toMatch(/cut off/);
  });
  it("a rack with a bad row in the middle offers the good ones", async () => {
    await go(maker.page, "/rack");
    await choose(
      "Rack file",
      "taller-rack.csv",
      "\uFEFFid;species;length;width;thickness\r\nZ1;european-ash;2000,5;150;38\r\nZ2;european-ash;-3;150;38\r\nZ3;Elm;1800;120;27\r\n",
    );
    const section = await maker.page.waitForSelector('section[aria-label="Import"]:has(h2)');
    expect(await section!.evaluate((each) => each.textContent)).toMatch(
      /2 good rows, 1 that can't be read.*Line 3: Length must be 50 mm at least/,
    );
    await press(maker.page, "Put 2 boards on the rack");
    await typeField(maker.page, "Name, tree or shelf", "Z");
    await maker.page.waitForSelector('[data-board="Z3"]');
    await maker.page.click('button[aria-label="Take off Z3"]');
    await press(maker.page, "Put Z3 back");
    await maker.page.waitForSelector('[data-board="Z3"]');
    expect(await maker.page.$('[data-board="Z2"]')).toBeNull();
  });
  it("shop sheets print as five pages with no interface on them", async () => {
    const id = (await piecesByName())["Dining table"];
    await go(maker.page, `/pieces/${id}/sheets`);
    // our own letters come in after the first picture, and are wider than those they stand in for
    await until(maker.page, () => {
      const sheets = [...document.querySelectorAll("[data-sheet-content]")];
      return document.fonts.status === "loaded" && sheets.every((each) => each.getBoundingClientRect().height < 952);
    });
    const pdf = Buffer.from(await maker.page.pdf({ format: "A4", preferCSSPageSize: true })).toString("latin1");
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(5);
    await maker.page.emulateMediaType("print");
    expect(
      await maker.page.$$eval(
        "header, button, nav, aside",
        (all) => all.filter((each) => (each as HTMLElement).offsetParent !== null && !each.closest("article")).length,
      ),
    ).toBe(0);
    await maker.page.emulateMediaType("screen");
  });
});

describe("a table of one's own, from an empty bench row to the sheets", () => {
  it("is begun, briefed, formed and cut by hand", async () => {
    const { page } = maker;
    await go(page, "/");
    await page.type('input[placeholder="Dining table"]', "Hall table");
    await press(page, "Begin");
    await until(
      page,
      () => location.pathname.endsWith("/brief") && document.querySelector("main[data-stage]") !== null,
    );
    await typeField(page, "Seats daily", "2");
    await typeField(page, "At most", "4");
    await typeDimension(page, "Room length", "13'");
    await until(page, () => document.querySelector('g[aria-label^="Room length: 3962.5"]') !== null);
    const proposal = await page.$eval("main section button.button", (each) => each.textContent!);
    expect(proposal).toMatch(/^Make the top \d+ by \d+ mm$/);
    await press(page, proposal);
    await saved(page);
    const id = page.url().split("/")[4];
    await go(page, `/pieces/${id}/cutting`);
    expect(await page.$$eval("tr[data-part]", (all) => all.length)).toBe(7);
    expect(await (await fetch(`${address()}/api/pieces/${id}/cut-list`)).text()).toMatch(/^marks,part,count/);
    await go(page, "/");
    await page.$$eval("[data-piece]", (all) =>
      (
        all
          .find((each) => each.querySelector("h2")!.textContent === "Hall table")!
          .querySelectorAll("button")[1] as HTMLElement
      ).click(),
    );
    await until(
      page,
      () => ![...document.querySelectorAll("[data-piece] h2")].some((each) => each.textContent === "Hall table"),
    );
    await page.$$eval("main a", (all) =>
      (all.find((each) => /put away$/.test(each.textContent!)) as HTMLElement).click(),
    );
    await until(page, () =>
      [...document.querySelectorAll("[data-piece] h2")].some((each) => each.textContent === "Hall table"),
    );
  });
});

describe("no request ends in a 500", () => {
  const nil = "00000000-0000-4000-8000-000000000000";
  const requests: [string, string, string, unknown?][] = [
    ["no such piece", "GET", `/pieces/${nil}/form`],
    ["no id at all", "GET", "/pieces/none/form"],
    ["no such stage", "GET", `/pieces/${nil}/paint`],
    ["a file of no piece", "GET", `/api/pieces/${nil}/file`],
    ["a quote in an id", "GET", "/api/pieces/'%20or%201=1/file"],
    ["a state of nonsense", "GET", `/api/pieces/${nil}/states/abc`],
    ["a huge state", "GET", `/api/pieces/${nil}/states/99999999999999`],
    ["a cut list of no piece", "GET", `/api/pieces/${nil}/cut-list`],
    ["no JSON", "POST", "/api/pieces", "not json"],
    ["nothing", "POST", "/api/pieces", ""],
    ["null", "POST", "/api/pieces", "null"],
    ["an empty name", "POST", "/api/pieces", { kind: "fresh", name: " " }],
    ["ten megabytes", "POST", "/api/pieces", "x".repeat(10_000_000)],
    ["a save of nothing", "POST", `/api/pieces/${nil}/save`, {}],
    ["a save without changes", "POST", `/api/pieces/${nil}/save`, { revision: 1, changes: [] }],
    ["a save of nonsense", "POST", `/api/pieces/${nil}/save`, { revision: "x", changes: [{ kind: "edit" }] }],
    ["a save elsewhere", "POST", `/api/pieces/${nil}/save`, { revision: 1, changes: [{ kind: "move", head: 1 }] }],
    ["a huge revision", "POST", `/api/pieces/${nil}/save`, { revision: 1e18, changes: [{ kind: "move", head: 1 }] }],
    ["away of nothing", "POST", `/api/pieces/${nil}/away`, { away: "maybe" }],
    ["a copy of nothing", "POST", `/api/pieces/${nil}/copy`],
    ["a rack of nonsense", "POST", "/api/rack", { kind: "put", boards: [{ id: 7 }] }],
    ["a rack by a list no longer read here", "POST", "/api/rack", { kind: "look", text: 5 }],
    ["no such board", "DELETE", "/api/rack/%00"],
    ["a shop of nonsense", "PUT", "/api/shop", { name: 5 }],
    ["a species of nonsense", "POST", "/api/species", { name: "x", radial: -1 }],
    ["a name with a zero byte", "POST", "/api/pieces", { kind: "fresh", name: "a\u0000b" }],
  ];
  it.each(requests)("%s", async (_, method, path, body) => {
    const answer = await fetch(address() + path, {
      method,
      headers: { "content-type": "application/json" },
      body: body === undefined ? undefined : typeof body === "string" ? body : JSON.stringify(body),
    });
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    if (path.startsWith("/api") && method !== "GET")
      expect(((await answer.json()) as { message: string }).message).toMatch(/^[A-Z].*\.( \([^)]*\))?$/);
  });
});

describe("other screens", () => {
  it.each([
    [768, 1024, ["brief", "form", "movement", "joints", "boards", "glue-up", "cutting", "build", "log"]],
    [390, 844, ["log"]],
  ] as [number, number, string[]][])("nothing runs off a screen %i wide", async (width, height, stages) => {
    const id = await makePiece((piece) => ({ ...piece, name: `At ${width}` }));
    const page = await newPage(maker.browser, maker.faults);
    await page.setViewport({ width, height });
    for (const stage of stages) {
      await go(page, `/pieces/${id}/${stage}`);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), stage).toBeLessThanOrEqual(width);
    }
    await page.close();
  });
});
