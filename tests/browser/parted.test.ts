import DxfParser from "dxf-parser";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import {
  address,
  choose,
  go,
  level,
  makePiece,
  Maker,
  press,
  recordOf,
  saved,
  sitDown,
  typeDimension,
  typeField,
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
const named = (name: string) =>
  makePiece((piece) => ({
    ...piece,
    name,
    form: { ...piece.form, top: { ...piece.form.top, length: 1300, width: 850 }, crossRails: 1 },
    done: [],
    asBuilt: [],
  }));

describe("a table that opens", () => {
  it("is chosen, freed of what ties it, drawn open, and its leaves are typed on the drawing", async () => {
    const { page } = maker;
    const table = await named("Opens by hand");
    await go(page, `/pieces/${table}/form`);
    await choose(page, "The top is", "leaves");
    await page.waitForSelector('[data-scene="opened"]');
    expect(await level(page, "form.parting-free")).toBe("fix");
    await press(page, "Leave the cross-rails out");
    await page.waitForSelector('[data-verdict="form.parting-free"][data-level="holds"]');
    await typeDimension(page, "A leaf along the table", "350");
    await saved(page);
    expect((await recordOf(table)).form).toMatchObject({ crossRails: 0, parting: { kind: "leaves", leaf: 350 } });
    await typeField(page, "They open", "500");
    await page.waitForSelector('[data-verdict="form.table-slides-open"][data-level="fix"]');
    await press(page, "Make 1 leaf");
    await page.waitForSelector('[data-verdict="form.table-slides-open"][data-level="holds"]');
    await press(page, "See it in space");
    await page.waitForSelector('[data-space][data-parts="16"]');
    await page.select("section[aria-label='In space'] label:nth-of-type(2) select", "leaves");
    // one leaf and its two rails
    await page.waitForSelector('[data-space][data-parts="19"]');
    await saved(page);
    await go(page, `/pieces/${table}/boards`);
    expect(await words(page, "main")).toMatch(/left half.*right half.*leaf/s);
  });
});

describe("a top of two slabs", () => {
  it("is typed width by width; the glass between is judged, and its template is a file another program reads", async () => {
    const { page } = maker;
    const table = await named("Slabs by hand");
    await go(page, `/pieces/${table}/form`);
    await (await page.waitForSelector('::-p-xpath(//button[@role="radio"][.//text()="Slabs"])'))!.click();
    await page.waitForSelector('[data-verdict="form.glass-room"][data-level="holds"]');
    await typeField(page, "Room beside it", "0.2");
    await page.waitForSelector('[data-verdict="form.glass-room"]:not([data-level="holds"])');
    await saved(page);
    await go(page, `/pieces/${table}/templates`);
    expect(
      await page.$$eval("[data-template]", (all) => all.map((each) => each.getAttribute("data-template"))),
    ).toEqual(["slab-1", "slab-2", "glass"]);
    const sheets = () => page.$$eval("[data-page]", (all) => all.length);
    const small = await sheets();
    await choose(page, "Paper", "large");
    await page.waitForFunction((before) => document.querySelectorAll("[data-page]").length !== before, {}, small);
    expect(await sheets()).toBeGreaterThan(0);
    const answer = await fetch(`${address()}/api/pieces/${table}/templates?of=glass`);
    expect(answer.headers.get("content-disposition")).toContain("glass.dxf");
    const lines = new DxfParser().parseSync(await answer.text())!.entities.filter(({ type }) => type === "LWPOLYLINE");
    expect(lines).toHaveLength(1);
    const none = await fetch(`${address()}/api/pieces/${table}/templates?of=leg`);
    expect([none.status, ((await none.json()) as { message: string }).message]).toEqual([
      404,
      "This piece has no such template: its form may have changed. Open its templates again.",
    ]);
  });
});

describe("leaves that hang", () => {
  it("are chosen, typed on the drawing where they hang, mended by a press, and go up in space", async () => {
    const { page } = maker;
    const table = await named("Hangs by hand");
    await go(page, `/pieces/${table}/form`);
    await choose(page, "A leaf hangs", "both");
    await page.waitForSelector('[data-verdict="form.drop-hinges"]');
    await typeField(page, "A leaf across the table", "300");
    await typeDimension(page, "Side overhang", "30");
    await page.waitForSelector('[data-verdict="form.drop-hinges"][data-level="fix"]');
    await press(page, "Set the legs 54 mm in from the sides");
    await page.waitForSelector('[data-verdict="form.drop-hinges"][data-level="holds"]');
    await typeDimension(page, "A leaf across the table", "250");
    await saved(page);
    expect((await recordOf(table)).form).toMatchObject({ overhang: { side: 54 }, drop: { kind: "both", leaf: 250 } });
    await press(page, "See it in space");
    await page.waitForSelector("[data-space]");
    await page.select("section[aria-label='In space'] label:nth-of-type(2) select", "leaves-up");
    await go(page, `/pieces/${table}/boards`);
    expect(await words(page, "main")).toMatch(/front leaf.*back leaf/s);
  });
});
