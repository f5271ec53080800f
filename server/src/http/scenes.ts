import type { Card } from "@zanvo/core/answers";
import { textOf, type Expected, type Store } from "@zanvo/store";
import { BadInput } from "@zanvo/core/problem";
import { raw, Router, type Request, type Response } from "express";
import type { Jobs } from "../jobs";
import type { Thumbnails } from "../jobs/thumbnails";
import { onlyMethods, Refused } from "./problem";
import { readable, sendDocument } from "./stored";

/** The largest document that is taken. */
const MAX_DOCUMENT = "40mb";

const body = raw({ type: ["application/json", "application/*+json"], limit: MAX_DOCUMENT });

/** The bytes of the document in a request. */
function documentIn(req: Request): Buffer {
  if (!Buffer.isBuffer(req.body)) throw new Refused(415, "Send the scene document as application/json.");
  return req.body;
}

/** The revision a change was made from, as its If-Match says. */
function expected(req: Request): Expected {
  const header = req.get("If-Match");
  if (!header) throw new Refused(428, "Say which version you changed: send its ETag as If-Match.");
  if (header.trim() === "*") return "*";
  const revision = /^"(\d{1,15})"$/.exec(header.trim())?.[1];
  return revision === undefined ? -1 : Number(revision);
}

/** The number of a version in an address. */
function revisionOf(text: string): number {
  if (!/^\d{1,15}$/.test(text))
    throw new BadInput([{ path: "revision", message: "must be the whole number of a version." }]);
  return Number(text);
}

/** Tells how a scene stands now; whoever sent its document has that already. */
function sendCard(res: Response, card: Card, status = 200): void {
  res
    .status(status)
    .set({ ETag: `"${card.revision}"`, "X-Saved-At": card.savedAt, "X-Scene-Id": card.id })
    .json(card);
}

/** `/api/check`: whether a document could be saved, without keeping it. */
export function check(jobs: Jobs): Router {
  const router = Router();
  router.post("/", body, async (req, res) => {
    await jobs.check(documentIn(req));
    res.status(204).end();
  });
  router.all("/", onlyMethods("POST"));
  return router;
}

/** `/api/scenes`: the shelf, its documents, and their versions. */
export function scenes(store: Store, jobs: Jobs, thumbnails: Thumbnails): Router {
  const router = Router();

  router.get("/", async (req, res) => {
    const { deleted, kits } = req.query;
    const cards = deleted === undefined ? store.list(kits === undefined ? "scenes" : "kits") : store.deleted();
    res.set("Cache-Control", "no-cache").json(await cards);
  });
  router.post("/", body, async (req, res) => {
    const bytes = documentIn(req);
    const card = await store.create(await jobs.check(bytes));
    jobs.learn(card.id, bytes);
    thumbnails.soon(card.id);
    res.location(`/api/scenes/${card.id}`);
    sendCard(res, card, 201);
  });
  router.all("/", onlyMethods("GET", "POST"));

  router.get("/:id", async (req, res) => {
    const stored = await store.read(req.params.id);
    const { revision, savedAt } = stored.card;
    res.set({ ETag: `"${revision}"`, "X-Saved-At": savedAt, "Cache-Control": "no-cache" });
    await sendDocument(req, res, jobs, stored);
  });
  router.put("/:id", body, async (req, res) => {
    const begun = performance.now();
    const from = expected(req);
    const card = await store.replace(req.params.id, await jobs.check(documentIn(req), req.params.id), from);
    thumbnails.soon(card.id);
    // From the last byte that came in (W3C Server Timing): what a slow network takes is not the server's.
    res.set("Server-Timing", `save;dur=${(performance.now() - begun).toFixed(1)}`);
    sendCard(res, card);
  });
  router.delete("/:id", async (req, res) => {
    await store.remove(req.params.id, expected(req));
    res.status(204).end();
  });
  router.all("/:id", onlyMethods("GET", "PUT", "DELETE"));

  router.post("/:id/restore", async (req, res) => {
    sendCard(res, await store.restore(req.params.id));
  });
  router.all("/:id/restore", onlyMethods("POST"));

  // The document byte for byte, for one that cannot be read.
  router.get("/:id/raw", async (req, res) => {
    const { document } = await store.read(req.params.id);
    res.set("Cache-Control", "no-store").attachment("scene-as-stored.zanvo.json").type("application/octet-stream");
    res.send(await textOf({ document }).catch(() => document));
  });
  router.all("/:id/raw", onlyMethods("GET"));

  router.get("/:id/versions", async (req, res) => {
    res.set("Cache-Control", "no-cache").json(await store.versions(req.params.id));
  });
  router.all("/:id/versions", onlyMethods("GET"));
  router.get("/:id/versions/:revision", async (req, res) => {
    await sendDocument(req, res, jobs, await store.version(req.params.id, revisionOf(req.params.revision)));
  });
  router.all("/:id/versions/:revision", onlyMethods("GET"));
  router.post("/:id/versions/:revision/restore", async (req, res) => {
    const from = expected(req);
    const text = await readable(jobs, await store.version(req.params.id, revisionOf(req.params.revision)));
    const card = await store.replace(req.params.id, await jobs.check(text), from);
    thumbnails.soon(card.id);
    sendCard(res, card);
  });
  router.all("/:id/versions/:revision/restore", onlyMethods("POST"));

  router.get("/:id/picture", async (req, res) => {
    const { revision, image } = await thumbnails.of(req.params.id);
    if (image.length === 0)
      throw new Refused(404, "There is no small picture of this scene: it is too heavy to draw, or cannot be read.");
    const asked = req.query.revision === String(revision);
    const tag = `"${revision}"`;
    res.set({ ETag: tag, "Cache-Control": asked ? "private, max-age=31536000, immutable" : "private, no-cache" });
    if (req.get("If-None-Match") === tag) return void res.status(304).end();
    res.type("webp").send(image);
  });
  router.all("/:id/picture", onlyMethods("GET"));
  return router;
}
