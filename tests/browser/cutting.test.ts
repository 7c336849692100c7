import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readRack } from "../../core/formats/rack-csv";
import type { Piece } from "../../core/piece/schema";
import { RACK_PAGE } from "../../core/stock/rack-query";
import { SPECIES } from "../../core/wood/species";
import {
  address,
  fileOf,
  go,
  level,
  Maker,
  makePiece,
  newPage,
  post,
  press,
  saved,
  sitDown,
  typeField,
  until,
} from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  const { faults } = maker;
  await maker.close();
  expect(faults).toEqual([]);
});

const rack = async () => readRack(await (await fetch(`${address()}/api/rack`)).text(), SPECIES, "2026-11-23").boards;
const pieceOf = async (id: string) => JSON.parse(await fileOf(id)) as Piece;
const text = (selector: string) => maker.page.$eval(selector, (each) => each.textContent ?? "");

/** A load of elm as a merchant's list has it: quarters, inches, feet. */
const LOAD = [
  "Tag,Species,Thickness,Width (in),Length,MC %,Place",
  ...Array.from({ length: 8 }, (_, i) => `U${i + 1},American elm,6/4,${6 + (i % 3)} 1/2,"7' ${i}""",8.5,E1`),
  ...Array.from({ length: 6 }, (_, i) => `U${i + 11},American elm,5/4,5 1/2,"7' 2""",8.5,E2`),
  ...Array.from({ length: 3 }, (_, i) => `U${i + 21},American elm,16/4,4 1/4,"6' 0""",9,E3`),
].join("\n");

