import { parentPort, workerData } from "node:worker_threads";
import { BadInput } from "@zanvo/core/problem";
import { shotOf } from "@zanvo/core/scene";
import { blankGridFiles } from "@zanvo/files";
import { printOf, toTiles } from "@zanvo/pdf";
import type { Order, Report } from "./order";

// A print, beside the thread that answers requests.
const order = workerData as Order;
const report = (what: Report): void => parentPort?.postMessage(what);
try {
  const { scene, shot } = order;
  const onFile = (done: number, of: number) => report({ done, of });
  const file = "tiling" in order ? await toTiles(printOf(scene, shot, order.tiling), { onPage: onFile }) : await blankGridFiles(shotOf(scene, shot), order.grids, onFile);
  report({ file });
} catch (error) {
  report({ failed: (error as Error).message, faults: error instanceof BadInput ? error.faults : undefined });
}
