import { proxy, wrap, type Remote } from "comlink";
import { useEffect, useId, useRef, useState } from "react";
import type { Vec3 } from "@zanvo/core/geometry";
import { joined, type Seen } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";
import type { SeenWorker } from "./seen.worker";

const NOTHING: Seen = { ends: new Float64Array(), solid: new Uint32Array(), sight: new Uint8Array() };
/** A run that takes longer than this is given up for a newer one; and parts are shown at most so often, ms. */
const PATIENCE = 1000;
const SHOWN_EVERY = 120;

interface Wanted {
  readonly elements: readonly Element[];
  readonly eye: Vec3;
}

/** The one thread in which hidden lines are worked out, for every panel; it stays for the whole visit. */
let thread: Remote<SeenWorker> | null = null;
const seenThread = (): Remote<SeenWorker> => (thread ??= wrap<SeenWorker>(new Worker(new URL("./seen.worker.ts", import.meta.url), { type: "module" })));

/** Shows parts of what is seen together, as they come. */
function shown(show: (seen: Seen) => void): (part: Seen) => void {
  const parts: Seen[] = [];
  let last = performance.now();
  return (part) => {
    parts.push(part);
    if (performance.now() - last < SHOWN_EVERY) return;
    last = performance.now();
    show(joined(parts));
  };
}

/**
 * Hidden lines, worked out beside the page. While a newer state waits, the last finished one stays; of several that come
 * while one is being worked out, only the newest is taken up, and a long run is given up for it. Where nothing is shown yet,
 * what stands nearest is shown first.
 */
export function useSeen(elements: readonly Element[], x: number, y: number, z: number): Seen {
  const asker = useId();
  const [seen, setSeen] = useState(NOTHING);
  const wanted = useRef<Wanted | null>(null);
  const begun = useRef<number | null>(null);
  const fresh = useRef(true);

  useEffect(() => {
    wanted.current = { elements, eye: [x, y, z] };
    if (begun.current !== null) {
      const run = begun.current;
      const timer = setTimeout(() => { if (begun.current === run && wanted.current) void seenThread().giveUp(asker); }, Math.max(0, run + PATIENCE - performance.now()));
      return () => clearTimeout(timer);
    }
    const work = async () => {
      while (wanted.current) {
        const { elements: what, eye } = wanted.current;
        wanted.current = null;
        begun.current = performance.now();
        const found = await seenThread().see(asker, what, eye, fresh.current ? proxy(shown(setSeen)) : undefined);
        if (!found) continue;
        fresh.current = false;
        setSeen(found);
      }
      begun.current = null;
    };
    void work();
    return undefined;
  }, [asker, elements, x, y, z]);
  // Whoever is gone wants nothing.
  useEffect(() => () => void seenThread().giveUp(asker), [asker]);

  return seen;
}
