/** Kills of servers, backends and the database while makers save: no acknowledged edit may be lost, and the books agree. */
import { Client } from "pg";
import { crashCluster } from "../../bin/cluster.mjs";
import type { Piece } from "../../core/piece/schema";
import { differencesInBooks } from "../../store/books";
import { DEMO_RACK } from "../generators/pieces";
import { ask, dice, Editor, killServer, rest, Shop } from "./shop";

const EDITORS = 8;
/** The boards they all want. */
const WANTED = DEMO_RACK.filter((board) => board.species === "european-ash")
  .slice(0, 14)
  .map((board) => board.id);

/** Editors of one commission, of another and of none: the first two share boards among themselves. */
const COMMISSIONS = ["House by the weir", "Mill", ""];

/** A small top, so that several of its strips lie on one board; it names some of the boards, each from another place, by a throw of dice. */
export const wanting =
  (roll: (most: number) => number) =>
  (piece: Piece): Piece => ({
    ...piece,
    form: { ...piece.form, top: { ...piece.form.top, length: 500 } },
    panels: {
      top: {
        ...piece.panels.top,
        strips: WANTED.filter(() => roll(3) === 0).map((board) => ({
          board,
          face: "bark-up",
          turned: false,
          slide: 180 * roll(9),
          width: null,
        })),
      },
    },
  });

/** New pieces, each with its editor. */
export async function editors(shop: Shop, base: Piece, count: number): Promise<Editor[]> {
  const made: Editor[] = [];
  while (made.length < count) {
    const own = { ...base, commission: COMMISSIONS[made.length % COMMISSIONS.length] };
    const { status, json } = await ask(shop, "POST", "/api/pieces", { kind: "import", text: JSON.stringify(own) });
    if (status === 200) made.push(new Editor(shop, (json as { id: string }).id, own));
  }
  return made;
}

export async function soakKills(
  shop: Shop,
  base: Piece,
  seed: number,
  count: number,
): Promise<{ said: string; faults: string[] }> {
  const roll = dice(seed);
  const makers = await editors(shop, base, EDITORS);
  let going = true;
  const faults: string[] = [];
  const work = makers.map(async (maker, i) => {
    const own = dice(seed + 1000 + i);
    while (going) await maker.edit(wanting(own));
  });
  const kills = { server: 0, backends: 0, database: 0 };
  for (let n = 0; n < count; n += 1) {
    await rest(roll(500));
    const kind = (["server", "backends", "database"] as const)[n % 3];
    kills[kind] += 1;
    if (kind === "server") await killServer(shop);
    else if (kind === "backends") await endBackends(shop.url);
    else crashCluster(shop.folder);
    // between two kills someone's save is acknowledged
    const before = makers.reduce((sum, maker) => sum + maker.acknowledged.size, 0);
    for (let waited = 0; makers.reduce((sum, maker) => sum + maker.acknowledged.size, 0) === before; waited += 20) {
      if (waited > 30_000) {
        faults.push(`After kill ${n} (${kind}) nothing was saved for 30 s.`);
        going = false;
        break;
      }
      await rest(20);
    }
    if (!going) break;
  }
  going = false;
  await Promise.all(work);
  const lost = await missing(shop.url, makers);
  const differences = await differencesInBooks();
  const acknowledged = makers.reduce((sum, maker) => sum + maker.acknowledged.size, 0);
  const statuses = new Map<number, number>();
  for (const maker of makers)
    for (const [status, times] of maker.statuses) statuses.set(status, (statuses.get(status) ?? 0) + times);
  faults.push(
    ...makers.flatMap((maker) => maker.lost),
    ...lost,
    ...differences.map((each) => `${each.board}: ${each.what}`),
  );
  if (statuses.has(500)) faults.push(`${statuses.get(500)} answers of 500`);
  return {
    said: `${kills.server} servers, ${kills.backends} times all backends, ${kills.database} databases killed between ${acknowledged} acknowledged edits (${[...statuses].map(([status, times]) => `${times} × ${status || "no answer"}`).join(", ")}): ${lost.length} lost, ${differences.length} differences in the books`,
    faults,
  };
}

async function endBackends(url: string): Promise<void> {
  const client = new Client({ connectionString: url });
  client.on("error", () => undefined);
  await client.connect();
  await client.query(
    "select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and backend_type = 'client backend'",
  );
  await client.end();
}

/** Acknowledged edits that the database does not hold as they were sent, or whose piece stands elsewhere than at the last of them. */
async function missing(url: string, makers: readonly Editor[]): Promise<string[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  const lost: string[] = [];
  for (const maker of makers) {
    const { rows } = await client.query<{ n: number; name: string }>(
      "select n, body ->> 'name' as name from piece_state where piece_id = $1",
      [maker.id],
    );
    const kept = new Map(rows.map((row) => [row.n, row.name]));
    for (const [n, name] of maker.acknowledged)
      if (kept.get(n) !== name) lost.push(`${maker.id}: state ${n} should be “${name}” and is “${kept.get(n)}”`);
    const {
      rows: [{ head }],
    } = await client.query<{ head: number }>("select head from piece where id = $1", [maker.id]);
    if (head !== maker.head) lost.push(`${maker.id} stands at ${head}, not at ${maker.head}`);
  }
  await client.end();
  return lost;
}
