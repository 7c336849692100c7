import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { address, again, go, Maker, makePiece, press, saved, sitDown, typeField, until } from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

const status = (text: string) =>
  until(
    maker.page,
    (wanted) => [...document.querySelectorAll('[role="status"]')].some((each) => each.textContent!.includes(wanted)),
    text,
  );

describe("species", () => {
  const fill = async (label: string, text: string) => {
    const field = await maker.page.waitForSelector(
      `::-p-xpath(//form//label[starts-with(normalize-space(.), "${label}")]/input)`,
    );
    await field!.click({ count: 3 });
    await field!.type(text);
  };
  it("shows at least 45 with their sources", async () => {
    await go(maker.page, "/species");
    expect(await maker.page.$$eval("tbody tr", (rows) => rows.length)).toBeGreaterThanOrEqual(45);
    expect(
      await maker.page.$$eval("tbody tr td:last-child", (cells) => cells.every((cell) => cell.textContent!.length > 2)),
    ).toBe(true);
  });
  it("refuses a coefficient of zero and keeps what was typed; then takes the species, and a piece can be of it", async () => {
    const { page } = maker;
    await fill("Name", "Garden plum");
    await fill("Radial", "0");
    await press(page, "Add it");
    await status("Radial coefficient runs from");
    expect(await page.$eval("form input", (each) => (each as HTMLInputElement).value)).toBe("Garden plum");
    await fill("Radial", "0,0017");
    await press(page, "Add it");
    await status("Garden plum is in the list now");
    await page.waitForSelector('::-p-xpath(//td[contains(., "Garden plum")])');
    const id = await makePiece((piece) => ({ ...piece, name: "Plum", species: "own-garden-plum" }));
    await go(page, `/pieces/${id}/movement`);
    expect(await page.$eval("main p.lede", (each) => each.textContent)).toMatch(/^Garden plum,/);
  });
});

describe("the shop", () => {
  it("is saved field by field, and the joints follow the cutters owned", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Cutters" }));
    await go(page, "/shop");
    await typeField(page, "Router bits", "6, 9.5");
    await status("Saved.");
    await typeField(page, "Chisels", "6, 9.5");
    await status("Saved.");
    await until(page, () => !document.body.textContent!.includes("Saving"));
    await go(page, `/pieces/${id}/joints`);
    expect(await page.$eval('[data-verdict="joints.cutter"]', (each) => each.textContent)).toMatch(
      /Cut with the 9\.5 mm router bit/,
    );
  });
  it("refuses what makes no sense in a sentence, and what was saved stands", async () => {
    const { page } = maker;
    await go(page, "/shop");
    await typeField(page, "Planer width", "-5");
    await status("Planer width must be 50 mm at least");
    await again(page);
    expect(await page.$$eval("input", (all) => all.some((each) => each.value === "410"))).toBe(true);
  });
});

describe("find anything", () => {
  it("goes to a board, a part, a piece, and presses a remedy", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Found" }));
    await go(page, `/pieces/${id}/form`);
    const find = async (text: string) => {
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await page.keyboard.press("/");
      await page.waitForSelector('input[aria-label="Find"]');
      await page.keyboard.type(text);
      await page.waitForSelector('[role="dialog"] li');
      await page.keyboard.press("Enter");
      await until(page, () => document.querySelector('[role="dialog"]') === null);
    };
    await find("B14 board");
    await until(page, () => location.pathname.endsWith("/boards"));
    await find("end rail part");
    await until(page, () => location.pathname.endsWith("/cutting"));
    await find("lengthen slots remedy");
    await saved(page);
    const file = JSON.parse(await (await fetch(`${address()}/api/pieces/${id}/file`)).text());
    expect(file.joints.buttons.slotLength).toBeGreaterThan(33);
    await find("writing desk piece");
    await until(page, () => document.querySelector("header b")?.textContent === "Writing desk");
  });
});
