import { afterAll, beforeAll, describe, expect, inject, it, vi } from "vitest";
import { MERCHANT, merchantStock } from "../../core/buying/merchant";
import { withoutSawn, withSawn, withSpoiled } from "../../core/layout/done";
import { freshPiece } from "../../core/piece/fresh";
import type { Piece } from "../../core/piece/schema";
import { USUAL_SHOP } from "../../core/piece/shop";
import { planPiece } from "../../core/plan";
import type { Board } from "../../core/stock/board";
import { ANY_BOARD, RACK_PAGE } from "../../core/stock/rack-query";
import { demoBoard, randomRack } from "../../core/testing/boards";
import { plainRack, strips } from "../../core/testing/plans";
import { findSpecies } from "../../core/wood/species";
import { boardOf, changeBoard, putBoards, rack, rackPage, rackSum, removeBoard } from "../../store/boards";
import { pool } from "../../store/database";
import { historyOf } from "../../store/history";
import { migrate } from "../../store/migrate";
import { ordersOf, placeOrder, receiveDue, receiveOrder, soldBy } from "../../store/orders";
import { addPiece } from "../../store/new-pieces";
import { openPiece } from "../../store/opened-pieces";
import { savePiece } from "../../store/pieces";
import { addWorkshop } from "../../store/workshops";

const DAY = "2026-11-23";
const plain = ({ reservedBy: _, ...board }: ReturnType<typeof demoBoard>): Board => board;
beforeAll(async () => {
  process.env.DATABASE_URL = inject("databaseUrl");
  await migrate(process.env.DATABASE_URL);
});
afterAll(() => pool().end());

/** A workshop with the plain rack, a piece with its panel, and its plan. */
async function atTheSaw(): Promise<{
  shop: string;
  id: string;
  piece: Piece;
  plan: () => Promise<ReturnType<typeof planPiece>>;
  save: (label: string, piece: Piece) => ReturnType<typeof savePiece>;
}> {
  const shop = await addWorkshop("Saw", USUAL_SHOP);
  await putBoards(shop, [...plainRack(), demoBoard({ id: "R9", thickness: 32, width: 130, length: 2300 })].map(plain));
  const piece: Piece = {
    ...freshPiece("Table", DAY),
    panels: {
      top: {
        strips: strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"),
        pinned: [],
        banned: [],
        crosscutFirst: true,
        sawnFace: null,
      },
    },
  };
  const id = await addPiece(shop, piece);
  const save = async (label: string, next: Piece) => {
    const now = (await openPiece(shop, id))!;
    return savePiece(shop, id, now.revision, [
      { kind: "edit", n: now.newest + 1, parent: now.head, label, piece: next },
    ]);
  };
  return {
    shop,
    id,
    piece,
    save,
    plan: async () =>
      planPiece({
        piece: (await openPiece(shop, id))!.piece,
        shop: USUAL_SHOP,
        rack: await rack(shop, id),
        ownSpecies: [],
        today: DAY,
      }),
  };
}
const volume = (boards: readonly Board[]) =>
  boards.reduce((sum, board) => sum + board.length * board.width * board.thickness, 0);
const saw = async (table: Awaited<ReturnType<typeof atTheSaw>>, board: string) => {
  const piece = (await openPiece(table.shop, table.id))!.piece;
  return table.save(`${board} sawn`, {
    ...piece,
    cutting: withSawn(piece.cutting, (await table.plan()).cutting, board, DAY),
  });
};

