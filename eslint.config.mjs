import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

const rooms = { group: ["@zanvo/core/*/*", "**/core/src/**"], message: "A room's index.ts is its door." };

export default ts.config(
  { ignores: ["**/dist/**", "node_modules/**", "data/**", "**/test-results/**", ".cache/**"] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...ts.configs.stylistic,
  {
    rules: {
      eqeqeq: "error",
      "prefer-const": "error",
      "no-restricted-imports": ["error", { patterns: [rooms] }],
      "@typescript-eslint/no-non-null-assertion": "off",
      "@typescript-eslint/no-unused-vars": ["error", { varsIgnorePattern: "^_$", argsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/consistent-type-definitions": ["error", "interface"],
    },
  },
  {
    // The core: no DOM, no Node, no clock, no chance, and no way past another room's door.
    files: ["core/src/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-imports": [
        "error",
        {
          patterns: [
            { group: ["node:*", "react*", "@zanvo/*"], message: "The core stands by itself." },
            { regex: "^\\.\\./[a-z]+/", message: "A room's index.ts is its door." },
          ],
        },
      ],
      "no-restricted-globals": ["error", "window", "document", "process", "fetch", "performance"],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random", message: "Chance needs a seed." },
        { object: "Date", property: "now", message: "No clock in the core." },
      ],
    },
  },
  {
    files: ["web/src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks },
    rules: { ...hooks.configs.recommended.rules, "react-hooks/incompatible-library": "off" },
  },
  {
    files: ["scripts/**/*.mjs", "*.mjs", "demo/**/*.mjs"],
    languageOptions: {
      globals: {
        process: "readonly",
        console: "readonly",
        setTimeout: "readonly",
        fetch: "readonly",
        URL: "readonly",
        requestAnimationFrame: "readonly",
        document: "readonly",
        AbortSignal: "readonly",
        performance: "readonly",
        close: "readonly",
      },
    },
  },
);
