import { readScene } from "@zanvo/core/document";
import { drawPage, drawShot, toSvg } from "@zanvo/core/drawing";
import { BadInput } from "@zanvo/core/problem";
import { fileName, shotOf } from "@zanvo/core/scene";
import { MASSES, writerOf } from "@zanvo/files";
import { slipPdf } from "@zanvo/pdf";
import { Router, text, type Request, type Response } from "express";
import type { Expected, Pictures, Store, Stored } from "../store";
import { Refused } from "./problem";

/** The largest document that is taken. */
const MOST = "40mb";

const body = text({ type: ["application/json", "application/*+json"], limit: MOST });

/** The document in a request. */
function documentOf(req: Request) {
  if (typeof req.body !== "string") throw new Refused(415, "Send the scene document as application/json.");
  return readScene(req.body);
}

/** The revision a change was made from, as its If-Match says. */
function expected(req: Request): Expected {
  const header = req.get("If-Match");
  if (!header) throw new Refused(428, "Say which version you changed: send its ETag as If-Match.");
  if (header.trim() === "*") return "*";
  const revision = /^"(\d+)"$/.exec(header.trim())?.[1];
  return revision === undefined ? -1 : Number(revision);
}

const one = (value: unknown): string | undefined => (typeof value === "string" ? value : undefined);

function send(res: Response, stored: Stored, status = 200): void {
  const { scene, ...card } = stored;
  res.status(status).set("ETag", `"${card.revision}"`).set("X-Saved-At", card.savedAt).json(scene);
}

/** `/api/check`: whether a document could be taken, without keeping it. */
export function check(): Router {
  const router = Router();
  router.post("/", body, (req, res) => {
    documentOf(req);
    res.status(204).end();
  });
  return router;
}

/** `/api/scenes`: the shelf, its documents, their versions and their exports. */
export function scenes(store: Store, pictures: Pictures): Router {
  const router = Router();

  router.get("/", async (_req, res) => {
    res.json(await store.list());
  });
  router.post("/", body, async (req, res) => {
    const stored = await store.create(documentOf(req));
    res.location(`/api/scenes/${stored.id}`);
    res.set("X-Scene-Id", stored.id);
    send(res, stored, 201);
  });
  router.get("/:id", async (req, res) => {
    send(res, await store.read(req.params.id));
  });
  router.put("/:id", body, async (req, res) => {
    const from = expected(req);
    send(res, await store.replace(req.params.id, documentOf(req), from));
  });
  router.delete("/:id", async (req, res) => {
    await store.remove(req.params.id, expected(req));
    res.status(204).end();
  });
  router.post("/:id/restore", async (req, res) => {
    send(res, await store.restore(req.params.id));
  });
  router.get("/:id/versions", async (req, res) => {
    res.json(await store.versions(req.params.id));
  });
  router.get("/:id/versions/:revision", async (req, res) => {
    res.json(await store.version(req.params.id, Number(req.params.revision)));
  });
  // The shelf shows a scene by its first page without grids, in heavy lines.
  router.get("/:id/picture.svg", async (req, res) => {
    const { scene } = await store.read(req.params.id);
    res.set("Cache-Control", "no-cache").type("image/svg+xml").send(toSvg(drawPage(scene, undefined, ["bundles", "live", "hidden", "aids", "cone", "measuring"]), 2.5));
  });
  router.get("/:id/exports/:file", async (req, res) => {
    const [, shot, format = ""] = /^(.+)\.([a-z]+)$/.exec(req.params.file) ?? [];
    const { scene } = await store.read(req.params.id);
    if (Object.hasOwn(MASSES, format)) {
      shotOf(scene, shot);
      return void res.set("Cache-Control", "no-cache").type(format === "geojson" ? "application/geo+json" : "model/obj").send(MASSES[format](scene));
    }
    const write = writerOf(format, "format");
    const draw = req.query.page === undefined ? drawShot : drawPage;
    const drawing = draw(scene, shot, one(req.query.without)?.split(",").filter(Boolean));
    const content = await write(drawing, Number(one(req.query.dpi) ?? 300), await pictures.jpegs((drawing.photos ?? []).map(({ picture }) => picture)));
    res.set("Cache-Control", "no-cache");
    if (req.query.download !== undefined) res.attachment(`${fileName(drawing.title)}.${format}`);
    res.type(format).send(content);
  });
  // The set-up sheet of a shot, to be printed.
  router.get("/:id/slips/:file", async (req, res) => {
    const [, shot] = /^(.+)\.pdf$/.exec(req.params.file) ?? [];
    if (!shot) throw new BadInput([{ path: "format", message: "must be pdf." }]);
    const every = Number(one(req.query.every) ?? 10);
    if (!(every >= 1 && every <= 500)) throw new BadInput([{ path: "every", message: "must be from 1 to 500 mm." }]);
    const units = one(req.query.units) ?? "metric";
    if (units !== "metric" && units !== "imperial") throw new BadInput([{ path: "units", message: "must be metric or imperial." }]);
    const { scene } = await store.read(req.params.id);
    res.set("Cache-Control", "no-cache").type("pdf").send(await slipPdf(scene, shotOf(scene, shot), every, units));
  });
  return router;
}
