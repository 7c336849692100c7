import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Piece } from "../../core/piece/schema";
import { demoBoard } from "../../core/testing/boards";
import {
  again,
  choose,
  fileOf,
  go,
  Maker,
  makePiece,
  piecesByName,
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
  const species = "black-walnut";
  // the last six thin, for drawers: a board of 32 is not planed away to 12
  const boards = Array.from({ length: 30 }, (_, i) => {
    const thickness = i < 24 ? 32 : 18;
    const { reservedBy: _free, ...board } = demoBoard({ id: `Walnut${i + 1}`, species, width: 235, thickness });
    return board;
  });
  expect((await post("/api/rack", { kind: "put", boards })).status).toBe(200);
  id = await makePiece((piece) => ({
    ...piece,
    ...{ name: "Chest by hand", species, panels: { top: { ...piece.panels.top, strips: [] } }, kinds: {}, insets: [] },
    form: { ...piece.form, top: { ...piece.form.top, length: 950, width: 480, thickness: 22 }, height: 840 },
  }));
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});
const record = async () => JSON.parse(await fileOf(id)) as Piece;
const heights = async () => (await record()).form.case.bays.map(({ rows }) => rows.map(({ height }) => height));

describe("a maker plans a chest of four drawers, from its brief to its cards", () => {
  it("it is made as a case, and stands on one by its small drawing", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/brief`);
    await choose(page, "Made as", "case");
    await saved(page);
    await go(page, `/pieces/${id}/form`);
    await (await page.waitForSelector('::-p-xpath(//button[@role="radio"][.//text()="Case"])'))!.click();
    await page.waitForSelector('[data-scene="openings"]');
    await saved(page);
    expect((await record()).form).toMatchObject({ kind: "case", use: "case" });
  });
  it("one bay, an opening split and split again, every drawer higher than the one above", async () => {
    const { page } = maker;
    await press(page, "Take the bay out");
    await until(page, () => document.querySelectorAll('[data-scene="openings"] [data-id^="opening"]').length === 1);
    for (const count of ["2", "3", "4"]) {
      await press(page, "Split it");
      await until(
        page,
        (wanted) =>
          new Set(
            [...document.querySelectorAll('[data-scene="openings"] [data-id^="opening"]')].map((each) =>
              each.getAttribute("data-id"),
            ),
          ).size === Number(wanted),
        count,
      );
    }
    for (const row of [0, 1, 2, 3]) {
      await (await page.waitForSelector(`[data-scene="openings"] [data-id="opening 0 ${row}"] rect`))!.click();
      await choose(page, `Opening ${row + 1} of bay 1 holds`, "drawer");
    }
    await press(page, "Let them grow");
    await saved(page);
    const [[first, second, third, last]] = await heights();
    expect(second! / first!).toBeCloseTo(1.15, 1);
    expect(third! / second!).toBeCloseTo(1.15, 1);
    expect(last).toBeNull();
  });
  it("a height is typed on the drawing, a line is dragged, and the whole stays what it is", async () => {
    const { page } = maker;
    await typeDimension(page, "Height of opening 1 in bay 1", "120");
    await saved(page);
    expect((await heights())[0][0]).toBe(120);
    const grip = (await page.waitForSelector('[data-scene="openings"] [data-id="under 0 0"] rect'))!;
    const box = (await grip.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 6, { steps: 4 });
    await page.mouse.up();
    await saved(page);
    const [[first, second]] = await heights();
    expect(first).toBeGreaterThan(125);
    expect(second).not.toBeNull();
    await press(page, "Undo");
    await saved(page);
    expect((await heights())[0][0]).toBe(120);
  });
  it("its rails refuse buttons; one press and the top is screwed up from below", async () => {
    const { page } = maker;
    await page.waitForSelector('[data-verdict="form.case-top"][data-level="fix"]');
    await press(page, "Screw it up through oversized holes");
    await page.waitForSelector('[data-verdict="form.case-top"][data-level="holds"]');
    await saved(page);
  });
  it("a drawer that would bind is given room", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    await page.waitForSelector('[data-scene="openings"]');
    await typeField(page, "Gap above, on the day", "0");
    await saved(page);
    await go(page, `/pieces/${id}/movement`);
    const verdict = await page.waitForSelector('[data-verdict="movement.drawers"][data-level="fix"]');
    await (await verdict!.waitForSelector("button"))!.click();
    await page.waitForSelector('[data-verdict="movement.drawers"][data-level="holds"]');
    await page.waitForSelector('[data-verdict="movement.runners"][data-level="holds"]');
    await saved(page);
    expect((await record()).form.case.drawers.above).toBeGreaterThan(0.5);
  });
  it("drawers open in space", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/form`);
    await press(page, "See it in space");
    await page.waitForSelector('section[aria-label="In space"]');
    const stands = await page.waitForSelector("::-p-xpath(//label[starts-with(., 'Stands')]//select)");
    await stands!.select("drawers");
    // five parts a drawer among them; how they stand is held by the core
    const shown = await page.$eval('section[aria-label="In space"]', (each) => Number(each.getAttribute("data-parts")));
    expect(shown).toBeGreaterThan(20);
    expect(await stands!.evaluate((each) => (each as HTMLSelectElement).value)).toBe("drawers");
  });
  it("every joint has its card: tails by their marks, pins from the tails", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/joints`);
    await press(page, "Drawer 1: side to front");
    await until(page, () => /Tails, from the lower edge/.test(document.querySelector("main")!.textContent ?? ""));
  });
  it("a pin is moved by hand and typed, told when it leaves no tail, and all are spread again by one press", async () => {
    const { page } = maker;
    const spacing = 'section[aria-label="Spacing of the dovetails"]';
    const row = async () => Object.values((await record()).joints.dovetails)[0];
    const pin = await page.waitForSelector(`${spacing} [data-id="pin 1"]`);
    const box = (await pin!.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 20, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    await saved(page);
    const moved = (await row()).middles!;
    await typeDimension(page, "Pin 2 after pin 1", "3");
    await page.waitForSelector('[data-verdict="joints.walls"][data-level="fix"]');
    await saved(page);
    expect((await row()).middles).toEqual([moved[0], moved[0] + 3, ...moved.slice(2)]);
    await press(page, "Spread its tails evenly");
    await page.waitForSelector('[data-verdict="joints.walls"]:not([data-level="fix"])');
    await saved(page);
    expect((await row()).middles).toBeNull();
    await go(page, `/pieces/${id}/strips`);
    // full size: the line to check by is a hundred millimetres of CSS
    const line = await page.$eval(
      'svg[aria-label="Line to check the size by"]',
      (each) => each.getBoundingClientRect().width,
    );
    expect((line * 25.4) / 96).toBeCloseTo(102, 1);
    expect(await page.$$eval("[data-strips]", (all) => all.length)).toBeGreaterThan(3);
  });
  it("one search finds boards for top, sides and bottom; the rest is cut from boards and one sheet", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/boards`);
    await press(page, "Compose all 4 panels");
    await page.waitForSelector('[data-all="done"]', { timeout: 60_000 });
    await saved(page);
    const { panels } = await record();
    expect(Object.keys(panels).sort()).toEqual(["bottom", "side-1", "side-2", "top"]);
    await go(page, `/pieces/${id}/cutting`);
    await page.waitForSelector('[data-verdict="cutting.sheets"][data-level="holds"]');
    await page.waitForSelector('section[aria-label="Sheets"] svg');
    expect(await words(page, '[data-verdict="cutting.placed"]')).toMatch(/Every piece lies on a board/);
    await go(page, `/pieces/${id}/cards`);
    expect(await words(page, "main")).toMatch(/Drawer front/);
  });
});

