import type { NextConfig } from "next";
import { headers } from "./scripts/headers.mjs";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are checked by `npm test`, once.
  typescript: { ignoreBuildErrors: true },
  headers: async () => [{ source: "/:path*", headers: headers(process.env.NODE_ENV === "development") }],
};

export default config;
