// npm test: types, lint, unit tests and journeys. The last line is "N passed, N failed".
import { Buffer } from "node:buffer";
import { spawn, spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { debianPackages } from "./debian.mjs";
import { install } from "./install.mjs";

const compiled = install();
debianPackages();
const { build, root } = await import("./build.mjs");
const results = join(root, "test-results");
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

const bin = (path) => join(root, "node_modules", path);
/** Runs a tool of Node's; @returns whether it was content. */
function run(name, args, cwd = root) {
  process.stdout.write(`\n== ${name}\n`);
  return spawnSync(process.execPath, args, { cwd, stdio: ["ignore", 1, 1] }).status === 0;
}
/** Runs a tool beside others: what it says is held back until it ends. @returns whether it was content */
function runBeside(name, args) {
  const tool = spawn(process.execPath, args, { cwd: root, stdio: ["ignore", "pipe", "pipe"] });
  const said = [];
  for (const stream of [tool.stdout, tool.stderr]) stream.on("data", (part) => said.push(part));
  return new Promise((resolve) =>
    tool.on("close", (code) => {
      process.stdout.write(`\n== ${name}\n${Buffer.concat(said)}`);
      resolve(code === 0);
    }),
  );
}
/** The result file of a runner, or nothing where it wrote none. */
const read = (file) => {
  try {
    return JSON.parse(readFileSync(join(results, file), "utf8"));
  } catch {
    return null;
  }
};

let [passed, failed] = [0, 0];
const count = (good, bad) => {
  passed += good;
  failed += bad;
};
/** A tool that only says yes or no counts as one; a runner whose numbers all say yes but that was not content, too. */
const verdict = (content) => count(content ? 1 : 0, content ? 0 : 1);

const [types, lint] = await Promise.all([
  runBeside("types", [bin("typescript/bin/tsc"), "-b"]).then(async (content) => {
    process.stdout.write("\n== build\n");
    await build();
    return content;
  }),
  runBeside("lint", [bin("eslint/bin/eslint.js"), "."]),
]);
verdict(types);
verdict(lint);

await compiled;
const jest = run("unit tests", [bin("jest/bin/jest.js"), "--json", "--outputFile", join(results, "jest.json")]);
const units = read("jest.json");
if (units) count(units.numPassedTests, units.numFailedTests + units.numRuntimeErrorTestSuites);
if (!units || (!jest && units.numFailedTests + units.numRuntimeErrorTestSuites === 0)) verdict(false);

const journeys = run("journeys", [bin("@playwright/test/cli.js"), "test"], join(root, "e2e"));
const stats = read("e2e.json")?.stats;
if (stats) count(stats.expected, stats.unexpected + stats.flaky);
if (!stats || (!journeys && stats.unexpected + stats.flaky === 0)) verdict(false);

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exitCode = failed ? 1 : 0;
