// npm run zanvo -- ...: the command line, built when stale. Nothing but the answer goes to standard output.
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { install } from "./install.mjs";

install();
const { build, root } = await import("./build.mjs");
await build({ web: false });
const { INIT_CWD = process.cwd() } = process.env;
const { status } = spawnSync(process.execPath, [join(root, "cli/dist/zanvo.js"), ...process.argv.slice(2)], { stdio: "inherit", cwd: INIT_CWD });
process.exit(status ?? 2);
