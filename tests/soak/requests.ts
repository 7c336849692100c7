/** Requests by the thousand, one after another, each held against the time of the demo's page. */
import fc from "fast-check";
import { Known, requestTo, send, wrongWith } from "../generators/requests";
import { ask, Shop } from "./shop";

/** How many times the demo page's time any answer may take. */
const SLOWEST = 10;
/** Requests between two looks at what pieces and boards there are. */
const LOT = 500;

export async function soakRequests(
  shop: Shop,
  seed: number,
  count: number,
): Promise<{ said: string; faults: string[] }> {
  const known = async (): Promise<Known> => {
    const { json } = await ask(shop, "GET", "/api/pieces/page");
    return {
      pieces: (json as { pieces: { id: string }[] }).pieces.map((each) => each.id),
      boards: ["B1", "B2", "B14", "E1", "NEW9"],
    };
  };
  const first = (await known()).pieces[0];
  const page = { method: "GET", path: `/pieces/${first}/form`, headers: {}, body: null, chunked: false };
  const times: number[] = [];
  for (let i = 0; i < 40; i += 1) times.push((await send(shop.server.address, page)).ms);
  const usual = times.slice(10).sort((a, b) => a - b)[15];
  const faults: string[] = [];
  const statuses = new Map<number, number>();
  let slowest = { ms: 0, path: "" };
  for (let done = 0; done < count; done += LOT) {
    for (const asked of fc.sample(requestTo(await known()), {
      seed: seed + done,
      numRuns: Math.min(LOT, count - done),
    })) {
      const answer = await send(shop.server.address, asked).catch((error: Error) => ({
        status: 599,
        body: String(error),
        ms: 0,
      }));
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      if (answer.ms > slowest.ms)
        slowest = {
          ms: answer.ms,
          path: `${asked.method} ${asked.path.slice(0, 80)}, ${asked.body?.length ?? 0} letters`,
        };
      const wrong =
        wrongWith(asked, answer) ??
        (answer.ms > SLOWEST * usual ? `took ${(answer.ms / usual).toFixed(1)} times the demo page's time` : null);
      if (wrong)
        faults.push(
          `${asked.method} ${asked.path.slice(0, 120)} ${JSON.stringify(asked.headers)} ${asked.body?.slice(0, 300) ?? ""}: ${wrong}`,
        );
    }
    if (shop.server.said().includes("⨯")) {
      faults.push(`The server's log:\n${shop.server.said().slice(-2000)}`);
      break;
    }
  }
  return {
    said: `${count} requests: ${[...statuses]
      .sort(([a], [b]) => a - b)
      .map(([status, n]) => `${n} × ${status}`)
      .join(
        ", ",
      )}; slowest ${(slowest.ms / usual).toFixed(1)} times the demo page's ${usual.toFixed(0)} ms (${slowest.path})`,
    faults,
  };
}
