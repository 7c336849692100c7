/** Requests over every route there is: found in app/, with ids, queries, headers and bodies that are good, nearly good, or nonsense. */
import { readdirSync, readFileSync } from "node:fs";
import { request as httpRequest } from "node:http";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import fc from "fast-check";
import { STAGES } from "../../core/verdict/verdict";
import { hostileText, hostileValue, mutated } from "./hostile";
import { hostileList } from "./lists";
import { DEMO_PIECES, DEMO_RACK, DEMO_SHOP } from "./pieces";

export interface Asked {
  method: string;
  path: string;
  headers: Record<string, string>;
  body: string | null;
  /** sent in parts, without its length */ chunked: boolean;
}
export interface Answered {
  status: number;
  body: string;
  ms: number;
}
/** What the server holds that ids may mean. */
export interface Known {
  pieces: readonly string[];
  boards: readonly string[];
}

interface Place {
  path: string;
  methods: readonly string[];
}
/** Every page and route under app/, as the file system has them: a new one is asked from its first day. */
export const PLACES: readonly Place[] = walk("app", "");
function walk(folder: string, path: string): Place[] {
  return readdirSync(folder, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((each): Place[] => {
      if (each.isDirectory())
        return walk(join(folder, each.name), /^\(.*\)$/.test(each.name) ? path : `${path}/${each.name}`);
      if (each.name === "page.tsx") return [{ path: path || "/", methods: ["GET"] }];
      return each.name === "route.ts"
        ? [
            {
              path,
              methods: [...readFileSync(join(folder, each.name), "utf8").matchAll(/export const ([A-Z]+)\b/g)].map(
                (found) => found[1],
              ),
            },
          ]
        : [];
    });
}

const plain = ({ reservedBy: _, ...board }: (typeof DEMO_RACK)[number]) => board;
const edit = {
  revision: 1,
  changes: [
    { kind: "edit", n: 2, parent: 1, label: "Edit", piece: DEMO_PIECES[0] },
    { kind: "move", head: 1 },
  ],
};
/** Bodies that a route takes. */
const BODIES: Record<string, readonly unknown[]> = {
  "/api/pieces": [
    { kind: "fresh", name: "Table" },
    { kind: "import", text: JSON.stringify(DEMO_PIECES[1]) },
  ],
  "/api/pieces/[id]/save": [edit],
  "/api/pieces/[id]/away": [{ away: true }, { away: false }],
  "/api/pieces/[id]/copy": [{}],
  "/api/pieces/[id]/buying": [
    { kind: "look" },
    { kind: "order", boards: ["X1"] },
    { kind: "receive", order: "00000000-0000-4000-8000-000000000000" },
    { kind: "prices", text: "species,thickness,price\neuropean-ash,32,900" },
  ],
  "/api/rack": [
    { kind: "put", boards: DEMO_RACK.slice(0, 3).map(plain) },
    { kind: "there", ids: ["B1", "B2"] },
  ],
  "/api/rack/[board]": [
    { before: null, board: { ...plain(DEMO_RACK[0]), id: "NEW9" } },
    { before: plain(DEMO_RACK[0]), board: { ...plain(DEMO_RACK[0]), shelf: "Z" } },
  ],
  "/api/shop": [DEMO_SHOP],
  "/api/species": [{ name: "Own plum", radial: 4, tangential: 8, density: 700, stiffness: 11 }],
  "/api/pieces/[id]/search": [{}],
};
const NIL = "00000000-0000-4000-8000-000000000000";
const ODD = [
  "none",
  NIL,
  "%00",
  "%ff",
  "%ed%a0%80",
  "..",
  "%2e%2e%2f",
  "a'%20or%201=1",
  "x".repeat(300),
  "constructor",
  "__proto__",
  "NaN",
  "-1",
  "1e9",
  "%F0%9F%AA%B5",
  "new",
];
const QUERY = [
  "",
  "",
  "",
  "?from=9",
  "?from=-1",
  "?from=1e99",
  "?from=1.5",
  "?away",
  "?away=1",
  "?text=B1",
  "?text=%25_%5c",
  "?text=%00",
  "?text=%ff",
  `?text=${"x".repeat(5000)}`,
  "?species=european-ash",
  "?species=constructor&uses=B1,B2,%20,;",
  `?uses=${"B1,".repeat(2000)}`,
  "?as=tally",
  "?as=tally&as=x",
  "?sort=length&longest=NaN&widest=-1e308&thickest=Infinity&free=1&sum=1&from=99999999",
  "?near=abc",
  "?_rsc=1",
];
const HEADERS: Record<string, string>[] = [
  {},
  {},
  {},
  {},
  {},
  {},
  {},
  { origin: "http://elsewhere.example" },
  { "content-type": "text/plain" },
  { "content-type": "application/json; charset=utf-16" },
  { "sec-fetch-site": "cross-site" },
  { host: "elsewhere.example" },
  { "accept-encoding": "gzip" },
  { cookie: "unit=inch" },
  { cookie: `unit=${"x".repeat(4000)}` },
  { rsc: "1" },
  { "x-forwarded-host": "elsewhere.example" },
];
const METHODS = ["GET", "POST", "PUT", "DELETE", "PATCH", "HEAD", "OPTIONS"];

/** A request to any of Taller's places, most of them by a method it has. */
export function requestTo(known: Known): fc.Arbitrary<Asked> {
  const ids: Record<string, fc.Arbitrary<string>> = {
    "[id]": of(known.pieces),
    "[board]": of(known.boards),
    "[name]": of(DEMO_PIECES.map(({ commission }) => encodeURIComponent(commission))),
    "[stage]": of(STAGES),
    "[n]": of(["1", "2", "3", "999999999", "99999999999999", "0"]),
    "[device]": of(["meter", "caliper", "logger", "log"]),
  };
  const bodyOf = (path: string): fc.Arbitrary<string> => {
    const bases = BODIES[path] ?? [{}];
    return fc.oneof(
      { weight: 3, arbitrary: fc.constantFrom(...bases).map((each) => JSON.stringify(each)) },
      { weight: 4, arbitrary: mutated(bases).map((each) => JSON.stringify(each) ?? "") },
      { weight: 2, arbitrary: hostileText(bases) },
      { weight: 1, arbitrary: hostileValue.map((each) => JSON.stringify(each) ?? "") },
      { weight: 1, arbitrary: hostileList.map((text) => JSON.stringify({ kind: "prices", text })) },
      {
        weight: 1,
        arbitrary: fc.constantFrom("", "{", "null", "[]", "\u0000", "[".repeat(100_000), `"${"x".repeat(3_000_000)}"`),
      },
    );
  };
  return fc.constantFrom(...PLACES).chain(({ path, methods }) => {
    const parts = path.split("/").map((part) => (ids[part] ? ids[part] : fc.constant(part)));
    return fc
      .record({
        method: fc.oneof(
          { weight: 8, arbitrary: fc.constantFrom(...methods) },
          { weight: 1, arbitrary: fc.constantFrom(...METHODS) },
        ),
        path: fc.tuple(...parts).map((all) => all.join("/")),
        query: fc.constantFrom(...QUERY),
        headers: fc.constantFrom(...HEADERS),
        body: bodyOf(path),
        chunked: fc.boolean(),
      })
      .map(({ method, query, headers, body, ...rest }) => ({
        ...rest,
        method,
        path: rest.path + query,
        headers: { "content-type": "application/json", ...headers },
        body: ["GET", "HEAD", "OPTIONS"].includes(method) ? null : body,
      }));
  });
}
const of = (known: readonly string[]) =>
  fc.oneof(
    { weight: 5, arbitrary: fc.constantFrom(...(known.length > 0 ? known : [NIL])) },
    { weight: 1, arbitrary: fc.constantFrom(...ODD) },
  );

/** Asks it as it is, whatever a polite client would refuse to send. @throws Error when the connection fails */
export function send(address: string, { method, path, headers, body, chunked }: Asked): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const from = performance.now();
    const { hostname, port } = new URL(address);
    const length: Record<string, string> =
      body === null
        ? {}
        : chunked
          ? { "transfer-encoding": "chunked" }
          : { "content-length": String(Buffer.byteLength(body)) };
    // a connection of its own: one that is kept alive may be closed just as the next request is written
    const asked = httpRequest(
      { hostname, port, method, path, agent: false, headers: { ...headers, ...length } },
      (answer) => {
        const parts: Buffer[] = [];
        answer.on("data", (part: Buffer) => parts.push(part));
        answer.on("error", reject);
        answer.on("end", () =>
          resolve({
            status: answer.statusCode ?? 0,
            body: (answer.headers["content-encoding"] === "gzip"
              ? gunzipSync(Buffer.concat(parts))
              : Buffer.concat(parts)
            ).toString("utf8"),
            ms: performance.now() - from,
          }),
        );
      },
    );
    asked.on("error", reject);
    if (body === null) {
      asked.end();
      return;
    }
    if (chunked) for (let at = 0; at < body.length; at += 65_536) asked.write(body.slice(at, at + 65_536));
    asked.end(chunked ? undefined : body);
  });
}

/** Simulated devices may be off: that is told in a sentence of its own, with one of these. */
const DEVICES_OFF = [502, 503, 504];

/** What is wrong with an answer, as a sentence; null when nothing is. */
export function wrongWith({ method, path }: Asked, { status, body }: Answered): string | null {
  const api = path.startsWith("/api/");
  if (status >= 500 && !(path.startsWith("/api/devices") && DEVICES_OFF.includes(status)))
    return `${status}: ${body.slice(0, 300)}`;
  if (!api || status < 400 || method === "HEAD" || status === 405 || (status === 404 && !body.startsWith("{")))
    return null;
  try {
    const { message } = JSON.parse(body) as { message?: unknown };
    return typeof message === "string" && /^[A-Z“].*[.?]( \(.*\))?$/s.test(message) && message.length < 600
      ? null
      : `${status} without a sentence: ${body.slice(0, 300)}`;
  } catch {
    return `${status} that is not JSON: ${body.slice(0, 300)}`;
  }
}
