import { checker, readJson } from "@zanvo/core/document";
import { TilingSchema } from "@zanvo/core/print";
import { GridsSchema } from "@zanvo/files";
import { NotFound, type Store } from "@zanvo/store";
import { Type } from "@sinclair/typebox";
import { Router, text } from "express";
import type { Jobs } from "../jobs";
import type { Prints } from "../prints";
import { onlyMethods, Refused } from "./problem";
import { readable } from "./stored";

const strict = { additionalProperties: false };
const fitsTiles = checker(Type.Object({ shot: Type.String(), tiling: TilingSchema }, strict));
const fitsGrids = checker(Type.Object({ shot: Type.String(), grids: GridsSchema }, strict));
const isGrids = (order: unknown): boolean => typeof order === "object" && order !== null && "grids" in order;

/**
 * `/api/scenes/:id/prints`: a desk at true size, or blank grids on its sheet, each ordered, watched, fetched or
 * stopped.
 */
export function prints(store: Store, jobs: Jobs, orders: Prints): Router {
  const router = Router({ mergeParams: true });
  const ids = (params: object) => params as { readonly id: string; readonly print: string };

  router.post("/", text({ type: "application/json" }), async (req, res) => {
    if (typeof req.body !== "string") throw new Refused(415, "Send the order of the print as application/json.");
    const asked = readJson(req.body);
    const { shot, ...what } = isGrids(asked) ? fitsGrids(asked) : fitsTiles(asked);
    const { id } = ids(req.params);
    const document = await readable(jobs, await store.read(id));
    const print = orders.start(id, { text: document, shot: await jobs.shot(document, shot), ...what });
    res.status(202).location(`/api/scenes/${id}/prints/${print.id}`).json(print);
  });
  router.all("/", onlyMethods("POST"));
  router.get("/:print", (req, res) => {
    const { id, print } = ids(req.params);
    res.set("Cache-Control", "no-store").json(orders.status(id, print));
  });
  router.delete("/:print", async (req, res) => {
    const { id, print } = ids(req.params);
    await orders.stop(id, print);
    res.status(204).end();
  });
  router.all("/:print", onlyMethods("GET", "DELETE"));
  router.get("/:print/file.:kind", async (req, res) => {
    const { id, print } = ids(req.params);
    const { kind } = orders.status(id, print);
    if (req.params.kind !== kind) throw new NotFound(`The file of this print is a ${kind}.`);
    const file = orders.file(id, print);
    if (!file) throw new Refused(409, "This print is not ready.");
    res.set("Cache-Control", "no-store").type(kind);
    await new Promise<void>((resolve, reject) => {
      res.sendFile(file, { dotfiles: "allow", cacheControl: false, etag: false }, (error) =>
        error ? reject(error) : resolve(),
      );
    });
  });
  router.all("/:print/file.:kind", onlyMethods("GET"));
  return router;
}
