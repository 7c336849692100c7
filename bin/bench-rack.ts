import { existsSync } from "node:fs";
import { execFileSync } from "node:child_process";
import puppeteer from "puppeteer-core";
import { ANY_BOARD } from "../core/stock/rack-query";
import { demoBoard, randomRack } from "../core/testing/boards";
import { strips } from "../core/testing/plans";
import { freshPiece } from "../core/piece/fresh";
import { USUAL_SHOP } from "../core/piece/shop";
import { putBoards, rackPage } from "../store/boards";
import { endPool, pool } from "../store/database";
import { migrate } from "../store/migrate";
import { addPiece } from "../store/new-pieces";
import { savePiece } from "../store/pieces";
import { addWorkshop } from "../store/workshops";
import { CHROMIUM_FLAGS, loadDemo, serve, startDatabase } from "./harness.mjs";

const median = (values: number[]) => values.slice().sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Ten thousand boards: the first page against the shortest round trip there is, and scrolling in a real Chromium. */
export async function rackOfTenThousand(judge: (what: string, value: number, most: number) => void): Promise<void> {
  const database = await startDatabase();
  try {
    await migrate(database.url);
    loadDemo(database.url);
    process.env.DATABASE_URL = database.url;
    const {
      rows: [{ id }],
    } = await pool().query<{ id: string }>("select id from workshop limit 1");
    await putBoards(
      id,
      randomRack(1, 10_000).map(({ reservedBy: _, ...board }, i) => ({ ...board, id: `Z${i + 1}` })),
    );
    await pool().query("analyze board");
    const timed = async (work: () => Promise<unknown>) => {
      const from = performance.now();
      await work();
      return performance.now() - from;
    };
    const [page, one]: [number[], number[]] = [[], []];
    for (let i = 0; i < 300; i += 1) {
      page.push(await timed(() => rackPage(id, ANY_BOARD, 0)));
      one.push(await timed(() => pool().query("select 1")));
    }
    judge(
      "(f) first page of 10,060 boards ÷ a select 1 round trip, medians of 300 each",
      median(page.slice(50)) / median(one.slice(50)),
      3,
    );
    await fight(judge);
    if (!existsSync(".next/BUILD_ID"))
      execFileSync(process.execPath, ["node_modules/next/dist/bin/next", "build"], {
        stdio: ["ignore", "ignore", "inherit"],
      });
    const server = await serve(database.url);
    const browser = await puppeteer.launch({ executablePath: "/usr/bin/chromium", args: CHROMIUM_FLAGS });
    try {
      const tab = await browser.newPage();
      await tab.setViewport({ width: 1280, height: 800 });
      await tab.goto(`${server.address}/rack`, { waitUntil: "networkidle0" });
      const seen = await tab.evaluate(async () => {
        const tasks: number[] = [];
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) tasks.push(entry.duration);
        }).observe({ type: "longtask" });
        const names = new Set<string>();
        for (let step = 0; step < 240; step += 1) {
          window.scrollBy(0, step < 160 ? 160 : 3000);
          await new Promise((resolve) => requestAnimationFrame(resolve));
          document.querySelectorAll<HTMLElement>("[data-board]").forEach((each) => names.add(each.dataset.board!));
        }
        await new Promise((resolve) => setTimeout(resolve, 300));
        return { longest: Math.max(0, ...tasks), boards: names.size };
      });
      if (seen.boards < 100) throw new Error(`Only ${seen.boards} boards were seen while scrolling.`);
      console.log(`       (f) scrolled past ${seen.boards} boards`);
      judge("(f) longest task while scrolling, ms", seen.longest, 50);
    } finally {
      await browser.close();
      await server.stop();
    }
  } finally {
    await endPool();
    database.remove();
  }
}

/** Fifty pieces reserve four boards each of twenty, all at once: who is told yes must have them, and no board is in two places. */
async function fight(judge: (what: string, value: number, most: number) => void): Promise<void> {
  const day = "2026-11-23";
  const shop = await addWorkshop("Auction", USUAL_SHOP);
  await putBoards(
    shop,
    Array.from({ length: 20 }, (_, i) => {
      const { reservedBy: _none, ...board } = demoBoard({ id: `A${i + 1}` });
      return board;
    }),
  );
  const wants = (n: number) => Array.from({ length: 4 }, (_, i) => `A${((n * 7 + i * 5) % 20) + 1}`);
  const pieces: string[] = [];
  for (let n = 0; n < 50; n += 1) pieces.push(await addPiece(shop, freshPiece(`Piece ${n}`, day)));
  const said = await Promise.all(
    pieces.map((id, n) =>
      savePiece(shop, id, 1, [
        {
          kind: "edit",
          n: 2,
          parent: 1,
          label: "boards",
          piece: {
            ...freshPiece(`Piece ${n}`, day),
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
  const yes = said.flatMap((answer, n) =>
    answer.kind === "saved"
      ? wants(n)
          .filter((board) => !answer.taken.some((each) => each.board === board))
          .map((board) => ({ board, piece: pieces[n] }))
      : [],
  );
  const empty = yes.filter((each) => !rows.some((row) => row.board === each.board && row.piece === each.piece)).length;
  judge(
    "(g) 50 clients for 20 boards: boards reserved twice",
    rows.length - new Set(rows.map((row) => row.board)).size,
    0,
  );
  judge(
    "(g) clients told yes and left without, or not told at all",
    empty + said.filter((answer) => answer.kind !== "saved").length + (20 - rows.length),
    0,
  );
}
