import { describe, expect, it } from "vitest";
import { contentPolicy, Knock, refusedAtBorder } from "./border";

const own: Knock = {
  method: "POST",
  host: "127.0.0.1:3000",
  origin: "http://127.0.0.1:3000",
  site: "same-origin",
  type: "application/json",
  length: "10",
  url: "http://127.0.0.1:3000/api/pieces",
};
const status = (change: Partial<Knock>, more?: string) => refusedAtBorder({ ...own, ...change }, more)?.status ?? 200;

describe("the border", () => {
  it("lets Taller's own pages, and programs that name no page, make changes", () => {
    expect(status({})).toBe(200);
    expect(status({ origin: null, site: null })).toBe(200);
    expect(status({ type: "application/json; charset=utf-8" })).toBe(200);
    expect(status({ method: "DELETE", type: null, length: null })).toBe(200);
  });
  it.each([
    [
      "a form of another origin",
      { origin: "http://elsewhere.example", site: "cross-site", type: "application/x-www-form-urlencoded" },
      403,
    ],
    ["another port of this machine", { origin: "http://127.0.0.1:4000", site: "same-site" }, 403],
    ["a page without an origin", { origin: "null", site: "cross-site" }, 403],
    ["an old browser's navigation", { origin: null, site: "cross-site" }, 403],
    ["an origin that is none", { origin: "http://[" }, 403],
    ["plain text, as no-cors sends it", { type: "text/plain;charset=UTF-8" }, 415],
    ["a form of its own", { type: "multipart/form-data; boundary=x" }, 415],
    ["no type at all", { type: null }, 415],
    ["a type that only begins alike", { type: "application/json-patch" }, 415],
    ["a DELETE from elsewhere", { method: "DELETE", origin: "http://elsewhere.example" }, 403],
    ["a made-up method", { method: "PURGE", origin: "http://elsewhere.example" }, 403],
  ] as [string, Partial<Knock>, number][])("refuses %s", (_, change, expected) =>
    expect(status(change)).toBe(expected),
  );
  it("answers to known names only", () => {
    for (const host of ["elsewhere.example", "127.0.0.1.elsewhere.example", "localhost.example:3000", "", null])
      expect(status({ method: "GET", host })).toBe(421);
    for (const host of ["localhost:3000", "LOCALHOST", "[::1]:3000", "127.0.0.1"])
      expect(status({ method: "GET", host })).toBe(200);
    expect(
      status(
        { host: "taller.shop.example", origin: "https://taller.shop.example" },
        "other.example, Taller.shop.example",
      ),
    ).toBe(200);
  });
  it.each(["/%ff", "/pieces/%00/form", "/api/rack/%ed%a0%80", "/?text=%zz", "/a%"])(
    "refuses an address that can't be read: %s",
    (path) => expect(status({ method: "GET", url: `http://127.0.0.1:3000${path}` })).toBe(400),
  );
  it("takes addresses that can", () => {
    for (const path of ["/rack/B14", "/api/rack/page?text=a+b%20c%25", "/pieces/%C3%BC"])
      expect(status({ method: "GET", url: `http://127.0.0.1:3000${path}` })).toBe(200);
  });
  it("says why in a sentence", () =>
    expect(refusedAtBorder({ ...own, origin: "http://elsewhere.example" })!.message).toMatch(/^[A-Z].*\.$/));
});

it("the policy lets no script run but the build's own, and no one frame a page", () => {
  const policy = contentPolicy("abc", false);
  expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic';");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toContain("unsafe-eval");
  expect(policy.match(/unsafe-inline/g)).toHaveLength(1);
});
