/** Jest over the sources; packages that ship only ES modules are turned into CommonJS on the way in. */
const swc = [
  "@swc/jest",
  {
    jsc: {
      target: "es2022",
      parser: { syntax: "typescript", tsx: true },
      transform: { react: { runtime: "automatic" } },
    },
    module: { type: "commonjs" },
  },
];

/** Packages that ship only ES modules. */
const MODULES = [
  "d3-geo",
  "d3-array",
  "internmap",
  "earcut",
  "flatbush",
  "flatqueue",
  "fast-check",
  "immer",
  "zustand",
  "three",
  "robust-predicates",
  "clipper2-ts",
  "delaunator",
  "@kninnug",
  "p-queue",
  "p-timeout",
  "@fontsource",
];

export default {
  testEnvironment: "node",
  globalSetup: "<rootDir>/scripts/unitSetup.mjs",
  globalTeardown: "<rootDir>/scripts/unitTeardown.mjs",
  testMatch: ["<rootDir>/{core,raster,pdf,files,store,server,web,cli,demo,bench}/**/*.test.{ts,tsx}"],
  moduleNameMapper: {
    // As Vite has it: the address of a file that ships.
    "^(.+)\\.woff2\\?url$": "$1.woff2",
    "^@zanvo/pdf$": "<rootDir>/pdf/src/index.ts",
    "^@zanvo/store/text$": "<rootDir>/store/src/text.ts",
    "^@zanvo/store$": "<rootDir>/store/src/index.ts",
    "^@zanvo/files$": "<rootDir>/files/src/index.ts",
    "^@zanvo/raster$": "<rootDir>/raster/src/index.ts",
    "^@zanvo/core/(.*)$": "<rootDir>/core/src/$1/index.ts",
  },
  transform: { "\\.(m?[jt]sx?)$": swc, "\\.woff2$": "<rootDir>/scripts/fileAddress.mjs" },
  transformIgnorePatterns: [`/node_modules/(?!(${MODULES.join("|")})/)`],
  testTimeout: 120000,
  // As many as the smallest machine it runs on has cores; by itself it would leave one of them idle.
  maxWorkers: 2,
};
