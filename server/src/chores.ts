import { Worker } from "node:worker_threads";
import type { Logger } from "pino";
import type { Pictures, Store } from "@zanvo/store";

/** From one round to the next, ms; and from the start to the day's backup, if there is none of today. */
const EVERY = 3_600_000;
const BACKUP = 30_000;

/** Makes the day's backup in a thread of its own. */
const backUp = (script: string, file: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(script, { workerData: file });
    worker.on("error", reject);
    worker.on("exit", (code) => (code === 0 ? resolve() : reject(new Error("The backup was not finished."))));
  });

/**
 * What is done every hour: the day's backup first, then what was deleted long ago is forgotten, and pictures that
 * nothing names any more go to the bin. At the start only a backup is made, once the first pages are out.
 * @returns does one round, and ends them all
 */
export function startChores(store: Store, pictures: Pictures, script: string, log: Logger) {
  const careful = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (error) {
      log.error(error);
    }
  };
  const save = () => careful(() => backUp(script, store.file));
  const round = async () => {
    await save();
    await careful(store.forget);
    await careful(() => pictures.sweep(store.names));
  };
  const first = setTimeout(() => void save(), BACKUP);
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
