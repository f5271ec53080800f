import { mkdirSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { brotliCompressSync } from "node:zlib";
import { newScene, type Scene } from "@zanvo/core/scene";
import { openPictures, openStore } from "@zanvo/store";
import { pino } from "pino";
import { createApp, type AppOptions } from "../src/http";
import { openJobs } from "../src/jobs";
import { Prints, type PrintLimits } from "../src/prints";

export const titled = (title: string): Scene => newScene(title);

/** Where the scripts of the threads are, which the build makes. */
export const BUILT = join(process.cwd(), "server/dist");

export type TestServer = Awaited<ReturnType<typeof startTestServer>>;

/** All that is served, over a store in a folder of its own. */
export async function startTestServer(
  more: Partial<AppOptions> & {
    readonly limits?: Parameters<typeof openJobs>[1];
    readonly printLimits?: Partial<PrintLimits>;
  } = {},
) {
  const folder = mkdtempSync(join(tmpdir(), "zanvo-"));
  const web = join(folder, "web");
  for (const inner of ["assets", ".vite"]) mkdirSync(join(web, inner), { recursive: true });
  writeFileSync(join(web, "index.html"), '<meta name="nonce" content="__NONCE__">');
  writeFileSync(
    join(web, ".vite/manifest.json"),
    JSON.stringify({
      "src/shelf/ShelfPage.tsx": { file: "assets/shelf.js", imports: ["_ui.js", "_dates.js"] },
      "_ui.js": { file: "assets/ui.js", imports: ["_dates.js"] },
      "_dates.js": { file: "assets/dates.js" },
    }),
  );
  writeFileSync(join(web, "built"), "");
  writeFileSync(join(web, "assets/app.js"), "let answer = 42;\n".repeat(1000));
  writeFileSync(join(web, "assets/built.js"), "const built = true;");
  writeFileSync(join(web, "assets/built.js.br"), brotliCompressSync("const built = true;"));
  const store = await openStore(join(folder, "db/zanvo.sqlite"));
  const pictures = openPictures(store.file, store.database);
  const { limits, printLimits, ...options } = more;
  const jobs = openJobs(BUILT, limits);
  const prints = new Prints(join(BUILT, "print.js"), join(folder, "db/zanvo.prints"), printLimits);
  const app = createApp({ store, jobs, prints, pictures, log: pino({ level: "silent" }), web, ...options });
  return {
    folder,
    store,
    pictures,
    jobs,
    prints,
    app,
    close: async () => {
      await Promise.all([jobs.close(), prints.close()]);
      await store.close();
    },
  };
}
