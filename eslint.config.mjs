import next from "eslint-config-next";
import tseslint from "typescript-eslint";

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
];
