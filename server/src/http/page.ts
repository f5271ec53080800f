import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { Router } from "express";
import files from "express-static-gzip";
import { onlyMethods, Refused } from "./problem";

/** Files that lie beside the page and are asked for by name; nothing else in its folder is served. */
const BESIDE = ["/zanvo.svg"];
/** What the addresses of pages begin with; at any other the page says that there is nothing. */
const PAGES = /^\/(?:$|scenes\/|guide(?:\/|$)|deleted$)/;

/** A part of the built web app, as Vite's manifest has it. */
interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
}
const SHELF = "src/shelf/ShelfPage.tsx";

/**
 * What the shelf needs, told in a header so that it is fetched at once: its list, and its scripts with those they
 * import.
 */
function shelfLinks(folder: string): string[] {
  const file = join(folder, ".vite/manifest.json");
  const manifest = (existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : {}) as Readonly<Record<string, Chunk>>;
  const needed = new Set<string>();
  const visit = (name: string) => {
    const chunk = manifest[name];
    if (!chunk || needed.has(chunk.file)) return;
    needed.add(chunk.file);
    chunk.imports?.forEach(visit);
  };
  visit(SHELF);
  return [
    "</api/scenes>; rel=preload; as=fetch; crossorigin=anonymous",
    ...[...needed].map((file) => `</${file}>; rel=modulepreload`),
  ];
}

/** The built web app: its files, and its one page for every other address. */
export function page(folder: string): Router {
  const router = Router();
  const index = join(folder, "index.html");
  router.all(["/assets", "/assets/{*path}"], (req, res, next) =>
    req.method === "GET" || req.method === "HEAD" ? next() : onlyMethods("GET")(req, res, next),
  );
  router.use(
    "/assets",
    // As they were compressed when they were built, where the browser takes that.
    files(join(folder, "assets"), {
      enableBrotli: true,
      orderPreference: ["br", "gz"],
      index: false,
      serveStatic: { immutable: true, maxAge: "1y", fallthrough: false, redirect: false },
    }),
  );
  router.get(BESIDE, (req, res, next) => {
    res.sendFile(
      req.path.slice(1),
      { root: folder },
      (error) => error && next(new Refused(404, "There is nothing at this address.")),
    );
  });
  router.get("/{*path}", (req, res) => {
    if (!req.accepts("html")) throw new Refused(404, "There is nothing at this address.");
    if (!existsSync(index)) throw new Refused(404, "The web app is not built: run npm start.");
    const html = readFileSync(index, "utf8").replaceAll("__NONCE__", String(res.locals.nonce));
    if (req.path === "/") res.set("Link", shelfLinks(folder));
    res
      .status(PAGES.test(req.path) ? 200 : 404)
      .set("Cache-Control", "no-store")
      .type("html")
      .send(html);
  });
  router.all("/{*path}", onlyMethods("GET"));
  return router;
}
