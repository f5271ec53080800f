import type { Plugin as EsbuildPlugin } from "esbuild";
import type { Plugin } from "vite";

/** A plugin of esbuild that puts compiled code in the place of core/src/document/compiled.ts. */
export const compiledSchemas: EsbuildPlugin;
/** The same for Vite. */
export const compiledSchemasInPages: () => Plugin;
