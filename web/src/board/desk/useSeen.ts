import { proxy } from "comlink";
import { useEffect, useId, useRef, useState } from "react";
import { create } from "zustand";
import type { Vec3 } from "@zanvo/core/geometry";
import { joined, NOTHING_VISIBLE, type VisibleEdges } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";
import { steady } from "../../worker";
import type { SeenWorker } from "./seen.worker";

/** A run that takes longer than this is given up for a newer one; and parts are shown at most so often, ms. */
const PATIENCE = 1000;
const SHOWN_EVERY = 120;

interface Wanted {
  readonly elements: readonly Element[];
  readonly eye: Vec3;
}

/** Whether the drawing is old, since what works it out has died or did not load; and whether that was given up. */
export const useStale = create<{ readonly stale: boolean; readonly gaveUp: boolean; readonly tries: number }>(() => ({
  stale: false,
  gaveUp: false,
  tries: 0,
}));

/** Works the drawing out once more, after it was given up. */
export const lookAgain = (): void => useStale.setState(({ tries }) => ({ gaveUp: false, tries: tries + 1 }));

/** The one thread in which hidden lines are worked out, for every panel; it stays for the whole visit. */
const thread = steady<SeenWorker>(() => new Worker(new URL("./seen.worker.ts", import.meta.url), { type: "module" }), {
  onTrouble: (stale) => useStale.setState(stale ? { stale } : { stale, gaveUp: false }),
  alive: (remote) => remote.alive(),
});
const giveUp = (asker: string) => void thread.call((remote) => remote.giveUp(asker)).catch(() => undefined);

/** Shows parts of what is seen together, as they come. */
function shown(show: (seen: VisibleEdges) => void): (part: VisibleEdges) => void {
  const parts: VisibleEdges[] = [];
  let last = performance.now();
  return (part) => {
    parts.push(part);
    if (performance.now() - last < SHOWN_EVERY) return;
    last = performance.now();
    show(joined(parts));
  };
}

/**
 * Hidden lines, worked out beside the page. While a newer state waits, the last finished one stays; of several that
 * come while one is being worked out, only the newest is taken up, and a long run is given up for it. Where nothing is
 * shown yet, what stands nearest is shown first.
 */
export function useSeen(elements: readonly Element[], x: number, y: number, z: number): VisibleEdges {
  const asker = useId();
  const [seen, setSeen] = useState(NOTHING_VISIBLE);
  const wanted = useRef<Wanted | null>(null);
  const begun = useRef<number | null>(null);
  const fresh = useRef(true);
  const tries = useStale((one) => one.tries);

  useEffect(() => {
    wanted.current = { elements, eye: [x, y, z] };
    if (begun.current !== null) {
      const run = begun.current;
      const timer = setTimeout(
        () => {
          if (begun.current === run && wanted.current) giveUp(asker);
        },
        Math.max(0, run + PATIENCE - performance.now()),
      );
      return () => clearTimeout(timer);
    }
    const work = async () => {
      while (wanted.current) {
        const { elements: what, eye } = wanted.current;
        wanted.current = null;
        begun.current = performance.now();
        const found = await thread
          .call((remote) => remote.visibleEdges(asker, what, eye, fresh.current ? proxy(shown(setSeen)) : undefined))
          .catch(() => {
            useStale.setState({ gaveUp: true });
            return null;
          });
        if (!found) continue;
        fresh.current = false;
        setSeen(found);
      }
      begun.current = null;
    };
    void work();
    return undefined;
  }, [asker, elements, x, y, z, tries]);
  // Whoever is gone wants nothing.
  useEffect(() => () => giveUp(asker), [asker]);

  return seen;
}
