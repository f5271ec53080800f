import type { Vec3 } from "@zanvo/core/geometry";
import { joined, type HowSeen, type VisibleEdges } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";
import { create } from "zustand";

/** A run that takes longer than this is given up for a newer one, ms. */
const PATIENCE = 1000;
/** The first parts are shown after so long, and each time after twice as long: there is more to draw then, ms. */
const FIRST_SHOWN = 120;

/** What is looked at, and from where. */
export interface Wanted extends HowSeen {
  readonly elements: readonly Element[];
  readonly eye: Vec3;
}

/** What works hidden lines out, beside the page. */
export interface HiddenLineWorker {
  /**
   * The visible edges of elements from an eye; null for a run that was given up.
   * @param tell hands out parts as they are found
   * @throws Error where it died again and again
   */
  readonly visibleEdges: (
    asker: string,
    wanted: Wanted,
    tell?: (part: VisibleEdges) => void,
  ) => Promise<VisibleEdges | null>;
  readonly giveUp: (asker: string) => void;
}

/** Whether a drawing is old, since what works it out has died or did not load; and whether that was given up. */
export interface Trouble {
  readonly stale: boolean;
  readonly gaveUp: boolean;
  readonly tries: number;
}

/** Shows parts of what is visible together, as they come. */
function together(show: (edges: VisibleEdges) => void): (part: VisibleEdges) => void {
  const parts: VisibleEdges[] = [];
  let last = performance.now();
  let wait = FIRST_SHOWN;
  return (part) => {
    parts.push(part);
    if (performance.now() - last < wait) return;
    last = performance.now();
    wait *= 2;
    show(joined(parts));
  };
}

export type HiddenLines = ReturnType<typeof createHiddenLines>;

/** Hidden lines for every panel of a page, worked out beside it, and whether that goes wrong. */
export function createHiddenLines(worker: HiddenLineWorker) {
  const useTrouble = create<Trouble>(() => ({ stale: false, gaveUp: false, tries: 0 }));

  /**
   * What one panel wants. While a newer state waits, the last finished one stays; of several that come while one is
   * being worked out, only the newest is taken up, and a long run is given up for it. Where nothing is shown yet, what
   * stands nearest is shown first.
   */
  const asker = (id: string, show: (edges: VisibleEdges) => void) => {
    let wanted: Wanted | null = null;
    let begun: number | null = null;
    let fresh = true;
    let timer: ReturnType<typeof setTimeout> | undefined;

    const work = async () => {
      while (wanted) {
        const now = wanted;
        wanted = null;
        begun = performance.now();
        try {
          const found = await worker.visibleEdges(id, now, fresh ? together(show) : undefined);
          if (!found) continue;
          fresh = false;
          show(found);
        } catch {
          useTrouble.setState({ gaveUp: true });
        }
      }
      begun = null;
    };
    const giveUpFor = (run: number) => {
      if (begun === run && wanted) worker.giveUp(id);
    };
    return {
      want: (next: Wanted): void => {
        wanted = next;
        clearTimeout(timer);
        if (begun === null) void work();
        else timer = setTimeout(giveUpFor, Math.max(0, begun + PATIENCE - performance.now()), begun);
      },
      /** Whoever is gone wants nothing. */
      leave: (): void => {
        clearTimeout(timer);
        worker.giveUp(id);
      },
    };
  };

  return {
    useTrouble,
    asker,
    /** Says that what works them out has died, or works again. */
    tellTrouble: (stale: boolean): void => useTrouble.setState(stale ? { stale } : { stale, gaveUp: false }),
    /** Works the drawing out once more, after it was given up. */
    lookAgain: (): void => useTrouble.setState(({ tries }) => ({ gaveUp: false, tries: tries + 1 })),
  };
}
