import { afterAll, beforeAll, describe, expect, it } from "vitest";
import {
  choose,
  go,
  makePiece,
  Maker,
  press,
  recordOf,
  saved,
  sitDown,
  typeDimension,
  typeField,
  until,
  words,
} from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});
const named = (name: string, width = 800) =>
  makePiece((piece) => ({
    ...piece,
    name,
    form: { ...piece.form, top: { ...piece.form.top, length: 1000, width } },
    done: [],
    asBuilt: [],
  }));

describe("a piece made three times", () => {
  it("is typed once: its cut list, its panels speak of three", async () => {
    const { page } = maker;
    const table = await named("Three alike", 300);
    await go(page, `/pieces/${table}/brief`);
    await typeField(page, "Made alike", "3");
    await saved(page);
    expect((await recordOf(table)).times).toBe(3);
    await go(page, `/pieces/${table}/cutting`);
    expect(await words(page, "main")).toMatch(/L1 to 3L4/);
    await go(page, `/pieces/${table}/boards`);
    await press(page, "The top of the third");
    expect(await words(page, "main h1")).toBe("Which boards make the top of the third");
    await press(page, "Compose all 3 panels");
    await until(page, () => document.querySelectorAll('[data-verdict^="boards.chosen"]').length === 0);
  });
});

describe("a top of stripes", () => {
  it("is chosen, its strips take their woods, and the boards' page tells which boards they come from", async () => {
    const { page } = maker;
    const table = await named("Striped by hand");
    await go(page, `/pieces/${table}/movement`);
    await choose(page, "Top made of", "stripes");
    await choose(page, "Second stripe is of", "european-cherry");
    await typeField(page, "Repeated", "6");
    await until(page, () => document.querySelector('[data-verdict="movement.stripes-wide"]') !== null);
    await saved(page);
    expect((await recordOf(table)).kinds["stripe-2"].species).toBe("european-cherry");
    await go(page, `/pieces/${table}/boards`);
    expect(await words(page, "main h1")).toBe("Which boards become strips");
    expect(await words(page, "main")).toContain("13 strips of");
  });
  it("something is let into it: a card, a verdict, a place that is typed", async () => {
    const { page } = maker;
    const table = await named("Keyed by hand");
    await go(page, `/pieces/${table}/boards`);
    await press(page, "Let something into the top");
    await until(page, () => document.querySelector('[data-verdict="boards.inlays"][data-level="holds"]') !== null);
    await typeField(page, "1: right of the middle", "5000");
    expect(await words(page, "main")).toContain("Place of an inlay runs from -3000 to 3000");
    await typeField(page, "1: right of the middle", "-300");
    await saved(page);
    expect((await recordOf(table)).form.top.inlays[0].places).toEqual([{ x: -300, y: 0 }]);
    await go(page, `/pieces/${table}/joints`);
    expect(await words(page, "main")).toContain("Key in the top");
  });
});

describe("pieces of one commission", () => {
  it("a stool goes under its table, and is told when it has changed since", async () => {
    const { page } = maker;
    const commission = "Stool and table by hand";
    const stool = await makePiece((piece) => ({
      ...piece,
      ...{ name: "Small stool", commission, panels: { top: { ...piece.panels.top, strips: [] } } },
      form: { ...piece.form, use: "stool", height: 450, top: { ...piece.form.top, length: 400, width: 300 } },
    }));
    const table = await makePiece((piece) => ({ ...piece, name: "Its table", commission }));
    const planned = async () => {
      await go(page, "/");
      await until(page, () => document.querySelector("[data-planned=waiting]") === null);
    };
    await planned();
    await go(page, `/pieces/${table}/brief`);
    const offered = await page.waitForSelector("::-p-xpath(//button[starts-with(normalize-space(.), 'Small stool')])");
    await offered!.click();
    await until(page, () => document.querySelector('[data-verdict="brief.thing-1"]') !== null);
    await saved(page);
    expect((await recordOf(table)).brief.things).toMatchObject([
      { name: "Small stool", of: stool, length: 400, width: 300, height: 450 },
    ]);
    await go(page, `/pieces/${stool}/form`);
    await typeDimension(page, "Top length", "440");
    await saved(page);
    await planned();
    await go(page, `/pieces/${table}/brief`);
    await (await page.waitForSelector("[data-company=changed]"))!.click();
    await saved(page);
    expect((await recordOf(table)).brief.things[0].length).toBe(440);
    expect(await page.$("[data-company=changed]")).toBeNull();
  });
});
