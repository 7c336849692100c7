/** Splayed legs under rails, and the pieces of one commission: drawn together, sharing a board. */
import { plainBoard } from "../../core/stock/board";
import { demoBoard } from "../../core/testing/boards";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import {
  choose,
  go,
  heading,
  level,
  makePiece,
  Maker,
  post,
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
const COMMISSION = "Cabin 50% above the lake";
const named = (name: string, length: number, width: number) =>
  makePiece((piece) => ({
    ...piece,
    ...{ name, commission: COMMISSION, done: [], asBuilt: [] },
    form: { ...piece.form, top: { ...piece.form.top, length, width } },
  }));

describe("splayed legs under rails", () => {
  it("are chosen by their drawing, leant by a number, and the saw's settings follow", async () => {
    const { page } = maker;
    const table = await named("Splayed by hand", 1500, 850);
    await go(page, `/pieces/${table}/form`);
    await (await page.waitForSelector(`::-p-xpath(//button[@role="radio"][.//text()="Splayed legs, rails"])`))!.click();
    await page.waitForSelector('[data-verdict="form.splay-end"][data-level="holds"]');
    await typeField(page, "Splay toward the sides, degrees", "20");
    await page.waitForSelector('[data-verdict="form.splay-side"][data-level="tight"]');
    await press(page, "Splay them 8° toward the sides");
    await typeField(page, "Splay toward the ends, degrees", "5");
    await typeDimension(page, "Rail depth", "80");
    await saved(page);
    expect((await recordOf(table)).form).toMatchObject({
      kind: "splayed-frame",
      splayedFrame: { splay: { end: 5, side: 8 }, rail: { depth: 80 } },
    });
    await choose(page, "Rails stand", "plumb");
    await page.waitForSelector('[data-verdict="form.rail-in-leg"]');
    await choose(page, "Rails stand", "leaning");
    await saved(page);
    await go(page, `/pieces/${table}/joints`);
    // tan 5° cos 8°, and sin 5° sin 8°
    expect(await words(page, "main")).toMatch(/Rail, both ends\s+5\.0° off square, the blade 0\.7° over/);
    expect(await words(page, "main")).toMatch(/Made/);
    expect(await level(page, "joints.length")).not.toBe("fix");
  });
});

describe("pieces of one commission", () => {
  it("stand on one page to one scale, with each machine setting once", async () => {
    const { page } = maker;
    const stool = await named("Stool for the cabin", 700, 400);
    await go(page, `/pieces/${stool}/brief`);
    await page.click(`header a[href^="/commissions/"]`);
    await page.waitForSelector('[data-scene="commission"]');
    expect(await heading(page)).toBe(COMMISSION);
    const said = await words(page, "main");
    expect(said).toMatch(/2 pieces to one scale/);
    expect(said).toMatch(/700 by 400 by/);
    expect(said).toMatch(/more than one piece/);
    // an address of no commission is no page
    expect(await go(page, "/commissions/nobody-has-this")).toBe(404);
    maker.faults.splice(0);
  });

  it("share a board, and each is told what the other has of it", async () => {
    const { page } = maker;
    const board = "Shared1";
    const boards = [plainBoard(demoBoard({ id: board, width: 450 }))];
    expect((await post("/api/rack", { kind: "put", boards })).status).toBe(200);
    const taking = (name: string, slide: number) =>
      makePiece((piece) => ({
        ...piece,
        ...{ name, commission: COMMISSION, done: [], asBuilt: [] },
        form: { ...piece.form, top: { ...piece.form.top, length: 700, width: 400 } },
      })).then(async (id) => {
        const record = await recordOf(id);
        const { top } = record.panels;
        const strips = [{ board, face: "bark-up" as const, turned: false, slide, width: null }];
        const answer = await post(`/api/pieces/${id}/save`, {
          revision: 1,
          changes: [
            {
              kind: "edit",
              n: 2,
              parent: 1,
              label: "One strip",
              piece: { ...record, panels: { top: { ...top, strips } } },
            },
          ],
        });
        return { id, taken: ((await answer.json()) as { taken: { board: string; name: string }[] }).taken };
      });
    const first = await taking("First of two", 0);
    const second = await taking("Second of two", 900);
    const third = await taking("One too many", 400);
    expect([first.taken, second.taken]).toEqual([[], []]);
    expect(third.taken).toMatchObject([{ board }]);
    await go(page, `/rack/${board}`);
    expect(await words(page, "main")).toMatch(
      /Reserved for First of two, 0 mm to \d+ mm; Second of two, 900 mm to \d+ mm/,
    );
    await go(page, `/pieces/${third.id}/boards`);
    expect(await words(page, '[data-verdict="boards.taken"]')).toMatch(/where this piece would cut it/);
    await go(page, `/commissions/${encodeURIComponent(COMMISSION)}`);
    expect(await words(page, "main")).toMatch(new RegExp(`${board}\\s+.*First of two`));
  });

  it("are searched for together: no board goes to both, and what was found is taken by one press", async () => {
    const { page } = maker;
    const commission = "Two alike by the lake";
    const make = (name: string) =>
      makePiece((piece) => ({
        ...piece,
        ...{ name, commission, done: [], asBuilt: [], cutting: { ...piece.cutting, sections: [], sawn: [] } },
        form: { ...piece.form, top: { ...piece.form.top, length: 700, width: 400 } },
        panels: { ...piece.panels, top: { ...piece.panels.top, strips: [], pinned: [] } },
      }));
    const ids = [await make("Left by the lake"), await make("Right by the lake")];
    await go(page, `/commissions/${encodeURIComponent(commission)}`);
    await press(page, "Find boards for all panels");
    await page.waitForSelector('[data-commission-boards="found"]', { timeout: 60_000 });
    expect(await words(page, "[data-commission-boards]")).toMatch(/Top of the Left by the lake/i);
    await press(page, "Take these boards");
    await page.waitForSelector('[data-commission-boards="told"]', { timeout: 20_000 });
    expect(await words(page, "[data-commission-boards]")).toMatch(/Right by the lake has its boards/);
    const [left, right] = await Promise.all(ids.map((id) => recordOf(id)));
    const boards = (piece: typeof left) => piece.panels.top.strips.map(({ board }) => board);
    expect(boards(left).length).toBeGreaterThan(1);
    expect(boards(right).length).toBeGreaterThan(1);
    expect(boards(left).filter((board) => boards(right).includes(board))).toEqual([]);
  });
});
