/**
 * (k) The first picture of a piece in space, from the press until its pixels are there, against an empty scene of three on the same page.
 * Both are given a fresh canvas of one size; the page's own code for it is loaded before.
 */
import { readFileSync } from "node:fs";
import puppeteer, { Page } from "puppeteer-core";
import { CHROMIUM_FLAGS, loadDemo, serve, startDatabase } from "./harness.mjs";
import { chromiumPath } from "./install.mjs";
import { median } from "./bench-typing";

const ROUNDS = 9;
/** Where the page finds three while it is measured. */
const THREE = "/bench-three/";

interface Watched extends Window {
  drawn?: (gl: WebGL2RenderingContext) => void;
  three: { empty: (width: number, height: number) => void };
}

/** Notes each draw call, so that the first picture is known without the app telling. */
const WATCH = () => {
  const watched = window as unknown as Watched;
  for (const name of ["drawElements", "drawArrays", "clear"] as const) {
    const plain = WebGL2RenderingContext.prototype[name] as (...given: unknown[]) => void;
    WebGL2RenderingContext.prototype[name] = function (this: WebGL2RenderingContext, ...given: unknown[]) {
      plain.apply(this, given);
      watched.drawn?.(this);
      watched.drawn = undefined;
    } as never;
  }
};

/**
 * Milliseconds from `begin` until the pixels of the first picture are read. They are read as soon as the call that draws it is over, for both the same:
 * waiting for the page's next frame would count one more for whichever of the two draws after this asks.
 */
const PICTURE = `(begin) => new Promise((resolve) => {
  const from = performance.now();
  window.drawn = (gl) => queueMicrotask(() => {
    gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
    resolve(performance.now() - from);
  });
  begin();
})`;

const press = (text: string) =>
  `() => [...document.querySelectorAll("button")].find((each) => each.textContent.trim() === "${text}").click()`;

async function ofPiece(page: Page): Promise<number> {
  const took = await page.evaluate(`(${PICTURE})(${press("See it in space")})`);
  await page.evaluate(`(${press("Back to the drawings")})()`);
  await page.waitForFunction(() => !document.querySelector("section[data-space]"));
  return took as number;
}

const ofNothing = (page: Page) =>
  page.evaluate(`(${PICTURE})(() => {
    const { Scene, PerspectiveCamera, WebGLRenderer, HemisphereLight, DirectionalLight } = window.three;
    const renderer = new WebGLRenderer({ antialias: true });
    renderer.setSize(888, 420);
    document.body.append(renderer.domElement);
    const scene = new Scene();
    scene.add(new HemisphereLight(), new DirectionalLight());
    requestAnimationFrame(() => renderer.render(scene, new PerspectiveCamera()));
    window.forget = () => { renderer.dispose(); renderer.forceContextLoss(); renderer.domElement.remove(); };
  })`) as Promise<number>;

export async function space(judge: (what: string, value: number, most: number) => void): Promise<void> {
  const database = await startDatabase();
  loadDemo(database.url);
  const server = await serve(database.url);
  const browser = await puppeteer.launch({ executablePath: chromiumPath()!, args: CHROMIUM_FLAGS });
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.evaluateOnNewDocument(WATCH);
    await page.setRequestInterception(true);
    page.on("request", (request) => {
      const [, file] = new URL(request.url()).pathname.split(THREE);
      if (!file) return void request.continue();
      void request.respond({ contentType: "text/javascript", body: readFileSync(`node_modules/three/build/${file}`) });
    });
    await page.goto(server.address, { waitUntil: "networkidle0" });
    const ids = await page.$$eval("[data-piece]", (cards) => cards.map((card) => (card as HTMLElement).dataset.piece));
    for (const [name, id] of [
      ["dining table", ids[0]],
      ["trestle with shelf", ids[5]],
    ] as const) {
      await page.goto(`${server.address}/pieces/${id}/form`, { waitUntil: "networkidle0" });
      await page.evaluate(`import("${THREE}three.module.js").then((all) => { window.three = all; })`);
      const ratios: number[] = [];
      for (let round = 0; round < ROUNDS + 2; round += 1) {
        const piece = await ofPiece(page);
        const nothing = await ofNothing(page);
        await page.evaluate("window.forget()");
        // the first rounds load the view's code and warm the machine
        if (round > 1) ratios.push(piece / nothing);
      }
      judge(`(k) ${name}: first picture in space ÷ an empty scene, median of ${ROUNDS} rounds`, median(ratios), 2);
    }
  } finally {
    await browser.close();
    await server.stop();
    database.remove();
  }
}
