import type { NextConfig } from "next";
import { PLAIN_HEADERS } from "./app/border";

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ["pg"],
  devIndicators: false,
  turbopack: { root: process.cwd() },
  // the border hands bodies on through memory: no route takes more than this, and the rest of a longer one is not kept
  experimental: { proxyClientMaxBodySize: "9mb" },
  headers: async () => [
    { source: "/_next/static/:path*", headers: Object.entries(PLAIN_HEADERS).map(([key, value]) => ({ key, value })) },
  ],
};
export default config;
