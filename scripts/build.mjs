// Builds the server, the command line and the web app; each only where a source is newer than what was built.
import { execFileSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const root = join(dirname(fileURLToPath(import.meta.url)), "..");

/** Packages that are bundled into programs, besides the program's own. */
const SHARED = ["core", "raster", "pdf", "files", "store"];
const sources = (...packages) => packages.map((name) => `${name}/src`);

/** The newest change below some files and folders, in ms. */
function newest(...paths) {
  return Math.max(
    0,
    ...paths
      .map((path) => join(root, path))
      .filter(existsSync)
      .map((path) => {
        const stat = statSync(path);
        if (!stat.isDirectory()) return stat.mtimeMs;
        const below = readdirSync(path, { recursive: true, withFileTypes: true });
        return Math.max(
          stat.mtimeMs,
          ...below.filter((f) => f.isFile()).map((f) => statSync(join(f.parentPath ?? f.path, f.name)).mtimeMs),
        );
      }),
  );
}

/** What tells when a thing was built; it lies where nothing is served from. */
const stampOf = (name) => join(root, ".cache/built", name);
const stale = (name, built, ...paths) =>
  !existsSync(join(root, built)) ||
  !existsSync(stampOf(name)) ||
  statSync(stampOf(name)).mtimeMs < newest("package-lock.json", ...paths);
const stamp = (name) => {
  mkdirSync(dirname(stampOf(name)), { recursive: true });
  writeFileSync(stampOf(name), "");
};

/** The packages that are left where npm put them: all but those of the core, which are small. */
function external(program) {
  const names = [...SHARED.filter((name) => name !== "core"), program].flatMap((name) =>
    Object.keys(JSON.parse(readFileSync(join(root, name, "package.json"), "utf8")).dependencies ?? {}),
  );
  return [...new Set(names)]
    .filter((name) => !name.startsWith("@zanvo/"))
    .concat("@playwright/test", "three", "d3-geo", "sharp", "@techstark/opencv-js", "three-mesh-bvh");
}

/**
 * Programs of ours, each with what it shares with the others in files of their own.
 * @param entries sources by the name of what is built of them
 */
export async function bundle(entries, outdir) {
  const { build } = await import("esbuild");
  const { compiledSchemas } = await import("./schemas.mjs");
  const program = outdir.split("/")[0];
  rmSync(join(root, outdir), { recursive: true, force: true });
  await build({
    absWorkingDir: root,
    entryPoints: entries,
    outdir,
    bundle: true,
    splitting: true,
    platform: "node",
    format: "esm",
    target: "node20",
    mainFields: ["module", "main"],
    plugins: [compiledSchemas],
    minify: true,
    sourcemap: "linked",
    external: external(program),
    logLevel: "error",
  });
}

const SERVER = {
  main: "server/src/main.ts",
  documents: "server/src/jobs/documents.ts",
  drawings: "server/src/jobs/drawings.ts",
  print: "server/src/prints/worker.ts",
  backup: "server/src/backup.ts",
};

export async function build({ web = true } = {}) {
  if (stale("server", "server/dist/main.js", "scripts/build.mjs", ...sources(...SHARED, "server"))) {
    await bundle(SERVER, "server/dist");
    stamp("server");
  }
  if (stale("cli", "cli/dist/zanvo.js", "scripts/build.mjs", ...sources(...SHARED, "cli"))) {
    await bundle({ zanvo: "cli/src/zanvo.ts", main: "cli/src/main.ts" }, "cli/dist");
    stamp("cli");
  }
  if (
    web &&
    stale("web", "web/dist/index.html", ...sources("core", "web"), "web/public", "web/index.html", "web/vite.config.ts")
  ) {
    execFileSync(process.execPath, [join(root, "node_modules/vite/bin/vite.js"), "build", "--logLevel", "warn"], {
      cwd: join(root, "web"),
      stdio: ["ignore", 2, 2],
    });
    stamp("web");
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await build();
