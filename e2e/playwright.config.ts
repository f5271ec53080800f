import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { defineConfig } from "@playwright/test";
import { chromiumPath } from "../scripts/chromium.mjs";

const PORT = 4399;

export default defineConfig({
  testDir: ".",
  outputDir: "../test-results",
  // Journeys wait for saving more than they work: three share two cores well.
  workers: 3,
  fullyParallel: true,
  // Generous, for a slow machine: no journey waits for a time, all wait for what is to be seen.
  timeout: 400_000,
  expect: { timeout: 40_000 },
  retries: 0,
  forbidOnly: true,
  reporter: [["list"], ["json", { outputFile: "../test-results/e2e.json" }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    permissions: ["clipboard-read", "clipboard-write"],
    launchOptions: {
      executablePath: chromiumPath(),
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
  webServer: {
    command: "node ../server/dist/main.js",
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { PORT: String(PORT), ZANVO_DATA: join(mkdtempSync(join(tmpdir(), "zanvo-e2e-")), "zanvo.sqlite") },
  },
});
