import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../../core/piece/shop";
import { planPiece } from "../../core/plan";
import { summarise } from "../../core/summary";
import { demoBoard } from "../../core/testing/boards";
import { putBoards } from "../../store/boards";
import { pool } from "../../store/database";
import { savedInputs } from "../../store/inputs";
import { OFFERED, offeredBoards } from "../../store/offered";
import { addPiece } from "../../store/new-pieces";
import { openPiece } from "../../store/opened-pieces";
import { savePiece, setPutAway } from "../../store/pieces";
import {
  benchPage,
  benchSum,
  companyOf,
  failuresOf,
  findPieces,
  keepFailures,
  keepSummary,
  takeStale,
} from "../../store/summaries";
import { addWorkshop, saveShop, workshopOf } from "../../store/workshops";
import { DAY, edit, findDatabase, onlyShop, piece, plain, withBoards } from "./shop";

let shop: string;
beforeAll(findDatabase);
beforeEach(async () => {
  shop = await onlyShop();
});
afterAll(() => pool().end());

describe("what the bench reads", () => {
  const taller = "sources-1";
  const plan = async (today = DAY, by = taller) => {
    const stale = await takeStale(by, today);
    if (!stale) return null;
    const { opened, inputs } = (await savedInputs((await workshopOf(stale.workshop))!, stale.id, today))!;
    await keepSummary(stale, {
      revision: opened.revision,
      card: summarise(inputs).card,
      species: inputs.piece.species,
      taller: by,
      today,
    });
    return stale.id;
  };
  const planAll = async (today = DAY, by = taller) => {
    const done: string[] = [];
    for (let id = await plan(today, by); id; id = await plan(today, by)) done.push(id);
    return done.sort();
  };

  it("is planned once, and again when its revision, its rack, its shop, the day or Taller changes, and at nothing else", async () => {
    const [first, second] = [
      await addPiece(shop, piece),
      await addPiece(shop, { ...piece, species: "european-oak" }),
    ].sort();
    const oak = (await openPiece(shop, first))!.piece.species === "european-oak" ? first : second;
    const ash = oak === first ? second : first;
    expect(await planAll()).toEqual([first, second]);
    expect(await planAll()).toEqual([]);
    await savePiece(shop, ash, 1, [edit(2, 1, { ...piece, name: "Changed" })]);
    expect(await planAll()).toEqual([ash]);
    await putBoards(shop, [plain(demoBoard({ id: "OAK1", species: "european-oak" }))]);
    expect(await planAll()).toEqual([oak]);
    await saveShop(shop, { ...USUAL_SHOP, planerWidth: 300 });
    expect(await planAll()).toEqual([first, second]);
    expect(await planAll("2026-11-24")).toEqual([first, second]);
    expect(await planAll("2026-11-24", "sources-2")).toEqual([first, second]);
    expect(await planAll("2026-11-24", "sources-2")).toEqual([]);
  });
  it("a piece taken by a runner that died is taken by another, after its hold", async () => {
    const id = await addPiece(shop, piece);
    expect((await takeStale(taller, DAY))!.id).toBe(id);
    expect(await takeStale(taller, DAY)).toBeNull();
    await pool().query("update piece_summary set held_until = now() - interval '1 second'");
    expect((await takeStale(taller, DAY))!.id).toBe(id);
  });
  it("a rack that changes while a piece is planned makes its card old, whoever commits first", async () => {
    const id = await addPiece(shop, piece);
    const client = await pool().connect();
    await client.query("begin");
    await client.query(
      "update board set body = jsonb_set(body::jsonb, '{width}', '90')::json where workshop_id = $1 and id = 'B1'",
      [shop],
    );
    await client.query(
      "insert into board_event (workshop_id, board_id, kind, species) values ($1, 'B1', 'changed', (select species from board where workshop_id = $1 and id = 'B1'))",
      [shop],
    );
    expect(await planAll()).toEqual([id]);
    await client.query("commit");
    client.release();
    expect(await planAll()).toEqual([id]);
    expect(await planAll()).toEqual([]);
  });
  it("comes page by page, last touched first, with what is pending", async () => {
    const ids: string[] = [];
    for (let n = 0; n < 11; n += 1)
      ids.push(
        await addPiece(shop, { ...piece, name: `Piece ${n}`, commission: n === 4 ? "House of the 100% lake" : "" }),
      );
    await planAll();
    await savePiece(shop, ids[0], 1, [edit(2, 1, { ...piece, name: "Touched" })]);
    const [first, rest] = [await benchPage(shop, false, 0), await benchPage(shop, false, 9)];
    expect([...first, ...rest].map((each) => each.id)).toEqual([ids[0], ...ids.slice(1).reverse()]);
    expect([first[0].pending, first[0].name, first[1].pending]).toEqual([true, "Touched", false]);
    expect(first[1].card!.size).toEqual([piece.form.top.length, piece.form.top.width, piece.form.height]);
    expect(await benchSum(shop, "no such runner")).toEqual({
      onBench: 11,
      away: 0,
      longest: piece.form.top.length,
      runners: false,
    });
    expect((await findPieces(shop, "lake 100%")).map((each) => each.id)).toEqual([ids[4]]);
    expect(await findPieces(shop, "")).toEqual([]);
  });
  it("a piece has the others of its commission beside it: planned ones, on the bench, in this shop", async () => {
    const of = (name: string, commission: string) => ({ ...piece, name, commission });
    const table = await addPiece(shop, of("Table", "Mill"));
    const bench = await addPiece(shop, of("Bench", "Mill"));
    const stranger = await addPiece(shop, of("Stranger", "Elsewhere"));
    const alone = [await addPiece(shop, of("Alone", "")), await addPiece(shop, of("Alone too", ""))];
    expect(await companyOf(shop, table)).toEqual([]);
    await planAll();
    const { length, width } = piece.form.top;
    expect(await companyOf(shop, table)).toEqual([
      { id: bench, name: "Bench", size: [length, width, piece.form.height] },
    ]);
    for (const id of [stranger, ...alone]) expect(await companyOf(shop, id)).toEqual([]);
    // it is told as it was planned last; what is put away is not there
    await savePiece(shop, bench, 1, [edit(2, 1, { ...of("Bench", "Mill"), form: { ...piece.form, height: 450 } })]);
    await planAll();
    expect((await companyOf(shop, table))[0].size[2]).toBe(450);
    await setPutAway(shop, bench, true);
    expect(await companyOf(shop, table)).toEqual([]);
    const other = await addWorkshop("Another", USUAL_SHOP);
    expect(await companyOf(other, table)).toEqual([]);
  });
  it("a plan that failed is kept once, with what it takes to repeat it", async () => {
    const id = await addPiece(shop, piece);
    const { inputs } = (await savedInputs((await workshopOf(shop))!, id, DAY))!;
    const failure = { stage: "joints", mark: "joints" as const, message: "Reduce of empty array", stack: "at …" };
    for (let n = 0; n < 2; n += 1) await keepFailures(shop, id, { state: 1, failures: [failure], inputs });
    const [kept, ...more] = await failuresOf(shop);
    expect(more).toEqual([]);
    expect(kept).toMatchObject({ piece: id, state: 1, stage: "joints", message: "Reduce of empty array" });
    expect(planPiece(kept.inputs).failures).toEqual([]);
  });
});

