/** What the soak's parts share: a server that can be killed and comes back, and a piece that is edited whatever happens. */
import { serve, Served } from "../../bin/harness.mjs";
import type { Piece } from "../../core/piece/schema";

/** A random number generator that a seed repeats. */
export function dice(seed: number): (most: number) => number {
  let state = seed >>> 0;
  return (most) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * most);
  };
}

export const rest = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** The server under soak: whoever asks it finds it at one address, whenever it is up. */
export interface Shop {
  url: string;
  folder: string;
  server: Served;
}

/** Kills the server in the middle of whatever it does, and starts another on its port. */
export async function killServer(shop: Shop): Promise<void> {
  await shop.server.kill();
  shop.server = await serve(shop.url, shop.server.port);
}

export interface Reply {
  status: number;
  json: unknown;
  ms: number;
}

/** Posts and reads JSON; status 0 when nothing answered. */
export async function ask(shop: Shop, method: string, path: string, body?: unknown): Promise<Reply> {
  const from = performance.now();
  try {
    const answer = await fetch(shop.server.address + path, {
      method,
      headers: { "content-type": "application/json" },
      body: body === undefined ? undefined : JSON.stringify(body),
      signal: AbortSignal.timeout(30_000),
    });
    const text = await answer.text();
    return {
      status: answer.status,
      json: text.startsWith("{") ? JSON.parse(text) : text,
      ms: performance.now() - from,
    };
  } catch {
    return { status: 0, json: null, ms: performance.now() - from };
  }
}

/** A maker who edits one piece, sends a save again until it is answered, and remembers what was acknowledged. */
export class Editor {
  revision = 1;
  n = 1;
  head = 1;
  /** state → name, of every edit that was acknowledged */
  readonly acknowledged = new Map<number, string>();
  /** saves that others' are said to stand in the way of, though no one else edits this piece */
  readonly lost: string[] = [];
  readonly statuses = new Map<number, number>();
  constructor(
    readonly shop: Shop,
    readonly id: string,
    readonly base: Piece,
  ) {}

  /** One edit, sent until it is answered; `change` makes the piece of this step. */
  async edit(change: (piece: Piece) => Piece): Promise<Reply> {
    this.n += 1;
    const name = `Edit ${this.n} of ${this.id.slice(0, 8)}`;
    const changes = [
      { kind: "edit", n: this.n, parent: this.head, label: name, piece: { ...change(this.base), name } },
    ];
    for (;;) {
      const reply = await ask(this.shop, "POST", `/api/pieces/${this.id}/save`, { revision: this.revision, changes });
      this.statuses.set(reply.status, (this.statuses.get(reply.status) ?? 0) + 1);
      if (reply.status === 200) {
        this.revision = (reply.json as { revision: number }).revision;
        this.head = this.n;
        this.acknowledged.set(this.n, name);
        return reply;
      }
      if (reply.status !== 0 && reply.status < 500) {
        this.lost.push(`${reply.status}: ${JSON.stringify(reply.json).slice(0, 200)}`);
        this.n -= 1;
        return reply;
      }
      await rest(50);
    }
  }
}
