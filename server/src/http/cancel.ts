import type { Response } from "express";

/** Is aborted when whoever asked has gone before the answer. */
export function goneSignal(res: Response): AbortSignal {
  const controller = new AbortController();
  res.on("close", () => {
    if (!res.writableFinished) controller.abort();
  });
  return controller.signal;
}