describe("a board that is sawn", () => {
  it("leaves the rack, its offcuts come on, and both tell their history", async () => {
    const table = await atTheSaw();
    const before = await rack(table.shop, null);
    const cut = (await table.plan()).cutting.boards.find((each) => each.offcuts.length > 0 && !each.strip)!;
    expect(await saw(table, cut.board.id)).toMatchObject({ kind: "saved", rackChanged: true });
    const after = await rack(table.shop, null);
    expect(after.map((board) => board.id)).toEqual(
      [
        ...before.map((board) => board.id).filter((id) => id !== cut.board.id),
        ...cut.offcuts.map((each) => each.id),
      ].sort((a, b) => (a < b ? -1 : 1)),
    );
    expect(volume(after)).toBeCloseTo(volume(before) - volume([cut.board]) + volume(cut.offcuts), 3);
    expect((await historyOf(table.shop, cut.board.id)).map((each) => each.kind)).toEqual(
      ["added", "reserved", "cut"].filter((kind) => kind !== "reserved" || cut.strip),
    );
    const [told] = await historyOf(table.shop, cut.offcuts[0].id);
    expect(told).toMatchObject({ kind: "offcut", pieceName: "Table", body: { from: cut.board.id } });
    expect((await boardOf(table.shop, cut.board.id))!.left).toBe("cut");
  });

  it("the whole table sawn, board after board: no piece is missing, the rack is what was there less what was used", async () => {
    const table = await atTheSaw();
    const before = volume(await rack(table.shop, null));
    let used = 0;
    for (let plan = await table.plan(), n = 0; n < 30; n += 1, plan = await table.plan()) {
      const next = plan.cutting.boards.find((cut) => !cut.sawn);
      if (!next) break;
      used += volume([next.board]) - volume(next.offcuts);
      expect((await saw(table, next.board.id)).kind).toBe("saved");
    }
    const done = await table.plan();
    expect(done.cutting.missing).toEqual([]);
    expect(done.cutting.boards.every((cut) => cut.sawn)).toBe(true);
    expect(volume(await rack(table.shop, null))).toBeCloseTo(before - used, 3);
    expect(
      (await pool().query("select count(*)::int as n from board_reservation where workshop_id = $1", [table.shop]))
        .rows[0].n,
    ).toBe(0);
  });

  it("undone, it is whole again and its offcuts are gone; redone, sawn again", async () => {
    const table = await atTheSaw();
    const before = (await rack(table.shop, null)).map((board) => board.id);
    const cut = (await table.plan()).cutting.boards.find((each) => each.offcuts.length > 0)!;
    await saw(table, cut.board.id);
    const sawn = (await rack(table.shop, null)).map((board) => board.id);
    const opened = (await openPiece(table.shop, table.id))!;
    expect(
      await savePiece(table.shop, table.id, opened.revision, [{ kind: "move", head: opened.head - 1 }]),
    ).toMatchObject({ kind: "saved", rackChanged: true });
    expect((await rack(table.shop, null)).map((board) => board.id)).toEqual(before);
    expect(
      await savePiece(table.shop, table.id, opened.revision + 1, [{ kind: "move", head: opened.head }]),
    ).toMatchObject({ kind: "saved", rackChanged: true });
    expect((await rack(table.shop, null)).map((board) => board.id)).toEqual(sawn);
    expect(
      (await historyOf(table.shop, cut.board.id))
        .map((each) => each.kind)
        .filter((kind) => kind === "cut" || kind === "put together again"),
    ).toEqual(["cut", "put together again", "cut"]);
  });

  it("can't be put together again once its offcut is reserved elsewhere; nothing of that save is kept", async () => {
    const table = await atTheSaw();
    const cut = (await table.plan()).cutting.boards.find((each) => each.offcuts.length > 0)!;
    await saw(table, cut.board.id);
    await addPiece(table.shop, {
      ...freshPiece("Stool", DAY),
      panels: {
        top: { strips: strips(cut.offcuts[0].id), pinned: [], banned: [], crosscutFirst: true, sawnFace: null },
      },
    });
    const piece = (await openPiece(table.shop, table.id))!;
    const refused = await table.save("back", {
      ...piece.piece,
      cutting: withoutSawn(piece.piece.cutting, cut.board.id),
    });
    expect(refused).toMatchObject({ kind: "refused" });
    expect((refused as { message: string }).message).toMatch(
      new RegExp(
        `${cut.board.id} can't be put together again: its offcut ${cut.offcuts[0].id.replace(".", "\\.")} has been reserved`,
      ),
    );
    expect((await openPiece(table.shop, table.id))!.revision).toBe(piece.revision);
  });

  it("is sawn once: of two pieces that cut it, the second is told and keeps everything", async () => {
    const table = await atTheSaw();
    const plan = await table.plan();
    const cut = plan.cutting.boards.find((each) => !each.strip)!;
    const other = await addPiece(table.shop, table.piece);
    const cutting = withSawn(table.piece.cutting, plan.cutting, cut.board.id, DAY);
    const results = await Promise.all(
      [table.id, other].map((id) =>
        savePiece(table.shop, id, 1, [
          { kind: "edit", n: 2, parent: 1, label: "sawn", piece: { ...table.piece, cutting } },
        ]),
      ),
    );
    expect(results.map((each) => each.kind).sort()).toEqual(["refused", "saved"]);
    expect((results.find((each) => each.kind === "refused") as { message: string }).message).toMatch(
      /has been cut already/,
    );
    expect(
      (
        await pool().query("select count(*)::int as n from board where workshop_id = $1 and cut_from = $2", [
          table.shop,
          cut.board.id,
        ])
      ).rows[0].n,
    ).toBe(cut.offcuts.length);
  });

  it("two screens of one piece: the second is stale and cuts nothing", async () => {
    const table = await atTheSaw();
    const cut = (await table.plan()).cutting.boards[0];
    const piece = {
      ...table.piece,
      cutting: withSawn(table.piece.cutting, (await table.plan()).cutting, cut.board.id, DAY),
    };
    const both = await Promise.all(
      [1, 2].map((screen) =>
        savePiece(table.shop, table.id, 1, [{ kind: "edit", n: 2, parent: 1, label: `sawn at ${screen}`, piece }]),
      ),
    );
    expect(both.map((each) => each.kind).sort()).toEqual(["saved", "stale"]);
  });

  it.each<[string, (board: Board) => Board, RegExp]>([
    [
      "changed since it was laid out",
      (board) => ({ ...board, length: board.length - 300 }),
      /was changed on the rack since/,
    ],
    ["not there", (board) => ({ ...board, id: "Q99" }), /is not on the rack/],
  ])("%s it is refused", async (_, change, said) => {
    const table = await atTheSaw();
    const plan = await table.plan();
    const cut = plan.cutting.boards.find((each) => !each.strip)!;
    const cutting = withSawn(table.piece.cutting, plan.cutting, cut.board.id, DAY);
    const result = await table.save("sawn", {
      ...table.piece,
      cutting: { ...cutting, sawn: cutting.sawn.map((each) => ({ ...each, board: change(each.board), offcuts: [] })) },
    });
    expect((result as { message: string }).message).toMatch(said);
  });

  it("a spoiled piece comes from what is left, and the rack stays true", async () => {
    const table = await atTheSaw();
    const first = (await table.plan()).cutting.placed.find((each) => each.piece.id === "E1")!.board;
    await saw(table, first);
    const piece = (await openPiece(table.shop, table.id))!.piece;
    await table.save("spoiled", {
      ...piece,
      cutting: withSpoiled(piece.cutting, (await table.plan()).cutting, { piece: "E1", on: DAY, why: "kickback" }),
    });
    const again = (await table.plan()).cutting.placed.findLast((each) => each.piece.id === "E1")!.board;
    expect(again).not.toBe(first);
    expect((await saw(table, again)).kind).toBe("saved");
    expect((await table.plan()).cutting.missing).toEqual([]);
    expect((await rack(table.shop, null)).some((board) => board.id === again)).toBe(false);
  });
});

