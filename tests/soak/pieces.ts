/** Random pieces by the thousand; every so many of them is put on the bench, and all its pages are asked for. */
import fc from "fast-check";
import { STAGES } from "../../core/verdict/verdict";
import { faultOf, oddIn } from "../generators/holds";
import { randomPiece, randomRack, randomShop } from "../generators/pieces";
import { ask, Shop } from "./shop";

/** Every page of a piece, below its address. */
export const PAGES = [...STAGES, "sheets", "cards", "sources", "history"];

/** How the renderer marks what threw on the server, with a digest of the error; charts that are left to the browser are marked without one. */
const THREW = /<template data-dgst="(?!BAILOUT|")|\$RX\("B:[0-9a-f]+","(?!BAILOUT|")/;

/** What is wrong with a page of a piece; null when it came whole. */
export function wrongPage(status: number, html: string): string | null {
  if (status !== 200) return `answered ${status}`;
  return THREW.test(html)
    ? "could not be drawn on the server"
    : html.includes("data-unplanned")
      ? "is not planned"
      : null;
}

export async function soakPieces(
  shop: Shop,
  seed: number,
  count: number,
  everySo: number,
): Promise<{ said: string; faults: string[] }> {
  const faults: string[] = [];
  let pages = 0;
  for (const [i, drawn] of fc
    .sample(fc.record({ piece: randomPiece, shop: randomShop, rack: randomRack }), { seed, numRuns: count })
    .entries()) {
    let fault: string | null;
    try {
      fault = faultOf(drawn);
    } catch (error) {
      fault = String(error);
    }
    if (fault) faults.push(`Draw ${i}: ${fault}\n${oddIn(drawn)}`);
    if (i % everySo !== 0) continue;
    const { status, json } = await ask(shop, "POST", "/api/pieces", {
      kind: "import",
      text: JSON.stringify(drawn.piece),
    });
    if (status !== 200) {
      faults.push(`Draw ${i} was not taken: ${status} ${JSON.stringify(json)}`);
      continue;
    }
    const { id } = json as { id: string };
    for (const page of PAGES) {
      const answer = await ask(shop, "GET", `/pieces/${id}/${page}`);
      pages += 1;
      const wrong = wrongPage(answer.status, String(answer.json));
      if (wrong) faults.push(`Draw ${i}: its page ${page} ${wrong}\n${oddIn(drawn)}`);
    }
    await ask(shop, "POST", `/api/pieces/${id}/away`, { away: true });
    await ask(shop, "DELETE", `/api/pieces/${id}`);
  }
  return { said: `${count} random pieces planned and drawn, ${pages} of their pages asked for`, faults };
}
