import next from "eslint-config-next";
import tseslint from "typescript-eslint";

/** Imports run down only: a floor may not reach the floors above it. */
const floors = (forbidden, message) => ({
  "no-restricted-imports": ["error", { patterns: forbidden.map((group) => ({ group: [group], message })) }],
});

const ROOMS = ["place", "water", "feed", "growth", "batches", "round", "people"];

export default [
  { ignores: [".next/**", ".next-test/**", "node_modules/**", "data/**", "next-env.d.ts", "scripts/.*.ts"] },
  ...next,
  ...tseslint.configs.recommended,
  {
    linterOptions: { reportUnusedDisableDirectives: "error" },
    rules: {
      "import/no-anonymous-default-export": "off",
      "@typescript-eslint/no-unused-vars": ["error", { varsIgnorePattern: "^_", argsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.object.callee.name='expect'][callee.object.arguments.0.value=true]",
          message: "A test that asserts that true is true cannot fail.",
        },
      ],
    },
  },
  {
    files: ["src/core/**"],
    rules: floors(
      [
        "@/*",
        "**/server/**",
        "**/features/**",
        "**/ui/**",
        "**/app/**",
        "**/jobs/**",
        "react*",
        "next*",
        "pg*",
        "node:*",
        "d3*",
      ],
      "core computes: it imports nothing but other core.",
    ),
  },
  {
    files: ["src/core/**/*.test.ts"],
    rules: { "no-restricted-imports": "off" },
  },
  {
    files: ["src/server/**"],
    rules: floors(
      ["**/features/**", "**/ui/**", "@/app/**", "@/features/**", "@/ui/**"],
      "server keeps: it imports core, other server, nothing above.",
    ),
  },
  {
    files: ["src/ui/**"],
    rules: floors(
      ["@/app/**", "@/features/**", "**/features/**", ...ROOMS.map((room) => `@/server/${room}/**`), "@/server/db/**"],
      "ui knows no room: it imports core and the shared shapes of server/session.",
    ),
  },
  ...ROOMS.map((room) => ({
    files: [`src/features/${room}/**`],
    rules: floors(
      [
        "@/app/**",
        "@/server/db/**",
        ...ROOMS.filter((other) => other !== room).map((other) => `@/features/${other}/**`),
      ],
      "a room's feature imports ui, core and server, not another room's feature.",
    ),
  })),
];
