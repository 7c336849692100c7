import { NextRequest, NextResponse } from "next/server";
import { contentPolicy, PLAIN_HEADERS, refusedAtBorder } from "./app/border";

/** The border: every request but the build's own files passes here first. */
export function proxy(request: NextRequest): Response {
  const { headers, method } = request;
  const refused = refusedAtBorder(
    {
      method,
      host: headers.get("host"),
      origin: headers.get("origin"),
      site: headers.get("sec-fetch-site"),
      type: headers.get("content-type"),
      length: headers.get("content-length"),
      url: request.url,
    },
    process.env.TALLER_HOSTS,
  );
  if (refused) return Response.json({ message: refused.message }, { status: refused.status, headers: PLAIN_HEADERS });
  const policy = contentPolicy(crypto.randomUUID().replaceAll("-", ""), process.env.NODE_ENV === "development");
  // the renderer takes the nonce of its own scripts from the policy of the request
  const passed = new Headers(headers);
  passed.set("content-security-policy", policy);
  const answer = NextResponse.next({ request: { headers: passed } });
  answer.headers.set("content-security-policy", policy);
  for (const [name, value] of Object.entries(PLAIN_HEADERS)) answer.headers.set(name, value);
  return answer;
}

export const config = { matcher: ["/((?!_next/static/|_next/image).*)"] };
