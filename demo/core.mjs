// What the demo is made with: modules of the core, bundled for Node.
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import { build } from "esbuild";

export const root = join(dirname(fileURLToPath(import.meta.url)), "..");

/** A module of the core, by the name of its folder. */
export async function core(module) {
  const outfile = join(mkdtempSync(join(tmpdir(), "zanvo-demo-")), `${module}.mjs`);
  await build({
    absWorkingDir: root,
    entryPoints: [`core/src/${module}/index.ts`],
    outfile,
    bundle: true,
    platform: "node",
    format: "esm",
    logLevel: "error",
    // What it bundles asks for modules of Node in the old way.
    banner: { js: 'import { createRequire } from "node:module"; const require = createRequire(import.meta.url);' },
  });
  return import(pathToFileURL(outfile).href);
}
