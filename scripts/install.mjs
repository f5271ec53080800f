// Installs what package-lock.json asks for, where it is not installed yet. Only Node's own modules are used here.
import { spawn, spawnSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const stamp = join(root, "node_modules/.zanvo-lock");

const npm = (args) => [
  "npm",
  [...args, "--no-audit", "--no-fund", "--loglevel=error"],
  { cwd: root, stdio: ["ignore", 2, 2], shell: process.platform === "win32" },
];
const FAILED = "npm could not install the packages; what it said stands above.\n";
function give(status) {
  if (status === 0) return;
  process.stderr.write(FAILED);
  process.exit(1);
}
const lockText = () => readFileSync(join(root, "package-lock.json"), "utf8");
const isInstalled = (lock) => existsSync(stamp) && readFileSync(stamp, "utf8") === lock;

/**
 * Gets the packages, and begins to compile what of them has to be. Beside that, other work may go on that reads
 * packages, but does not run those that are compiled.
 * @returns when all is compiled
 */
export function install() {
  const lock = lockText();
  if (isInstalled(lock)) return Promise.resolve();
  process.stderr.write("Installing packages; the first time this takes some minutes.\n");
  // NODE_ENV=production would leave out what building needs.
  give(spawnSync(...npm(["ci", "--include=dev", "--ignore-scripts"])).status);
  const compiling = spawn(...npm(["rebuild"]));
  return new Promise((resolve) =>
    compiling.on("close", (status) => {
      give(status);
      writeFileSync(stamp, lock);
      resolve();
    }),
  );
}
