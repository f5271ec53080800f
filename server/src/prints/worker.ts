import { parentPort, workerData } from "node:worker_threads";
import { BadInput } from "@zanvo/core/problem";
import { printOf, toTiles } from "@zanvo/pdf";
import type { Order, Report } from "./order";

// A true-size print, beside the thread that answers requests.
const { scene, shot, tiling } = workerData as Order;
const report = (what: Report): void => parentPort?.postMessage(what);
try {
  const pdf = await toTiles(printOf(scene, shot, tiling), { onPage: (done, of) => report({ done, of }) });
  report({ pdf });
} catch (error) {
  report({ failed: (error as Error).message, faults: error instanceof BadInput ? error.faults : undefined });
}
