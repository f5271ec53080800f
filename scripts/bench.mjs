// npm run bench: how fast it is, each peer in the same run.
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { debianPackages } from "./debian.mjs";
import { install } from "./install.mjs";

await install();
debianPackages();
const { build, bundle, root } = await import("./build.mjs");
await build();
await bundle({ main: "bench/src/main.ts" }, "bench/dist");
process.exit(
  spawnSync(process.execPath, [join(root, "bench/dist/main.js")], { stdio: "inherit", cwd: root }).status ?? 1,
);
