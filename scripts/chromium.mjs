// Debian's Chromium: without its windows where that package is there, which takes half the work, else the whole of it.
import { existsSync } from "node:fs";

export const SHELL = "/usr/bin/chromium-headless-shell";
const WHOLE = "/usr/bin/chromium";

export const chromiumPath = () => (existsSync(SHELL) ? SHELL : WHOLE);
