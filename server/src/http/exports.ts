import { BadInput } from "@zanvo/core/problem";
import type { System } from "@zanvo/core/units";
import { FORMATS, howWritten } from "@zanvo/files";
import type { Pictures, Store } from "@zanvo/store";
import { picturesNamedIn } from "@zanvo/store";
import { Router } from "express";
import type { Jobs } from "../jobs";
import { goneSignal } from "./cancel";
import { onlyMethods } from "./problem";
import { readable } from "./stored";

const one = (value: unknown): string | undefined => (typeof value === "string" ? value : undefined);
const idOf = (params: object) => (params as { readonly id: string }).id;

/** `/api/formats`: what can be saved. */
export function formats(): Router {
  const router = Router();
  router.get("/", (_req, res) => {
    res.set("Cache-Control", "no-cache").json(FORMATS.map(({ write: _write, mime: _mime, ...info }) => info));
  });
  router.all("/", onlyMethods("GET"));
  return router;
}

/** `/api/scenes/:id/exports/:file`: a shot as a file, made in a thread. */
export function exportedFiles(store: Store, pictures: Pictures, jobs: Jobs): Router {
  const router = Router({ mergeParams: true });
  router.get("/:file", async (req, res) => {
    const [, shot, format = ""] = /^(.+)\.([a-z-]+)$/.exec(req.params.file) ?? [];
    const text = await readable(jobs, await store.read(idOf(req.params)));
    const known = FORMATS.find(({ id }) => id === format);
    const named = known?.of === "drawing" ? picturesNamedIn(Buffer.from(text)) : [];
    const { content, name, missing } = await jobs.exported(
      {
        text,
        shot,
        format,
        dpi: Number(one(req.query.dpi) ?? 300),
        transparent: req.query.transparent !== undefined,
        transfer: { mirrored: req.query.mirrored !== undefined, blue: req.query.blue !== undefined },
        toPanel: req.query.panel !== undefined,
        page: req.query.page !== undefined,
        tolerance: req.query.tolerance === undefined ? undefined : Number(one(req.query.tolerance)),
        how: howWritten({ by: one(req.query.by), ink: one(req.query.ink), size: one(req.query.size) }),
        without: one(req.query.without)?.split(",").filter(Boolean),
        pictures: Object.fromEntries(
          await Promise.all(named.map(async (picture) => [picture, await pictures.find(picture, false)] as const)),
        ),
      },
      { signal: goneSignal(res) },
    );
    res.set("Cache-Control", "no-cache");
    if (missing.length) res.set("X-Missing-Photos", encodeURIComponent(missing.join(", ")));
    if (req.query.download !== undefined) res.attachment(`${name}.${known?.extension ?? format}`);
    res.type(known?.mime ?? format).send(typeof content === "string" ? content : Buffer.from(content));
  });
  router.all("/:file", onlyMethods("GET"));
  return router;
}

/** The system of units that a request asks for. @throws BadInput for any other */
function unitsIn(query: Readonly<Record<string, unknown>>): System {
  const units = one(query.units) ?? "metric";
  if (units === "metric" || units === "imperial") return units;
  throw new BadInput([{ path: "units", message: "must be metric or imperial." }]);
}

/** `/api/scenes/:id/recipes/:recipe.pdf`: a construction step by step, for `?shot` and the thing that `?of` names. */
export function recipes(store: Store, jobs: Jobs): Router {
  const router = Router({ mergeParams: true });
  router.get("/:file", async (req, res) => {
    const [, recipe] = /^(.+)\.pdf$/.exec(req.params.file) ?? [];
    if (!recipe) throw new BadInput([{ path: "format", message: "must be pdf." }]);
    const text = await readable(jobs, await store.read(idOf(req.params)));
    const order = { text, recipe, shot: one(req.query.shot), of: one(req.query.of), units: unitsIn(req.query) };
    const content = await jobs.recipe(order, { signal: goneSignal(res) });
    res.set("Cache-Control", "no-cache").type("pdf").send(Buffer.from(content));
  });
  router.all("/:file", onlyMethods("GET"));
  return router;
}

/** `/api/scenes/:id/slips/:shot.pdf`: the set-up sheet of a shot, or with `?page` of all panels of its page. */
export function slips(store: Store, jobs: Jobs): Router {
  const router = Router({ mergeParams: true });
  router.get("/:file", async (req, res) => {
    const [, shot] = /^(.+)\.pdf$/.exec(req.params.file) ?? [];
    if (!shot) throw new BadInput([{ path: "format", message: "must be pdf." }]);
    const every = Number(one(req.query.every) ?? 10);
    if (!(every >= 1 && every <= 500)) throw new BadInput([{ path: "every", message: "must be from 1 to 500 mm." }]);
    const units = unitsIn(req.query);
    const text = await readable(jobs, await store.read(idOf(req.params)));
    const content = await jobs.slip(
      {
        ...{ text, shot, every, units, page: req.query.page !== undefined },
        recipe: one(req.query.recipe),
        of: one(req.query.of),
      },
      { signal: goneSignal(res) },
    );
    res.set("Cache-Control", "no-cache").type("pdf").send(Buffer.from(content));
  });
  router.all("/:file", onlyMethods("GET"));
  return router;
}
