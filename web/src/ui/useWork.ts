import { useEffect, useRef, useState } from "react";

/** A piece of work that takes a while: whether it is going on, and how it is stopped; it ends with what began it. */
export function useWork() {
  const [busy, setBusy] = useState(false);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  return {
    busy,
    stop: () => stop.current?.abort(),
    run: async <T>(work: (signal: AbortSignal) => Promise<T>): Promise<T> => {
      const { signal } = (stop.current = new AbortController());
      setBusy(true);
      try {
        return await work(signal);
      } finally {
        setBusy(false);
      }
    },
  };
}
