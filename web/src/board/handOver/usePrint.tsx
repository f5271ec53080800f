import type { PrintStatus } from "@zanvo/core/answers";
import { fetchPrint, orderPrint, printStatus, stopPrint, type PrintOrder } from "../../api";
import { download } from "../../files";
import { useWork, Working, type Going, type Work } from "../../ui";
import { useStores } from "../../stores";

/** How often a print is asked how far it is, ms. */
const ASK = 250;

/** Waits for a print, telling how far it is. @throws Error when it failed, or the signal's reason */
async function finished(
  sceneId: string,
  id: string,
  tell: (going: Going) => void,
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
  const { useDocument, useView, saving } = useStores();
  const id = useDocument((document) => document.id);
  const shotId = useView((view) => view.shotId);
  const work = useWork("The print");
  const print = (order: PrintOrder, name: string) =>
    work.run(async (signal, tell) => {
      await saving.savedFirst();
      const ordered = await orderPrint(id, shotId, order, signal);
      try {
        const ready = await finished(id, ordered, tell, signal);
        download(await fetchPrint(id, ready, signal), `${name}.${ready.kind}`);
      } catch (error) {
        if (signal.aborted) await stopPrint(id, ordered).catch(() => undefined);
        throw error;
      }
    });
  return { work, print };
}

interface PrintProgressProps {
  readonly work: Work;
  readonly of: string;
  /** What is done before anything is counted. */
  readonly laying: string;
}

/** How far a print is, and the button that stops it. */
export const PrintProgress = ({ work, of: what, laying }: PrintProgressProps) => (
  <Working work={work} label={`${what}s drawn`}>
    {work.going?.of ? `${what} ${work.going.done} of ${work.going.of}` : laying}
  </Working>
);
