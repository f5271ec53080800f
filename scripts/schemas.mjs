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
  export { RowSchema } from "./core/src/world";
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

const COMPILED = /core\/src\/document\/compiled\.ts$/;

/** Compiled code with the exports of core/src/document/compiled.ts. */
async function compiledCode() {
  const { AJV_OPTIONS, ElementSchema, RowSchema, SceneSchema } = await schemas();
  const { Ajv } = ofCore("ajv");
  const { default: standaloneCode } = ofCore("ajv/dist/standalone");
  const ajv = new Ajv({ ...AJV_OPTIONS, code: { optimize: true, source: true, esm: true } });
  ajv.addSchema(SceneSchema, "scene");
  ajv.addSchema(ElementSchema, "element");
  ajv.addSchema(RowSchema, "row");
  const code = standaloneCode(ajv, { scene: "scene", element: "element", row: "row" });
  return `${code}
export const sceneFits = () => scene;
export const elementFits = () => element;
export const rowFits = () => row;
`;
}

/** A plugin of esbuild that puts compiled code in the place of core/src/document/compiled.ts. */
export const compiledSchemas = {
  name: "compiled-schemas",
  setup(build) {
    build.onLoad({ filter: COMPILED }, async () => ({
      contents: await compiledCode(),
      resolveDir: join(root, "core/src/document"),
      loader: "js",
    }));
  },
};

/** The same for Vite: a page may compile nothing at call, by its content policy. */
export const compiledSchemasInPages = () => ({
  name: "compiled-schemas",
  enforce: "pre",
  async load(id) {
    if (!COMPILED.test(id)) return null;
    const code = await compiledCode();
    // What the code needs at call is CommonJS; a page has imports only.
    const needed = [...new Set([...code.matchAll(/require\("([^"]+)"\)/g)].map(([, name]) => name))];
    const imports = needed.map((name, i) => `import needed${i} from "${ofCore.resolve(name)}";`).join("\n");
    const own = needed.reduce((text, name, i) => text.replaceAll(`require("${name}")`, `needed${i}`), code);
    return { code: `${imports}\n${own}`, moduleType: "js" };
  },
});
