// npm run shots: takes the pictures of docs/screenshots/ from the demo data at 1280×800, the same each time.
// --at URL uses a server that runs already, --out DIR another folder, --only NAME,NAME some of them.
import { execFileSync } from "node:child_process";
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { checkout, chromiumPath, installChromium, installPackages, installPostgres } from "./install.mjs";
import { CHROMIUM_FLAGS, loadDemo, serve, startDatabase } from "./harness.mjs";

const option = (name) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? null : process.argv[at + 1];
};
installPackages();
installChromium();
const out = option("out") ?? join(checkout, "docs", "screenshots");
mkdirSync(out, { recursive: true });

let stop = async () => {};
let address = option("at");
if (!address) {
  installPostgres();
  execFileSync(process.execPath, ["node_modules/next/dist/bin/next", "build"], {
    cwd: checkout,
    stdio: ["ignore", "ignore", "inherit"],
  });
  const database = await startDatabase();
  loadDemo(database.url);
  const server = await serve(database.url);
  address = server.address;
  stop = async () => {
    await server.stop();
    database.remove();
  };
}

const { default: puppeteer } = await import("puppeteer-core");
const browser = await puppeteer.launch({ executablePath: chromiumPath(), args: CHROMIUM_FLAGS });
const failures = [];
try {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.emulateMediaFeatures([{ name: "prefers-reduced-motion", value: "reduce" }]);
  page.on("pageerror", (error) => failures.push(String(error)));
  page.on("console", (message) => message.type() === "error" && failures.push(message.text()));
  await page.goto(address, { waitUntil: "networkidle0" });
  await page.waitForFunction(() => !document.querySelector("[data-planned=waiting]"));
  const ids = await page.$$eval("[data-piece]", (cards) => cards.map((card) => card.dataset.piece));
  const table = ids[0];
  const [chest, box] = [await named("Newspaper table"), await named("Lift-lid table")];
  /** A piece further down the bench than its first page. */
  async function named(name) {
    const more = await page.$("::-p-xpath(//button[starts-with(normalize-space(.), 'Show more')])");
    await more?.click();
    const card = await page.waitForSelector(`::-p-xpath(//*[@data-piece][contains(., "${name}")])`);
    return card.evaluate((each) => each.dataset.piece);
  }
  const views = [
    ["bench", "/"],
    ...["brief", "form", "joints", "boards", "glue-up", "cutting", "build", "log"].map((stage) => [
      stage,
      `/pieces/${table}/${stage}`,
    ]),
    ["space", `/pieces/${box}/form`],
    ["sheets", `/pieces/${table}/sheets`],
    ["movement-breadboard", `/pieces/${ids[3]}/movement`],
    ["sources", `/pieces/${ids[3]}/sources`],
    ["case", `/pieces/${chest}/form`],
    ["commission", "/commissions/House%20by%20the%20weir"],
    ["rack", "/rack"],
    ["cards", `/pieces/${table}/cards`],
    ["species", "/species"],
    ["shop", "/shop"],
  ];
  const only = option("only")?.split(",");
  for (const [name, path] of views) {
    if (only && !only.includes(name)) continue;
    await page.goto(address + path, { waitUntil: "networkidle0" });
    await page.evaluate(() => document.fonts.ready);
    if (name.startsWith("movement")) await page.waitForSelector(".recharts-line");
    if (name === "case") {
      const open = await page.waitForSelector("::-p-xpath(//button[normalize-space(.)='See it in space'])");
      await open.click();
      const stands = await page.waitForSelector("::-p-xpath(//label[starts-with(., 'Stands')]//select)");
      await stands.select("drawers");
      await new Promise((resolve) => setTimeout(resolve, 1500));
    }
    if (name === "space") {
      const open = await page.waitForSelector("::-p-xpath(//button[normalize-space(.)='See it in space'])");
      await open.click();
      await page.waitForSelector("[data-space]");
      // half pulled apart, as a hand on the slider would
      await page.$eval('section[data-space] input[type="range"]', (slider) => {
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(slider, "0.7");
        slider.dispatchEvent(new Event("input", { bubbles: true }));
      });
      await new Promise((resolve) => setTimeout(resolve, 1500));
    }
    await page.mouse.move(0, 0);
    await new Promise((resolve) => setTimeout(resolve, 300));
    await page.screenshot({ path: join(out, `${name}.png`), fullPage: process.argv.includes("--full") });
  }
} finally {
  await browser.close();
  await stop();
}
if (failures.length > 0) {
  console.error(failures.join("\n"));
  process.exit(1);
}