describe("a lift-lid table of the demo", () => {
  it("its lid is too light for its brackets; one press puts steel under it, and it lifts in space", async () => {
    const { page } = maker;
    const lid = (await piecesByName())["Lift-lid table"];
    await go(page, `/pieces/${lid}/form`);
    await page.waitForSelector('[data-verdict="form.lid-load"][data-level="fix"]');
    await press(page, "Put 2.5 kg of steel under it");
    await page.waitForSelector('[data-verdict="form.lid-load"][data-level="holds"]');
    await page.waitForSelector('[data-verdict="form.opens"][data-level="holds"]');
    await saved(page);
    expect(JSON.parse(await fileOf(lid)).form.box.lid.ballast).toBe(2.5);
    await press(page, "See it in space");
    const stands = await page.waitForSelector("::-p-xpath(//label[starts-with(., 'Stands')]//select)");
    expect(await stands!.evaluate((each) => (each as HTMLSelectElement).options.length)).toBe(2);
    await stands!.select("lid");
    expect(await words(page, 'section[aria-label="In space"]')).toMatch(/kg of European oak/);
    await press(page, "Undo");
    await page.waitForSelector('[data-verdict="form.lid-load"][data-level="fix"]');
  });
});

describe("a sideboard of the demo, built into an alcove", () => {
  it("what was measured is typed on its drawing; walls that come too near are told, and the piece made shorter by one press", async () => {
    const { page } = maker;
    const board = (await piecesByName())["Sideboard"];
    const alcove = async () => (JSON.parse(await fileOf(board)) as Piece).form.case.alcove;
    await go(page, `/pieces/${board}/form`);
    await (await page.waitForSelector("::-p-xpath(//label[normalize-space(.)='Built into an alcove'])"))!.click();
    await page.waitForSelector('[data-scene="alcove"]');
    await page.waitForSelector('[data-verdict="form.alcove"][data-level="holds"]');
    await saved(page);
    expect(await alcove()).toMatchObject({ floor: 1520, middle: 1520, top: 1520, left: 0 });
    for (const where of ["Width at the floor", "Width half-way up", "Width above"])
      await typeDimension(page, where, "1480");
    await page.waitForSelector('[data-verdict="form.alcove"][data-level="fix"]');
    expect(await words(page, '[data-verdict="form.alcove"]')).toMatch(/The alcove is \d+ mm narrower than the case/);
    await press(page, "Make it 1472 mm long");
    await page.waitForSelector('[data-verdict="form.alcove"][data-level="holds"]');
    await saved(page);
    await again(page);
    await page.waitForSelector('[data-scene="alcove"]');
    expect(await alcove()).toMatchObject({ floor: 1480, top: 1480 });
  });
});
