import { useEffect, useState } from "react";
import type { Finding } from "@zanvo/core/checks";
import type { Scene, Shot } from "@zanvo/core/scene";
import { steady, type Steady } from "../worker";
import type { TangentsWorker } from "./tangents.worker";

/** How long the hand must rest before tangents are looked for, ms. */
const REST = 700;

/** Tangents, looked for in one thread. */
export function createTangents() {
  const thread = steady<TangentsWorker>(
    () => new Worker(new URL("./tangents.worker.ts", import.meta.url), { type: "module" }),
  );
  /** Looks for something in the thread, which a signal ends. */
  const lookFor: typeof thread.call = (look, signal) => thread.call(look, signal);
  return { lookFor, useTangents: (scene: Scene, shot: Shot) => useTangents(lookFor, scene, shot) };
}

/** The tangents of a shot, looked for once the hand rests; none while it has changed since. */
function useTangents(lookFor: Steady<TangentsWorker>["call"], scene: Scene, shot: Shot): readonly Finding[] {
  const [found, setFound] = useState<{
    readonly elements: Scene["elements"];
    readonly shot: Shot;
    readonly findings: readonly Finding[];
  } | null>(null);
  const { elements } = scene;
  useEffect(() => {
    if (elements.length === 0) return undefined;
    let stale = false;
    const look = () =>
      void lookFor((remote) => remote.seenFindings(scene, shot)).then(
        (findings) => {
          if (!stale) setFound({ elements, shot, findings });
        },
        () => undefined,
      );
    const timer = setTimeout(look, REST);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [lookFor, scene, elements, shot]);
  return found && found.elements === elements && found.shot === shot ? found.findings : [];
}
