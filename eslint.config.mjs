import js from "@eslint/js";
import { createTypeScriptImportResolver } from "eslint-import-resolver-typescript";
import importX from "eslint-plugin-import-x";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

const modules = { group: ["@zanvo/core/*/*", "**/core/src/**"], message: "A module is used through its index.ts." };

/** Casts past the type checker: a type that is wrong is put right where it is declared. */
const noUnsafeCasts = [
  { selector: "TSAsExpression > TSNeverKeyword", message: "Put the type right instead of casting to never." },
  {
    selector: "TSAsExpression > TSAsExpression > TSUnknownKeyword",
    message: "Put the type right instead of casting through unknown.",
  },
];
/** What each package may use of the others. */
const PACKAGES = {
  raster: ["core"],
  pdf: ["core"],
  files: ["core", "raster", "pdf"],
  store: ["core", "raster"],
  server: ["core", "raster", "pdf", "files", "store"],
  web: ["core"],
  cli: ["core", "raster", "pdf", "files", "store"],
};
const ALL = ["core", ...Object.keys(PACKAGES)];
const onlyThese = Object.entries(PACKAGES).map(([name, allowed]) => ({
  files: [`${name}/src/**/*.{ts,tsx}`],
  ignores: ["**/*.test.{ts,tsx}"],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          modules,
          ...ALL.filter((other) => !allowed.includes(other)).map((other) => ({
            group: [`@zanvo/${other}`, `@zanvo/${other}/*`],
            message: `${name} does not use ${other}.`,
          })),
        ],
      },
    ],
  },
}));

export default ts.config(
  { ignores: ["**/dist/**", "node_modules/**", "data/**", "**/test-results/**", ".cache/**"] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...ts.configs.stylistic,
  {
    plugins: { "import-x": importX },
    settings: { "import-x/resolver-next": [createTypeScriptImportResolver()] },
    rules: {
      eqeqeq: "error",
      "prefer-const": "error",
      "no-restricted-imports": ["error", { patterns: [modules] }],
      "@typescript-eslint/no-non-null-assertion": "off",
      "@typescript-eslint/no-unused-vars": ["error", { varsIgnorePattern: "^_$", argsIgnorePattern: "^_" }],
      "import-x/no-cycle": ["error", { ignoreExternal: true }],
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/consistent-type-definitions": ["error", "interface"],
    },
  },
  {
    // The core: no DOM, no Node, no clock, no chance, and no way past another module's index.ts.
    files: ["core/src/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-imports": [
        "error",
        {
          patterns: [
            { group: ["node:*", "react*", "@zanvo/*"], message: "The core stands by itself." },
            { regex: "^\\.\\./[a-z]+/", message: "A module is used through its index.ts." },
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
  ...onlyThese,
  {
    files: ["*/src/**/*.{ts,tsx}"],
    ignores: ["**/*.test.{ts,tsx}"],
    rules: {
      "no-restricted-syntax": ["error", ...noUnsafeCasts],
      "max-lines-per-function": ["error", { max: 80, skipComments: true, skipBlankLines: true }],
    },
  },
  {
    files: ["web/src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks },
    rules: { ...hooks.configs.recommended.rules, "react-hooks/incompatible-library": "off" },
  },
  {
    files: ["scripts/**/*.mjs", "*.mjs", "demo/**/*.mjs", "core/testing/**/*.mjs"],
    languageOptions: {
      globals: {
        Buffer: "readonly",
        process: "readonly",
        console: "readonly",
        setTimeout: "readonly",
        fetch: "readonly",
        URL: "readonly",
        requestAnimationFrame: "readonly",
        document: "readonly",
        window: "readonly",
        MutationObserver: "readonly",
        AbortSignal: "readonly",
        performance: "readonly",
        close: "readonly",
      },
    },
  },
);
