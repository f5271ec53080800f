import { wrap, type Remote } from "comlink";

/** How often a worker that dies is started anew for one piece of work, and how long is waited before, ms. */
const PAUSES = [0, 1000, 4000];
/** After so long without a word from a worker that is a trouble, and after so long it is taken to be dead, ms. */
const SILENCE = 4000;
const DEATH = 20_000;

/** A worker could not be started, or died again and again. */
export class WorkerGone extends Error {
  override readonly name = "WorkerGone";
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export interface SteadyOptions<T> {
  /** Told when the worker has died and is being started anew, and when it works again. */
  readonly onTrouble?: (troubled: boolean) => void;
  /** What every worker is given before it is asked for anything. */
  readonly prepare?: (remote: Remote<T>) => Promise<unknown>;
  /** Asks the worker for a sign of life; for one that listens while it works. */
  readonly alive?: (remote: Remote<T>) => Promise<unknown>;
}

interface Running<T> {
  readonly worker: Worker;
  readonly remote: Remote<T>;
  readonly prepared: Promise<unknown>;
  /** Rejects when the worker has died. */
  readonly death: Promise<never>;
  readonly die: (why: string) => void;
}

export type Steady<T> = ReturnType<typeof steady<T>>;

/** Starts a worker, and gives it what it needs. */
function start<T>(make: () => Worker, prepare: SteadyOptions<T>["prepare"]): Running<T> {
  const worker = make();
  let die: Running<T>["die"] = () => undefined;
  const death = new Promise<never>((_, reject) => {
    die = (why) => reject(new WorkerGone(why));
  });
  death.catch(() => undefined);
  worker.addEventListener("error", ({ message }) => die(message || "It could not be loaded."));
  worker.addEventListener("messageerror", () => die("It sent what cannot be read."));
  const remote = wrap<T>(worker);
  const prepared = Promise.resolve(prepare?.(remote));
  prepared.catch(() => undefined);
  return { worker, remote, prepared, death, die };
}

/** Watches for signs of life. @returns ends it */
function watch<T>({ remote, die }: Running<T>, { alive, onTrouble }: SteadyOptions<T>): () => void {
  if (!alive) return () => undefined;
  let heard = performance.now();
  let silent = false;
  const ask = () =>
    void alive(remote).then(
      () => {
        heard = performance.now();
        if (silent) onTrouble?.(false);
        silent = false;
      },
      () => undefined,
    );
  ask();
  const timer = setInterval(() => {
    const quiet = performance.now() - heard;
    if (quiet > DEATH) die("It does not answer any more.");
    else if (quiet > SILENCE && !silent) {
      silent = true;
      onTrouble?.(true);
    }
    if (!silent) ask();
  }, SILENCE / 2);
  return () => clearInterval(timer);
}

/** A worker that is started when it is first wanted, and anew when it dies or does not load. */
export function steady<T>(make: () => Worker, options: SteadyOptions<T> = {}) {
  const { onTrouble, prepare } = options;
  let running: Running<T> | null = null;

  const end = () => {
    running?.worker.terminate();
    running = null;
  };
  const once = async <R>(work: (remote: Remote<T>) => Promise<R>): Promise<R> => {
    const now = (running ??= start(make, prepare));
    const stop = watch(now, options);
    try {
      return await Promise.race([now.prepared.then(() => work(now.remote)), now.death]);
    } catch (error) {
      if (error instanceof WorkerGone && running === now) end();
      throw error;
    } finally {
      stop();
    }
  };

  const call = async <R>(work: (remote: Remote<T>) => Promise<R>): Promise<R> => {
    for (const ms of PAUSES) {
      await pause(ms);
      try {
        const result = await once(work);
        onTrouble?.(false);
        return result;
      } catch (error) {
        if (!(error instanceof WorkerGone)) throw error;
        onTrouble?.(true);
      }
    }
    throw new WorkerGone("Part of this page keeps failing. Reload the page; your work is kept.");
  };

  return {
    /**
     * Has the worker do something; where it dies meanwhile, another does it from the beginning.
     * @param signal ends the worker, whatever it is doing
     * @throws WorkerGone, or the reason of the signal
     */
    call: <R>(work: (remote: Remote<T>) => Promise<R>, signal?: AbortSignal): Promise<R> => {
      if (!signal) return call(work);
      const stopped = new Promise<never>((_, reject) => {
        const stop = () => {
          end();
          reject(signal.reason as Error);
        };
        if (signal.aborted) stop();
        else signal.addEventListener("abort", stop, { once: true });
      });
      return Promise.race([call(work), stopped]);
    },
    /** Ends the worker; the next call starts another. */
    end,
  };
}
