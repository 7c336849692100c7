import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, go, makePiece, Maker, press, recordOf, saved, sitDown, typeField, until, words } from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});
const named = (name: string) => makePiece((piece) => ({ ...piece, name }));

describe("rails are joined as the shop joins them", () => {
  it("by dowels as they measure, by screws from pockets, and by tenons again: the card follows", async () => {
    const { page } = maker;
    const table = await named("Dowelled by hand");
    await go(page, `/pieces/${table}/joints`);
    await press(page, "Leg to long rail");
    await choose(page, "Leg joint", "dowels");
    await until(page, () => document.body.innerText.includes("Hole depth in both parts"));
    await typeField(page, "Dowels a row", "2");
    await until(page, () => /2\sof\s\d+\smm\sby/.test(document.body.innerText));
    await choose(page, "Leg joint", "pockets");
    await until(page, () => document.body.innerText.includes("Jig set for stock"));
    await saved(page);
    const stood = await recordOf(table);
    // what was set of the dowels went with them
    expect(stood.joints.legRail).toMatchObject({ kind: "pockets", tenons: null });
    await go(page, `/pieces/${table}/build`);
    expect(await words(page, "main")).toContain("Screw the long rails between the ends");
  });
});

it("a top's corners are rounded by points, and its size is kept to them", async () => {
  const { page } = maker;
  const table = await named("Rounded by hand");
  await go(page, `/pieces/${table}/boards`);
  await choose(page, "Outline", "points");
  await page.waitForSelector('[data-outline-points="8"]');
  await until(
    page,
    () => document.querySelector('[data-verdict="boards.outline-points"][data-level="holds"]') !== null,
  );
  await (await page.waitForSelector('[aria-label="Take point 8 out"]'))!.click();
  await page.waitForSelector('[data-outline-points="7"]');
  await saved(page);
  const { top } = (await recordOf(table)).form;
  expect([top.outline, top.points.length]).toEqual(["points", 7]);
});

describe("another base, another top", () => {
  it("splayed legs stand in a round; another top is sawn apart for the cork’s own strip", async () => {
    const { page } = maker;
    const round = await makePiece((piece) => ({
      ...piece,
      ...{ name: "Splayed by hand", done: [], asBuilt: [] },
      form: { ...piece.form, kind: "splayed-frame", top: { ...piece.form.top, length: 700, width: 700 } },
    }));
    await go(page, `/pieces/${round}/form`);
    await choose(page, "Legs stand", "round");
    await until(page, () => document.querySelector("main")!.textContent!.includes("Three legs in a round"));
    await choose(page, "Legs", "5");
    await until(page, () => document.querySelector("main")!.textContent!.includes("Five legs in a round"));
    await saved(page);
    await go(page, `/pieces/${round}/joints`);
    expect(await words(page, "main")).toMatch(/Leg, two faces planed off the inner one/);
    const faced = await makePiece((piece) => ({
      ...piece,
      ...{ name: "Faced by hand", done: [], asBuilt: [] },
      form: {
        ...piece.form,
        ends: "none",
        stiffener: "none",
        top: { ...piece.form.top, edge: { ...piece.form.top.edge, kind: "square" } },
      },
    }));
    await go(page, `/pieces/${faced}/form`);
    await choose(page, "Let into the top", "cork");
    await choose(page, "It lies", "strip");
    await page.waitForSelector('[data-verdict="form.facing-lies"][data-level="holds"]');
    await saved(page);
    await go(page, `/pieces/${faced}/boards`);
    // which boards are free hangs on what others hold: that both are composed is pressed elsewhere
    await page.waitForSelector('[data-scene="panel"] [data-id="ripcut"]');
    await page.waitForSelector('[data-verdict="boards.chosen.bed"]');
    expect(await words(page, "main")).toMatch(/Compose both panels/);
    await go(page, `/pieces/${faced}/build`);
    expect(await words(page, "main")).toMatch(/Glue the strip between the halves/);
  });
});
