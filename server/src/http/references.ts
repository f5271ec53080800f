import { NotFound, type Pictures, type Store } from "@zanvo/store";
import { raw, Router } from "express";
import { onlyMethods, Refused } from "./problem";

/** The largest file that is taken. */
const MAX_FILE = "64mb";

/**
 * `/api/scenes/:id/references`: the pictures that a scene is drawn after. What is traced in them is in the document.
 */
export function references(store: Store, pictures: Pictures): Router {
  const router = Router({ mergeParams: true });

  router.post("/", raw({ type: () => true, limit: MAX_FILE }), async (req, res) => {
    await store.card((req.params as { id: string }).id);
    if (!Buffer.isBuffer(req.body) || req.body.length === 0) throw new Refused(415, "Send the picture's own bytes.");
    res.status(201).json(await pictures.add(req.body));
  });
  router.all("/", onlyMethods("POST"));
  router.get("/:picture", async (req, res) => {
    const path = await pictures.find(
      (req.params as { readonly picture: string }).picture,
      req.query.preview !== undefined,
    );
    // What is missing now may be brought in again: only what is there may be kept by a cache.
    if (!path) throw new NotFound("This picture is not on this machine: bring it in again.");
    // Always one type, never to be guessed at, and nothing in it is ever run.
    const headers = {
      "Content-Type": "image/webp",
      "X-Content-Type-Options": "nosniff",
      "Content-Security-Policy": "default-src 'none'; sandbox",
      "Cache-Control": "private, max-age=31536000, immutable",
    };
    await new Promise<void>((resolve, reject) => {
      res.sendFile(path, { dotfiles: "allow", cacheControl: false, headers }, (error) =>
        error ? reject(error) : resolve(),
      );
    });
  });
  router.all("/:picture", onlyMethods("GET"));
  return router;
}

/** `/api/pictures/removed`: the pictures in the bin, where they stay for a month. */
export function removedPictures(pictures: Pictures): Router {
  const router = Router();
  router.get("/removed", async (_req, res) => {
    res.set("Cache-Control", "no-cache").json(await pictures.removed());
  });
  router.all("/removed", onlyMethods("GET"));
  return router;
}
