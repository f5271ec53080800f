import { Worker } from "node:worker_threads";
import type { Logger } from "pino";
import type { Pictures, Store } from "@zanvo/store";

/** From one round to the next, and from the start to the first, ms. */
const EVERY = 3_600_000;
const FIRST = 600_000;

/** Makes the day's backup in a thread of its own. */
const backUp = (script: string, file: string): Promise<void> => new Promise((resolve, reject) => {
  const worker = new Worker(script, { workerData: file });
  worker.on("error", reject);
  worker.on("exit", (code) => (code === 0 ? resolve() : reject(new Error("The backup was not finished."))));
});

/**
 * What is done every hour: the day's backup first, then what was deleted long ago is forgotten, and pictures that nothing
 * names any more go to the bin. Nothing of it is done at the start.
 * @returns does one round, and ends them all
 */
export function startChores(store: Store, pictures: Pictures, script: string, log: Logger) {
  const round = async () => {
    try {
      await backUp(script, store.file);
      await store.forget();
      await pictures.sweep(store.names);
    } catch (error) {
      log.error(error);
    }
  };
  const first = setTimeout(() => void round(), FIRST);
  const timer = setInterval(() => void round(), EVERY);
  first.unref();
  timer.unref();
  return {
    round,
    stop: () => {
      clearTimeout(first);
      clearInterval(timer);
    },
  };
}
