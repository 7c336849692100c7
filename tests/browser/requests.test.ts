import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { loadDemo, serve, startDatabase } from "../../bin/harness.mjs";
import { drawsOf } from "../generators/holds";
import { soakPieces } from "../soak/pieces";
import { PLACES, requestTo, send, wrongWith } from "../generators/requests";

const SEED = Number(process.env.SEED ?? 20261125);
const DRAWS = drawsOf(400);
let server: Awaited<ReturnType<typeof serve>>;
let remove: () => void;
beforeAll(async () => {
  const database = await startDatabase();
  remove = database.remove;
  loadDemo(database.url);
  server = await serve(database.url);
});
afterAll(async () => {
  await server.stop();
  remove();
});

describe(`requests over all ${PLACES.length} places (seed ${SEED}, ${DRAWS} draws)`, () => {
  it("no answer is a 500, and every refusal is a sentence", async () => {
    const page = (await (await fetch(`${server.address}/api/pieces/page`)).json()) as { pieces: { id: string }[] };
    const known = { pieces: page.pieces.map((each) => each.id), boards: ["B1", "B2", "B14", "NEW9"] };
    const statuses = new Map<number, number>();
    await fc.assert(
      fc.asyncProperty(requestTo(known), async (asked) => {
        const answer = await send(server.address, asked);
        statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
        expect(wrongWith(asked, answer)).toBeNull();
      }),
      { numRuns: DRAWS, seed: SEED },
    );
    for (const status of [200, 400, 403, 404, 421, 422])
      expect(statuses.get(status) ?? 0, `${status} among ${JSON.stringify([...statuses])}`).toBeGreaterThan(0);
    expect(server.said()).not.toMatch(/⨯|A plan failed/);
  }, 300_000);
  it("a dozen random pieces are taken, and every page of each comes whole", async () => {
    const { faults, said } = await soakPieces({ url: "", folder: "", server }, SEED, 12, 1);
    expect(faults).toEqual([]);
    expect(said).toMatch(/156 of their pages/);
  }, 120_000);
  it("a body without a length is counted as it streams", async () => {
    const most: Record<string, number> = { "/api/species": 10_000, "/api/shop": 100_000, "/api/pieces": 2_500_000 };
    for (const [path, bytes] of Object.entries(most)) {
      const answer = await send(server.address, {
        method: path === "/api/shop" ? "PUT" : "POST",
        path,
        headers: { "content-type": "application/json" },
        body: `"${"x".repeat(bytes + 100)}"`,
        chunked: true,
      });
      expect([path, answer.status]).toEqual([path, 413]);
      expect(JSON.parse(answer.body).message).toMatch(/more than Taller takes at once/);
    }
  });
  it("every page and answer carries its headers", async () => {
    for (const path of ["/", "/rack", "/api/health", "/nowhere", "/icon.svg"]) {
      const { headers } = await fetch(server.address + path);
      expect([
        path,
        headers.get("x-content-type-options"),
        headers.get("referrer-policy"),
        headers.get("x-frame-options"),
        /script-src 'self' 'nonce-[0-9a-f]{32}' 'strict-dynamic'/.test(headers.get("content-security-policy") ?? ""),
      ]).toEqual([path, "nosniff", "same-origin", "DENY", true]);
    }
    const html = await (await fetch(`${server.address}/`)).text();
    for (const tag of html.match(/<script\b[^>]*>/g)!) expect(tag).toMatch(/nonce="[0-9a-f]{32}"/);
  });
});
