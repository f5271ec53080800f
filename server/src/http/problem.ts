import { BadInput, NoAnswer, type Fault } from "@zanvo/core/problem";
import type { ErrorRequestHandler, Response } from "express";
import { Busy } from "../prints";
import { NotFound, Stale } from "../store";

/** A request that was refused before its content was looked at. */
export class Refused extends Error {
  override readonly name = "Refused";
  constructor(readonly status: number, message: string) {
    super(message);
  }
}

const TITLES: Readonly<Record<number, string>> = {
  400: "The input is wrong", 403: "Not allowed", 404: "Not found", 405: "Not possible here", 409: "There is no answer", 412: "Saved elsewhere since",
  413: "Too large", 415: "Not JSON", 421: "Wrong address", 428: "A version is needed", 429: "Too much at once", 500: "Something broke", 507: "No room left",
};

/** Sends an error as RFC 9457 problem details. */
export function sendProblem(res: Response, status: number, detail: string, more: { errors?: readonly Fault[]; current?: unknown } = {}): void {
  res.status(status).type("application/problem+json").send(JSON.stringify({ type: "about:blank", title: TITLES[status] ?? TITLES[500], status, detail, ...more }));
}

/** The code that SQLite or the disk gave an error, however deep it was wrapped. */
const codeOf = (error: unknown): string => {
  const { code, driverError } = error as { code?: unknown; driverError?: unknown };
  return typeof code === "string" ? code : driverError ? codeOf(driverError) : "";
};

/** Turns everything that is thrown in a handler into one sentence with the right status. */
export const onError: ErrorRequestHandler = (error: Error & { status?: number; type?: string; limit?: number }, req, res, next) => {
  if (res.headersSent) return next(error);
  if (error instanceof BadInput) return sendProblem(res, 400, error.message, { errors: error.faults });
  if (error instanceof NoAnswer) return sendProblem(res, 409, error.message);
  if (error instanceof NotFound) return sendProblem(res, 404, error.message);
  if (error instanceof Busy) return sendProblem(res, 429, error.message);
  if (error instanceof Refused) return sendProblem(res, error.status, error.message);
  if (error instanceof Stale) {
    const { scene, ...card } = error.current;
    res.set("ETag", `"${card.revision}"`);
    return sendProblem(res, 412, error.message, { current: { ...card, document: scene } });
  }
  if (error.type === "entity.too.large") return sendProblem(res, 413, `This is larger than ${Math.round((error.limit ?? 0) / 2 ** 20)} MB, the most that is taken here; nothing was saved.`);
  if (/SQLITE_FULL|SQLITE_IOERR|ENOSPC/.test(codeOf(error))) return sendProblem(res, 507, "The disk is full: nothing was saved, and what was stored before is unharmed. Make room and try again.");
  if (error.status && error.status < 500) return sendProblem(res, error.status, error.status === 404 ? "There is nothing at this address." : "The request could not be read.");
  req.log.error(error);
  return sendProblem(res, 500, "Something went wrong here; nothing was changed.");
};
