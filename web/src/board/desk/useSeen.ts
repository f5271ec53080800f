import { wrap, type Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { Vec3 } from "@zanvo/core/geometry";
import type { Seen } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";
import type { SeenWorker } from "./seen.worker";

const NOTHING: Seen = { ends: new Float64Array(), solid: new Uint32Array(), sight: new Uint8Array() };

interface Wanted {
  readonly elements: readonly Element[];
  readonly eye: Vec3;
}

/**
 * Hidden lines, worked out beside the page. While a newer state waits, the last finished one stays; of several that come
 * while one is being worked out, only the newest is taken up.
 */
export function useSeen(elements: readonly Element[], x: number, y: number, z: number): Seen {
  const [seen, setSeen] = useState(NOTHING);
  const worker = useRef<Remote<SeenWorker> | null>(null);
  const wanted = useRef<Wanted | null>(null);
  const busy = useRef(false);

  useEffect(() => {
    const thread = new Worker(new URL("./seen.worker.ts", import.meta.url), { type: "module" });
    worker.current = wrap<SeenWorker>(thread);
    return () => {
      worker.current = null;
      busy.current = false;
      thread.terminate();
    };
  }, []);

  useEffect(() => {
    wanted.current = { elements, eye: [x, y, z] };
    const work = async () => {
      if (busy.current || !worker.current) return;
      busy.current = true;
      while (wanted.current && worker.current) {
        const { elements: what, eye } = wanted.current;
        wanted.current = null;
        setSeen(await worker.current.see(what, eye));
      }
      busy.current = false;
    };
    void work();
  }, [elements, x, y, z]);

  return seen;
}
