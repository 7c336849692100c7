import type { ElementHandle, Page } from "puppeteer-core";
import { afterAll, beforeAll, expect, it } from "vitest";
import { pieceSchema } from "../../core/piece/schema";
import { firstFault } from "../../core/piece/fields";
import { STAGES } from "../../core/verdict/verdict";
import { dice } from "../soak/shop";
import { fileOf, go, Maker, makePiece, saved, sitDown, until } from "./maker";

const SEED = Number(process.env.SEED ?? 20261125);
const WORDS = [
  "0",
  "-1",
  "0.02",
  "0.001",
  "1e9",
  "1e-9",
  "99999",
  "NaN",
  "Infinity",
  "wide",
  "7/0",
  "5' 6 1/2\"",
  "''",
  "½",
  "9999-12-31",
  "=1+1",
  "<b>x</b>",
  "\u0000",
  "   ",
  "12,5",
  "Ünïcödé 🪵",
  "x".repeat(700),
];
const FIELDS =
  'main input:not([type="file"]):not([type="checkbox"]):not([type="range"]):not([type="date"]), main textarea';
const DIMENSIONS = 'main g[role="button"][aria-label*=":"]';
let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

/** Types into one field what is nonsense there, and leaves it. */
async function type(page: Page, field: ElementHandle<Element>, word: string): Promise<void> {
  await field.evaluate((each) => {
    (each as HTMLInputElement).scrollIntoView({ block: "center" });
    (each as HTMLInputElement).focus();
    (each as HTMLInputElement).select?.();
  });
  await page.keyboard.sendCharacter(word);
  await page.keyboard.press("Enter");
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
}

it(`a newcomer types nonsense into every field of every stage (seed ${SEED}): each is taken or refused in a sentence, all stages stand, and undo leads back`, async () => {
  const { page } = maker;
  const roll = dice(SEED);
  const id = await makePiece((piece) => ({ ...piece, name: "Nonsense" }));
  const first = JSON.parse(await fileOf(id));
  let [typed, refused] = [0, 0];
  for (const stage of STAGES) {
    await go(page, `/pieces/${id}/${stage}`);
    const stands = async (what: string) => {
      typed += 1;
      refused += (await page.$$('main [role="alert"], main [aria-invalid="true"]')).length > 0 ? 1 : 0;
      expect(await page.$eval("main", (each) => (each as HTMLElement).dataset.stage), what).toBe(stage);
      expect(await page.evaluate(() => document.body.innerText.includes("can’t be drawn")), what).toBe(false);
    };
    for (let i = 0; i < (await page.$$(FIELDS)).length; i += 1) {
      for (let n = 0; n < 2; n += 1) {
        const field = (await page.$$(FIELDS))[i];
        if (field) await type(page, field, WORDS[roll(WORDS.length)]);
        await stands(`${stage}, field ${i}`);
      }
    }
    for (let i = 0; i < (await page.$$(DIMENSIONS)).length; i += 1) {
      const dimension = (await page.$$(DIMENSIONS))[i];
      const name = (await dimension.evaluate((each) => each.getAttribute("aria-label")!)).split(":")[0];
      await dimension.evaluate((each) => (each as unknown as HTMLElement).focus());
      await page.keyboard.press("Enter");
      const field = await page.$(`input[aria-label="${name}"]`);
      if (field) await type(page, field, WORDS[roll(WORDS.length)]);
      await stands(`${stage}, ${name}`);
      await page.keyboard.press("Escape");
    }
    await saved(page);
    expect(firstFault(pieceSchema, JSON.parse(await fileOf(id)))).toBeNull();
  }
  expect(typed).toBeGreaterThan(60);
  expect(refused).toBeGreaterThan(20);
  // whatever was taken, there is a way back to how it was
  await go(page, `/pieces/${id}/history`);
  await page.evaluate(() => {
    const list = document.querySelector("[data-state]")!.closest("div")!;
    list.scrollTop = list.scrollHeight;
  });
  await (await page.waitForSelector('[data-state="1"] button'))!.click();
  await until(page, () => location.pathname.endsWith("/form"));
  await until(page, () => document.querySelector('[data-save="saved"]') !== null);
  await expect.poll(async () => JSON.parse(await fileOf(id)), { timeout: 10_000 }).toEqual(first);
}, 240_000);
