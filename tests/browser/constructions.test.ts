import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Piece } from "../../core/piece/schema";
import { demoBoard } from "../../core/testing/boards";
import {
  choose,
  fileOf,
  go,
  Maker,
  makePiece,
  post,
  press,
  saved,
  sitDown,
  typeDimension,
  typeField,
  until,
  words,
} from "./maker";

let maker: Maker;
let id: string;
beforeAll(async () => {
  maker = await sitDown();
  // a wood of its own: what others saw and reserve leaves it alone
  const species = "black-cherry";
  const boards = Array.from({ length: 16 }, (_, i) => {
    const { reservedBy: _free, ...board } = demoBoard({ id: `Cherry${i + 1}`, species, width: 150 + 3 * i });
    return board;
  });
  expect((await post("/api/rack", { kind: "put", boards })).status).toBe(200);
  id = await makePiece((piece) => ({ ...piece, name: "Trestle by hand", species }));
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});
const record = async () => JSON.parse(await fileOf(id)) as Piece;

describe("a maker stands the dining table on a trestle, gives it a shelf, and finds it everywhere", () => {
  it("by the small drawing; a size is typed on the large one, and undo leads back to legs", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    await (await page.waitForSelector('::-p-xpath(//button[@role="radio"][.//text()="Trestle"])'))!.click();
    await page.waitForSelector('g[role="button"][aria-label^="Foot length:"]');
    await typeDimension(page, "Foot length", "640");
    await saved(page);
    expect([(await record()).form.kind, (await record()).form.trestle.foot.length]).toEqual(["trestle", 640]);
    await press(page, "Undo");
    await press(page, "Undo");
    await until(page, () => document.querySelector('g[aria-label^="Apron depth:"]') !== null);
    await press(page, "Redo");
    await press(page, "Redo");
    await page.waitForSelector('g[role="button"][aria-label^="Foot length: 640"]');
  });
  it("a part opens by itself, with every cut in it and the joint it belongs to", async () => {
    const { page } = maker;
    await press(page, "Post");
    await page.waitForSelector('[data-scene="part-P1"]');
    const cuts = await page.$$eval('section[aria-label="Parts"] table:last-of-type td:first-child', (cells) =>
      cells.map((cell) => cell.textContent),
    );
    expect(cuts).toContain("Stretcher to post");
  });
  it("a shelf is chosen, and its boards are composed beside the top's: no board is in both", async () => {
    const { page } = maker;
    await choose(page, "Low shelf", "solid");
    await saved(page);
    await go(page, `/pieces/${id}/boards`);
    for (const panel of ["The shelf", "The top"]) {
      await press(page, panel);
      await until(
        page,
        (name) =>
          [...document.querySelectorAll('nav[aria-label="Panels"] button')].some(
            (each) => each.textContent === name && each.getAttribute("aria-pressed") === "true",
          ),
        panel,
      );
      await press(page, "Compose from the rack");
      await page.waitForSelector('[data-search="done"]', { timeout: 40_000 });
      await saved(page);
    }
    const { top, shelf } = (await record()).panels;
    const boards = [...top.strips, ...shelf.strips].map((each) => each.board);
    expect(shelf.strips.length).toBeGreaterThan(0);
    expect(top.strips.length).toBeGreaterThan(2);
    expect(new Set(boards).size).toBe(boards.length);
  });
  it("one search composes both, and neither has a board of the other's", async () => {
    const { page } = maker;
    await press(page, "Compose both panels");
    await page.waitForSelector('[data-all="done"]', { timeout: 40_000 });
    expect(await words(page, '[data-all="done"]')).toMatch(/from \d+, the \w+ from \d+ boards/);
    await saved(page);
    const { top, shelf } = (await record()).panels;
    const boards = [...top.strips, ...shelf.strips].map((each) => each.board);
    expect(Math.min(top.strips.length, shelf.strips.length)).toBeGreaterThan(0);
    expect(new Set(boards).size).toBe(boards.length);
  });
  it("the shelf is measured by itself, and held against its own years", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/log`);
    await page.select("form select", "width");
    const what = await page.waitForSelector("::-p-xpath(//form//label[starts-with(., 'Of')]//select)");
    await what!.select("shelf");
    const field = await page.waitForSelector("::-p-xpath(//form//label[starts-with(., 'Width')]//input)");
    await field!.type("420");
    await press(page, "Write it down");
    await page.waitForSelector('[data-chart="width"][data-panel="shelf"]');
    await saved(page);
    expect((await record()).log.at(-1)).toMatchObject({ kind: "width", what: "shelf", value: 420 });
  });
  it("joints stand one at a time, gluings of top, shelf and leaves stand side by side", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/joints`);
    await press(page, "Stretcher to post");
    await page.waitForSelector('[data-scene="joint-post+stretcher"]');
    expect(await page.$eval("main", (each) => each.textContent)).toMatch(/Mortise, through/);
    await go(page, `/pieces/${id}/glue-up`);
    const names = await page.$$eval("main button[aria-pressed]", (all) => all.map((each) => each.textContent));
    expect(names.some((name) => /Shelf: the whole panel/.test(name ?? ""))).toBe(true);
    expect(names.some((name) => /Post from 2 leaves/.test(name ?? ""))).toBe(true);
  });
});

