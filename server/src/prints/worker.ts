import { writeFile } from "node:fs/promises";
import { parentPort, workerData } from "node:worker_threads";
import { readScene } from "@zanvo/core/document";
import { BadInput } from "@zanvo/core/problem";
import { shotOf } from "@zanvo/core/scene";
import { blankGridFiles } from "@zanvo/files";
import { printOf, toTiles } from "@zanvo/pdf";
import type { Order, Report } from "./order";

// A print, beside the thread that answers requests.
const order = workerData as Order;
const report = (what: Report): void => parentPort?.postMessage(what);

async function made(onFile: (done: number, of: number) => void): Promise<Uint8Array> {
  const scene = readScene(order.text);
  if ("tiling" in order) return toTiles(printOf(scene, order.shot, order.tiling), { onPage: onFile });
  return blankGridFiles(shotOf(scene, order.shot), order.grids, onFile);
}

try {
  await writeFile(order.file, await made((done, of) => report({ done, of })));
  report({ ready: true });
} catch (error) {
  report({ failed: (error as Error).message, errors: error instanceof BadInput ? error.errors : undefined });
}
