// Packages that come as ES modules alone: two of the one-time codes, and the ids of acts.
const MODULES_ONLY = "(?:@(?:scure|noble)|uuid)";
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
  moduleNameMapper: {
    "^@/(.*)$": "<rootDir>/src/$1",
    "^d3$": "<rootDir>/node_modules/d3/dist/d3.min.js",
    "^d3-random$": "<rootDir>/node_modules/d3-random/dist/d3-random.min.js",
  },
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
      testMatch: ["<rootDir>/{src,scripts}/**/*.test.ts"],
    },
    {
      ...shared,
      displayName: "component",
      testEnvironment: "jsdom",
      // Packages as the server takes them: their builds for browsers are modules.
      testEnvironmentOptions: { customExportConditions: ["node", "node-addons"] },
      testMatch: ["<rootDir>/src/**/*.test.tsx"],
      setupFilesAfterEnv: ["<rootDir>/tests/component/setup.ts"],
    },
    { ...shared, displayName: "database", testMatch: ["<rootDir>/tests/database/**/*.test.ts"] },
  ],
};
