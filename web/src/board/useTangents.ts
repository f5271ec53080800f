import { wrap, type Remote } from "comlink";
import { useEffect, useState } from "react";
import type { Finding } from "@zanvo/core/checks";
import type { Scene, Shot } from "@zanvo/core/scene";
import type { TangentsWorker } from "./tangents.worker";

/** How long the hand must rest before tangents are looked for, ms. */
const REST = 700;

let worker: Worker | null = null;
let thread: Remote<TangentsWorker> | null = null;
/** The one thread in which tangents are looked for. */
export function tangentsThread(): Remote<TangentsWorker> {
  worker ??= new Worker(new URL("./tangents.worker.ts", import.meta.url), { type: "module" });
  return (thread ??= wrap<TangentsWorker>(worker));
}

/** Looks in the thread for as long as it is wanted: given up, the thread is ended, and nothing is found. */
export function untilGivenUp<T>(look: (thread: Remote<TangentsWorker>) => Promise<T>, signal: AbortSignal): Promise<T | undefined> {
  const givenUp = new Promise<undefined>((resolve) => signal.addEventListener("abort", () => {
    worker?.terminate();
    [worker, thread] = [null, null];
    resolve(undefined);
  }));
  return Promise.race([look(tangentsThread()), givenUp]);
}

/** The tangents of a shot, looked for once the hand rests; none while it has changed since. */
export function useTangents(scene: Scene, shot: Shot): readonly Finding[] {
  const [found, setFound] = useState<{ readonly elements: Scene["elements"]; readonly shot: Shot; readonly findings: readonly Finding[] } | null>(null);
  const { elements } = scene;
  useEffect(() => {
    if (elements.length < 2) return undefined;
    let stale = false;
    const timer = setTimeout(() => void tangentsThread().tangents(scene, shot).then((findings) => { if (!stale) setFound({ elements, shot, findings }); }), REST);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [scene, elements, shot]);
  return found && found.elements === elements && found.shot === shot ? found.findings : [];
}
