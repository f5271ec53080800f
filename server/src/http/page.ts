import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { Router, static as files } from "express";
import { Refused } from "./problem";

/** The built web app: files as they are, and its one page for every other address. */
export function page(folder: string): Router {
  const router = Router();
  const index = join(folder, "index.html");
  router.use("/assets", files(join(folder, "assets"), { immutable: true, maxAge: "1y", fallthrough: false }));
  router.use(files(folder, { index: false }));
  router.get("/{*path}", (_req, res) => {
    if (!existsSync(index)) throw new Refused(404, "The web app is not built: run npm start.");
    res.set("Cache-Control", "no-store").type("html").send(readFileSync(index, "utf8").replaceAll("__NONCE__", String(res.locals.nonce)));
  });
  return router;
}
