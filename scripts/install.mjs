// Installs what package-lock.json asks for, where it is not installed yet. Only Node's own modules are used here.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const stamp = join(root, "node_modules/.zanvo-lock");

export function install() {
  const lock = readFileSync(join(root, "package-lock.json"), "utf8");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === lock) return;
  process.stderr.write("Installing packages; the first time this takes some minutes.\n");
  // NODE_ENV=production would leave out what building needs.
  const { status } = spawnSync("npm", ["ci", "--include=dev", "--no-audit", "--no-fund", "--loglevel=error"], {
    cwd: root,
    stdio: ["ignore", 2, 2],
    shell: process.platform === "win32",
  });
  if (status !== 0) {
    process.stderr.write("npm could not install the packages; what it said stands above.\n");
    process.exit(1);
  }
  writeFileSync(stamp, lock);
}
