import { raw, Router } from "express";
import { isPictureName, NotFound, type Pictures, type Store } from "../store";
import { Refused } from "./problem";

/** The largest file that is taken. */
const MOST = "64mb";

/** `/api/scenes/:id/references`: the pictures that a scene is drawn after. What is traced in them is in the document. */
export function references(store: Store, pictures: Pictures): Router {
  const router = Router({ mergeParams: true });

  router.post("/", raw({ type: () => true, limit: MOST }), async (req, res) => {
    await store.read((req.params as { id: string }).id);
    if (!Buffer.isBuffer(req.body) || req.body.length === 0) throw new Refused(415, "Send the picture's own bytes.");
    res.status(201).json(await pictures.add(req.body));
  });
  router.get("/:picture", async (req, res) => {
    const { picture } = req.params as { readonly picture: string };
    if (!isPictureName(picture)) throw new NotFound("There is no such picture.");
    // Always one type, never to be guessed at, and nothing in it is ever run.
    res.set({ "Content-Type": "image/webp", "X-Content-Type-Options": "nosniff", "Content-Security-Policy": "default-src 'none'; sandbox", "Cache-Control": "private, max-age=31536000, immutable" });
    await new Promise<void>((resolve, reject) => {
      res.sendFile(pictures.file(picture, req.query.preview !== undefined), { dotfiles: "allow", cacheControl: false }, (error) => (error ? reject(new NotFound("This picture is not on this machine: bring it in again.")) : resolve()));
    });
  });
  return router;
}