describe("legs as a maker cuts them", () => {
  let legs: string;
  const form = async () => (JSON.parse(await fileOf(legs)) as Piece).form;
  beforeAll(async () => {
    legs = await makePiece((piece) => ({ ...piece, name: "Legs by hand" }));
  });
  it("run up through the top, which is notched for them; stretchers are laid, and a shelf of slats on them", async () => {
    const { page } = maker;
    await go(page, `/pieces/${legs}/form`);
    await choose(page, "Legs end", "through");
    await until(page, () => document.querySelector('[data-verdict="form.posts-at-corners"]') !== null);
    await press(page, "Bring the legs out to the edges");
    await choose(page, "Low stretchers", "box");
    await page.waitForSelector('g[role="button"][aria-label^="Height of the low stretchers:"]');
    await typeDimension(page, "Height of the low stretchers", "150");
    await choose(page, "Low shelf", "slats");
    await until(page, () => document.querySelector('[data-verdict="form.shelf-slats"]') !== null);
    await saved(page);
    const now = await form();
    expect([now.leg.top, now.overhang, now.low.height, now.shelf.kind]).toEqual([
      "through",
      { end: 0, side: 0 },
      150,
      "slats",
    ]);
    await go(page, `/pieces/${legs}/movement`);
    await page.waitForSelector('[data-verdict="movement.notches"]');
  });
  it("a part of the maker's own hangs in the air until it comes up to the rails, and is joined by what fits there", async () => {
    const { page } = maker;
    await go(page, `/pieces/${legs}/form`);
    await press(page, "Add a part");
    await page.waitForSelector('[data-own="own-1"]');
    await typeField(page, "Called", "Foot rest");
    await choose(page, "Rests", "free");
    await typeField(page, "Above the floor", "300");
    await until(page, () => /foot rest touches nothing/.test(document.body.innerText));
    await choose(page, "Rests", "under-top");
    await press(page, "Screw it on: foot rest to top");
    await until(page, () => document.querySelector('[data-verdict="form.own-joins"][data-level="holds"]') !== null);
    await saved(page);
    const { own } = JSON.parse(await fileOf(legs)) as Piece;
    expect([own.parts[0].name, own.parts[0].rests]).toEqual(["Foot rest", "under-top"]);
    expect(own.joins).toEqual([{ own: "own-1", to: "top", how: "screwed" }]);
    await press(page, "Foot rest");
    await page.waitForSelector('[data-scene="part-N1"]');
  });
  it("a kind of part gets its own wood and edges, and the list of parts tells", async () => {
    const { page } = maker;
    await go(page, `/pieces/${legs}/form`);
    await press(page, "Long rail");
    await page.waitForSelector('[data-scene="part-A1"]');
    // a wood that no file at this desk brings onto the rack
    await choose(page, "Long rail: wood", "ponderosa-pine");
    await choose(page, "Long rail: edges", "rounded");
    await page.waitForSelector('[data-verdict="form.edges"]');
    await saved(page);
    const { kinds } = JSON.parse(await fileOf(legs)) as Piece;
    expect(kinds["long-rail"]).toMatchObject({ species: "ponderosa-pine", edges: { how: "rounded" } });
    expect(await page.$eval('section[aria-label="Parts"]', (each) => each.textContent)).toMatch(/Ponderosa pine/);
    await go(page, `/pieces/${legs}/cutting`);
    await until(page, () => /To buy/.test(document.querySelector("main")!.textContent ?? ""));
  });
});

