import { useEffect, useState } from "react";
import type { Finding } from "@zanvo/core/checks";
import type { Scene, Shot } from "@zanvo/core/scene";
import { steady } from "../worker";
import type { TangentsWorker } from "./tangents.worker";

/** How long the hand must rest before tangents are looked for, ms. */
const REST = 700;

/** The one thread in which tangents are looked for. */
const thread = steady<TangentsWorker>(
  () => new Worker(new URL("./tangents.worker.ts", import.meta.url), { type: "module" }),
);

/** Looks for something in the thread, which a signal ends. */
export const lookFor: typeof thread.call = (look, signal) => thread.call(look, signal);

/** The tangents of a shot, looked for once the hand rests; none while it has changed since. */
export function useTangents(scene: Scene, shot: Shot): readonly Finding[] {
  const [found, setFound] = useState<{
    readonly elements: Scene["elements"];
    readonly shot: Shot;
    readonly findings: readonly Finding[];
  } | null>(null);
  const { elements } = scene;
  useEffect(() => {
    if (elements.length < 2) return undefined;
    let stale = false;
    const look = () =>
      void thread
        .call((remote) => remote.tangents(scene, shot))
        .then(
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
  }, [scene, elements, shot]);
  return found && found.elements === elements && found.shot === shot ? found.findings : [];
}
