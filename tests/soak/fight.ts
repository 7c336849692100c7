/** Thirty clients over the same boards for a minute: pieces that save, lists that are put, copies, pieces put away and got back. */
import type { Piece } from "../../core/piece/schema";
import { differencesInBooks } from "../../store/books";
import { DEMO_RACK } from "../generators/pieces";
import { editors, wanting } from "./kills";
import { ask, dice, Shop } from "./shop";

const CLIENTS = 30;

export async function soakFight(
  shop: Shop,
  base: Piece,
  seed: number,
  seconds: number,
): Promise<{ said: string; faults: string[] }> {
  const makers = await editors(shop, base, CLIENTS);
  const list = DEMO_RACK.slice(0, 20).map(({ reservedBy: _, ...board }) => board);
  const statuses = new Map<number, number>();
  const faults: string[] = [];
  const until = Date.now() + 1000 * seconds;
  await Promise.all(
    makers.map(async (maker, i) => {
      const roll = dice(seed + i);
      const note = ({ status, json }: { status: number; json: unknown }) => {
        statuses.set(status, (statuses.get(status) ?? 0) + 1);
        if (status === 0 || status >= 500) faults.push(`${status}: ${JSON.stringify(json).slice(0, 200)}`);
      };
      while (Date.now() < until) {
        const what = roll(12);
        if (what === 0)
          note(await ask(shop, "POST", "/api/rack", { kind: "put", boards: roll(2) ? list : list.slice().reverse() }));
        else if (what === 1) note(await ask(shop, "POST", `/api/pieces/${maker.id}/away`, { away: true }));
        else if (what === 2) note(await ask(shop, "POST", `/api/pieces/${maker.id}/away`, { away: false }));
        else if (what === 3) note(await ask(shop, "DELETE", `/api/rack/${list[roll(list.length)].id}`));
        else if (what === 4)
          note(await ask(shop, "PUT", "/api/rack/NEW9", { before: null, board: { ...list[0], id: "NEW9" } }));
        else note(await maker.edit(wanting(roll)));
      }
    }),
  );
  const differences = await differencesInBooks();
  faults.push(...makers.flatMap((maker) => maker.lost), ...differences.map((each) => `${each.board}: ${each.what}`));
  return {
    said: `${CLIENTS} clients on the same boards for ${seconds} s: ${[...statuses]
      .sort(([a], [b]) => a - b)
      .map(([status, n]) => `${n} × ${status}`)
      .join(", ")}; ${differences.length} differences in the books`,
    faults,
  };
}
