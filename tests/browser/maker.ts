import puppeteer, { Browser, Page } from "puppeteer-core";
import { inject } from "vitest";
import { CHROMIUM_FLAGS } from "../../bin/harness.mjs";
import { readPiece, writePiece } from "../../core/formats/piece-file";
import type { Piece } from "../../core/piece/schema";

/** A maker at a desk: a real Chromium before the real server. */
export interface Maker {
  browser: Browser;
  page: Page;
  faults: string[];
  close: () => Promise<void>;
}

/** The server that is asked: that of the desk this file runs at (files at one desk follow one another), or one of this file's own. */
let own: string | null = null;
export const useServer = (address: string) => {
  own = address;
};
export const address = () => {
  const desks = inject("addresses");
  return own ?? desks[Number(process.env.VITEST_POOL_ID) % desks.length];
};

export async function sitDown(): Promise<Maker> {
  const browser = await puppeteer.launch({ executablePath: "/usr/bin/chromium", args: CHROMIUM_FLAGS });
  const faults: string[] = [];
  const page = await newPage(browser, faults);
  return { browser, page, faults, close: () => browser.close() };
}

export async function newPage(browser: Browser, faults: string[]): Promise<Page> {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  page.on("pageerror", (error) => faults.push(error instanceof Error ? (error.stack ?? String(error)) : String(error)));
  page.on("console", (message) => {
    if (message.type() === "error" && !/status of 4\d\d/.test(message.text())) faults.push(message.text());
  });
  return page;
}

/** How often a page is looked at while something is waited for, ms: at every picture it would be kept busy by the looking. */
const LOOK = 60;

/** Opens a page in front: what lies behind another tab is not painted, and waits for ever. Gives its status. */
export async function go(page: Page, path: string): Promise<number> {
  await page.bringToFront();
  const answer = await page.goto(address() + path, { waitUntil: "load" });
  await ready(page);
  return answer!.status();
}

export async function again(page: Page): Promise<void> {
  await page.reload({ waitUntil: "load" });
  await ready(page);
}

/**
 * Waits until what is open can be pressed and hears keys: React has taken hold of the page and of everything on it that
 * can be pressed, and has done what it does after its first picture. A silent network tells none of that, and a page
 * that keeps a line open is never silent.
 */
export async function ready(page: Page): Promise<void> {
  await page.waitForFunction(
    () => {
      const hook = (of: object, start: string) => Object.keys(of).find((key) => key.startsWith(start));
      const root = hook(document, "__reactContainer");
      return (
        root !== undefined &&
        // eslint-disable-next-line @typescript-eslint/no-explicit-any -- React's own record of its root has no type
        (document as any)[root].stateNode.current.memoizedState.isDehydrated === false &&
        [...document.querySelectorAll("button, input, select")].every((each) => hook(each, "__reactProps"))
      );
    },
    { polling: LOOK },
  );
  await page.evaluate(() => new Promise((heard) => requestAnimationFrame(() => setTimeout(heard, 50))));
}

/** Ids of the pieces on the bench, by name. */
export async function piecesByName(): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (let from = 0; ;) {
    const { pieces } = (await (await fetch(`${address()}/api/pieces/page?from=${from}`)).json()) as {
      pieces: { id: string; name: string }[];
    };
    for (const { id, name } of pieces) found[name] = id;
    if (pieces.length === 0) return found;
    from += pieces.length;
  }
}

/** A piece of one's own for this test, so that tests don't meet in one. */
export async function makePiece(change: (piece: Piece) => Piece, from = "Dining table"): Promise<string> {
  const id = (await piecesByName())[from];
  const read = id ? readPiece(await fileOf(id)) : null;
  if (!read?.ok) throw new Error(`No piece called ${from} on the bench.`);
  const answer = await post("/api/pieces", {
    kind: "import",
    text: writePiece(change({ ...read.piece, panels: { top: { ...read.piece.panels.top, strips: [] } } })),
  });
  return ((await answer.json()) as { id: string }).id;
}

/** The piece as it is saved. */
export const recordOf = async (id: string) => JSON.parse(await fileOf(id)) as Piece;

export const post = (path: string, body: unknown) =>
  fetch(address() + path, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: typeof body === "string" ? body : JSON.stringify(body),
  });
export const fileOf = async (id: string) => (await fetch(`${address()}/api/pieces/${id}/file`)).text();

export const level = (page: Page, verdict: string) =>
  page.$eval(`[data-verdict="${verdict}"]`, (each) => (each as HTMLElement).dataset.level);
export const heading = (page: Page) => page.$eval("main h1", (each) => each.textContent);
export const saved = (page: Page) => page.waitForSelector('[data-save="saved"]', { timeout: 10_000 });

/** Waits until the page shows something, by a check run in it. */
export const until = (page: Page, check: (arg: string) => boolean, arg = "") =>
  page.waitForFunction(check, { timeout: 10_000, polling: LOOK }, arg);

/** What stands in a place of the page, as it is read. */
export const words = (page: Page, selector: string) => page.$eval(selector, (each) => (each as HTMLElement).innerText);

export async function press(page: Page, text: string): Promise<void> {
  const button = await page.waitForSelector(`::-p-xpath(//button[normalize-space(.)=${JSON.stringify(text)}])`, {
    timeout: 10_000,
  });
  await button!.click();
}

/** Clicks a dimension by its name on the drawing and types. */
export async function typeDimension(page: Page, name: string, text: string): Promise<void> {
  const dimension = await page.waitForSelector(`g[role="button"][aria-label^="${name}:"]`);
  await dimension!.click();
  const field = await page.waitForSelector(`input[aria-label="${name}"]`);
  await field!.click({ count: 3 });
  await page.keyboard.type(text);
  await page.keyboard.press("Enter");
}

export async function typeField(page: Page, label: string, text: string): Promise<void> {
  const id = await page.$$eval(
    "label",
    (labels, wanted) => labels.find((each) => each.textContent === wanted)?.getAttribute("for"),
    label,
  );
  if (!id) throw new Error(`No field called ${label}.`);
  const field = await page.$(`[id="${id}"]`);
  await field!.click({ count: 3 });
  await page.keyboard.type(text);
  await page.keyboard.press("Enter");
}

/** Chooses from a list by its label. */
export async function choose(page: Page, label: string, value: string): Promise<void> {
  const id = await page.$$eval(
    "label",
    (labels, wanted) => labels.find((each) => each.textContent === wanted)?.getAttribute("for"),
    label,
  );
  await page.select(`[id="${id}"]`, value);
}
