// Compiles the schemas of scenes and elements while a program is built, so that it need not when it is called.
import { mkdirSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const ofCore = createRequire(join(root, "core/package.json"));
const ENTRY = `
  export { AJV_OPTIONS } from "./core/src/document/ajv";
  export { ElementSchema, SceneSchema } from "./core/src/schema";
`;

/** The schemas, and how they are compiled, as the core has them now. */
async function schemas() {
  const { build } = await import("esbuild");
  const outfile = join(root, ".cache/schemas.mjs");
  mkdirSync(dirname(outfile), { recursive: true });
  await build({
    stdin: { contents: ENTRY, resolveDir: root, loader: "ts" },
    outfile,
    bundle: true,
    platform: "node",
    format: "esm",
    mainFields: ["module", "main"],
    logLevel: "error",
  });
  return import(`${pathToFileURL(outfile).href}?${Date.now()}`);
}

/** A plugin of esbuild that puts compiled code in the place of core/src/document/compiled.ts. */
export const compiledSchemas = {
  name: "compiled-schemas",
  setup(build) {
    build.onLoad({ filter: /core\/src\/document\/compiled\.ts$/ }, async () => {
      const { AJV_OPTIONS, ElementSchema, SceneSchema } = await schemas();
      const { Ajv } = ofCore("ajv");
      const { default: standaloneCode } = ofCore("ajv/dist/standalone");
      const ajv = new Ajv({ ...AJV_OPTIONS, code: { optimize: true, source: true, esm: true } });
      ajv.addSchema(SceneSchema, "scene");
      ajv.addSchema(ElementSchema, "element");
      const code = standaloneCode(ajv, { scene: "scene", element: "element" });
      return {
        contents: `${code}\nexport const sceneFits = () => scene;\nexport const elementFits = () => element;\n`,
        resolveDir: join(root, "core/src/document"),
        loader: "js",
      };
    });
  },
};
