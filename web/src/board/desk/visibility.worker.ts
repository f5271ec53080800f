import { expose } from "comlink";
import type { Vec3 } from "@zanvo/core/geometry";
import { NOTHING_VISIBLE, type HowSeen, type visibilityCache, type VisibleEdges } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";

/** So long is worked without listening whether it is still wanted, ms. */
const DEAF = 25;

/** What builds a world and looks at it, once there is anything to be seen: an empty board does without. */
let looking: Promise<ReturnType<typeof visibilityCache>> | null = null;

function looks(): NonNullable<typeof looking> {
  if (looking) return looking;
  looking = import("./lookAtWorld").then(({ newLook }) => newLook());
  // What could not be fetched is asked for again.
  looking.catch(() => (looking = null));
  return looking;
}

/** What each asker wants now, by number: a run that is no longer it stops. */
const wanted = new Map<string, number>();
const listen = () => new Promise((resolve) => setTimeout(resolve, 0));

const api = {
  /**
   * The stretches of the elements' edges that an eye sees; null where the asker gave it up meanwhile.
   * @param onPart told each part as it comes, the nearest first
   */
  async visibleEdges(
    asker: string,
    elements: readonly Element[],
    eye: Vec3,
    how?: HowSeen,
    onPart?: (part: VisibleEdges) => void,
  ): Promise<VisibleEdges | null> {
    const run = (wanted.get(asker) ?? 0) + 1;
    wanted.set(asker, run);
    if (elements.length === 0 && !looking) return NOTHING_VISIBLE;
    const look = await looks();
    if (wanted.get(asker) !== run) return null;
    const parts = look(elements, eye, how);
    let heard = performance.now();
    for (let next = parts.next(); ; next = parts.next()) {
      if (next.done) return next.value;
      if (onPart) onPart(next.value);
      if (performance.now() - heard < DEAF) continue;
      await listen();
      if (wanted.get(asker) !== run) return null;
      heard = performance.now();
    }
  },
  /** A sign of life: it listens between the parts of what it works on. */
  alive: () => true,
  /** Gives up what an asker asked for. */
  giveUp(asker: string): void {
    wanted.set(asker, (wanted.get(asker) ?? 0) + 1);
  },
};

export type VisibilityWorker = typeof api;
expose(api);
