/** Loads the demo shop once: a rack, a shop and the commissions beside this file. `--reset` begins again. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readPiece } from "../core/formats/piece-file";
import { readRack } from "../core/formats/rack-csv";
import { checkShop } from "../core/formats/shop-file";
import { SPECIES } from "../core/wood/species";
import { putBoards } from "../store/boards";
import { mendBooks } from "../store/books";
import { pool } from "../store/database";
import { migrate } from "../store/migrate";
import { addPiece } from "../store/new-pieces";
import { addWorkshop } from "../store/workshops";

const here = (file: string) => join(process.cwd(), "demo", file);
const DEMO_DAY = "2026-11-23";

async function load(): Promise<void> {
  const applied = await migrate(process.env.DATABASE_URL!);
  if (applied.length > 0) console.log(`Applied ${applied.join(", ")}`);
  if (process.argv.includes("--reset")) await pool().query("delete from workshop");
  if ((await pool().query("select 1 from workshop limit 1")).rowCount) return checkBooks();
  const shop = checkShop(readFileSync(here("shop.json"), "utf8"));
  if (!shop.ok) throw new Error(shop.message);
  const workshop = await addWorkshop(shop.shop.name, shop.shop);
  const rack = readRack(readFileSync(here("rack.csv"), "utf8"), SPECIES, DEMO_DAY);
  if (rack.faults.length > 0) throw new Error(`demo/rack.csv, line ${rack.faults[0].line}: ${rack.faults[0].message}`);
  await putBoards(workshop, rack.boards);
  // what was touched last lies first on the bench
  const files = readdirSync(here("pieces")).sort((a, b) => b.localeCompare(a, "en", { numeric: true }));
  for (const file of files) {
    const piece = readPiece(readFileSync(here(join("pieces", file)), "utf8"));
    if (!piece.ok) throw new Error(`demo/pieces/${file}: ${piece.message}`);
    await addPiece(workshop, piece.piece);
  }
  console.log(`Loaded the demo shop: ${rack.boards.length} boards and ${files.length} pieces`);
}

/** What a killed server or a mended bug of ours may have left: reservations that no piece speaks of, or the other way round. */
async function checkBooks(): Promise<void> {
  for (const { board, piece, what } of await mendBooks()) console.log(`Mended the books: board ${board} was ${what} (piece ${piece})`);
}

await load();
await pool().end();
