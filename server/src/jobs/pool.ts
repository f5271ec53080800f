import { FixedQueue, Piscina } from "piscina";
import { codeOf } from "@zanvo/store";
import { found, type Answer } from "./answer";

/** What one piece of work may take, and how many are worked on at once. */
export interface Limits {
  /** Threads that are kept ready, and that there may be at most. */
  readonly threads: readonly [ready: number, most: number];
  /** How many pieces may wait. */
  readonly queue: number;
  /** From being asked for to being answered. */
  readonly seconds: number;
  /** Of memory in each thread. */
  readonly megabytes: number;
  /** By how much the threads stand back behind others (nice(2)), where the system knows that. */
  readonly nice?: number;
}

/** So much is asked for that it was given up; what else is going on is not held up by it. */
export class TooHeavy extends Error {
  override readonly name = "TooHeavy";
}

/** Too much is going on already. */
export class Busy extends Error {
  override readonly name = "Busy";
}

/** The person who asked for it has gone. */
export class Cancelled extends Error {
  override readonly name = "Cancelled";
}

export interface Pool {
  /**
   * Works something out in a thread.
   * @param name the function of the thread's script
   * @throws BadInput, NoAnswer, TooHeavy, Busy, Cancelled
   */
  readonly run: <T>(name: string, input: unknown, how?: { readonly signal?: AbortSignal }) => Promise<T>;
  readonly close: () => Promise<void>;
}

/**
 * Threads load their script by `import` alone. By `require`, which is tried first where Node lets it load such modules,
 * a thread that runs out of memory while it loads takes the whole process with it (Node 20: "IsGraphAsync must be used
 * on an instantiated module").
 */
const BY_IMPORT = "--no-experimental-require-module";
const loading = process.allowedNodeEnvironmentFlags.has("--experimental-require-module") ? [BY_IMPORT] : [];

/** Threads that share a script; one that takes too long or too much is ended, and another takes its place. */
export function openPool(
  script: string,
  { threads: [ready, most], queue, seconds, megabytes, nice = 0 }: Limits,
): Pool {
  const pool = new Piscina({
    filename: script,
    minThreads: ready,
    maxThreads: most,
    maxQueue: queue,
    idleTimeout: 60_000,
    niceIncrement: nice,
    execArgv: loading,
    taskQueue: new FixedQueue(),
    resourceLimits: { maxOldGenerationSizeMb: megabytes },
  });
  // What kills a thread that nobody is waiting for is nobody's concern.
  pool.on("error", () => undefined);

  const why = (error: unknown, limit: AbortSignal, asker?: AbortSignal): Error => {
    if (asker?.aborted) return new Cancelled("Nobody waits for this any more.");
    if (limit.aborted)
      return new TooHeavy(
        `This takes more than ${seconds} seconds to work out, so it was given up. Make it simpler, or ask for ` +
          "less at once.",
      );
    if (codeOf(error) === "ERR_WORKER_OUT_OF_MEMORY")
      return new TooHeavy(
        `This takes more than ${megabytes} MB of memory to work out, so it was given up. Make it simpler, or ` +
          "ask for less at once.",
      );
    if (/queue is (at limit|full)/i.test((error as Error).message))
      return new Busy("Too much is being worked out at once. Try again in a moment.");
    return error as Error;
  };
  return {
    run: async <T>(name: string, input: unknown, { signal }: { signal?: AbortSignal } = {}) => {
      const limit = AbortSignal.timeout(seconds * 1000);
      try {
        return found(
          (await pool.run(input, { name, signal: signal ? AbortSignal.any([signal, limit]) : limit })) as Answer<T>,
        );
      } catch (error) {
        throw why(error, limit, signal);
      }
    },
    close: () => pool.destroy(),
  };
}