describe("from an imported rack to a glued panel in the log", () => {
  let id: string;
  let before: number;
  const volume = async () =>
    (await rack())
      .filter((board) => board.species === "american-elm")
      .reduce(
        (sum, board) => sum + (board.length * (board.width + (board.widthEnd ?? board.width)) * board.thickness) / 2,
        0,
      );

  it("a merchant's list is read, and the panel composed from it", async () => {
    const { page } = maker;
    expect(
      await (await post("/api/rack", { kind: "put", boards: readRack(LOAD, SPECIES, "2026-11-23").boards })).json(),
    ).toEqual({ added: 17, replaced: 0, cut: [] });
    before = await volume();
    id = await makePiece((piece) => ({
      ...piece,
      name: "Elm table",
      species: "american-elm",
      choices: { ...piece.choices, stages: "all-at-once" },
      form: { ...piece.form, top: { ...piece.form.top, length: 1700, width: 800, thickness: 26 } },
    }));
    await go(page, `/pieces/${id}/boards`);
    await press(page, "Compose from the rack");
    await page.waitForSelector('[data-search="done"]', { timeout: 20_000 });
    await saved(page);
    expect(await level(page, "boards.parts")).toBe("holds");
    await page.waitForSelector('[data-score="waste"]');
  });

  it("the search lays everything out; stopped it goes on", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/cutting`);
    await press(page, "Search for less waste");
    await page.waitForSelector('[data-search="done"]', { timeout: 30_000 });
    const first = await text('[data-search="done"]');
    await press(page, "Search on");
    await until(
      page,
      (was) => {
        const now = document.querySelector('[data-search="done"]')?.textContent;
        return now !== undefined && now !== was;
      },
      first,
    );
    const tried = (said: string) => Number(said.match(/^([\d,]+)/)![1].replaceAll(",", ""));
    await until(
      page,
      (most) =>
        Number(
          (document.querySelector('[data-search="done"]')?.textContent ?? "0")
            .match(/^([\d,]+)/)![1]
            .replaceAll(",", ""),
        ) >= Number(most),
      String(2 * tried(first)),
    );
    await saved(page);
    const sections = (await pieceOf(id)).cutting.sections;
    expect(sections.length).toBeGreaterThan(3);
    type Page = { boards: { id: string; reservedBy: { name: string } | null }[] };
    const held = (
      await Promise.all(
        [0, RACK_PAGE].map(
          async (from) =>
            ((await (await fetch(`${address()}/api/rack/page?species=american-elm&from=${from}`)).json()) as Page)
              .boards,
        ),
      )
    ).flat();
    expect(held).toHaveLength(17);
    for (const section of sections)
      expect(held.find((board) => board.id === section.board)!.reservedBy!.name).toBe("Elm table");
  });

  it("sent to the server it is searched there, and its answer taken", async () => {
    const { page } = maker;
    await press(page, "Search on the server");
    const take = await page.waitForSelector(
      "::-p-xpath(//button[starts-with(normalize-space(.), 'Lay out its answer')])",
      { timeout: 60_000 },
    );
    await take!.click();
    await saved(page);
    expect(await level(page, "cutting.placed")).toBe("holds");
  });

  it("cards are ticked at the saw: boards leave the rack, offcuts come on, and what is there is true", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/cards`);
    const size = await page.$eval("[data-card] button[aria-pressed]", (each) => each.getBoundingClientRect().height);
    expect(size).toBeGreaterThanOrEqual(48);
    const count = (await page.$$("[data-card]")).length;
    for (let n = 0; n < count; n += 1) {
      const card = await page.$eval("[data-card]", (each) => (each as HTMLElement).dataset.card!);
      await page.click(`[data-card="${card}"] button[aria-pressed]`);
      await until(page, (done) => document.querySelector(`[data-card="${done}"]`) === null, card);
    }
    await saved(page);
    expect(await text('[role="status"][data-done]')).toBe(`${count} of ${count} done`);
    const piece = await pieceOf(id);
    const used = piece.cutting.sawn.reduce(
      (sum, sawn) =>
        sum +
        sawn.board.length * sawn.board.width * sawn.board.thickness -
        sawn.offcuts.reduce(
          (kept, each) => kept + (each.length * (each.width + (each.widthEnd ?? each.width)) * each.thickness) / 2,
          0,
        ),
      0,
    );
    expect(Math.abs((await volume()) - (before - used)) / before).toBeLessThan(1e-3);
    const there = (await rack()).map((board) => board.id);
    for (const sawn of piece.cutting.sawn) {
      expect(there).not.toContain(sawn.board.id);
      for (const offcut of sawn.offcuts) expect(there).toContain(offcut.id);
    }
    await go(page, `/rack/${piece.cutting.sawn[0].board.id}`);
    expect(await text('section[aria-label="History"]')).toMatch(/Put on the rack.*Sawn for Elm table/s);
  }, 120_000);

  it("a piece that went wrong is planned again and the log says so", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/cutting`);
    await typeField(page, "What happened", "tear-out at the knot");
    const button = await page.waitForSelector(
      "::-p-xpath(//button[starts-with(normalize-space(.), 'Plan ') and contains(., ' again')])",
    );
    await button!.click();
    await page.waitForSelector('[data-verdict="cutting.spoiled"]');
    await saved(page);
    const piece = await pieceOf(id);
    expect(piece.cutting.spoiled).toHaveLength(1);
    expect(piece.log.some((entry) => entry.kind === "mistake" && entry.text.includes("tear-out at the knot"))).toBe(
      true,
    );
    await press(page, "Undo");
    await until(page, () => document.querySelector('[data-verdict="cutting.spoiled"]') === null);
    await saved(page);
  });

  it("the glue-up is rehearsed, then run: its clock goes on through a reload and reaches the log", async () => {
    const { page } = maker;
    await go(page, `/pieces/${id}/glue-up`);
    const longest = () => page.$eval("[data-longest]", (each) => Number((each as HTMLElement).dataset.longest));
    await press(page, "Alone");
    const alone = await longest();
    await press(page, "3 people");
    expect(await longest()).toBeLessThan(alone);
    await press(page, "Start: first glue on the whole panel");
    await page.waitForSelector('[data-timer="clamped"][data-done="false"]');
    await saved(page);
    await go(page, `/pieces/${id}/glue-up`);
    const left = await text('[data-timer="clamped"] b');
    expect(left).toMatch(/^\d+:\d\d$/);
    await until(page, (was) => document.querySelector('[data-timer="clamped"] b')?.textContent !== was, left);
    for (const step of ["Clamps are on", "Scraped", "Clamps are off", "Planed"]) await press(page, step);
    await page.waitForSelector('[data-timer="machined"][data-done="true"]');
    await saved(page);
    const { log } = await pieceOf(id);
    expect(
      log
        .filter((entry) => entry.kind === "note" && entry.id.startsWith("glue-panel"))
        .map((entry) => (entry.kind === "note" ? entry.text : "")),
    ).toEqual([
      expect.stringMatching(/^The whole panel glued with .*clamps on after/),
      expect.stringMatching(/squeeze-out taken off/),
      expect.stringMatching(/clamps off/),
      expect.stringMatching(/The glued part is done/),
    ]);
  });
});

describe("a board's own page", () => {
  it("a defect is placed by pointing and dragging, and kept", async () => {
    const { page } = maker;
    await go(page, "/rack/B4");
    const box = (await (await page.$('[data-picture="board"]'))!.boundingBox())!;
    await page.mouse.move(box.x + 0.4 * box.width, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + 0.45 * box.width, box.y + 40, { steps: 5 });
    await page.mouse.up();
    await page.waitForSelector('[data-defect="knot"]');
    await press(page, "Keep the changes");
    await until(page, () => document.querySelector("main [role=status]")?.textContent === "B4 is kept.");
    const kept = (await rack()).find((board) => board.id === "B4")!;
    expect(kept.defects).toHaveLength(1);
    // the picture's 1200 units show the board over 1000
    expect(kept.defects[0].x / kept.length).toBeCloseTo(0.4 * 1.2, 1);
    await press(page, "Remove");
    await press(page, "Keep the changes");
    await until(page, () => document.querySelector('[data-defect="knot"]') === null);
  });

  it("changed on two screens, the second is told and keeps what was typed", async () => {
    const other = await newPage(maker.browser, maker.faults);
    await go(other, "/rack/B2");
    await go(maker.page, "/rack/B2");
    await typeField(maker.page, "Shelf", "D4");
    await press(maker.page, "Keep the changes");
    await until(maker.page, () => document.querySelector("main [role=status]")?.textContent === "B2 is kept.");
    await other.bringToFront();
    await typeField(other, "Moisture", "10.5");
    await press(other, "Keep the changes");
    expect(await (await other.waitForSelector('main [role="alert"]'))!.evaluate((each) => each.textContent)).toMatch(
      /B2 was changed on another screen meanwhile/,
    );
    expect(await other.$$eval("input", (fields) => fields.some((field) => field.value === "10.5"))).toBe(true);
    await press(other, "Load what stands");
    expect((await rack()).find((board) => board.id === "B2")).toMatchObject({ shelf: "D4", moisture: 9.2 });
    await other.close();
  });
});

describe("the same board from two screens", () => {
  it("the second cut is refused in a sentence, and can be taken back", async () => {
    const plain = (piece: Piece): Piece => ({
      ...piece,
      species: "european-beech",
      form: { ...piece.form, top: { ...piece.form.top, length: 900, width: 500, thickness: 24 } },
      cutting: { ...piece.cutting, sections: [], sawn: [] },
    });
    const [one, two] = [
      await makePiece((piece) => ({ ...plain(piece), name: "First" })),
      await makePiece((piece) => ({ ...plain(piece), name: "Second" })),
    ];
    const other = await newPage(maker.browser, maker.faults);
    await go(other, `/pieces/${two}/cutting`);
    await go(maker.page, `/pieces/${one}/cutting`);
    const first = await maker.page.$eval('[data-cut][data-sawn="false"]', (each) => (each as HTMLElement).dataset.cut!);
    await maker.page.click(`button[aria-label="${first} is sawn"]`);
    await maker.page.waitForSelector(`[data-cut="${first}"][data-sawn="true"]`);
    await saved(maker.page);
    await other.bringToFront();
    await other.click(`button[aria-label="${first} is sawn"]`);
    const told = await other.waitForSelector('[role="alert"] ::-p-text(Take this step back)', { timeout: 10_000 });
    expect(await other.$eval('p[role="alert"].fixed', (each) => each.textContent)).toMatch(
      new RegExp(`${first} has been cut already`),
    );
    await told!.click();
    await saved(other);
    await until(other, (board) => document.querySelector(`[data-cut="${board}"]`) === null, first);
    await other.close();
    await go(maker.page, `/pieces/${one}/cutting`);
    await maker.page.click(`button[aria-label="Put ${first} together again"]`);
    await saved(maker.page);
    expect((await rack()).some((board) => board.id === first)).toBe(true);
  });
});

it("what is missing is bought from the simulated merchant, and arrives on the rack", async () => {
  const { page } = maker;
  const id = await makePiece((piece) => ({
    ...piece,
    name: "Cherry stand",
    species: "black-cherry",
    form: {
      ...piece.form,
      top: { ...piece.form.top, length: 900, width: 600, thickness: 24 },
      leg: { ...piece.form.leg, section: 60 },
    },
  }));
  await go(page, `/pieces/${id}/cutting`);
  expect(await level(page, "cutting.placed")).toBe("fix");
  const order = await page.waitForSelector(
    "::-p-xpath(//button[starts-with(normalize-space(.), 'Order ') and contains(., ' for ')])",
    { timeout: 20_000 },
  );
  await order!.click();
  await page.waitForSelector('[data-order="open"]');
  await press(page, "It has come");
  await page.waitForSelector('[data-order="received"]');
  await until(
    page,
    () => document.querySelector<HTMLElement>('[data-verdict="cutting.placed"]')?.dataset.level === "holds",
  );
  expect((await rack()).filter((board) => board.species === "black-cherry").length).toBeGreaterThan(3);
  const prices = await (
    await post(`/api/pieces/${id}/buying`, {
      kind: "prices",
      text: "species,thickness,price,per,currency\nblack-cherry,32,1900,m3,USD",
    })
  ).json();
  expect(prices.faults[0].message).toMatch(/Line 2 is in USD; this shop reckons in EUR/);
});
