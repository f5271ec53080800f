import type { Remote } from "comlink";
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

/** Looks in the thread for as long as it is wanted: given up, the thread is ended, and nothing is found. */
export function untilGivenUp<T>(
  look: (thread: Remote<TangentsWorker>) => Promise<T>,
  signal: AbortSignal,
): Promise<T | undefined> {
  const givenUp = new Promise<undefined>((resolve) =>
    signal.addEventListener("abort", () => {
      thread.end();
      resolve(undefined);
    }),
  );
  return Promise.race([thread.call(look), givenUp]);
}

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