describe("the rack in pages", () => {
  let shop: string;
  const boards = randomRack(3, 400)
    .map(plain)
    .map((board, i) => ({
      ...board,
      id: `N${i + 1}`,
      species: i % 3 ? "european-ash" : "european-beech",
      shelf: `S${i % 7}`,
    }));
  beforeAll(async () => {
    shop = await addWorkshop("Large", USUAL_SHOP);
    await putBoards(shop, boards);
  });
  it("every board stands on one page, in the order makers count: N2 before N10", async () => {
    const seen: string[] = [];
    for (let from = 0; from < 400; from += RACK_PAGE)
      seen.push(...(await rackPage(shop, ANY_BOARD, from)).map((board) => board.id));
    expect(seen).toEqual(boards.map((board) => board.id));
  });
  it.each([
    ["wood", { species: "european-beech" }, (b: Board) => b.species === "european-beech"],
    [
      "size",
      { longest: 2500, widest: 150, thickest: 38 },
      (b: Board) => b.length >= 2500 && b.width >= 150 && b.thickness >= 38,
    ],
    ["shelf", { text: "s3" }, (b: Board) => b.shelf === "S3"],
    ["nothing that is typed is a pattern", { text: "%" }, () => false],
  ])("by %s", async (_, change, keeps) => {
    const asked = { ...ANY_BOARD, ...change };
    const wanted = boards.filter(keeps);
    const sum = await rackSum(shop, asked);
    expect(sum.total).toBe(wanted.length);
    expect((await rackPage(shop, asked, 0)).map((board) => board.id)).toEqual(
      wanted.slice(0, RACK_PAGE).map((board) => board.id),
    );
    expect(sum.volume).toBeCloseTo(volume(wanted) / 1e9, 6);
  });
  it("longest first, and without what is reserved", async () => {
    const id = await addPiece(shop, {
      ...freshPiece("Desk", DAY),
      panels: { top: { strips: strips("N5"), pinned: [], banned: [], crosscutFirst: true, sawnFace: null } },
    });
    expect((await rackSum(shop, { ...ANY_BOARD, free: true })).total).toBe(399);
    const [first] = await rackPage(shop, { ...ANY_BOARD, sort: "length", free: true }, 0);
    expect(first.length).toBe(Math.max(...boards.filter((board) => board.id !== "N5").map((board) => board.length)));
    expect(
      (await rackPage(shop, { ...ANY_BOARD, text: "N5" }, 0)).find((board) => board.id === "N5")!.reservedBy,
    ).toEqual({ piece: id, name: "Desk" });
  });
  it("a change from a board that stands otherwise is not kept", async () => {
    const board = boards[0];
    expect(await changeBoard(shop, board, { ...board, moisture: 11 })).toBe(true);
    expect(await changeBoard(shop, board, { ...board, moisture: 12 })).toBe(false);
    expect((await boardOf(shop, board.id))!.board.moisture).toBe(11);
    expect(await removeBoard(shop, board.id)).toBe(true);
    expect(await changeBoard(shop, { ...board, moisture: 11 }, board)).toBe(false);
  });
});

