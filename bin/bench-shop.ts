import { existsSync } from "node:fs";
import { execFileSync } from "node:child_process";
import { gzipSync } from "node:zlib";
import { randomRack } from "../core/testing/boards";
import { putBoards } from "../store/boards";
import { endPool, pool } from "../store/database";
import { addPiece } from "../store/new-pieces";
import { DEMO_PIECES } from "../tests/generators/pieces";
import { loadDemo, serve, startDatabase } from "./harness.mjs";

/** A page, compressed, may be so much larger than an empty one, bytes. */
const PAGE = 150_000;
/** Pieces and boards of a large shop. */
const [PIECES, BOARDS] = [300, 10_000];

/** The bench of a shop with 300 pieces and 10,000 boards against the demo's, asked in turns; and how much a piece's page sends there. */
export async function largeShop(judge: (what: string, value: number, most: number) => void): Promise<void> {
  if (!existsSync(".next/BUILD_ID"))
    execFileSync(process.execPath, ["node_modules/next/dist/bin/next", "build"], {
      stdio: ["ignore", "ignore", "inherit"],
    });
  const [small, large] = [await startDatabase(), await startDatabase()];
  try {
    for (const { url } of [small, large]) loadDemo(url);
    process.env.DATABASE_URL = large.url;
    const {
      rows: [{ id }],
    } = await pool().query<{ id: string }>("select id from workshop limit 1");
    await putBoards(
      id,
      randomRack(1, BOARDS).map(({ reservedBy: _, ...board }, i) => ({
        ...board,
        id: `Z${i + 1}`,
        species: "european-ash",
      })),
    );
    for (let n = 0; n < PIECES - DEMO_PIECES.length; n += 1)
      await addPiece(id, {
        ...DEMO_PIECES[n % DEMO_PIECES.length],
        name: `Piece ${n}`,
        panels: { top: { ...DEMO_PIECES[n % DEMO_PIECES.length].panels.top, strips: [] } },
        cutting: { ...DEMO_PIECES[0].cutting, sections: [], sawn: [], spoiled: [] },
      });
    const [demo, shop] = [await serve(small.url), await serve(large.url)];
    try {
      for (const { address } of [demo, shop]) await planned(address);
      const [a, b]: number[][] = [[], []];
      for (let i = 0; i < 60; i += 1) {
        a.push(await timed(`${demo.address}/`));
        b.push(await timed(`${shop.address}/`));
      }
      judge(
        `(i) the bench with ${PIECES} pieces and ${BOARDS.toLocaleString("en")} boards ÷ the demo's, medians of 50 each`,
        median(b.slice(10)) / median(a.slice(10)),
        3,
      );
      const empty = await sent(`${shop.address}/nowhere`);
      const { pieces } = (await (await fetch(`${shop.address}/api/pieces/page`)).json()) as {
        pieces: { id: string }[];
      };
      for (const stage of ["boards", "cutting"])
        judge(
          `(i) a piece's page ${stage} beyond an empty page, compressed, in 150 kB`,
          ((await sent(`${shop.address}/pieces/${pieces[0].id}/${stage}`)) - empty) / PAGE,
          1,
        );
    } finally {
      await demo.stop();
      await shop.stop();
    }
  } finally {
    await endPool();
    for (const each of [small, large]) each.remove();
  }
}

const median = (values: number[]) => values.slice().sort((a, b) => a - b)[Math.floor(values.length / 2)];
const timed = async (address: string) => {
  const from = performance.now();
  await (await fetch(address)).text();
  return performance.now() - from;
};
const sent = async (address: string) => gzipSync(await (await fetch(address)).text()).length;

/** Waits until the runner has planned every piece of the bench's first page. */
async function planned(address: string): Promise<void> {
  for (let i = 0; i < 1200; i += 1) {
    const { pieces } = (await (await fetch(`${address}/api/pieces/page`)).json()) as { pieces: { pending: boolean }[] };
    if (pieces.every((each) => !each.pending)) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error("The runner has not planned the bench in two minutes.");
}
