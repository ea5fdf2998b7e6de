// Two packages of the one-time codes come as ES modules alone.
const MODULES_ONLY = "@(scure|noble)";
const transform = {
  [`(\\.tsx?|scripts/lib/.+\\.mjs|node_modules/${MODULES_ONLY}/.+\\.js)$`]: [
    "@swc/jest",
    {
      jsc: {
        parser: { syntax: "typescript", tsx: true },
        target: "es2022",
        transform: { react: { runtime: "automatic" } },
      },
      module: { type: "commonjs" },
    },
  ],
};
const shared = {
  transform,
  transformIgnorePatterns: [`/node_modules/(?!${MODULES_ONLY}/)`],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1", "^d3$": "<rootDir>/node_modules/d3/dist/d3.min.js" },
  testEnvironment: "node",
  modulePathIgnorePatterns: ["<rootDir>/.next/", "<rootDir>/.next-test/", "<rootDir>/data/"],
};
export default {
  // A limit, not a wait: a machine with other work to do takes its time.
  testTimeout: 120_000,
  projects: [
    {
      ...shared,
      displayName: "unit",
      testMatch: ["<rootDir>/{src,scripts}/**/*.test.{ts,tsx}"],
    },
    { ...shared, displayName: "database", testMatch: ["<rootDir>/tests/database/**/*.test.ts"] },
  ],
};
