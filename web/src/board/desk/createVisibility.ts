import { NOTHING_VISIBLE, type Shading, type VisibleEdges } from "@zanvo/core/visibility";
import { howSeen, shadingOf } from "@zanvo/core/drawing";
import { lightsOf, type Light } from "@zanvo/core/light";
import type { Shot } from "@zanvo/core/scene";
import type { Element } from "@zanvo/core/world";
import { proxy } from "comlink";
import { useEffect, useId, useState } from "react";
import { steady } from "../../worker";
import { createHiddenLines } from "./hiddenLines";
import type { VisibilityWorker } from "./visibility.worker";

/**
 * The next smaller power of two: it stays as it is for small turns and pulls, so that nothing is hidden anew for them.
 */
const steadyAngle = (angle: number): number => 2 ** Math.floor(Math.log2(angle));

/** Hidden lines in one thread for every panel; it stays for the whole visit. */
export function createVisibility() {
  const thread = steady<VisibilityWorker>(
    () => new Worker(new URL("./visibility.worker.ts", import.meta.url), { type: "module" }),
    { onTrouble: (stale) => lines.tellTrouble(stale), alive: (remote) => remote.alive() },
  );
  const lines = createHiddenLines({
    visibleEdges: (asker, { elements, eye, ...how }, tell) =>
      thread.call((remote) => remote.visibleEdges(asker, elements, eye, how, tell && proxy(tell))),
    giveUp: (asker) => void thread.call((remote) => remote.giveUp(asker)).catch(() => undefined),
  });
  return {
    useTrouble: lines.useTrouble,
    lookAgain: lines.lookAgain,
    /** Hidden lines from the eye of a shot, worked out beside the page; the last finished ones stay meanwhile. */
    useVisibleEdges: (elements: readonly Element[], shot: Shot, lights?: readonly Light[]): VisibleEdges => {
      const { cutaway, ...angles } = howSeen(shot);
      const [leastAngle, within] = [angles.leastAngle, angles.within].map(steadyAngle);
      const wanted = JSON.stringify(shadingOf(lightsOf({ lights }, shot), shot) ?? null);
      const { x, y, z } = shot.eye;
      const id = useId();
      const [visible, setSeen] = useState(NOTHING_VISIBLE);
      const [asker] = useState(() => lines.asker(id, setSeen));
      const tries = lines.useTrouble((one) => one.tries);
      useEffect(() => {
        const shading = (JSON.parse(wanted) as Shading | null) ?? undefined;
        asker.want({ elements, eye: [x, y, z], cutaway, leastAngle, within, shading });
      }, [asker, elements, x, y, z, cutaway, leastAngle, within, wanted, tries]);
      useEffect(() => asker.leave, [asker]);
      return visible;
    },
  };
}
