import { checker, readJson } from "@zanvo/core/document";
import { TilingSchema } from "@zanvo/core/print";
import { shotOf } from "@zanvo/core/scene";
import { GridsSchema } from "@zanvo/files";
import { Type } from "@sinclair/typebox";
import { Router, text } from "express";
import type { Prints } from "../prints";
import { NotFound, type Store } from "../store";
import { Refused } from "./problem";

const strict = { additionalProperties: false };
const fitsTiles = checker(Type.Object({ shot: Type.String(), tiling: TilingSchema }, strict));
const fitsGrids = checker(Type.Object({ shot: Type.String(), grids: GridsSchema }, strict));
const isGrids = (order: unknown): boolean => typeof order === "object" && order !== null && "grids" in order;

/** `/api/scenes/:id/prints`: a desk at true size, or blank grids on its sheet, each ordered, watched, fetched or stopped. */
export function prints(store: Store, jobs: Prints): Router {
  const router = Router({ mergeParams: true });
  const ids = (params: object) => params as { readonly id: string; readonly print: string };

  router.post("/", text({ type: "application/json" }), async (req, res) => {
    if (typeof req.body !== "string") throw new Refused(415, "Send the order of the print as application/json.");
    const asked = readJson(req.body);
    const { shot, ...what } = isGrids(asked) ? fitsGrids(asked) : fitsTiles(asked);
    const { id } = ids(req.params);
    const { scene } = await store.read(id);
    const print = jobs.start(id, { scene, shot: shotOf(scene, shot).id, ...what });
    res.status(202).location(`/api/scenes/${id}/prints/${print.id}`).json(print);
  });
  router.get("/:print", (req, res) => {
    const { id, print } = ids(req.params);
    res.set("Cache-Control", "no-store").json(jobs.status(id, print));
  });
  router.get("/:print/file.:kind", (req, res) => {
    const { id, print } = ids(req.params);
    const { kind } = jobs.status(id, print);
    if (req.params.kind !== kind) throw new NotFound(`The file of this print is a ${kind}.`);
    const file = jobs.file(id, print);
    if (!file) throw new Refused(409, "This print is not ready.");
    res.set("Cache-Control", "no-store").type(kind).send(file);
  });
  router.delete("/:print", async (req, res) => {
    const { id, print } = ids(req.params);
    await jobs.stop(id, print);
    res.status(204).end();
  });
  return router;
}
