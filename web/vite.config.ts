import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwind()],
  worker: { format: "es" },
  build: { manifest: true, target: "es2022", assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  server: { proxy: { "/api": "http://127.0.0.1:4310" } },
});
