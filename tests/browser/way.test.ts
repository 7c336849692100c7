import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { STAGES } from "../../core/verdict/verdict";
import {
  again,
  fileOf,
  go,
  heading,
  level,
  Maker,
  makePiece,
  piecesByName,
  press,
  saved,
  sitDown,
  typeDimension,
  typeField,
  until,
} from "./maker";

let maker: Maker;
let table: string;
beforeAll(async () => {
  maker = await sitDown();
  table = (await piecesByName())["Dining table"];
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

describe("the demo commission through all nine marks of the story stick", () => {
  it("keys 1 to 9 go to the marks; each has its drawing or table and its verdicts", async () => {
    const { page } = maker;
    await go(page, `/pieces/${table}/brief`);
    const titles = new Set<string>();
    for (let key = 1; key <= 9; key += 1) {
      await page.keyboard.press(String(key) as "1");
      await until(page, (stage) => document.querySelector("main")?.dataset.stage === stage, STAGES[key - 1]);
      titles.add((await heading(page))!);
      await page.waitForSelector("main section svg, main section table");
      expect(page.url()).toMatch(new RegExp(`/${STAGES[key - 1]}$`));
      expect(await page.$$eval("[data-verdict]", (all) => all.length), STAGES[key - 1]).toBeGreaterThan(0);
      expect(await page.$eval('[aria-current="page"]', (each) => each.textContent)).not.toBe("");
    }
    expect(titles.size).toBe(9);
  });

  it("drags the month to August, sees the buttons bind, presses one remedy, undoes and redoes it, through a reload", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "August" }));
    await go(page, `/pieces/${id}/movement`);
    await page.waitForSelector(".recharts-line");
    await page.focus('[aria-label="Month"]');
    await page.keyboard.press("Home");
    await until(page, () => document.querySelector("[data-sample]")?.getAttribute("data-sample") === "0");
    for (let i = 0; i < 54; i += 1) await page.keyboard.press("ArrowRight");
    await until(
      page,
      () => document.querySelector('[aria-label="Month"]')?.getAttribute("aria-valuetext") === "August 2027",
    );
    expect(await page.$eval('[data-scene="movement"] title', (each) => each.textContent)).toMatch(
      /The top in August 2027: \+\d/,
    );
    expect(await level(page, "movement.end-buttons")).toBe("fix");
    const remedy = await page.$eval('[data-verdict="movement.end-buttons"] button', (each) => each.textContent!);
    await press(page, remedy);
    await until(
      page,
      () => document.querySelector('[data-verdict="movement.end-buttons"]')?.getAttribute("data-level") === "holds",
    );
    await saved(page);
    await again(page);
    expect(await level(page, "movement.end-buttons")).toBe("holds");
    await press(page, "Undo");
    await until(
      page,
      () => document.querySelector('[data-verdict="movement.end-buttons"]')?.getAttribute("data-level") === "fix",
    );
    await saved(page);
    await again(page);
    expect(await level(page, "movement.end-buttons")).toBe("fix");
    await press(page, "Redo");
    await until(
      page,
      () => document.querySelector('[data-verdict="movement.end-buttons"]')?.getAttribute("data-level") === "holds",
    );
    await saved(page);
  });
});

describe("dimensions typed on the drawing", () => {
  let id: string;
  beforeAll(async () => {
    id = await makePiece((piece) => ({ ...piece, name: "Dimensions" }));
  });

  it("take mm and inches, and the parts follow", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    await typeDimension(page, "Top length", "78 3/4");
    await until(page, () => document.querySelector("main p.lede")?.textContent?.includes("1760 mm") ?? false);
    await typeDimension(page, "Apron depth", "95");
    await saved(page);
    const file = JSON.parse(await fileOf(id));
    expect(file.form.top.length).toBeCloseTo(78.75 * 25.4, 9);
    expect(file.form.apron.depth).toBe(95);
  });
  it.each([
    ["12 7/0", /divides by nothing/],
    ["0", /must be 200 mm at least/],
    ["-40", /must be 200 mm at least/],
    ["wide", /is not a length/],
    ["99999", /6000 mm at most/],
  ])("%s is refused with the field's name; what was typed stays", async (typed, message) => {
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    const before = await fileOf(id);
    await typeDimension(page, "Top length", typed);
    const alert = await page.waitForSelector('[role="alert"]');
    const words = await alert!.evaluate((each) => each.textContent!);
    expect(words).toMatch(/^Top length(:| must| can be)/);
    expect(words).toMatch(message);
    expect(await page.$eval('input[aria-label="Top length"]', (each) => (each as HTMLInputElement).value)).toBe(typed);
    expect(await fileOf(id)).toBe(before);
  });
  it("legs wider than the top are judged, not refused", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    await typeDimension(page, "Top width", "300");
    await typeField(page, "Leg section", "180");
    await until(
      page,
      () => document.querySelector('[data-verdict="form.legs-fit"]')?.getAttribute("data-level") === "fix",
    );
    await saved(page);
  });
  it("U swaps the unit everywhere, without changing anything saved", async () => {
    const { page } = maker;
    await go(page, `/pieces/${table}/form`);
    const before = await fileOf(table);
    await page.evaluate(() => (document.activeElement as HTMLElement)?.blur());
    await page.keyboard.press("u");
    await until(page, () => document.querySelector('g[aria-label^="Top length: 82 11/16"]') !== null);
    expect(await page.$eval('[data-verdict="form.knee-room"]', (each) => each.textContent)).toMatch(
      /24 7\/32 in of knee room/,
    );
    await page.keyboard.press("u");
    await until(page, () => document.querySelector('g[aria-label^="Top length: 2100"]') !== null);
    expect(await fileOf(table)).toBe(before);
  });
});

