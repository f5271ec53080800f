// Builds the server, the command line and the web app; each only where a source is newer than what was built.
import { execFileSync } from "node:child_process";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync, mkdirSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const root = join(dirname(fileURLToPath(import.meta.url)), "..");

/** The newest change below some files and folders, in ms. */
function newest(...paths) {
  return Math.max(0, ...paths.map((path) => join(root, path)).filter(existsSync).map((path) => {
    const stat = statSync(path);
    if (!stat.isDirectory()) return stat.mtimeMs;
    const below = readdirSync(path, { recursive: true, withFileTypes: true });
    return Math.max(stat.mtimeMs, ...below.filter((f) => f.isFile()).map((f) => statSync(join(f.parentPath ?? f.path, f.name)).mtimeMs));
  }));
}

const stale = (built, ...sources) => !existsSync(join(root, built)) || statSync(join(root, built)).mtimeMs < newest("package-lock.json", ...sources);

/** One program of ours as one file, the core's packages in it, and its own packages left where npm put them. */
export async function bundle(entry, outfile) {
  const { build } = await import("esbuild");
  const house = entry.split("/")[0];
  const names = ["raster", "pdf", "files", house].flatMap((name) => Object.keys(JSON.parse(readFileSync(join(root, name, "package.json"), "utf8")).dependencies ?? {}));
  await build({
    absWorkingDir: root, entryPoints: [entry], outfile, bundle: true, platform: "node", format: "esm", target: "node20", mainFields: ["module", "main"], sourcemap: "inline",
    external: [...new Set(names)].filter((name) => !name.startsWith("@zanvo/")).concat("@playwright/test", "three", "d3-geo", "sharp", "@techstark/opencv-js", "three-mesh-bvh"), logLevel: "error",
  });
}

export async function build({ web = true } = {}) {
  if (stale("server/dist/main.js", "core/src", "raster/src", "pdf/src", "files/src", "server/src")) {
    await bundle("server/src/prints/worker.ts", "server/dist/worker.js");
    await bundle("server/src/main.ts", "server/dist/main.js");
  }
  if (stale("cli/dist/zanvo.js", "core/src", "raster/src", "pdf/src", "files/src", "cli/src")) await bundle("cli/src/zanvo.ts", "cli/dist/zanvo.js");
  if (web && stale("web/dist/built", "core/src", "web/src", "web/index.html", "web/vite.config.ts")) {
    execFileSync(process.execPath, [join(root, "node_modules/vite/bin/vite.js"), "build", "--logLevel", "warn"], { cwd: join(root, "web"), stdio: ["ignore", 2, 2] });
    mkdirSync(join(root, "web/dist"), { recursive: true });
    writeFileSync(join(root, "web/dist/built"), "");
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await build();
