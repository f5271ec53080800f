import { toldBy } from "@zanvo/core/problem";
import { useEffect, useRef, useState } from "react";
import { useStores } from "../stores";

/** How far a piece of work is: `done` of `of`; of nothing, where that is not known yet. */
export interface Going {
  readonly done: number;
  readonly of: number;
}

export type Work = ReturnType<typeof useWork>;

/**
 * Work that goes on for a while: how far it is, and how it is stopped. It ends with the page that began it. Work that
 * fails says why, and work that is stopped says so.
 * @param what the work as the first words of a sentence, such as "The print"
 */
export function useWork(what: string) {
  const { say } = useStores();
  const [going, setGoing] = useState<Going | null>(null);
  const stop = useRef<AbortController | null>(null);
  const left = useRef(false);
  useEffect(() => {
    left.current = false;
    return () => {
      left.current = true;
      stop.current?.abort();
    };
  }, []);
  return {
    going,
    busy: going !== null,
    stop: () => stop.current?.abort(),
    /** Does a piece of work. @returns what came of it; undefined where it was stopped or failed */
    run: async <T>(work: (signal: AbortSignal, tell: (going: Going) => void) => Promise<T>): Promise<T | undefined> => {
      const { signal } = (stop.current = new AbortController());
      setGoing({ done: 0, of: 0 });
      try {
        return await work(signal, (next) => !signal.aborted && setGoing(next));
      } catch (error) {
        if (!left.current) say(signal.aborted ? `${what} was stopped.` : toldBy(error));
        return undefined;
      } finally {
        setGoing(null);
      }
    },
  };
}
