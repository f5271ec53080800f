// npm run zanvo -- ...: the command line. It is built when it is not there; nothing but the answer goes to standard
// output.
import { existsSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const program = join(fileURLToPath(new URL("..", import.meta.url)), "cli/dist/zanvo.js");
// Whether a source is newer is looked at by npm start, npm test and npm run build only: it would take longer than
// most calls.
if (!existsSync(program)) {
  await (await import("./install.mjs")).install();
  await (await import("./build.mjs")).build({ web: false });
}
process.chdir(process.env.INIT_CWD ?? process.cwd());
await import(pathToFileURL(program).href);
