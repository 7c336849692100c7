// npm run soak: the long draws. Requests, kills, a fight for boards, random pieces, each with its counts and the seed that repeats it.
// --seed N, --requests N, --kills N, --fight SECONDS, --pieces N; a part set to 0 is left out. It ends red when anything is wrong.
import { execFileSync } from "node:child_process";
import { endPool } from "../store/database";
import { DEMO_PIECES } from "../tests/generators/pieces";
import { soakFight } from "../tests/soak/fight";
import { soakKills } from "../tests/soak/kills";
import { soakPieces } from "../tests/soak/pieces";
import { soakRequests } from "../tests/soak/requests";
import type { Shop } from "../tests/soak/shop";
import { loadDemo, serve, startDatabase } from "./harness.mjs";
import { checkout, installPackages, installPostgres } from "./install.mjs";

const option = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const seed = option("seed", Number(process.env.SEED ?? 20261125));
/** Of random pieces one in so many is put on the bench. */
const ON_THE_BENCH = 20;

installPackages();
installPostgres();
if (!process.argv.includes("--built"))
  execFileSync(process.execPath, ["node_modules/next/dist/bin/next", "build"], {
    cwd: checkout,
    stdio: ["ignore", "ignore", "inherit"],
  });
let faults = 0;

/** One part on a shop of its own. */
async function part(
  name: string,
  count: number,
  run: (shop: Shop) => Promise<{ said: string; faults: string[] }>,
): Promise<void> {
  if (count === 0) return;
  const database = await startDatabase();
  process.env.DATABASE_URL = database.url;
  loadDemo(database.url);
  const shop: Shop = { url: database.url, folder: database.folder, server: await serve(database.url) };
  const from = Date.now();
  try {
    const found = await run(shop);
    faults += found.faults.length;
    console.log(
      `${name} (seed ${seed}, ${Math.round((Date.now() - from) / 1000)} s): ${found.said}. ${found.faults.length === 0 ? "Nothing wrong." : `${found.faults.length} WRONG:`}`,
    );
    for (const fault of found.faults.slice(0, 20)) console.log(`  ${fault}`);
  } finally {
    await endPool();
    await shop.server.stop();
    database.remove();
  }
}

await part("Requests", option("requests", 10_000), (shop) => soakRequests(shop, seed, option("requests", 10_000)));
await part("Kills", option("kills", 300), (shop) => soakKills(shop, DEMO_PIECES[0], seed, option("kills", 300)));
await part("Fight", option("fight", 60), (shop) => soakFight(shop, DEMO_PIECES[0], seed, option("fight", 60)));
await part("Pieces", option("pieces", 4000), (shop) => soakPieces(shop, seed, option("pieces", 4000), ON_THE_BENCH));
process.exit(faults > 0 ? 1 : 0);
