import compression from "compression";
import express, { type Express } from "express";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";
import type { Pictures, Store } from "@zanvo/store";
import type { Jobs } from "../jobs";
import { openThumbnails } from "../jobs/thumbnails";
import type { Prints } from "../prints";
import { keyCheck } from "./access";
import { exportedFiles, formats, recipes, slips } from "./exports";
import { headers, hostCheck } from "./guard";
import { page } from "./page";
import { prints as printsBelow } from "./prints";
import { onError, onlyMethods, Refused } from "./problem";
import { references, removedPictures } from "./references";
import { check, scenes } from "./scenes";

export interface AppOptions {
  readonly store: Store;
  readonly jobs: Jobs;
  readonly prints: Prints;
  readonly pictures: Pictures;
  readonly log: Logger;
  /** The folder of the built web app. */
  readonly web: string;
  /** Names besides loopback that the server goes by. */
  readonly names?: readonly string[];
  /** What must be shown before anything is answered. */
  readonly key?: string;
}

/** The whole of what is served. */
export function createApp({ store, jobs, prints, pictures, log, web, names = [], key }: AppOptions): Express {
  const app = express();
  app.disable("x-powered-by");
  app.set("etag", false);
  app.use(pinoHttp({ logger: log, customLogLevel: (_req, res) => (res.statusCode >= 500 ? "error" : "debug") }));
  app.use(headers);
  app.use(hostCheck(names));
  if (key !== undefined) app.use(keyCheck(key));
  app.use(compression());
  app.get("/api/health", (_req, res) => {
    res.set("Cache-Control", "no-store").json({ status: "ok" });
  });
  app.all("/api/health", onlyMethods("GET"));
  app.use("/api/check", check(jobs));
  app.use("/api/formats", formats());
  app.use("/api/scenes/:id/exports", exportedFiles(store, pictures, jobs));
  app.use("/api/scenes/:id/slips", slips(store, jobs));
  app.use("/api/scenes/:id/recipes", recipes(store, jobs));
  app.use("/api/scenes/:id/prints", printsBelow(store, jobs, prints));
  app.use("/api/scenes/:id/references", references(store, pictures));
  app.use("/api/scenes", scenes(store, jobs, openThumbnails(store, jobs)));
  app.use("/api/pictures", removedPictures(pictures));
  app.use("/api", () => {
    throw new Refused(404, "There is nothing at this address.");
  });
  app.use(page(web));
  app.use(onError);
  return app;
}
