import type { PrintStatus } from "@zanvo/core/answers";
import { useEffect, useRef, useState } from "react";
import { toldBy } from "@zanvo/core/problem";
import { fetchPrint, orderPrint, printStatus, stopPrint, type PrintOrder } from "../../api";
import { download } from "../../files";
import { Progress, say, Working } from "../../ui";
import { saving } from "../../document/saving";
import { useDocument, useView } from "../../document";

/** How often a print is asked how far it is, ms. */
const ASK = 250;

type Working = Pick<PrintStatus, "done" | "of">;

/** Waits for a print, telling how far it is. @throws Error when it failed, or the signal's reason */
async function finished(
  sceneId: string,
  id: string,
  tell: (working: Working) => void,
  signal: AbortSignal,
): Promise<PrintStatus> {
  for (;;) {
    const status = await printStatus(sceneId, id, signal);
    if (status.state === "failed") throw new Error(status.message);
    if (status.state === "ready") return status;
    tell(status);
    await new Promise((resolve) => setTimeout(resolve, ASK));
    signal.throwIfAborted();
  }
}

/** A print that the server makes: ordered, watched, stopped, and saved as a file of the given name. */
export function usePrint() {
  const id = useDocument((document) => document.id);
  const shotId = useView((view) => view.shotId);
  const [working, setWorking] = useState<Working | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);

  const print = async (order: PrintOrder, name: string) => {
    const { signal } = (stop.current = new AbortController());
    setWorking({ done: 0, of: 0 });
    let ordered = "";
    try {
      await saving.savedFirst();
      ordered = await orderPrint(id, shotId, order, signal);
      const ready = await finished(id, ordered, setWorking, signal);
      download(await fetchPrint(id, ready, signal), `${name}.${ready.kind}`);
    } catch (error) {
      if (signal.aborted) {
        if (ordered) await stopPrint(id, ordered).catch(() => undefined);
        say("The print was stopped.");
      } else say(toldBy(error));
    } finally {
      setWorking(null);
    }
  };
  return { working, print, stop: () => stop.current?.abort() };
}

/** How far a print is, and the button that stops it. */
export function PrintProgress({
  working,
  of: what,
  laying,
  onStop,
}: {
  readonly working: Working;
  readonly of: string;
  readonly laying: string;
  readonly onStop: () => void;
}) {
  return (
    <div className="space-y-1">
      <Progress label={`${what}s drawn`} {...working} />
      <Working onStop={onStop}>{working.of ? `${what} ${working.done} of ${working.of}` : laying}</Working>
    </div>
  );
}