it("two bundles that share the pool ask different questions without mixing up their names", async () => {
  const shop = await addWorkshop("Bundles", USUAL_SHOP);
  await putBoards(shop, [plain(demoBoard({ id: "A1", length: 2000 })), plain(demoBoard({ id: "A2", length: 3000 }))]);
  vi.resetModules();
  const other = await import("../../store/boards");
  expect(other.rackPage).not.toBe(rackPage);
  const names = (boards: Board[]) => boards.map((board) => board.id);
  for (let n = 0; n < 3; n += 1) {
    expect(names(await rackPage(shop, ANY_BOARD, 0))).toEqual(["A1", "A2"]);
    expect(names(await other.rackPage(shop, { ...ANY_BOARD, sort: "length" }, 0))).toEqual(["A2", "A1"]);
    expect(names(await other.rackPage(shop, { ...ANY_BOARD, longest: 2500 }, 0))).toEqual(["A2"]);
  }
});

it("the rack names the piece that holds a board as it is called now", async () => {
  const table = await atTheSaw();
  const holder = async () =>
    (await rackPage(table.shop, { ...ANY_BOARD, text: "B1" }, 0)).find((board) => board.id === "B1")!.reservedBy;
  expect(await holder()).toEqual({ piece: table.id, name: "Table" });
  await table.save("Renamed", { ...table.piece, name: "Kitchen table" });
  expect(await holder()).toEqual({ piece: table.id, name: "Kitchen table" });
  expect((await boardOf(table.shop, "B1"))!.board.reservedBy!.name).toBe("Kitchen table");
});

