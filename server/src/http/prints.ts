import { checker, readJson } from "@zanvo/core/document";
import { TilingSchema } from "@zanvo/core/print";
import { shotOf } from "@zanvo/core/scene";
import { Type } from "@sinclair/typebox";
import { Router, text } from "express";
import type { Prints } from "../prints";
import type { Store } from "../store";
import { Refused } from "./problem";

const fits = checker(Type.Object({ shot: Type.String(), tiling: TilingSchema }, { additionalProperties: false }));

/** `/api/scenes/:id/prints`: true-size prints of a desk, each ordered, watched, fetched or stopped. */
export function prints(store: Store, jobs: Prints): Router {
  const router = Router({ mergeParams: true });
  const ids = (params: object) => params as { readonly id: string; readonly print: string };

  router.post("/", text({ type: "application/json" }), async (req, res) => {
    if (typeof req.body !== "string") throw new Refused(415, "Send the order of the print as application/json.");
    const { shot, tiling } = fits(readJson(req.body));
    const { id } = ids(req.params);
    const { scene } = await store.read(id);
    const print = jobs.start(id, { scene, shot: shotOf(scene, shot).id, tiling });
    res.status(202).location(`/api/scenes/${id}/prints/${print.id}`).json(print);
  });
  router.get("/:print", (req, res) => {
    const { id, print } = ids(req.params);
    res.set("Cache-Control", "no-store").json(jobs.status(id, print));
  });
  router.get("/:print/file.pdf", (req, res) => {
    const { id, print } = ids(req.params);
    const pdf = jobs.file(id, print);
    if (!pdf) throw new Refused(409, "This print is not ready.");
    res.set("Cache-Control", "no-store").type("application/pdf").send(pdf);
  });
  router.delete("/:print", async (req, res) => {
    const { id, print } = ids(req.params);
    await jobs.stop(id, print);
    res.status(204).end();
  });
  return router;
}
