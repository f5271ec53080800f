// Debian's Chromium, librsvg, poppler and exiftool, which the journeys and the checks of SVG, PDF and EXIF need. As
// root on Debian they are installed.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { SHELL } from "./chromium.mjs";

const NEEDED = {
  "chromium-headless-shell": SHELL,
  "librsvg2-bin": "/usr/bin/rsvg-convert",
  "poppler-utils": "/usr/bin/pdftocairo",
  "libimage-exiftool-perl": "/usr/bin/exiftool",
};

export function debianPackages() {
  const missing = Object.entries(NEEDED)
    .filter(([, path]) => !existsSync(path))
    .map(([name]) => name);
  if (missing.length === 0) return;
  if (!existsSync("/etc/debian_version") || process.getuid?.() !== 0) {
    process.stderr.write(`Please install: ${missing.join(", ")} (Debian's packages).\n`);
    return;
  }
  process.stderr.write(`Installing ${missing.join(" and ")}.\n`);
  const apt = (...args) =>
    spawnSync("apt-get", args, {
      stdio: ["ignore", "ignore", 2],
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
  apt("update", "-q");
  apt("install", "-y", "-q", "--no-install-recommends", ...missing);
}
