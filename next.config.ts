import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  // Tests build beside a running copy, not over it.
  distDir: process.env.SEED_ROUND_DIST ?? ".next",
  poweredByHeader: false,
  // Brings its own compiled solver, which a bundler must not touch.
  serverExternalPackages: ["highs"],
  typescript: { ignoreBuildErrors: false },
  turbopack: { root: import.meta.dirname },
  // The router keeps nothing that others may have changed meanwhile.
  experimental: { staleTimes: { dynamic: 0 } },
};

export default config;
