import puppeteer, { Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { CHROMIUM_FLAGS } from "../../bin/harness.mjs";
import { go, Maker, makePiece, newPage, piecesByName, press, sitDown, typeField, until } from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

const weight = (page: Page) => page.$eval("[data-weight]", (each) => Number((each as HTMLElement).dataset.weight));
/** The view as bytes of a picture, once it has come to rest: two that differ show that something moved. */
const picture = async (page: Page) => {
  let [last, same] = ["", 0];
  for (let tried = 0; tried < 40 && same < 3; tried += 1) {
    await new Promise((resolve) => setTimeout(resolve, 200));
    const now = await (await page.$("section[data-space] canvas"))!.screenshot({ encoding: "base64" });
    same = now === last ? same + 1 : 0;
    last = now;
  }
  return last;
};

describe("the piece in space", () => {
  it("is loaded when it is opened, turned by keys, pulled apart, and looked at part by part", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "In space" }));
    await go(page, `/pieces/${id}/form`);
    await press(page, "See it in space");
    await page.waitForSelector('[data-space="turning"] canvas');
    const whole = await weight(page);
    expect(whole).toBeGreaterThan(30);
    const first = await picture(page);
    await page.focus('[role="application"]');
    for (const key of ["ArrowLeft", "ArrowUp", "+"] as const) await page.keyboard.press(key);
    const turned = await picture(page);
    expect(turned).not.toBe(first);
    await page.focus('section[data-space] input[type="range"]');
    await page.keyboard.press("End");
    expect(await picture(page)).not.toBe(turned);
    await page.select("section[data-space] select", "L1");
    await until(page, () => Number(document.querySelector<HTMLElement>("[data-weight]")!.dataset.weight) < 5);
    await page.select("section[data-space] select", "");
    await typeField(page, "Leg section", "110");
    await until(page, () => document.querySelector("[data-save='saved']") !== null);
    expect(await weight(page)).toBeGreaterThan(whole);
    await press(page, "Back to the drawings");
    await page.waitForSelector('g[role="button"][aria-label^="Top length"]');
  });
  it("is a still picture where WebGL is missing", async () => {
    const browser = await puppeteer.launch({
      executablePath: "/usr/bin/chromium",
      args: [...CHROMIUM_FLAGS, "--disable-3d-apis"],
    });
    const page = await newPage(browser, maker.faults);
    await go(page, `/pieces/${(await piecesByName())["Dining table"]}/form`);
    await press(page, "See it in space");
    await page.waitForSelector('[data-space="still"] svg');
    expect(await page.$eval("section[data-space]", (each) => each.textContent)).toMatch(/here is a still one/);
    expect(
      await page.$$eval("section[data-space] svg path, section[data-space] svg polygon", (all) => all.length),
    ).toBeGreaterThan(30);
    await browser.close();
  });
});
