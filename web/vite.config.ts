import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import { compression } from "vite-plugin-compression2";
import { compiledSchemasInPages } from "../scripts/schemas.mjs";

/** Packages whose modules do nothing but define: what is not used of them is left out. */
const treeshake = {
  moduleSideEffects: [{ test: /node_modules\/(clipper2-ts|@sinclair\/typebox)\//, sideEffects: false }],
};

export default defineConfig({
  plugins: [
    react(),
    compiledSchemasInPages(),
    tailwind(),
    // Compressed once, so that the server need not for everyone who asks.
    compression({ include: /\.(js|css|svg)$/, threshold: 1000, algorithms: ["gzip", "brotliCompress"] }),
  ],
  worker: { format: "es", plugins: () => [compiledSchemasInPages()], rolldownOptions: { treeshake } },
  build: {
    rolldownOptions: { treeshake },
    manifest: true,
    target: "es2022",
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
  },
  server: { proxy: { "/api": "http://127.0.0.1:4310" } },
});