it("a shelf is looked at through its years beside the top", async () => {
  const { page } = maker;
  await go(page, `/pieces/${id}/movement`);
  await press(page, "The shelf");
  await until(page, () => document.querySelector("h1")!.textContent === "How the shelf moves through its years");
  expect(await page.$eval('[data-scene="movement"] title', (each) => each.textContent)).toMatch(/^The shelf in /);
  await press(page, "The top");
  await until(page, () => document.querySelector("h1")!.textContent === "How the top moves through its years");
});

it("a breadboard's tongue is typed on the drawing of what holds the top", async () => {
  const { page } = maker;
  const other = await makePiece((piece) => ({ ...piece, name: "Tongue" }), "Reading table");
  await go(page, `/pieces/${other}/joints`);
  await press(page, "Top");
  await typeDimension(page, "Tongue length", "38");
  await saved(page);
  expect(JSON.parse(await fileOf(other)).form.breadboard.tongue).toBe(38);
});

describe("a maker makes a desk of it, on X frames, that clears what stands below", () => {
  it("by the small drawing; its set-in is typed on the end view, and the lean follows", async () => {
    const { page } = maker;
    id = await makePiece((piece) => ({ ...piece, name: "X by hand", species: "black-cherry" }));
    await go(page, `/pieces/${id}/form`);
    await (await page.waitForSelector('::-p-xpath(//button[@role="radio"][.//text()="X frames"])'))!.click();
    await page.waitForSelector('g[role="button"][aria-label^="Set-in on the floor:"]');
    const leans = () => words(page, '[data-verdict="form.lean"]');
    const before = await leans();
    await typeDimension(page, "Set-in on the floor", "140");
    await saved(page);
    await until(page, (said) => document.querySelector('[data-verdict="form.lean"]')?.textContent !== said, before);
    expect((await record()).form).toMatchObject({ kind: "x-frame", xFrame: { inBelow: 140 } });
  });
  it("no remedy of what stood there before is left to press", async () => {
    const { page } = maker;
    const thick = await makePiece((piece) => ({
      ...piece,
      form: { ...piece.form, leg: { ...piece.form.leg, section: 100 } },
      name: "Thick legs",
      species: "black-cherry",
    }));
    await go(page, `/pieces/${thick}/form`);
    await page.waitForSelector('[data-verdict="form.leg"] button');
    await (await page.waitForSelector('::-p-xpath(//button[@role="radio"][.//text()="X frames"])'))!.click();
    await page.waitForSelector('[data-verdict="form.lean"]');
    await page.waitForSelector('[data-verdict="form.leg"][data-level="holds"]');
    expect(await page.$('[data-verdict="form.leg"] button')).toBeNull();
  });
  it("its X stands full size under Joints, with the numbers it is set out from", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/joints`);
    await press(page, "Leg across leg");
    await page.waitForSelector('[data-scene="x-set-out"]');
    expect(await words(page, "main")).toMatch(/Level cuts at foot and head, from square/);
  });
  it("a thing that is in its way is told under Brief, and stays so until it is smaller", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/brief`);
    await choose(page, "Made as", "desk");
    await press(page, "Add a thing");
    await page.waitForSelector('[data-verdict="brief.thing-1"][data-level="holds"]');
    await typeField(page, "High", "730");
    await page.waitForSelector('[data-verdict="brief.thing-1"][data-level="fix"]');
    await typeField(page, "High", "200");
    await page.waitForSelector('[data-verdict="brief.thing-1"][data-level="holds"]');
    await saved(page);
    expect((await record()).brief.things).toHaveLength(1);
  });
});
