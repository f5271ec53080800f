import express, { type Express } from "express";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";
import type { Prints } from "../prints";
import type { Pictures, Store } from "../store";
import { headers, hostCheck } from "./guard";
import { page } from "./page";
import { prints as printsBelow } from "./prints";
import { onError, Refused } from "./problem";
import { references } from "./references";
import { check, scenes } from "./scenes";

export interface AppOptions {
  readonly store: Store;
  readonly prints: Prints;
  readonly pictures: Pictures;
  readonly log: Logger;
  /** The folder of the built web app. */
  readonly web: string;
  /** Names besides loopback that the server goes by. */
  readonly names?: readonly string[];
}

/** The whole of what is served. */
export function createApp({ store, prints, pictures, log, web, names = [] }: AppOptions): Express {
  const app = express();
  app.disable("x-powered-by");
  app.set("etag", false);
  app.use(pinoHttp({ logger: log, customLogLevel: (_req, res) => (res.statusCode >= 500 ? "error" : "debug") }));
  app.use(headers);
  app.use(hostCheck(names));
  app.get("/api/health", (_req, res) => {
    res.json({ status: "ok" });
  });
  app.use("/api/check", check());
  app.use("/api/scenes", scenes(store, pictures));
  app.use("/api/scenes/:id/prints", printsBelow(store, prints));
  app.use("/api/scenes/:id/references", references(store, pictures));
  app.use("/api", () => {
    throw new Refused(404, "There is nothing at this address.");
  });
  app.use(page(web));
  app.use(onError);
  return app;
}
