import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: false },
  turbopack: { root: import.meta.dirname },
  // The router keeps nothing that others may have changed meanwhile.
  experimental: { staleTimes: { dynamic: 0 } },
};

export default config;
