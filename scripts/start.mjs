// npm start: installs, builds what is stale, serves until Ctrl-C.
import { spawn } from "node:child_process";
import { join } from "node:path";
import { install } from "./install.mjs";

await install();
const { build, root } = await import("./build.mjs");
await build();
const server = spawn(process.execPath, [join(root, "server/dist/main.js")], { stdio: "inherit" });
// Ctrl-C reaches the server by itself; a signal sent to this process alone is passed on.
process.on("SIGINT", () => undefined);
process.on("SIGTERM", () => server.kill("SIGTERM"));
server.on("exit", (code) => process.exit(code ?? 0));