describe("boards", () => {
  let id: string;
  beforeAll(async () => {
    id = await makePiece((piece) => ({
      ...piece,
      name: "Side table",
      form: { ...piece.form, top: { ...piece.form.top, length: 1900, width: 560 } },
    }));
  });
  const order = async () =>
    (JSON.parse(await fileOf(id)).panels.top.strips as { board: string; face: string }[]).map((each) => each.board);

  it("are composed by the search in its worker, and the numbers follow", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/boards`);
    await press(page, "Compose from the rack");
    await page.waitForSelector('[data-search="done"]', { timeout: 20_000 });
    expect(await page.$eval('[data-search="done"]', (each) => each.textContent)).toMatch(
      /orders tried, least waste \d+\.\d %/,
    );
    await saved(page);
    expect((await order()).length).toBeGreaterThanOrEqual(3);
    expect(await level(page, "boards.width")).not.toBe("fix");
    for (const board of await order())
      expect(await (await fetch(`${new URL(page.url()).origin}/api/rack/page?text=${board}`)).json()).toMatchObject({
        boards: expect.arrayContaining([
          expect.objectContaining({ id: board, reservedBy: expect.objectContaining({ name: "Side table" }) }),
        ]),
      });
  });
  it("are dragged to another place", async () => {
    const { page } = maker;
    const before = await order();
    const [first, second] = await Promise.all(
      [0, 1].map(async (i) => (await page.$(`[data-scene="panel"] [data-id="strip:${before[i]}"]`))!.boundingBox()),
    );
    await page.mouse.move(first!.x + 300, first!.y + first!.height / 2);
    await page.mouse.down();
    await page.mouse.move(second!.x + 300, second!.y + second!.height / 2, { steps: 6 });
    await page.mouse.up();
    await saved(page);
    expect(await order()).toEqual([before[1], before[0], ...before.slice(2)]);
  });
  it("are slid along by dragging, and keep their place in the top", async () => {
    const { page } = maker;
    const before = await order();
    const box = (await (await page.$(`[data-scene="panel"] [data-id="strip:${before[0]}"]`))!.boundingBox())!;
    const start = () =>
      page.$eval('[aria-label="Boards of the panel"] input', (input) => Number((input as HTMLInputElement).value));
    await page.mouse.move(box.x + 300, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 285, box.y + box.height / 2, { steps: 3 });
    const from = await start();
    await page.mouse.up();
    await saved(page);
    expect(await order()).toEqual(before);
    expect(await start()).toBeGreaterThan(from);
  });
  it("are moved, flipped, pinned and kept back by the keyboard's way too", async () => {
    const { page } = maker;
    const before = await order();
    await page.select('select[aria-label="Board of the panel"]', `strip:${before[0]}`);
    await press(page, "To the back");
    await press(page, "Flip");
    await press(page, "Pin");
    await press(page, "Turn end for end");
    await saved(page);
    expect(await order()).toEqual([before[1], before[0], ...before.slice(2)]);
    expect(JSON.parse(await fileOf(id)).panels.top.pinned).toEqual([before[0]]);
    await press(page, "Keep for something else");
    await until(page, (board) => !document.querySelector(`[data-scene="panel"] [data-id="strip:${board}"]`), before[0]);
    expect(await level(page, "boards.width")).toBe("fix");
    await press(page, "Undo");
    await until(
      page,
      (board) => document.querySelector(`[data-scene="panel"] [data-id="strip:${board}"]`) !== null,
      before[0],
    );
    await saved(page);
  });
});

describe("log", () => {
  it("a reading of moisture moves the year; nonsense is refused and stays typed", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Logged", log: [] }));
    await go(page, `/pieces/${id}/log`);
    await page.select("form select", "moisture");
    const field = await page.waitForSelector(
      "::-p-xpath(//form//label[contains(., 'Percent') or contains(., 'Meter reads')]//input)",
    );
    await field!.type("wet");
    await press(page, "Write it down");
    expect(await (await page.waitForSelector('form [role="alert"]'))!.evaluate((each) => each.textContent)).toMatch(
      /Moisture reading: “wet” is not a number/,
    );
    await field!.click({ count: 3 });
    await field!.type("12.5");
    await press(page, "Write it down");
    await page.waitForSelector('[data-log="moisture"]');
    await saved(page);
    await page.keyboard.press("Escape");
    await page.evaluate(() => (document.activeElement as HTMLElement)?.blur());
    await page.keyboard.press("3");
    await until(
      page,
      () => document.querySelector("main p.lede")?.textContent?.includes("measured at 12.5 % on") ?? false,
    );
    expect(await level(page, "movement.acclimatised")).not.toBe("holds");
  });
});
