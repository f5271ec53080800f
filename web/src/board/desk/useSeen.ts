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

/** The one thread in which hidden lines are worked out, for every panel; it stays for the whole visit. */
let thread: Remote<SeenWorker> | null = null;
const seenThread = (): Remote<SeenWorker> => (thread ??= wrap<SeenWorker>(new Worker(new URL("./seen.worker.ts", import.meta.url), { type: "module" })));

/**
 * Hidden lines, worked out beside the page. While a newer state waits, the last finished one stays; of several that come
 * while one is being worked out, only the newest is taken up.
 */
export function useSeen(elements: readonly Element[], x: number, y: number, z: number): Seen {
  const [seen, setSeen] = useState(NOTHING);
  const wanted = useRef<Wanted | null>(null);
  const busy = useRef(false);

  useEffect(() => {
    wanted.current = { elements, eye: [x, y, z] };
    const work = async () => {
      if (busy.current) return;
      busy.current = true;
      while (wanted.current) {
        const { elements: what, eye } = wanted.current;
        wanted.current = null;
        setSeen(await seenThread().see(what, eye));
      }
      busy.current = false;
    };
    void work();
  }, [elements, x, y, z]);

  return seen;
}
