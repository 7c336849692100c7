/** What is refused before any page or route sees it: other people's pages, other names of this machine, addresses that can't be read. */
import { isKeepable } from "../core/piece/fields";

/** What the border looks at of a request. */
export interface Knock {
  method: string;
  host: string | null;
  origin: string | null;
  site: string | null;
  type: string | null;
  length: string | null;
  url: string;
}

/** Names by which this machine is asked; TALLER_HOSTS adds others, separated by commas, such as the name a proxy in front is known by. */
const hostsOf = (more: string | undefined) => [
  "127.0.0.1",
  "localhost",
  "[::1]",
  ...(more ?? "")
    .split(",")
    .map((each) => each.trim().toLowerCase())
    .filter(Boolean),
];
const SAFE = ["GET", "HEAD", "OPTIONS"];

/** Why a request is refused, as a sentence with its status; null when it may come in. */
export function refusedAtBorder(
  { method, host, origin, site, type, length, url }: Knock,
  moreHosts?: string,
): { status: number; message: string } | null {
  const name = (host ?? "").toLowerCase().replace(/:\d+$/, "");
  if (!hostsOf(moreHosts).includes(name))
    return {
      status: 421,
      message:
        "Taller is not known by this name. Use the address it printed when it started, or add the name to TALLER_HOSTS.",
    };
  if (!readable(url))
    return {
      status: 400,
      message: "The address holds a character that can't be read. Follow a link instead of typing it.",
    };
  if (SAFE.includes(method)) return null;
  // a browser names the page that asks; programs name none
  if (origin !== null && hostOf(origin) !== (host ?? "").toLowerCase())
    return { status: 403, message: "Another page asked for this change. Only Taller's own pages may change anything." };
  if (origin === null && site !== null && site !== "same-origin")
    return { status: 403, message: "Another page asked for this change. Only Taller's own pages may change anything." };
  const empty = method === "DELETE" || length === "0";
  if (!empty && !/^application\/json\s*(;|$)/i.test(type ?? ""))
    return { status: 415, message: "A change must be sent as application/json." };
  return null;
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return null;
  }
}

/** Whether every part of an address can be decoded into text that can be kept. */
function readable(url: string): boolean {
  const at = url.replace(/^[a-z]+:\/\/[^/]*/i, "");
  try {
    return isKeepable(decodeURIComponent(at.replaceAll("+", " ")));
  } catch {
    return false;
  }
}

/**
 * What a page may load and who may frame it: scripts only of this build, by their nonce; nothing from anywhere else.
 *
 * @param dev  the development server compiles in the page, and reloads it through a socket
 */
export function contentPolicy(nonce: string, dev: boolean): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${dev ? " ws:" : ""}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

/** Headers on everything that is answered. */
export const PLAIN_HEADERS = {
  "x-content-type-options": "nosniff",
  "referrer-policy": "same-origin",
  "x-frame-options": "DENY",
  "cross-origin-resource-policy": "same-origin",
  "cross-origin-opener-policy": "same-origin",
};