describe("the boards a piece looks through", () => {
  it("are those it uses, then free ones, a sample that is the same each time", async () => {
    await putBoards(
      shop,
      Array.from({ length: 300 }, (_, i) => plain(demoBoard({ id: `S${i}` }))),
    );
    const other = await addPiece(shop, withBoards("S0", "S1", "S2"));
    const id = await addPiece(shop, withBoards("S7"));
    const { boards, total } = await offeredBoards(shop, id, {
      species: ["european-ash"],
      uses: ["S7", "S0", "nowhere"],
      most: 50,
    });
    const all = await offeredBoards(shop, id, { species: ["european-ash"], uses: [], most: OFFERED });
    expect(total).toBe(all.boards.length);
    expect(boards.map((board) => board.id)).toEqual(expect.arrayContaining(["S7", "S0"]));
    expect(boards).toHaveLength(52);
    expect(boards.find((board) => board.id === "S0")!.reservedBy?.piece).toBe(other);
    expect(boards.filter((board) => board.reservedBy !== null)).toHaveLength(1);
    expect((await offeredBoards(shop, id, { species: ["european-ash"], uses: ["S7", "S0"], most: 50 })).boards).toEqual(
      boards,
    );
    // a piece of two woods looks through both; a wood nobody has adds nothing
    const two = await offeredBoards(shop, id, { species: ["european-ash", "no-such-wood"], uses: [], most: OFFERED });
    expect(two.total).toBe(total);
    expect((await offeredBoards(shop, id, { species: ["no-such-wood"], uses: [], most: OFFERED })).boards).toEqual([]);
  });
});
