import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { choose, go, Maker, makePiece, press, recordOf, saved, sitDown, typeField, until, words } from "./maker";

let maker: Maker;
beforeAll(async () => {
  maker = await sitDown();
});
afterAll(async () => {
  await maker.close();
  expect(maker.faults).toEqual([]);
});

describe("a maker builds it another way", () => {
  it("turns the legs, puts feet under them, and measures a mortise that came out wide", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Turned by hand", done: [], asBuilt: [] }));
    await go(page, `/pieces/${id}/form`);
    await choose(page, "Taper", "turned");
    await page.waitForSelector('[data-verdict="form.turned"]');
    await choose(page, "It stands on", "levelling");
    await page.waitForSelector('[data-verdict="form.feet-holes"][data-level="holds"]');
    await typeField(page, "One carries, kg", "20");
    await page.waitForSelector('[data-verdict="form.feet-carry"][data-level="fix"] button');
    await saved(page);
    expect((await recordOf(id)).form.feet).toMatchObject({ kind: "levelling", levelling: { carries: 20 } });
    await go(page, `/pieces/${id}/cutting`);
    await choose(page, "Part", "leg+long-rail");
    await typeField(page, "As measured", "11.4");
    await saved(page);
    expect((await recordOf(id)).asBuilt).toMatchObject([
      { part: "leg+long-rail", dimension: "thickness", value: 11.4 },
    ]);
    await go(page, `/pieces/${id}/joints`);
    await page.waitForSelector('[data-verdict="joints.mortise-measured"]');
  });

  it("a sideboard gets its own top, dovetailed, and doors of boards", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Dovetailed by hand" }), "Sideboard");
    await go(page, `/pieces/${id}/form`);
    await choose(page, "The top", "through");
    await until(page, () => document.querySelector("main")!.textContent!.includes("dovetailed at its upper corners"));
    await choose(page, "Doors are", "battened");
    await page.waitForSelector('[data-verdict="form.door-latch"][data-level="holds"]');
    await choose(page, "Fronts come", "row");
    await saved(page);
    const { form } = await recordOf(id);
    expect([form.case.corners, form.case.doors.build, form.case.drawers.from]).toEqual(["through", "battened", "row"]);
    await go(page, `/pieces/${id}/build`);
    expect(await words(page, "main")).toMatch(/Dovetail the sides into the top/);
    expect(await words(page, "main")).toMatch(/Screw the battens on the doors/);
  });

  it("a table gets leaves on legs that swing out; a bevel below is no more where they hang", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Hung by hand", done: [], asBuilt: [] }));
    await go(page, `/pieces/${id}/form`);
    await page.waitForSelector('[data-verdict="form.bevel"][data-level="holds"]');
    await typeField(page, "Its angle, from below", "40");
    await until(page, () => /: 40°/.test(document.querySelector('[data-verdict="form.bevel"]')?.textContent ?? ""));
    await choose(page, "A leaf hangs", "both");
    await page.waitForSelector('[data-verdict="form.bevel"][data-level="fix"]');
    await choose(page, "Top edge", "square");
    await choose(page, "Held up by", "gates");
    await choose(page, "Legs a leaf", "2");
    await page.waitForSelector('[data-verdict="form.drop-gate-fits"]');
    await saved(page);
    const { form } = await recordOf(id);
    expect([form.drop.held, form.drop.gates.count, form.top.edge.angle]).toEqual(["gates", 2, 40]);
    await go(page, `/pieces/${id}/build`);
    expect(await words(page, "main")).toMatch(/Hang the gates on their rails/);
  });

  it("a sideboard is of plywood, and told what sheets can’t have", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Of sheets" }), "Sideboard");
    await go(page, `/pieces/${id}/form`);
    await choose(page, "The case is of", "plywood");
    await page.waitForSelector('[data-verdict="form.case-sheet"][data-level="holds"]');
    await typeField(page, "Lippings", "3");
    await page.waitForSelector('[data-verdict="form.case-lip"][data-level="fix"] button');
    await choose(page, "The top", "through");
    await page.waitForSelector('[data-verdict="form.case-sheet"][data-level="fix"] button');
    await saved(page);
    expect((await recordOf(id)).form.case).toMatchObject({ of: "plywood", lip: 3, corners: "through" });
    await go(page, `/pieces/${id}/build`);
    expect(await words(page, "main")).toMatch(/Cut the case from plywood/);
  });

  it("a top is scribed round its legs", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Scribed by hand", done: [], asBuilt: [] }));
    await go(page, `/pieces/${id}/boards`);
    await press(page, "Scribe it round what it lies on");
    await typeField(page, "It runs round what it lies on, out by", "45");
    await saved(page);
    const { form } = await recordOf(id);
    expect([form.top.outline, form.top.around, form.top.points.length]).toEqual(["points", 45, 8]);
    await go(page, `/pieces/${id}/form`);
    await page.waitForSelector('[data-verdict="form.scribed"][data-level="holds"]');
  });

  it("a bench stands on legs in its seat, its outline comes from a file", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Staked by hand", done: [], asBuilt: [] }), "Hall bench");
    await go(page, `/pieces/${id}/form`);
    await (await page.waitForSelector('::-p-xpath(//button[@role="radio"][.//text()="Legs into the top"])'))!.click();
    await until(page, () =>
      document.querySelector("main")!.textContent!.includes("tenoned through the top and wedged"),
    );
    await typeField(page, "Splay to the ends, degrees", "14");
    await page.waitForSelector('[data-verdict="form.splay"][data-level="holds"]');
    await choose(page, "Where they end", "blind");
    await until(page, () => document.querySelector("main")!.textContent!.includes("tenoned into the top from below"));
    await saved(page);
    await go(page, `/pieces/${id}/boards`);
    const outline = async (name: string, size: string) => {
      const path = join(mkdtempSync(join(tmpdir(), "outline-")), name);
      writeFileSync(path, `<svg ${size} viewBox="0 0 1200 320"><rect width="1200" height="320" rx="60"/></svg>`);
      const input = await page.waitForSelector('input[aria-label="Outline file"]');
      await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    };
    await outline("drawn.svg", 'width="1200px"');
    await until(page, () =>
      /how large it is in millimetres/.test(document.querySelector("[data-outline-file]")!.textContent!),
    );
    await outline("seat.svg", 'width="1200mm"');
    await until(page, () =>
      /seat\.svg: 8 lines and arcs/.test(document.querySelector("[data-outline-file]")!.textContent!),
    );
    await saved(page);
    const { form } = await recordOf(id);
    expect([form.kind, form.staked.splay.end, form.staked.tenon.ends]).toEqual(["staked", 14, "blind"]);
    expect([form.top.outline, form.top.length, form.top.width, form.top.points.length]).toEqual([
      "points",
      1200,
      320,
      8,
    ]);
  });

  it("leather is let into a desk, a lid sawn out of it", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Faced by hand", done: [], asBuilt: [] }), "Writing desk");
    await go(page, `/pieces/${id}/form`);
    await choose(page, "Let into the top", "leather");
    await page.waitForSelector('[data-verdict="form.facing"]');
    await choose(page, "Sawn out of it", "hinged-back");
    await page.waitForSelector('[data-verdict="form.hatch"]');
    await typeField(page, "Opening along the top", "300");
    await saved(page);
    const { form } = await recordOf(id);
    expect([form.facing.kind, form.hatch.kind, form.hatch.length]).toEqual(["leather", "hinged-back", 300]);
    await go(page, `/pieces/${id}/build`);
    expect(await words(page, "main")).toMatch(/Face the top with leather/);
    expect(await words(page, "main")).toMatch(/Saw the lid out of the top/);
  });

  it("legs stand outside a round rim, its heads are rebated for it and its gap is kept through the year", async () => {
    const { page } = maker;
    const id = await makePiece((piece) => ({ ...piece, name: "Stood outside" }), "Breakfast table");
    await go(page, `/pieces/${id}/form`);
    await choose(page, "Heads", "beside");
    await page.waitForSelector('[data-verdict="form.heads-beside"][data-level="fix"]');
    await press(page, "Tenon the arms into the legs");
    await page.waitForSelector('[data-verdict="form.heads-beside"][data-level="holds"]');
    await typeField(page, "Heads outside the rim", "24");
    await until(page, () => /24 mm outside the rim/.test(document.querySelector("main")!.parentElement!.textContent!));
    await saved(page);
    await go(page, `/pieces/${id}/movement`);
    await page.waitForSelector('[data-verdict="movement.rebated"]');
    await go(page, `/pieces/${id}/build`);
    expect(await words(page, "main")).toMatch(/Saw the rebates in the heads/);
    expect((await recordOf(id)).form.splayed).toMatchObject({ joint: "tenon", rim: { kind: "beside", proud: 24 } });
  });

  it("a piece lies across a table, a lid slides out of it, and a rail's edge comes from a file", async () => {
    const { page } = maker;
    const id = await makePiece(
      (piece) => ({ ...piece, name: "Crossed by hand", done: [], asBuilt: [] }),
      "Writing desk",
    );
    await go(page, `/pieces/${id}/form`);
    await choose(page, "Sawn out of it", "slides-right");
    await page.waitForSelector('[data-verdict="form.hatch-sides"]');
    await choose(page, "Sawn out of it", "none");
    await choose(page, "The top is", "middle");
    await typeField(page, "Piece across", "150");
    await until(page, () => /a piece of 150 mm across/.test(document.body.textContent!));
    await saved(page);
    await go(page, `/pieces/${id}/joints`);
    expect(await words(page, "main")).toMatch(/Middle piece, left seam/);
    const { form } = await recordOf(id);
    expect([form.parting.kind, form.parting.middle.width, form.hatch.kind]).toEqual(["middle", 150, "none"]);
    await go(page, `/pieces/${id}/form`);
    await press(page, "Long rail");
    await choose(page, "Long rail: curve", "lower");
    await choose(page, "Long rail: it goes", "points");
    const long = form.top.length - 2 * (form.overhang.end + form.leg.section);
    const face = `<path d="M0 0 H${long} V90 H${long - 100} L${long - 120} 70 H120 L100 90 H0 Z"/>`;
    const path = join(mkdtempSync(join(tmpdir(), "edge-")), "rail.svg");
    writeFileSync(path, `<svg width="${long}mm" height="90mm" viewBox="0 0 ${long} 90">${face}</svg>`);
    const input = await page.waitForSelector('input[aria-label="Long rail: edge file"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    await until(page, () => /rail\.svg: 4 points/.test(document.querySelector("[data-edge-file]")!.textContent!));
    await saved(page);
    expect((await recordOf(id)).kinds["long-rail"].curve).toMatchObject({ way: "points", mirrored: false });
  });

  it("a chest of sheet bows out in front, from sheets that are not wide enough", async () => {
    const { page } = maker;
    const id = await makePiece(
      (piece) => ({
        ...piece,
        name: "Bowed by hand",
        form: {
          ...piece.form,
          overhang: { ...piece.form.overhang, side: 30 },
          case: { ...piece.form.case, bays: [{ width: null, rows: [{ height: null, holds: "drawer", shelves: 0 }] }] },
        },
      }),
      "Sideboard",
    );
    await go(page, `/pieces/${id}/form`);
    await typeField(page, "Front bows out", "20");
    await page.waitForSelector('[data-verdict="form.case-bow"]');
    await page.waitForSelector('[data-verdict="form.case-bow-top"][data-level="holds"]');
    await choose(page, "The case is of", "plywood");
    await choose(page, "Sheets are bought", "own");
    await typeField(page, "Across it", "380");
    await page.waitForSelector('[data-verdict="form.case-strip"][data-level="holds"]');
    await saved(page);
    const { form } = await recordOf(id);
    expect([form.case.bow, form.sheetSold?.width]).toEqual([20, 380]);
    await go(page, `/pieces/${id}/build`);
    expect(await words(page, "main")).toMatch(/Fair the curved fronts to the case/);
  });
});