it("50 clients fight for 20 boards: no board twice, and who is told yes has them", async () => {
  const shop = await addWorkshop("Auction", USUAL_SHOP);
  await putBoards(
    shop,
    Array.from({ length: 20 }, (_, i) => plain(demoBoard({ id: `A${i + 1}` }))),
  );
  const wants = (n: number) => Array.from({ length: 4 }, (_, i) => `A${((n * 7 + i * 5) % 20) + 1}`);
  const ids: string[] = [];
  for (let n = 0; n < 50; n += 1) ids.push(await addPiece(shop, freshPiece(`Piece ${n}`, DAY)));
  const said = await Promise.all(
    ids.map((id, n) =>
      savePiece(shop, id, 1, [
        {
          kind: "edit",
          n: 2,
          parent: 1,
          label: "boards",
          piece: {
            ...freshPiece(`Piece ${n}`, DAY),
            panels: {
              top: { strips: strips(...wants(n)), pinned: [], banned: [], crosscutFirst: true, sawnFace: null },
            },
          },
        },
      ]),
    ),
  );
  const { rows } = await pool().query<{ board: string; piece: string }>(
    "select board_id as board, piece_id as piece from board_reservation where workshop_id = $1",
    [shop],
  );
  expect(new Set(rows.map((row) => row.board)).size).toBe(rows.length);
  expect(rows).toHaveLength(20);
  said.forEach((result, n) => {
    if (result.kind !== "saved") throw new Error(`Piece ${n} was ${result.kind}`);
    const told = wants(n)
      .filter((board) => !result.taken.some((each) => each.board === board))
      .sort();
    expect(
      rows
        .filter((row) => row.piece === ids[n])
        .map((row) => row.board)
        .sort(),
    ).toEqual(told);
  });
}, 120_000);

describe("orders", () => {
  const ash = findSpecies("european-ash", [])!;
  it("a board is sold once, arrives once, on its day, and tells where it came from", async () => {
    const shop = await addWorkshop("Buyer", USUAL_SHOP);
    const stock = merchantStock(ash, DAY, []);
    const order = {
      piece: null,
      merchant: MERCHANT.name,
      boards: stock.slice(0, 3),
      total: 100,
      currency: "EUR",
      orderedOn: DAY,
      dueOn: "2026-11-27",
    };
    const placed = await Promise.all([
      placeOrder(shop, order),
      placeOrder(shop, { ...order, boards: stock.slice(2, 5) }),
    ]);
    expect(placed.filter(Boolean)).toHaveLength(1);
    const mine = placed.find(Boolean)!;
    expect(await soldBy(shop, MERCHANT.name)).toEqual(mine.boards.map((board) => board.id));
    expect(await receiveDue(shop, "2026-11-26")).toBe(0);
    expect(await rack(shop, null)).toEqual([]);
    expect(
      (await Promise.all([receiveOrder(shop, mine.id), receiveOrder(shop, mine.id), receiveDue(shop, "2026-11-27")]))
        .map(Number)
        .reduce((a, b) => a + b, 0),
    ).toBe(1);
    expect((await rack(shop, null)).map((board) => board.id).sort()).toEqual(
      mine.boards.map((board) => board.id).sort(),
    );
    expect((await historyOf(shop, mine.boards[0].id)).map((each) => [each.kind, each.body.merchant])).toEqual([
      ["bought", MERCHANT.name],
    ]);
    expect((await ordersOf(shop))[0].received).toBe(true);
  });
});
